package org.umberloom.core.format.form;

import java.util.Locale;
import java.util.Map;
import org.umberloom.core.color.Color;
import org.umberloom.core.token.ColorValue;

/** Opaque colors as a palette file: red, green, blue and a name on each line. Source: the GPL form, as common programs read it. */
final class PaletteForm implements Form {
    private static final int COLUMNS = 8;

    @Override
    public String id() {
        return "gpl";
    }

    @Override
    public String title() {
        return "GPL palette";
    }

    @Override
    public Map<String, String> write(FormValues values) {
        StringBuilder text = new StringBuilder("GIMP Palette\nName: ")
                .append(values.theme().name().replaceAll("[\\r\\n]", " "))
                .append("\nColumns: ")
                .append(COLUMNS)
                .append("\n#\n");
        for (FormValues.Line line : values.colors()) {
            if (!(line.value() instanceof ColorValue value) || value.color().alpha() < 1) continue;
            Color color = value.color();
            int rgb = Integer.parseInt(color.hex().substring(1, 7), 16);
            text.append(String.format(
                    Locale.ROOT, "%3d %3d %3d\t%s\n", rgb >> 16, rgb >> 8 & 0xff, rgb & 0xff, line.name()));
        }
        return Map.of("palette.gpl", text.toString());
    }
}
