package org.umberloom.core.dress;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.umberloom.core.color.Ciede2000;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.RampShape;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/**
 * A recognised ramp handed to a recipe: a hue that grows shades at the depths of the ramp's, its curves fitted to them, and
 * the ramp's own tokens as references to those. What stood in other contexts stays.
 *
 * @param hue  path of the new hue
 * @param rows every shade as it is and as it would be
 */
public record Takeover(TokenPath hue, Color seed, RampShape shape, List<Row> rows, Edit edit) {
    private static final String SUFFIX = "-ramp";
    /** Steps of the fit, from coarse to fine: degrees of hue and shares of chroma. */
    private static final double[] HUE_STEPS = {16, 8, 4, 2};

    private static final double[] CHROMA_STEPS = {0.4, 0.2, 0.1, 0.05};
    private static final int ROUNDS = 3;

    /** @param difference CIEDE2000 between both; below 2 hardly anybody sees it */
    public record Row(TokenPath path, Color before, Color after, double difference) {}

    public Takeover {
        rows = List.copyOf(rows);
    }

    /** @throws IllegalArgumentException when no such ramp is recognised */
    public static Takeover of(ThemeDocument theme, TokenPath group, String name) {
        Resolution resolution = Resolution.of(theme, theme.defaults());
        Recognized.Ramp ramp = Recognized.ramps(resolution).stream()
                .filter(one -> one.group().equals(group) && one.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no ramp “" + name + "” in " + group + "."));
        return of(theme, resolution, ramp);
    }

    private static Takeover of(ThemeDocument theme, Resolution resolution, Recognized.Ramp ramp) {
        Recognized.Shade most = ramp.shades().stream()
                .max(Comparator.comparingDouble(
                        shade -> shade.color().to(ColorSpace.OKLCH).c2()))
                .orElseThrow();
        Color seed = most.color().toSrgb8();
        RampShape shape = fitted(seed, ramp);
        Place place = resolution.tokens().get(most.path()).winner();
        TokenPath hue = free(theme, place, ramp);
        TreeMap<Double, Recognized.Shade> stops = new TreeMap<>();
        ramp.shades().forEach(shade -> stops.put((double) Math.round(shade.depth()), shade));
        Group grown = Recipes.with(
                new Group(
                        Map.of(Recipe.HueRamp.SEED, Token.untyped(new ColorValue(seed))), Meta.typed(TokenType.COLOR)),
                new Recipe.HueRamp(List.copyOf(stops.keySet()), shape));
        List<Row> rows = new ArrayList<>();
        List<Edit> edits = new ArrayList<>(List.of(new Edit.Put(place, hue, grown, -1)));
        for (Recognized.Shade shade : ramp.shades()) {
            String stop = shade.equals(most) ? Recipe.HueRamp.SEED : nearest(grown, (double) Math.round(shade.depth()));
            Color after = ((ColorValue) ((Token) grown.children().get(stop)).value()).color();
            rows.add(new Row(shade.path(), shade.color(), after, Ciede2000.between(shade.color(), after)));
            edits.add(new Edit.SetValue(
                    resolution.tokens().get(shade.path()).winner(), shade.path(), new Alias(hue.child(stop))));
        }
        return new Takeover(hue, seed, shape, rows, new Edit.Batch("grow " + ramp.name() + " from a seed", edits));
    }

    private static String nearest(Group grown, double depth) {
        return grown.children().keySet().stream()
                .filter(name -> !name.equals(Recipe.HueRamp.SEED))
                .min(Comparator.comparingDouble(name -> Math.abs(Double.parseDouble(name) - depth)))
                .orElseThrow();
    }

    private static TokenPath free(ThemeDocument theme, Place place, Recognized.Ramp ramp) {
        TokenPath above = ramp.name().equals(ramp.group().name())
                ? ramp.group().parent().orElse(TokenPath.of("color"))
                : ramp.group();
        TokenPath path = above.child(ramp.name() + SUFFIX);
        for (int i = 2; theme.at(place).find(path).isPresent(); i++) path = above.child(ramp.name() + SUFFIX + "-" + i);
        return path;
    }

    /** The curves that come nearest to the ramp's colors: one parameter after the other, in ever finer steps. */
    private static RampShape fitted(Color seed, Recognized.Ramp ramp) {
        double[] best = {0, 0, RampShape.DEFAULT.chromaLight(), RampShape.DEFAULT.chromaDark()};
        double least = error(seed, ramp, best);
        for (int fine = 0; fine < HUE_STEPS.length; fine++)
            for (int round = 0; round < ROUNDS; round++)
                for (int at = 0; at < best.length; at++)
                    for (double by : new double[] {-1, 1}) {
                        Patience.ask();
                        double[] tried = best.clone();
                        tried[at] = at < 2
                                ? Math.max(-180, Math.min(180, tried[at] + by * HUE_STEPS[fine]))
                                : Math.max(0, Math.min(2, tried[at] + by * CHROMA_STEPS[fine]));
                        double error = error(seed, ramp, tried);
                        if (error >= least) continue;
                        least = error;
                        best = tried;
                    }
        return shape(best);
    }

    private static RampShape shape(double[] p) {
        return new RampShape(p[0], p[1], p[2], p[3]);
    }

    private static double error(Color seed, Recognized.Ramp ramp, double[] p) {
        List<Double> stops = ramp.shades().stream()
                .map(shade -> (double) Math.round(shade.depth()))
                .toList();
        var grown = org.umberloom.core.color.Ramp.grow(seed, stops, shape(p));
        double sum = 0;
        for (int i = 0; i < stops.size(); i++)
            sum += Ciede2000.between(ramp.shades().get(i).color(), grown.get(i).color());
        return sum;
    }
}
