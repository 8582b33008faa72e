package org.umberloom.core.ground;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.check.Pair;
import org.umberloom.core.color.Adjust;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.color.Scrim;
import org.umberloom.core.color.Tones;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.GradientValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.TokenPath;

/** The grounds of a theme's surfaces in one combination, each with the veil that the text on it needs. */
public final class Grounds {
    private static final String GROUND = "ground";
    /** The roles of running text that a ground has to leave readable. */
    public static final List<String> TEXTS = List.of("heading", "text", "muted", "link", "link-hover", "link-visited");

    private static final int GRADIENT_SAMPLES = 256;

    /**
     * A surface's ground.
     *
     * @param place    where it is written
     * @param alpha    the veil that text needs, 0 to 1; 1 when the picture is missing, so that nothing unreadable is shown
     * @param readable share of the area on which all text is readable without a veil
     */
    public record Placed(
            String surface, Place place, Ground ground, Color color, double alpha, double readable, boolean missing) {
        /** The veil that is laid. */
        public double laid() {
            return ground.scrim() && !missing ? alpha : 0;
        }
    }

    private Grounds() {}

    /** Whether any set or context gives a surface a ground. */
    public static boolean any(ThemeDocument theme) {
        for (Place place : theme.places())
            if (theme.at(place)
                    .group(TokenPath.of(Surfaces.GROUP))
                    .filter(Grounds::anyIn)
                    .isPresent()) return true;
        return false;
    }

    /** File names of all pictures that some combination shows, in document order. */
    public static Set<String> pictures(ThemeDocument theme) {
        return standing(theme).keySet();
    }

    /** The surfaces that stand on each picture, in document order. */
    public static Map<String, Set<String>> standing(ThemeDocument theme) {
        return standing(theme.places().stream().map(theme::at).toList());
    }

    /** The same of what is written at some places. */
    public static Map<String, Set<String>> standing(Collection<Group> written) {
        Map<String, Set<String>> standing = new LinkedHashMap<>();
        for (Group tokens : written)
            tokens.group(TokenPath.of(Surfaces.GROUP))
                    .ifPresent(surfaces -> surfaces.children().forEach((name, node) -> {
                        if (node instanceof Group surface)
                            Ground.readable(surface)
                                    .filter(ground -> ground.kind() == Ground.Kind.PICTURE)
                                    .ifPresent(ground -> standing.computeIfAbsent(
                                                    ground.source(), key -> new LinkedHashSet<>())
                                            .add(name));
                    }));
        return standing;
    }

    private static boolean anyIn(Group surfaces) {
        return surfaces.children().values().stream()
                .anyMatch(node -> node instanceof Group surface
                        && Ground.readable(surface).isPresent());
    }

    /** By surface; the last set or context in the resolution order that gives a surface a ground wins. */
    public static Map<String, Placed> of(ThemeDocument theme, Resolution resolution, Pictures pictures) {
        Map<String, Placed> placed = new LinkedHashMap<>();
        Map<String, Map.Entry<Place, Ground>> written = written(theme, resolution.combination());
        if (written.isEmpty()) return placed;
        Worn worn = Worn.of(resolution);
        written.forEach((surface, entry) -> worn.color(Surfaces.path(surface, GROUND))
                .ifPresent(color -> placed.put(
                        surface, place(surface, entry.getKey(), entry.getValue(), color, resolution, worn, pictures))));
        return placed;
    }

    private static Map<String, Map.Entry<Place, Ground>> written(ThemeDocument theme, Combination combination) {
        Map<String, Map.Entry<Place, Ground>> written = new LinkedHashMap<>();
        for (Place place : theme.applying(combination)) {
            Optional<Group> surfaces = theme.at(place).group(TokenPath.of(Surfaces.GROUP));
            if (surfaces.isEmpty()) continue;
            for (Map.Entry<String, Node> child : surfaces.get().children().entrySet())
                if (child.getValue() instanceof Group surface) {
                    if (Ground.isPlain(surface)) written.remove(child.getKey());
                    Ground.readable(surface).ifPresent(ground -> written.put(child.getKey(), Map.entry(place, ground)));
                }
        }
        return written;
    }

    private static Placed place(
            String surface,
            Place place,
            Ground ground,
            Color color,
            Resolution resolution,
            Worn worn,
            Pictures pictures) {
        Optional<Tones> tones = tones(surface, ground, color, resolution, worn, pictures);
        if (tones.isEmpty()) return new Placed(surface, place, ground, color, 1, 1, true);
        Scrim scrim = new Scrim(tones.get(), ground.blend(), color, texts(surface, worn));
        return new Placed(
                surface, place, ground, color, scrim.alpha(), Math.floor(scrim.readable(0) * 1000) / 1000, false);
    }

    private static Optional<Tones> tones(
            String surface, Ground ground, Color color, Resolution resolution, Worn worn, Pictures pictures) {
        return switch (ground.kind()) {
            case PICTURE -> pictures.tones(ground.source());
            case GRADIENT ->
                resolution.value(ground.source(), GradientValue.class).map(Grounds::samples);
            case PATTERN ->
                worn.color(Surfaces.path(surface, ground.role()))
                        .map(ink -> Tones.of(color, Contrast.over(ink, color)));
        };
    }

    /** Colors along a gradient as browsers draw it: straight lines between the stops in gamma-encoded sRGB. */
    private static Tones samples(GradientValue gradient) {
        Color[] samples = new Color[GRADIENT_SAMPLES];
        for (int i = 0; i < samples.length; i++) samples[i] = at(gradient, (double) i / (samples.length - 1));
        return Tones.of(samples);
    }

    private static Color at(GradientValue gradient, double position) {
        List<GradientValue.Stop> stops = gradient.stops();
        int next = 0;
        while (next < stops.size() && position(stops.get(next)) < position) next++;
        if (next == 0) return color(stops.get(0));
        if (next == stops.size()) return color(stops.get(next - 1));
        double from = position(stops.get(next - 1));
        double span = position(stops.get(next)) - from;
        return Adjust.mixInSrgb(
                color(stops.get(next - 1)), color(stops.get(next)), span <= 0 ? 1 : (position - from) / span);
    }

    private static double position(GradientValue.Stop stop) {
        return ((NumberValue) stop.position()).number();
    }

    private static Color color(GradientValue.Stop stop) {
        return ((ColorValue) stop.color()).color();
    }

    /**
     * The roles of running text. States are left out: they are rare on pictures, and being chosen close to what a plain ground
     * allows they would leave nothing of the picture to see. What the surface has no token for is seen on it as it falls back.
     */
    private static List<Scrim.Text> texts(String surface, Worn worn) {
        List<Scrim.Text> texts = new ArrayList<>();
        for (Pair pair : Contrasts.declared())
            if (pair.ground().equals(GROUND) && TEXTS.contains(pair.role()))
                worn.color(Surfaces.path(surface, pair.role()))
                        .ifPresent(color -> texts.add(new Scrim.Text(color, pair.needed())));
        return texts;
    }

    /** What is wrong with the grounds in a combination: unreadable data, a missing picture, text without its veil. */
    public static List<Finding> findings(ThemeDocument theme, Resolution resolution, Pictures pictures) {
        return findings(theme, resolution, of(theme, resolution, pictures));
    }

    /** The same for grounds that are placed already. */
    public static List<Finding> findings(ThemeDocument theme, Resolution resolution, Map<String, Placed> grounds) {
        List<Finding> findings = new ArrayList<>();
        for (Placed placed : grounds.values()) {
            TokenPath path = TokenPath.of(Surfaces.GROUP).child(placed.surface());
            Ground ground = placed.ground();
            if (placed.missing()) {
                findings.add(new Finding(
                                "ground",
                                Finding.Weight.MUST,
                                path.dotted(),
                                "The ground of the surface " + placed.surface() + " is " + words(ground)
                                        + ", which is not there; the ground’s color is shown.",
                                "Choose another ground, or bring it back.",
                                List.of(new Finding.Fix("Use the plain color", edit(theme, placed, Optional.empty()))))
                        .at(placed.place()));
            } else if (!ground.scrim() && placed.alpha() > 0) {
                findings.add(new Finding(
                                "scrim",
                                Finding.Weight.MUST,
                                path.dotted(),
                                String.format(
                                        Locale.ROOT,
                                        "Text on %s of the surface %s (%s) is readable on only %.0f %% of it; 99 %% is needed.",
                                        words(ground),
                                        placed.surface(),
                                        String.join(
                                                ", ",
                                                resolution
                                                        .combination()
                                                        .contexts()
                                                        .values()),
                                        Math.floor(placed.readable() * 100)),
                                String.format(
                                        Locale.ROOT,
                                        "Lay the scrim: %.0f %% of the ground’s color makes it readable.",
                                        Math.ceil(placed.alpha() * 100)),
                                List.of(new Finding.Fix(
                                        "Lay the scrim", edit(theme, placed, Optional.of(ground.withScrim())))))
                        .in(resolution.combination())
                        .at(placed.place()));
            }
        }
        for (Place place : theme.places())
            theme.at(place).group(TokenPath.of(Surfaces.GROUP)).ifPresent(surfaces -> surfaces.children()
                    .forEach((name, node) -> {
                        if (!(node instanceof Group surface)) return;
                        try {
                            Ground.of(surface);
                        } catch (IllegalArgumentException unreadable) {
                            findings.add(new Finding(
                                    "ground",
                                    Finding.Weight.MUST,
                                    Surfaces.GROUP + "." + name,
                                    "The ground of the surface " + name + " cannot be read: " + unreadable.getMessage(),
                                    "Choose the ground again."));
                        }
                    }));
        return findings;
    }

    /** The edit that gives a surface's group another ground where it is written now. */
    private static Edit edit(ThemeDocument theme, Placed placed, Optional<Ground> ground) {
        TokenPath path = TokenPath.of(Surfaces.GROUP).child(placed.surface());
        Meta meta = theme.at(placed.place()).group(path).orElseThrow().meta();
        return new Edit.SetMeta(placed.place(), path, Ground.with(meta, ground));
    }

    private static String words(Ground ground) {
        return switch (ground.kind()) {
            case PICTURE -> "the picture “" + ground.source() + "”";
            case GRADIENT -> "the gradient {" + ground.source() + "}";
            case PATTERN -> "the pattern “" + ground.source() + "”";
        };
    }
}
