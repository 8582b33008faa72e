package org.umberloom.app.color;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.app.looking.Combos;
import org.umberloom.core.check.Pair;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.Depth;
import org.umberloom.core.color.Ramp;
import org.umberloom.core.color.RampShape;
import org.umberloom.core.css.GroundProperties;
import org.umberloom.core.dress.Recognized;
import org.umberloom.core.ground.Ground;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.ValueText;

/** The Color instrument: hues with their ramps, and every surface role in every scheme. */
public record ColorView(List<HueView> hues, List<FoundRampView> found, List<SurfaceView> surfaces) {
    /** A shade on the ramp; depth 0 to 120 as measured, and its place in OKLCH. */
    public record ShadeView(
            String path,
            String name,
            double depth,
            String hex,
            boolean detached,
            double lightness,
            double chroma,
            double hue) {}

    /** The seed's place in OKLCH: lightness 0 to 1, chroma from 0, hue 0 to 360. */
    public record SeedView(
            String path,
            String written,
            String hex,
            double depth,
            double lightness,
            double chroma,
            double hue,
            boolean inSrgb) {}

    /**
     * @param tintFrom   group of the hue that the shades lean toward; empty for none
     * @param tintChroma OKLCH chroma of that tint
     * @param curves     what the ramp asks for and what sRGB holds, from depth 0 to 120
     */
    public record HueView(
            String name,
            String path,
            String place,
            SeedView seed,
            List<Double> stops,
            double hueLight,
            double hueDark,
            double chromaLight,
            double chromaDark,
            String tintFrom,
            double tintChroma,
            List<Ramp.Point> curves,
            List<ShadeView> shades) {
        public String seedHex() {
            return seed.hex;
        }
    }

    /** Colors with rising depth and steady hue that no recipe grows; {@code group} and {@code name} say which. */
    public record FoundRampView(String name, String group, List<ShadeView> shades) {}

    /**
     * A role in one scheme.
     *
     * @param place   where a change made here is written
     * @param own     whether this scheme sets the role itself
     * @param ratio   of its weakest pair, 0 when it is in none
     * @param needed  by that pair
     * @param against the other role of that pair
     */
    public record CellView(
            String scheme,
            String place,
            boolean own,
            String written,
            String hex,
            double depth,
            double ratio,
            double needed,
            boolean passes,
            String against,
            String remedy) {}

    public record RoleView(String role, String path, List<CellView> cells) {}

    /**
     * The veil over a ground in one scheme.
     *
     * @param alpha    that text needs, 0 to 1
     * @param readable share of the ground on which all text is readable without it
     * @param css      declarations that show the ground as it lies; pictures by their address in a style sheet
     * @param texts    what stands on it: each role of running text with its color
     */
    public record VeilView(
            String scheme, double alpha, double readable, String hex, String css, List<TextView> texts) {}

    public record TextView(String role, String hex) {}

    /** What lies on a surface's color; see {@link org.umberloom.core.ground.Ground}. */
    public record GroundView(
            String place,
            String kind,
            String source,
            String position,
            String repeat,
            String size,
            String blend,
            double angle,
            String role,
            boolean scrim,
            boolean missing,
            List<VeilView> veils) {}

    /**
     * @param grounds empty for a surface of plain color, else its ground
     * @param place   where a ground is written
     */
    public record SurfaceView(String name, String place, List<RoleView> roles, List<GroundView> grounds) {}

    public static ColorView of(Combos combos) {
        return new ColorView(hues(combos.theme(), combos.applying(), Map.of()), found(combos), surfaces(combos));
    }

    /** The same for a theme that was edited; hues whose group is still the same are taken over as they are. */
    public static ColorView of(Combos combos, ThemeDocument before, ColorView known) {
        return new ColorView(hues(combos, before, known), found(combos), surfaces(combos));
    }

    /** The same with the surfaces as they were known. */
    public static ColorView lean(Combos combos, ThemeDocument before, ColorView known) {
        return new ColorView(hues(combos, before, known), known.found, known.surfaces);
    }

    private static List<FoundRampView> found(Combos combos) {
        Set<TokenPath> grown = new HashSet<>();
        for (Place place : combos.applying())
            combos.theme().at(place).forEachGroup((path, group) -> {
                if (Recipes.of(group).orElse(null) instanceof Recipe.HueRamp) grown.add(path);
            });
        return Recognized.ramps(combos.standard()).stream()
                .filter(ramp -> !grown.contains(ramp.group()))
                .map(ramp -> new FoundRampView(
                        ramp.name(),
                        ramp.group().dotted(),
                        ramp.shades().stream()
                                .map(shade -> shade(
                                        shade.path().dotted(), shade.path().name(), shade.color(), false))
                                .toList()))
                .toList();
    }

    private static List<HueView> hues(Combos combos, ThemeDocument before, ColorView known) {
        Map<Group, HueView> unchanged = new IdentityHashMap<>();
        Map<String, HueView> byPlace = new LinkedHashMap<>();
        known.hues.forEach(hue -> byPlace.put(hue.place + " " + hue.path, hue));
        for (Place place : before.places())
            before.at(place).forEachGroup((path, group) -> {
                HueView hue = byPlace.get(place + " " + path);
                if (hue != null) unchanged.put(group, hue);
            });
        return hues(combos.theme(), combos.applying(), unchanged);
    }

    /** A context of the working combination that grows a hue itself shows in place of the set's. */
    private static List<HueView> hues(ThemeDocument theme, List<Place> applying, Map<Group, HueView> unchanged) {
        Map<TokenPath, HueView> hues = new LinkedHashMap<>();
        for (Place place : applying)
            theme.at(place).forEachGroup((path, group) -> {
                HueView known = unchanged.get(group);
                if (known != null) hues.put(path, known);
                else if (Recipes.of(group).orElse(null) instanceof Recipe.HueRamp ramp)
                    Recipes.seedOf(group).ifPresent(seed -> hues.put(path, hue(place, path, group, seed, ramp)));
            });
        return List.copyOf(hues.values());
    }

    private static HueView hue(Place place, TokenPath path, Group group, Color seed, Recipe.HueRamp ramp) {
        Color oklch = seed.to(ColorSpace.OKLCH);
        List<ShadeView> shades = new ArrayList<>();
        group.children().forEach((name, node) -> {
            if (!name.equals(Recipe.HueRamp.SEED)
                    && node instanceof Token shade
                    && shade.value() instanceof ColorValue value)
                shades.add(shade(path.child(name).dotted(), name, value.color(), shade.detached()));
        });
        return new HueView(
                path.name(),
                path.dotted(),
                place.toString(),
                new SeedView(
                        path.child(Recipe.HueRamp.SEED).dotted(),
                        ValueText.write(new ColorValue(seed)),
                        seed.hex(),
                        rounded(Depth.of(seed).value(), 10),
                        rounded(oklch.c1(), 10_000),
                        rounded(oklch.c2(), 10_000),
                        Double.isNaN(oklch.c3()) ? 0 : rounded(oklch.c3(), 100),
                        seed.inSrgbGamut()),
                ramp.stops(),
                ramp.shape().hueLight(),
                ramp.shape().hueDark(),
                ramp.shape().chromaLight(),
                ramp.shape().chromaDark(),
                ramp.tint().map(tint -> tint.from().dotted()).orElse(""),
                ramp.tint().map(Recipe.Tint::chroma).orElse(0.0),
                curves(ramp.start(seed), ramp.shape()),
                shades);
    }

    private static ShadeView shade(String path, String name, Color color, boolean detached) {
        Color oklch = color.to(ColorSpace.OKLCH);
        return new ShadeView(
                path,
                name,
                rounded(Depth.of(color).value(), 10),
                color.hex(),
                detached,
                rounded(oklch.c1(), 10_000),
                rounded(oklch.c2(), 10_000),
                Double.isNaN(oklch.c3()) ? 0 : rounded(oklch.c3(), 10));
    }

    private static List<Ramp.Point> curves(Color start, RampShape shape) {
        return Ramp.curves(start, shape).stream()
                .map(point -> new Ramp.Point(
                        point.depth(),
                        rounded(point.chroma(), 10_000),
                        rounded(point.hue(), 10),
                        rounded(point.edge(), 10_000)))
                .toList();
    }

    private static List<SurfaceView> surfaces(Combos combos) {
        Map<String, Map<String, List<CellView>>> cells = new LinkedHashMap<>();
        combos.byScheme().forEach((scheme, resolution) -> {
            Map<String, Pair.Measured> weakest = weakestPairs(combos.pairs(resolution));
            for (Resolved token : resolution.tokens().values()) {
                if (!(token.value() instanceof ColorValue value)
                        || !token.path().dotted().startsWith(Surfaces.GROUP + ".")) continue;
                List<String> segments = token.path().segments();
                if (segments.size() != 3) continue;
                cells.computeIfAbsent(segments.get(1), key -> new LinkedHashMap<>())
                        .computeIfAbsent(segments.get(2), key -> new ArrayList<>())
                        .add(cell(
                                combos,
                                scheme,
                                token,
                                value.color(),
                                weakest.get(token.path().dotted())));
            }
        });
        List<SurfaceView> surfaces = new ArrayList<>();
        cells.forEach((surface, roles) -> {
            List<RoleView> views = new ArrayList<>();
            roles.forEach((role, list) -> views.add(new RoleView(role, Surfaces.path(surface, role), list)));
            surfaces.add(new SurfaceView(surface, groundPlace(combos, surface), views, grounds(combos, surface)));
        });
        return surfaces;
    }

    /** Where the surface's ground is written, or would be: where its group first stands. */
    private static String groundPlace(Combos combos, String surface) {
        TokenPath path = TokenPath.of(Surfaces.GROUP).child(surface);
        Optional<Grounds.Placed> placed =
                Optional.ofNullable(combos.grounds(combos.standard()).get(surface));
        return placed.map(Grounds.Placed::place)
                .or(() -> combos.applying().stream()
                        .filter(place -> combos.theme().at(place).group(path).isPresent())
                        .findFirst())
                .map(Place::toString)
                .orElse("");
    }

    private static List<GroundView> grounds(Combos combos, String surface) {
        Grounds.Placed placed = combos.grounds(combos.standard()).get(surface);
        if (placed == null) return List.of();
        List<VeilView> veils = new ArrayList<>();
        combos.byScheme().forEach((scheme, resolution) -> {
            Grounds.Placed here = combos.grounds(resolution).get(surface);
            if (here != null)
                veils.add(new VeilView(
                        scheme,
                        here.alpha(),
                        here.readable(),
                        here.color().hex(),
                        GroundProperties.declarations(here, resolution),
                        texts(surface, resolution)));
        });
        Ground ground = placed.ground();
        return List.of(new GroundView(
                placed.place().toString(),
                ground.kind().id(),
                ground.source(),
                ground.position(),
                ground.repeat(),
                ground.size(),
                ground.blend().css(),
                ground.angle(),
                ground.role(),
                ground.scrim(),
                placed.missing(),
                veils));
    }

    private static List<TextView> texts(String surface, Resolution resolution) {
        List<TextView> texts = new ArrayList<>();
        for (String role : Grounds.TEXTS)
            resolution
                    .value(Surfaces.path(surface, role), ColorValue.class)
                    .ifPresent(
                            value -> texts.add(new TextView(role, value.color().hex())));
        return texts;
    }

    private static Map<String, Pair.Measured> weakestPairs(List<Pair.Measured> pairs) {
        Map<String, Pair.Measured> weakest = new LinkedHashMap<>();
        for (Pair.Measured pair : pairs)
            weakest.merge(
                    Surfaces.path(pair.pair().surface(), pair.pair().role()),
                    pair,
                    (one, other) -> one.ratio() / one.pair().needed()
                                    <= other.ratio() / other.pair().needed()
                            ? one
                            : other);
        return weakest;
    }

    private static CellView cell(Combos combos, String scheme, Resolved token, Color color, Pair.Measured pair) {
        Place place = combos.editPlace(scheme, token.path().dotted());
        boolean measured = pair != null;
        return new CellView(
                scheme,
                place.toString(),
                token.winner().equals(place),
                ValueText.write(token.written().value()),
                color.hex(),
                rounded(Depth.of(color).value(), 10),
                measured ? Math.floor(pair.ratio() * 100) / 100 : 0,
                measured ? pair.pair().needed() : 0,
                !measured || pair.passes(),
                measured ? pair.pair().ground() : "",
                measured && !pair.passes() ? pair.remedy() : "");
    }

    private static double rounded(double value, double per) {
        return Math.rint(value * per) / per;
    }
}
