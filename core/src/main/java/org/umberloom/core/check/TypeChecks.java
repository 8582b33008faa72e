package org.umberloom.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.font.Cut;
import org.umberloom.core.font.Families;
import org.umberloom.core.font.Measure;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.Manner;
import org.umberloom.core.token.MannerValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.Reference;
import org.umberloom.core.token.References;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;

/** What makes text hard to read, or a set of text styles hard to tell apart. */
public final class TypeChecks {
    /** Of those, the ones that fill a column: small print is mostly one line. */
    private static final Set<String> FILLING = Set.of("body", "lead", "quote");
    /** Styles of text that runs over several lines. */
    public static final Set<String> RUNNING = Set.of("body", "lead", "small", "quote");

    /** Smaller text is hard to read on a phone; common practice. */
    private static final double LEAST_PX = 12;
    /** Lines of text up to that size want room between them; common practice. */
    private static final double SMALL_TEXT_PX = 20;

    private static final double LEAST_LINE = 1.4;
    /** Zooming by that much has to make text at least twice as large. Source: WCAG 2.2, success criterion 1.4.4. */
    private static final int MOST_ZOOM = 5;

    private static final double ALIKE = 1.04;
    private static final int FEWEST_STEPS = 3;
    private static final double LEAST_HEAVIER = 75;
    /** Thin strokes of smaller text get lost; common practice. */
    private static final double LEAST_SERIF_PX = 13;
    /** Capitals up to that size want room between them, as shares of their size; common practice. */
    private static final double LARGE_CAPITALS_PX = 24;

    private static final double LEAST_OPENING = 0.03;
    private static final double OPENING = 0.05;
    private static final int MOST_FAMILIES = 3;
    private static final double WIDEST_VIEWPORT = 4_000;
    private static final double STEP = 10;

    /** Desks on which pages are commonly seen, px. */
    private static final List<Integer> DESKS = List.of(1280, 1440);

    private TypeChecks() {}

    public static List<Finding> findings(ThemeDocument theme, Resolution resolution, Families known) {
        List<Finding> findings = new ArrayList<>();
        Set<String> families = new LinkedHashSet<>();
        LineLength column = LineLength.of(Worn.of(resolution));
        List<Resolved> steps = steps(resolution);
        for (Resolved token : resolution.tokens().values()) {
            if (!(token.value() instanceof TypographyValue style)) continue;
            if (style.fontFamily() instanceof FontFamilyValue stack) {
                families.add(stack.families().get(0));
                weight(token, style, stack, known).ifPresent(findings::add);
                measure(token, style, known, column).ifPresent(findings::add);
            }
            size(token, style).ifPresent(findings::add);
            zoom(token, style).ifPresent(findings::add);
            line(theme, resolution, token, style).ifPresent(findings::add);
            capitals(theme, resolution, token, style).ifPresent(findings::add);
            serif(token, style).ifPresent(findings::add);
            step(token, style, steps).ifPresent(findings::add);
        }
        findings.addAll(alike(resolution));
        findings.addAll(alikeWeights(resolution));
        if (families.size() > MOST_FAMILIES)
            findings.add(new Finding(
                    "families",
                    Finding.Weight.NOTE,
                    "type",
                    "Text is set in " + families.size() + " families: " + String.join(", ", families) + ".",
                    "Each is loaded by every page that shows it; two or three are enough to tell things apart."));
        return findings;
    }

    /** Sizes that nobody tells apart: each next to the one below it. */
    private static List<Finding> alike(Resolution resolution) {
        TreeMap<Double, Resolved> bySize = new TreeMap<>();
        for (Resolved token : resolution.tokens().values())
            if (token.value() instanceof TypographyValue style && FluidValue.wide(style.fontSize()) > 0)
                bySize.putIfAbsent(FluidValue.wide(style.fontSize()), token);
        List<Finding> findings = new ArrayList<>();
        Map.Entry<Double, Resolved> below = null;
        for (Map.Entry<Double, Resolved> one : bySize.entrySet()) {
            if (below != null && one.getKey() < below.getKey() * ALIKE)
                findings.add(new Finding(
                        "alike-sizes",
                        Finding.Weight.NOTE,
                        one.getValue().path().dotted(),
                        one.getValue().path().name() + " is " + number(one.getKey()) + " px, "
                                + below.getValue().path().name() + " " + number(below.getKey()) + " px.",
                        "Sizes less than 4 % apart look like a mistake: give both the same step (common practice)."));
            below = one;
        }
        return findings;
    }

    /** The sizes that text styles refer to, where they are enough to be a scale. */
    private static List<Resolved> steps(Resolution resolution) {
        Set<Resolved> steps = new LinkedHashSet<>();
        for (Resolved token : resolution.tokens().values())
            if (token.written().value() instanceof TypographyValue style && style.fontSize() instanceof Alias alias)
                resolution.find(alias.target().dotted()).ifPresent(steps::add);
        return steps.size() < FEWEST_STEPS ? List.of() : List.copyOf(steps);
    }

    /** A size of its own beside a scale. */
    private static Optional<Finding> step(Resolved token, TypographyValue style, List<Resolved> steps) {
        if (!(token.written().value() instanceof TypographyValue written)
                || written.fontSize() instanceof Reference
                || FluidValue.wide(style.fontSize()) <= 0
                || steps.isEmpty()) return Optional.empty();
        double px = FluidValue.wide(style.fontSize());
        Resolved nearest = steps.stream()
                .min(Comparator.comparingDouble(step -> Math.abs(Math.log(FluidValue.wide(step.value()) / px))))
                .orElseThrow();
        Finding finding = new Finding(
                "off-scale",
                Finding.Weight.NOTE,
                token.path().dotted(),
                token.path().name() + " is " + number(px) + " px, which is no step of the scale.",
                "The nearest step, " + nearest.path().name() + ", is " + number(FluidValue.wide(nearest.value()))
                        + " px.",
                List.of(new Finding.Fix(
                        "Take step " + nearest.path().name(),
                        new Edit.SetValue(
                                token.winner(),
                                token.path(),
                                written.withPart("fontSize", new Alias(nearest.path()))))));
        return Optional.of(finding.at(token.winner()));
    }

    private static Optional<Finding> capitals(
            ThemeDocument theme, Resolution resolution, Resolved token, TypographyValue style) {
        MannerValue said = style.manner().get(Manner.CASE);
        double size = FluidValue.wide(style.fontSize());
        if (said == null
                || !said.text().equals("uppercase")
                || size <= 0
                || size > LARGE_CAPITALS_PX
                || !(style.letterSpacing() instanceof DimensionValue spacing)
                || spacing.toPx() >= LEAST_OPENING * size) return Optional.empty();
        double open = Math.round(OPENING * size * 10) / 10.0;
        Finding finding = new Finding(
                "tight-capitals",
                Finding.Weight.NOTE,
                token.path().dotted(),
                token.path().name() + " is set in capitals without room between them.",
                "Capitals of that size are easier to read with about 5 % of their size between them (common practice).",
                token.written().value() instanceof TypographyValue written
                        ? List.of(fix(
                                theme,
                                resolution,
                                token,
                                written,
                                "letterSpacing",
                                DimensionValue.px(open),
                                "Set " + number(open) + " px"))
                        : List.of());
        return Optional.of(finding.at(token.winner()));
    }

    private static Optional<Finding> serif(Resolved token, TypographyValue style) {
        double px = FluidValue.narrow(style.fontSize());
        if (!RUNNING.contains(token.path().name())
                || px <= 0
                || px >= LEAST_SERIF_PX
                || !(style.fontFamily() instanceof FontFamilyValue stack)
                || !stack.families().contains("serif")) return Optional.empty();
        return Optional.of(
                new Finding(
                        "small-serif",
                        Finding.Weight.NOTE,
                        token.path().dotted(),
                        token.path().name() + " has serifs at " + number(px) + " px on a phone.",
                        "Thin strokes get lost at that size; a larger step or a sans keeps it easy to read (common practice)."));
    }

    /** Weights of one family that look the same beside each other. */
    private static List<Finding> alikeWeights(Resolution resolution) {
        Map<String, TreeMap<Double, Resolved>> byFamily = new LinkedHashMap<>();
        for (Resolved token : resolution.tokens().values())
            if (token.value() instanceof TypographyValue style
                    && style.fontWeight() instanceof FontWeightValue weight
                    && style.fontFamily() instanceof FontFamilyValue stack)
                byFamily.computeIfAbsent(stack.families().get(0), key -> new TreeMap<>())
                        .putIfAbsent(weight.weight(), token);
        List<Finding> findings = new ArrayList<>();
        byFamily.forEach((family, byWeight) -> {
            Map.Entry<Double, Resolved> below = null;
            for (Map.Entry<Double, Resolved> one : byWeight.entrySet()) {
                if (below != null && one.getKey() - below.getKey() < LEAST_HEAVIER)
                    findings.add(new Finding(
                            "alike-weights",
                            Finding.Weight.NOTE,
                            one.getValue().path().dotted(),
                            one.getValue().path().name() + " is " + number(one.getKey()) + ", "
                                    + below.getValue().path().name() + " " + number(below.getKey()) + ", both in "
                                    + family + ".",
                            "Weights less than 75 apart can hardly be told apart: give both the same, or set one further off"
                                    + " (common practice)."));
                below = one;
            }
        });
        return findings;
    }

    private static Optional<Finding> size(Resolved token, TypographyValue style) {
        double px = FluidValue.narrow(style.fontSize());
        if (px <= 0 || px >= LEAST_PX) return Optional.empty();
        return Optional.of(new Finding(
                "small-text",
                Finding.Weight.SHOULD,
                token.path().dotted(),
                token.path().name() + " is " + number(px) + " px on a phone.",
                "Give it a larger step; under " + number(LEAST_PX) + " px text is hard to read there."));
    }

    private static Optional<Finding> zoom(Resolved token, TypographyValue style) {
        if (!(style.fontSize() instanceof FluidValue size) || enlarges(size)) return Optional.empty();
        double least = size.wide().toPx() / (MOST_ZOOM / 2.0);
        return Optional.of(new Finding(
                "zoom",
                Finding.Weight.MUST,
                token.path().dotted(),
                token.path().name() + " grows from " + number(size.narrow().toPx()) + " to "
                        + number(size.wide().toPx()) + " px: zooming cannot make it twice as large for everybody.",
                "With at least " + number(Math.ceil(least * 10) / 10)
                        + " px at the narrow end it can (WCAG 2.2, 1.4.4)."));
    }

    /**
     * Whether zooming up to 500 % makes text twice as large at every width of the window. Source: WCAG 2.2, 1.4.4; failure F94 of
     * the W3C, text in units of the window that zooming does not enlarge.
     */
    public static boolean enlarges(FluidValue size) {
        for (double width = size.narrowViewport(); width <= WIDEST_VIEWPORT; width += STEP) {
            boolean twice = false;
            for (double zoom = 1; zoom <= MOST_ZOOM && !twice; zoom += 0.25)
                twice = zoom * size.pxAt(width / zoom) >= 2 * size.pxAt(width) - 1e-9;
            if (!twice) return false;
        }
        return true;
    }

    private static Optional<Finding> line(
            ThemeDocument theme, Resolution resolution, Resolved token, TypographyValue style) {
        if (!RUNNING.contains(token.path().name())
                || !(style.lineHeight() instanceof NumberValue line)
                || line.number() >= LEAST_LINE
                || FluidValue.wide(style.fontSize()) > SMALL_TEXT_PX) return Optional.empty();
        Finding finding = new Finding(
                "tight-lines",
                Finding.Weight.SHOULD,
                token.path().dotted(),
                token.path().name() + " has lines " + number(line.number()) + " times its size apart.",
                "Text of that size is easier to follow with " + number(LEAST_LINE) + " or more (common practice).",
                token.written().value() instanceof TypographyValue written
                        ? List.of(fix(
                                theme,
                                resolution,
                                token,
                                written,
                                "lineHeight",
                                new NumberValue(LEAST_LINE),
                                "Set " + number(LEAST_LINE)))
                        : List.of());
        return Optional.of(finding.at(token.winner()));
    }

    /** One part of a style set anew, where that part and the size that it is judged by take their values. */
    private static Finding.Fix fix(
            ThemeDocument theme,
            Resolution resolution,
            Resolved token,
            TypographyValue written,
            String part,
            TokenValue value,
            String label) {
        Set<TokenPath> involved = new LinkedHashSet<>(References.of(written.fontSize()));
        Optional.ofNullable(written.parts().get(part)).ifPresent(old -> involved.addAll(References.of(old)));
        Place place = FixPlace.of(theme, resolution, token, involved);
        return new Finding.Fix(
                label + place.words("on"), new Edit.SetValue(place, token.path(), written.withPart(part, value)));
    }

    private static Optional<Finding> weight(
            Resolved token, TypographyValue style, FontFamilyValue stack, Families known) {
        String family = stack.families().get(0);
        Optional<Families.Weights> has = known.weights(family);
        if (has.isEmpty() || !(style.fontWeight() instanceof FontWeightValue weight)) return Optional.empty();
        double wanted = weight.weight();
        if (has.get().has(wanted)) return Optional.empty();
        return Optional.of(new Finding(
                "missing-weight",
                Finding.Weight.SHOULD,
                token.path().dotted(),
                number(wanted) + " is not in " + family + ", which "
                        + token.path().name() + " is set in"
                        + (wanted > has.get().heaviest()
                                ? "; the browser would fake it."
                                : "; the browser shows another that it has."),
                "It has " + has.get().words() + "."));
    }

    private static Optional<Finding> measure(Resolved token, TypographyValue style, Families known, LineLength column) {
        if (!FILLING.contains(token.path().name())) return Optional.empty();
        OptionalDouble mean = Cut.of(style).map(known::mean).orElse(OptionalDouble.empty());
        if (mean.isEmpty()) return Optional.empty();
        for (int desk : DESKS) {
            double characters = column.characters(desk, mean.getAsDouble(), style.fontSize(), style.letterSpacing());
            if (characters > Measure.MOST)
                return Optional.of(new Finding(
                        "long-lines",
                        Finding.Weight.SHOULD,
                        token.path().dotted(),
                        "A line of " + token.path().name() + " holds " + Math.round(characters) + " characters at "
                                + desk + " px.",
                        "Lines of more than " + Measure.MOST + " are hard to follow (WCAG 2.2, 1.4.8): narrow the text"
                                + " column, or set it larger."));
        }
        return Optional.empty();
    }

    private static String number(double number) {
        return ValueText.number(number, 2);
    }
}
