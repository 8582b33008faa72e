package org.umberloom.core.font;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.Manner;
import org.umberloom.core.token.MannerValue;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/**
 * The letters that a text style is set in.
 *
 * @param stack   families in the order that browsers try them
 * @param weight  1 to 1000
 * @param stretch how wide they are, in percent of their usual width
 */
public record Cut(List<String> stack, int weight, double stretch) {
    /** Source: CSS Fonts 4, 2.2: normal. */
    private static final int USUAL_WEIGHT = 400;

    /** In percent. */
    static final double USUAL_STRETCH = 100;

    public Cut {
        stack = List.copyOf(stack);
    }

    /** Of a style’s parts by their names; none where no family is said. */
    public static Optional<Cut> of(Map<String, TokenValue> parts) {
        if (!(parts.get("fontFamily") instanceof FontFamilyValue families)) return Optional.empty();
        int weight = parts.get("fontWeight") instanceof FontWeightValue said
                ? (int) Math.round(said.weight())
                : USUAL_WEIGHT;
        double stretch = parts.get(Manner.STRETCH.part()) instanceof MannerValue said
                ? Double.parseDouble(said.css().replace("%", ""))
                : USUAL_STRETCH;
        return Optional.of(new Cut(families.families(), weight, stretch));
    }

    public static Optional<Cut> of(TypographyValue style) {
        return of(style.parts());
    }

    /** Where that is on the axes of a font. Source: OpenType 1.9.1, registered design-variation axis tags. */
    public Map<String, Double> axes() {
        return Map.of("wght", (double) weight, "wdth", stretch);
    }
}
