package org.umberloom.core.dress;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.Depth;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenPath;

/** Runs of tokens that belong together, told from their values: colors as ramps, lengths as scales. */
public final class Recognized {
    /** Colors and lengths that make a run. */
    private static final int FEWEST_SHADES = 4;

    private static final int FEWEST_STEPS = 3;
    /** Chroma below which a color has no hue to speak of, and how far hues of one ramp lie apart, in degrees of OKLCH. */
    private static final double GRAY = 0.035;

    private static final double HUE_SPREAD = 50;
    private static final double LEAST_SPAN = 25;
    private static final Pattern NUMBERED =
            Pattern.compile("^(.*?)[-_ ]?(\\d+(?:\\.\\d+)?|[2-9]?x+[sl]|[sml]|sm|md|lg|base|small|medium|large)$");

    /** A shade with its depth, 0 to 120. */
    public record Shade(TokenPath path, Color color, double depth) {}

    /** Colors with rising depth and steady hue; the name is that of their group, or what their names begin with. */
    public record Ramp(String name, TokenPath group, List<Shade> shades) {
        public Ramp {
            shades = List.copyOf(shades);
        }
    }

    /** How the steps of a scale grow. */
    public enum Growth {
        LINEAR,
        GEOMETRIC,
        BY_HAND
    }

    /** A step in px, at the wide end where it is fluid. */
    public record Step(TokenPath path, double px) {}

    /**
     * Lengths that rise.
     *
     * @param by       px from step to step of a linear scale, ratio of a geometric one; 0 for one by hand
     * @param residual how far a step lies from what that growth gives, as a share of the step, at most
     */
    public record Scale(String name, TokenPath group, List<Step> steps, Growth growth, double by, double residual) {
        public Scale {
            steps = List.copyOf(steps);
        }
    }

    private record Stem(TokenPath group, String stem) {}

    private Recognized() {}

    /** In document order. */
    public static List<Ramp> ramps(Resolution resolution) {
        Map<Stem, List<Shade>> runs = new LinkedHashMap<>();
        for (Resolved token : resolution.tokens().values()) {
            if (!(token.value() instanceof ColorValue value)
                    || value.color().alpha() < 1
                    || token.path().parent().isEmpty() && stem(token.path()).isEmpty()
                    || token.path().isBelow(TokenPath.of(Surfaces.GROUP))) continue;
            runs.computeIfAbsent(key(token.path()), key -> new ArrayList<>())
                    .add(new Shade(
                            token.path(), value.color(), Depth.of(value.color()).value()));
        }
        List<Ramp> ramps = new ArrayList<>();
        runs.forEach((key, shades) -> {
            shades.sort(Comparator.comparingDouble(Shade::depth));
            if (isRamp(shades)) ramps.add(new Ramp(name(key), key.group, shades));
        });
        return ramps;
    }

    private static boolean isRamp(List<Shade> shades) {
        if (shades.size() < FEWEST_SHADES || shades.get(shades.size() - 1).depth - shades.get(0).depth < LEAST_SPAN)
            return false;
        double x = 0;
        double y = 0;
        int colored = 0;
        for (Shade shade : shades) {
            Color color = shade.color.to(ColorSpace.OKLCH);
            if (color.c2() < GRAY) continue;
            x += Math.cos(Math.toRadians(color.c3()));
            y += Math.sin(Math.toRadians(color.c3()));
            colored++;
        }
        if (colored == 0) return true;
        double mean = Math.toDegrees(Math.atan2(y, x));
        return shades.stream()
                .map(shade -> shade.color.to(ColorSpace.OKLCH))
                .filter(color -> color.c2() >= GRAY)
                .allMatch(color -> Math.abs(Math.IEEEremainder(color.c3() - mean, 360)) <= HUE_SPREAD);
    }

    /** In document order; a length that stands in two of them stands in the one of its own group. */
    public static List<Scale> scales(Resolution resolution) {
        Map<Stem, List<Step>> runs = new LinkedHashMap<>();
        for (Resolved token : resolution.tokens().values()) {
            double px = FluidValue.wide(token.value());
            if (px > 0)
                runs.computeIfAbsent(key(token.path()), key -> new ArrayList<>())
                        .add(new Step(token.path(), px));
        }
        List<Scale> scales = new ArrayList<>();
        runs.forEach((key, steps) -> {
            steps.sort(Comparator.comparingDouble(Step::px));
            List<Step> rising = new ArrayList<>();
            for (Step step : steps)
                if (rising.isEmpty() || step.px > rising.get(rising.size() - 1).px) rising.add(step);
            if (rising.size() >= FEWEST_STEPS) scales.add(scale(name(key), key.group, rising));
        });
        return scales;
    }

    private static Scale scale(String name, TokenPath group, List<Step> steps) {
        int last = steps.size() - 1;
        double by = (steps.get(last).px - steps.get(0).px) / last;
        double ratio = Math.pow(steps.get(last).px / steps.get(0).px, 1.0 / last);
        double linear = 0;
        double geometric = 0;
        for (int i = 0; i <= last; i++) {
            linear = Math.max(linear, Math.abs(steps.get(0).px + i * by - steps.get(i).px) / steps.get(i).px);
            geometric = Math.max(
                    geometric, Math.abs(steps.get(0).px * Math.pow(ratio, i) - steps.get(i).px) / steps.get(i).px);
        }
        double fits = 0.08;
        if (Math.min(linear, geometric) > fits)
            return new Scale(name, group, steps, Growth.BY_HAND, 0, Math.min(linear, geometric));
        return linear <= geometric
                ? new Scale(name, group, steps, Growth.LINEAR, by, linear)
                : new Scale(name, group, steps, Growth.GEOMETRIC, ratio, geometric);
    }

    /** Whether a scale's names say that it holds sizes of type. */
    public static boolean isOfType(Scale scale) {
        TokenPath path = scale.steps().get(0).path();
        return Words.of("size").score(path) >= Words.of("gap").score(path)
                && Words.of("size").score(path) >= 2;
    }

    /** Tokens belong together that stand in one group and whose names begin alike, save for a number or a size at the end. */
    private static Stem key(TokenPath path) {
        return new Stem(path.parent().orElse(path), stem(path));
    }

    private static String stem(TokenPath path) {
        Matcher numbered = NUMBERED.matcher(path.name().toLowerCase(java.util.Locale.ROOT));
        return numbered.matches() ? numbered.group(1) : "";
    }

    private static String name(Stem key) {
        return key.stem.isEmpty() ? key.group.name() : key.stem;
    }
}
