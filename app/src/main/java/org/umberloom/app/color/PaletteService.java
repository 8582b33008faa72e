package org.umberloom.app.color;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.color.Deficiency;
import org.umberloom.core.color.Depth;
import org.umberloom.core.color.Harmony;
import org.umberloom.core.color.Legibility;
import org.umberloom.core.color.PictureColors;
import org.umberloom.core.color.StarterPalettes;
import org.umberloom.core.format.PaletteText;
import org.umberloom.kit.picture.PictureReader;

/** Where colors of a palette come from: text, a picture, a harmony with a seed. */
@Service
class PaletteService {
    private static final int MOST_OF_A_PICTURE = 8;

    /**
     * A color to take.
     *
     * @param hue   in OKLCH, degrees; 0 for a gray
     * @param share of a picture's area, 0 to 1; 0 where it is from no picture
     */
    record Swatch(String name, String written, String hex, double depth, double hue, double share) {}

    /** Swatches that belong together, and what was passed over. */
    record Proposal(String name, List<Swatch> swatches, List<String> passedOver) {}

    record SeeingView(String id, String words, List<Double> matrix) {}

    /**
     * What a color can be on another, from the least on.
     *
     * @param apart how far apart their depths are at least
     */
    record LegibilityView(String words, String specimen, double ratio, double apart) {}

    /**
     * How colors are seen.
     *
     * @param ways  with fewer cones
     * @param black the depth of black, white having none
     * @param most  the ratio of black and white
     */
    record SightView(List<SeeingView> ways, double black, double most, List<LegibilityView> legibility) {}

    private final PictureReader pictures;

    PaletteService(PictureReader pictures) {
        this.pictures = pictures;
    }

    Proposal ofText(String text) {
        PaletteText.Palette palette = PaletteText.read(text);
        return new Proposal(
                "pasted",
                palette.colors().stream()
                        .map(named -> swatch(named.name(), named.color(), 0))
                        .toList(),
                palette.passedOver());
    }

    Proposal ofPicture(String name, byte[] content) {
        List<PictureColors.Found> found = PictureColors.of(pictures.pixels(content), MOST_OF_A_PICTURE);
        if (found.isEmpty())
            throw new IllegalArgumentException(
                    "“" + name + "” shows no color that could be taken. It was not kept, and nothing was changed.");
        return new Proposal(
                name,
                found.stream()
                        .map(one -> swatch("", one.color(), Math.rint(one.share() * 1000) / 1000))
                        .toList(),
                List.of());
    }

    /** @throws IllegalArgumentException when the seed is no color */
    List<Proposal> harmonies(String seed) {
        Color color = CssColor.parse(seed);
        List<Proposal> proposals = new ArrayList<>();
        for (Harmony harmony : Harmony.values())
            proposals.add(new Proposal(
                    harmony.words(),
                    harmony.partners(color).stream()
                            .map(partner -> swatch("", partner, 0))
                            .toList(),
                    List.of()));
        return proposals;
    }

    List<Proposal> starters() {
        List<Proposal> starters = new ArrayList<>();
        StarterPalettes.ALL.forEach((name, colors) -> starters.add(new Proposal(
                name,
                colors.entrySet().stream()
                        .map(entry -> swatch(entry.getKey(), entry.getValue(), 0))
                        .toList(),
                List.of())));
        return starters;
    }

    SightView sight() {
        return new SightView(
                waysOfSeeing(),
                Depth.BLACK,
                Contrast.ratio(Color.rgb(0, 0, 0), Color.rgb(255, 255, 255)),
                List.of(Legibility.values()).stream()
                        .map(level -> new LegibilityView(level.words(), level.specimen(), level.ratio(), level.apart()))
                        .toList());
    }

    private static List<SeeingView> waysOfSeeing() {
        return List.of(Deficiency.values()).stream()
                .map(d -> new SeeingView(d.id(), d.words(), d.matrix()))
                .toList();
    }

    private static Swatch swatch(String name, Color color, double share) {
        double hue = color.to(ColorSpace.OKLCH).c3();
        return new Swatch(
                name,
                CssColor.write(color),
                color.hex(),
                Math.rint(Depth.of(color).value() * 10) / 10,
                Double.isNaN(hue) ? 0 : Math.rint(hue * 10) / 10,
                share);
    }
}
