package org.umberloom.app.color;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.color.Depth;
import org.umberloom.core.color.Gamut;
import org.umberloom.core.color.GamutMapping;

/** One color in every form, with the edges of what screens show of its hue. */
@RestController
@RequestMapping("/api/color")
class ColorFormsController {
    private static final int EDGE_STEPS = 40;
    /** Forms that can only say colors within sRGB. */
    private static final Set<ColorSpace> OF_SRGB = Set.of(ColorSpace.HSL, ColorSpace.HWB);

    private static final List<ColorSpace> FORMS = List.of(
            ColorSpace.OKLCH,
            ColorSpace.OKLAB,
            ColorSpace.LCH,
            ColorSpace.LAB,
            ColorSpace.HSL,
            ColorSpace.HWB,
            ColorSpace.DISPLAY_P3);

    /** @param nearest whether it says the nearest color in sRGB, since the form cannot say this one */
    record Form(String name, String text, boolean nearest) {}

    /** The most chroma at a lightness that each gamut holds. */
    record Edge(double lightness, double srgb, double p3) {}

    /**
     * @param hue     in degrees; of a gray the one that was asked about, or 0
     * @param edges   from lightness 0 to 1 in equal steps
     * @param nearest the hex form, mapped into sRGB where it is not in it
     */
    record Forms(
            String written,
            String nearest,
            double lightness,
            double chroma,
            double hue,
            double alpha,
            double depth,
            boolean inSrgb,
            boolean inP3,
            List<Form> forms,
            List<Edge> edges) {}

    /** @param hue which edges to give for a color without a hue of its own */
    @GetMapping
    Forms forms(@RequestParam String text, @RequestParam(defaultValue = "0") double hue) {
        Color color = CssColor.parse(text);
        Color oklch = color.to(ColorSpace.OKLCH);
        double angle = Double.isNaN(oklch.c3()) || oklch.c2() < 0.0005 ? hue : oklch.c3();
        boolean wide = !color.inSrgbGamut();
        List<Form> forms = new ArrayList<>(
                List.of(new Form("hex", color.hex(), wide), new Form("rgb", rgb(color.toSrgb8()), wide)));
        for (ColorSpace space : FORMS) {
            boolean mapped = wide && OF_SRGB.contains(space);
            forms.add(new Form(space.id(), CssColor.write((mapped ? color.toSrgb8() : color).to(space)), mapped));
        }
        return new Forms(
                CssColor.write(color),
                color.hex(),
                rounded(oklch.c1()),
                rounded(oklch.c2()),
                rounded(angle),
                color.alpha(),
                Math.rint(Depth.of(color).value() * 10) / 10,
                color.inSrgbGamut(),
                Gamut.DISPLAY_P3.holds(color),
                forms,
                edges(angle));
    }

    private static List<Edge> edges(double hue) {
        return IntStream.rangeClosed(0, EDGE_STEPS)
                .mapToObj(step -> {
                    double lightness = (double) step / EDGE_STEPS;
                    return new Edge(
                            lightness,
                            rounded(GamutMapping.mostChroma(Gamut.SRGB, lightness, hue)),
                            rounded(GamutMapping.mostChroma(Gamut.DISPLAY_P3, lightness, hue)));
                })
                .toList();
    }

    private static String rgb(Color color) {
        String alpha = color.alpha() == 1 ? "" : " / " + Math.rint(color.alpha() * 1000) / 1000;
        return "rgb(" + Math.round(color.c1() * 255) + " " + Math.round(color.c2() * 255) + " "
                + Math.round(color.c3() * 255) + alpha + ")";
    }

    private static double rounded(double value) {
        return Math.rint((Double.isNaN(value) ? 0 : value) * 10_000) / 10_000;
    }
}
