package org.umberloom.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.ValueText;

/** Components of colors that lie outside the ranges that the format gives them. Source: Color Module 2025.10, color spaces. */
final class Ranges {
    private static final double[] UNIT = {0, 1};
    private static final double[] PERCENT = {0, 100};
    private static final double[] HUE = {0, 360};
    private static final double[] ANY = {Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY};
    private static final double[] FROM_ZERO = {0, Double.POSITIVE_INFINITY};

    private Ranges() {}

    static List<Finding> findings(ThemeDocument theme) {
        List<Finding> findings = new ArrayList<>();
        for (Place place : theme.places())
            theme.at(place).forEachToken((path, token, type) -> {
                if (!(token.value() instanceof ColorValue value)) return;
                outside(value.color())
                        .ifPresent(what -> findings.add(new Finding(
                                        "range",
                                        Finding.Weight.SHOULD,
                                        path.dotted(),
                                        path + " holds " + what + ", outside the range of "
                                                + value.color().space().id() + ".",
                                        "Other programs may refuse it or show another color.",
                                        List.of(new Finding.Fix(
                                                "Keep it within",
                                                new Edit.SetValue(place, path, new ColorValue(within(value.color()))))))
                                .at(place)));
            });
        return findings;
    }

    private static Optional<String> outside(Color color) {
        double[][] ranges = of(color.space());
        double[] components = {color.c1(), color.c2(), color.c3()};
        for (int i = 0; i < components.length; i++)
            if (components[i] < ranges[i][0] || components[i] > ranges[i][1])
                return Optional.of("the component " + ValueText.number(components[i], 4));
        return color.alpha() < 0 || color.alpha() > 1
                ? Optional.of("the alpha " + ValueText.number(color.alpha(), 4))
                : Optional.empty();
    }

    private static Color within(Color color) {
        double[][] ranges = of(color.space());
        return new Color(
                color.space(),
                held(color.c1(), ranges[0]),
                held(color.c2(), ranges[1]),
                held(color.c3(), ranges[2]),
                held(color.alpha(), UNIT));
    }

    private static double held(double component, double[] range) {
        return Double.isNaN(component)
                ? component
                : range == HUE ? (component % 360 + 360) % 360 : Math.max(range[0], Math.min(range[1], component));
    }

    private static double[][] of(ColorSpace space) {
        return switch (space) {
            case HSL, HWB -> new double[][] {HUE, PERCENT, PERCENT};
            case LAB -> new double[][] {PERCENT, ANY, ANY};
            case LCH -> new double[][] {PERCENT, FROM_ZERO, HUE};
            case OKLAB -> new double[][] {UNIT, ANY, ANY};
            case OKLCH -> new double[][] {UNIT, FROM_ZERO, HUE};
            case XYZ_D50, XYZ_D65 -> new double[][] {ANY, ANY, ANY};
            default -> new double[][] {UNIT, UNIT, UNIT};
        };
    }
}
