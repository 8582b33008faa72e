package org.umberloom.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.shape.Corners;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;

/** Spaces, corners and the frame: what is off its scale, what does not fit, and what is too small or too much for a phone. */
public final class ShapeChecks {
    /** A phone, px. Common practice. */
    private static final double PHONE = 375;

    /** px. A small phone; common practice. */
    public static final double PHONE_HIGH = 667;
    /** Px that the name in a header measures at least, as its rule sees to: it is a target. Source: WCAG 2.2, 2.5.8. */
    private static final double LOWEST_NAME = 25;

    /** Of a phone's height, what a header that stays may take. Common practice; technique C34 of the W3C lets it go where it is tall. */
    public static final double MOST_OF_A_PHONE = 0.25;
    /** WCAG 2.2, 2.5.8: a target is at least 24 by 24 CSS px; technique C42 of the W3C. */
    private static final double TARGET = 24;
    /** WCAG 2.2, 2.4.13 (advice): a focus outline is at least 2 CSS px thick. */
    private static final double RING = 2;
    /** WCAG technique G183: links known by color alone differ from the text around them by 3 to 1. */
    private static final double LINK = 3;
    /** Steps of a scale that differ by less cannot be told apart. Common practice. */
    private static final double TOLD_APART = 1.1;
    /** px between two corners beyond which nobody sees whether they run along each other. Common practice. */
    private static final double NEAR = 12;

    private static final double TOLERANCE = 2;

    private ShapeChecks() {}

    /** @param chosen the value of every choice */
    public static List<Finding> findings(ThemeDocument theme, Resolution resolution, Map<String, String> chosen) {
        Worn worn = Worn.of(resolution);
        List<Finding> findings = new ArrayList<>();
        scale(theme, resolution, findings);
        corners(worn, findings);
        targets(worn, findings);
        ring(worn, findings);
        if (!"no".equals(chosen.get("header-stays"))) header(worn, chosen, findings);
        if ("never".equals(chosen.get("links"))) links(resolution, worn, findings);
        return findings.stream()
                .map(finding -> finding.in(resolution.combination()))
                .toList();
    }

    private static void scale(ThemeDocument theme, Resolution resolution, List<Finding> findings) {
        List<Resolved> steps = new ArrayList<>();
        for (Place place : theme.applying(resolution.combination()))
            theme.at(place).forEachGroup((path, group) -> {
                if (Recipes.of(group).orElse(null) instanceof Recipe.SpaceSteps)
                    resolution.tokens().values().stream()
                            .filter(token -> token.path().isBelow(path) && !steps.contains(token))
                            .forEach(steps::add);
            });
        if (steps.isEmpty()) return;
        steps.sort(Comparator.comparingDouble(step -> px(step.value())));
        for (int i = 1; i < steps.size(); i++) {
            double less = px(steps.get(i - 1).value());
            double more = px(steps.get(i).value());
            if (less > 0 && more / less < TOLD_APART)
                findings.add(new Finding(
                        "steps-alike",
                        Finding.Weight.NOTE,
                        steps.get(i).path().dotted(),
                        said("%s px and %s px cannot be told apart.", less, more),
                        "Let the scale grow faster, or leave one of them out."));
        }
        for (Resolved token : resolution.tokens().values()) {
            if (!token.path().isBelow(TokenPath.of("gap")) || token.written().value() instanceof Alias) continue;
            double gap = px(token.value());
            Resolved nearest = steps.stream()
                    .min(Comparator.comparingDouble(step -> Math.abs(px(step.value()) - gap)))
                    .orElseThrow();
            if (Math.abs(px(nearest.value()) - gap) < 0.5) continue;
            findings.add(new Finding(
                            "gap-off-scale",
                            Finding.Weight.NOTE,
                            token.path().dotted(),
                            said(
                                    "%s px is no step of the spacing scale; the nearest has %s px.",
                                    gap, px(nearest.value())),
                            "Take the nearest step, or keep it.",
                            List.of(new Finding.Fix(
                                    said("Take %s px", px(nearest.value())),
                                    new Edit.SetValue(token.winner(), token.path(), new Alias(nearest.path())))))
                    .at(token.winner()));
        }
    }

    private static void corners(Worn worn, List<Finding> findings) {
        for (Role role : Contract.standard().roles().values())
            role.around().ifPresent(around -> {
                double outer = px(worn, role.path());
                double inner = px(worn, around.inner());
                double gap = px(worn, around.gap());
                double fits = Corners.around(inner, gap);
                if (inner > 0 && gap <= NEAR && Math.abs(outer - fits) > TOLERANCE)
                    findings.add(new Finding(
                            "corners",
                            Finding.Weight.NOTE,
                            role.path(),
                            said(
                                    "A corner of %s px lies %s px within one of %s px: they do not run along.",
                                    inner, gap, outer),
                            said("With %s px the gap between them is the same all along.", fits)));
            });
    }

    private static void targets(Worn worn, List<Finding> findings) {
        double inset = px(worn, "part.button.inset");
        double line = line(worn, "type.button");
        double height = line + 2 * inset;
        if (line > 0 && height < TARGET)
            findings.add(new Finding(
                    "target-size",
                    Finding.Weight.MUST,
                    "part.button.inset",
                    said("Buttons are %s px high on a phone; WCAG 2.2, 2.5.8 asks for %s px.", height, TARGET),
                    said("Leave at least %s px above and below their words.", Math.ceil((TARGET - line) / 2 * 2) / 2)));
    }

    private static void ring(Worn worn, List<Finding> findings) {
        double ring = px(worn, "shape.ring");
        if (ring >= RING) return;
        findings.add(new Finding(
                "focus-ring",
                ring == 0 ? Finding.Weight.MUST : Finding.Weight.SHOULD,
                "shape.ring",
                ring == 0
                        ? "What the keyboard is on shows no outline: failure F78 of the W3C, of WCAG 2.2, 2.4.7."
                        : said("The outline of focus is %s px thick; WCAG 2.2, 2.4.13 advises %s px.", ring, RING),
                "Make it 2 px or more."));
    }

    /**
     * What a header takes of a phone while it stays, px: its name and its menu in a line each, or the name alone where the menu is
     * folded away. How many lines a menu takes is known on pages alone; the drawing of a page tells it as the browser lays it out.
     *
     * @param chosen values of choices by their names
     */
    public static double header(Worn worn, Map<String, String> chosen) {
        double air = px(worn, "part.header.air");
        boolean shrinks = "shrinks".equals(chosen.get("header-stays"));
        double name = Math.max(LOWEST_NAME, line(worn, "type.wordmark"));
        double lines = "folded".equals(chosen.get("menu-phone"))
                ? name
                : name + line(worn, "type.menu") + px(worn, "gap.inset");
        return lines + (shrinks ? air : 2 * air);
    }

    private static void header(Worn worn, Map<String, String> chosen, List<Finding> findings) {
        double height = header(worn, chosen);
        if (height <= MOST_OF_A_PHONE * PHONE_HIGH) return;
        findings.add(new Finding(
                "tall-header",
                Finding.Weight.SHOULD,
                "part.header.air",
                said(
                        "A header that stays takes %s px of a phone that is %s px high: more than a quarter, before its menu wraps.",
                        height, PHONE_HIGH),
                "Leave less air in it, or let it leave with the page."));
    }

    /** Failure F73 of the W3C: links that are not evident without seeing color. */
    private static void links(Resolution resolution, Worn worn, List<Finding> findings) {
        for (String surface : Surfaces.names(resolution)) {
            Optional<Color> link = worn.color(Surfaces.path(surface, "link"));
            Optional<Color> text = worn.color(Surfaces.path(surface, "text"));
            if (link.isEmpty() || text.isEmpty()) continue;
            double ratio = Contrast.ratio(link.get(), text.get());
            if (ratio >= LINK) continue;
            findings.add(new Finding(
                    "links-by-color",
                    Finding.Weight.SHOULD,
                    Surfaces.path(surface, "link"),
                    said(
                                    "Links are known by their color alone, and differ from the text around them by %s to 1.",
                                    ratio)
                            + " Failure F73 of the W3C.",
                    "Underline links, or take a color that differs by 3 to 1 (technique G183)."));
        }
    }

    /** Height in px of a line of a style on a phone. */
    private static double line(Worn worn, String style) {
        TypographyValue value = (TypographyValue) worn.find(style).orElseThrow().value();
        return value.lineHeight() instanceof NumberValue times
                ? times.number() * FluidValue.pxAt(value.fontSize(), PHONE)
                : 0;
    }

    private static double px(Worn worn, String path) {
        return px(worn.find(path).orElseThrow().value());
    }

    private static double px(TokenValue length) {
        return FluidValue.pxAt(length, PHONE);
    }

    private static String said(String words, Double... numbers) {
        return String.format(
                words,
                Stream.of(numbers).map(number -> ValueText.number(number, 1)).toArray());
    }
}
