package org.umberloom.core.wish;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.color.RampShape;
import org.umberloom.core.dress.Takeover;
import org.umberloom.core.shape.Light;
import org.umberloom.core.space.SpaceScale;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.type.TextCurve;
import org.umberloom.core.type.TypeScale;

/** Wishes about hues and scales: what recipes grow. */
public sealed interface ScaleWish extends Wish {
    /**
     * What line height or letter spacing of all text styles come to by their sizes. A style that is not near it at first has
     * left it.
     *
     * @param part    {@code lineHeight} as a multiple of the size, or {@code letterSpacing} in em
     * @param smallPx and {@code largePx}: sizes in px
     * @param gridPx  line heights are whole multiples of it at the wide end; nothing or 0 for any height
     */
    record Curve(
            Place place,
            String part,
            double smallPx,
            double small,
            double largePx,
            double large,
            Optional<Double> gridPx)
            implements ScaleWish {
        @Override
        public Edit in(Seen seen) {
            TextCurves.Kind kind = TextCurves.Kind.ofPart(part);
            TextCurve curve = new TextCurve(smallPx, small, largePx, large, gridPx.orElse(0.0));
            Group styles = seen.theme()
                    .at(place)
                    .group(TextCurves.STYLES)
                    .orElseThrow(() -> new IllegalArgumentException("No text styles stand in " + place + "."));
            List<Edit> edits = new ArrayList<>();
            if (TextCurves.of(styles, kind).isEmpty())
                edits.addAll(TextCurves.farFrom(curve, kind, place, seen.theme()));
            edits.add(new Edit.SetMeta(
                    place, TextCurves.STYLES, TextCurves.with(styles.meta(), kind, Optional.of(curve))));
            return edits.size() == 1 ? edits.get(0) : new Edit.Batch("curve of " + words(kind), edits);
        }

        private static String words(TextCurves.Kind kind) {
            return kind == TextCurves.Kind.LINE ? "line heights" : "letter spacing";
        }
    }

    /** Takes a curve away; the styles stay as they are. */
    record NoCurve(Place place, String part) implements ScaleWish {
        @Override
        public Edit in(Seen seen) {
            Group styles = seen.theme().at(place).group(TextCurves.STYLES).orElse(Group.EMPTY);
            return new Edit.SetMeta(
                    place,
                    TextCurves.STYLES,
                    TextCurves.with(styles.meta(), TextCurves.Kind.ofPart(part), Optional.empty()));
        }
    }

    /** A style leaves a curve as it is, or comes back to it. */
    record OnCurve(Place place, TokenPath path, String part, boolean on) implements ScaleWish {
        @Override
        public Edit in(Seen seen) {
            Token style = seen.theme()
                    .at(place)
                    .token(path)
                    .orElseThrow(() -> new IllegalArgumentException("“" + path + "” is not a text style here."));
            return new Edit.SetMeta(place, path, TextCurves.leaving(style.meta(), TextCurves.Kind.ofPart(part), !on));
        }
    }

    /** A recipe has no more steps than that. */
    int MOST_STEPS = 60;

    /** A new hue with its ramp, from a color as people write it. */
    record Hue(Place place, TokenPath path, String text) implements ScaleWish {
        @Override
        public Edit in(Seen seen) {
            if (seen.theme().at(place).find(path).isPresent())
                throw new IllegalArgumentException(
                        "There already is a hue “" + path.name() + "”. Choose another name.");
            return new Edit.Put(place, path, Starter.hue(CssColor.parse(text)), -1);
        }
    }

    /**
     * How a hue's ramp runs.
     *
     * @param tintFrom   group of the hue that the shades lean toward; empty for none
     * @param tintChroma OKLCH chroma of that tint
     */
    record Ramp(
            Place place,
            TokenPath path,
            List<Double> stops,
            double hueLight,
            double hueDark,
            double chromaLight,
            double chromaDark,
            Optional<String> tintFrom,
            Optional<Double> tintChroma)
            implements ScaleWish {
        public Ramp {
            few(stops.size());
        }

        @Override
        public Edit in(Seen seen) {
            Optional<Recipe.Tint> tint = tintFrom.filter(from -> !from.isEmpty())
                    .map(from -> new Recipe.Tint(TokenPath.of(from), 0, tintChroma.orElse(0.0)));
            RampShape shape = new RampShape(hueLight, hueDark, chromaLight, chromaDark);
            return recipe(seen, place, path, new Recipe.HueRamp(stops, shape, tint));
        }
    }

    /** The type scale, from its two ends. */
    record TypeSteps(
            Place place,
            TokenPath path,
            double narrowBase,
            double narrowRatio,
            double wideBase,
            double wideRatio,
            double narrowViewport,
            double wideViewport,
            int smallest,
            int largest)
            implements ScaleWish {
        @Override
        public Edit in(Seen seen) {
            TypeScale scale = new TypeScale(
                    new TypeScale.End(narrowBase, narrowRatio),
                    new TypeScale.End(wideBase, wideRatio),
                    narrowViewport,
                    wideViewport,
                    smallest,
                    largest);
            return recipe(seen, place, path, new Recipe.TypeSteps(scale));
        }
    }

    /**
     * One step of the type scale at a size: the whole scale runs through it, or, alone, that step leaves the scale.
     *
     * @param path of the scale’s group
     * @param step by its token’s name
     * @param end  {@code narrow} or {@code wide}
     */
    record StepTo(Place place, TokenPath path, String step, String end, double px, boolean alone) implements ScaleWish {
        @Override
        public Edit in(Seen seen) {
            TypeScale scale = seen.theme().applying(seen.resolution().combination()).stream()
                    .flatMap(one -> seen.theme().at(one).group(path).flatMap(Recipes::of).stream())
                    .flatMap(recipe ->
                            recipe instanceof Recipe.TypeSteps steps ? Stream.of(steps.scale()) : Stream.empty())
                    .reduce((wider, narrower) -> narrower)
                    .orElseThrow(() -> new IllegalArgumentException("“" + path + "” is no type scale."));
            int at = scale.step(step);
            boolean atWide = end.equals("wide");
            if (!atWide && !end.equals("narrow"))
                throw new IllegalArgumentException("A scale has a narrow and a wide end, not “" + end + "”.");
            TokenPath token = path.child(step);
            if (alone) {
                TokenValue now = seen.resolution()
                        .find(token.dotted())
                        .map(Resolved::value)
                        .orElseGet(() -> scale.steps().get(step));
                return new Edit.SetValue(
                        place,
                        token,
                        scale.between(
                                atWide ? FluidValue.pxAt(now, scale.narrowViewport()) : px,
                                atWide ? px : FluidValue.pxAt(now, scale.wideViewport())));
            }
            Edit moved = recipe(seen, place, path, new Recipe.TypeSteps(scale.through(at, atWide, px)));
            boolean left =
                    seen.theme().at(place).token(token).filter(Token::detached).isPresent();
            return left ? new Edit.Batch(moved.label(), List.of(new Edit.Attach(place, token), moved)) : moved;
        }
    }

    /**
     * The spacing scale.
     *
     * @param growth {@code linear} or {@code geometric}: the factors are computed from the first of those that are given, as many
     *               as they are; none to take them as they are
     * @param by     what is added from step to step, or the ratio
     * @param grid   px; none for any length
     * @param narrow share of a step in a narrow window; none for all of it
     */
    record SpaceSteps(
            Place place,
            TokenPath path,
            double base,
            List<Double> factors,
            Optional<String> growth,
            Optional<Double> by,
            Optional<Double> grid,
            Optional<Double> narrow)
            implements ScaleWish {
        public SpaceSteps {
            few(factors.size());
        }

        /** By hand, of any length, the same in every window. */
        public SpaceSteps(Place place, TokenPath path, double base, List<Double> factors) {
            this(place, path, base, factors, Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
        }

        @Override
        public Edit in(Seen seen) {
            List<Double> all = growth.filter(name -> !name.isEmpty())
                    .map(name -> growth(name).factors(factors.get(0), by.orElse(1.0), factors.size()))
                    .orElse(factors);
            return recipe(
                    seen,
                    place,
                    path,
                    new Recipe.SpaceSteps(new SpaceScale(base, all, grid.orElse(0.0), narrow.orElse(1.0))));
        }

        private static SpaceScale.Growth growth(String name) {
            for (SpaceScale.Growth growth : SpaceScale.Growth.values())
                if (growth.name().equalsIgnoreCase(name)) return growth;
            throw new IllegalArgumentException("Spaces grow linear or geometric, not “" + name + "”.");
        }
    }

    /**
     * The light of all shadows. A theme's first takes on the shadows that stood by themselves.
     *
     * @param color as people write it
     */
    record Shadows(
            Place place,
            TokenPath path,
            double angle,
            double reach,
            double softness,
            double strength,
            String color,
            List<Double> heights)
            implements ScaleWish {
        @Override
        public Edit in(Seen seen) {
            Light light = new Light(angle, reach, softness, strength, CssColor.parse(color), heights);
            Edit shining = recipe(seen, place, path, new Recipe.ShadowSteps(light));
            boolean first = seen.theme().places().stream()
                    .noneMatch(one -> seen.theme().at(one).find(path).isPresent());
            List<Edit> taking = first ? FirstLight.taking(seen.theme(), path, light) : List.of();
            if (taking.isEmpty()) return shining;
            return new Edit.Batch(
                    shining.label(),
                    Stream.concat(Stream.of(shining), taking.stream()).toList());
        }
    }

    /** Hands a ramp that was recognised to a recipe, as a hue of that name. */
    record TakeRamp(TokenPath path, String name) implements ScaleWish {
        @Override
        public Edit in(Seen seen) {
            return Takeover.of(seen.theme(), path, name).edit();
        }
    }

    private static Edit recipe(Seen seen, Place place, TokenPath path, Recipe recipe) {
        return Brought.to(seen, place, path, new Edit.SetRecipe(place, path, recipe));
    }

    private static void few(int steps) {
        if (steps > MOST_STEPS)
            throw new IllegalArgumentException(
                    "A recipe has up to " + MOST_STEPS + " steps; this one has " + steps + ".");
    }
}
