package org.umberloom.core.theme;

import java.util.List;
import java.util.Optional;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.RampShape;
import org.umberloom.core.shape.Light;
import org.umberloom.core.space.SpaceScale;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.type.TypeScale;

/** A rule that computes the tokens of a group. It is data, kept with the group. */
public sealed interface Recipe {
    /**
     * A hue's ramp, grown from the group's own token {@code seed}.
     *
     * @param stops depths, each 0 to 120, at least one
     * @param tint  what colors the shades in place of the seed, for a neutral that leans toward another hue
     */
    record HueRamp(List<Double> stops, RampShape shape, Optional<Tint> tint) implements Recipe {
        /** The token of the group that the ramp grows from. */
        public static final String SEED = "seed";

        /** A ramp in its seed's own color. */
        public HueRamp(List<Double> stops, RampShape shape) {
            this(stops, shape, Optional.empty());
        }

        /** What the curves pass through: the seed, or a tint of the seed's lightness, where the curves turn too. */
        public Color start(Color seed) {
            return tint.map(hint -> Color.oklch(seed.to(ColorSpace.OKLCH).c1(), hint.chroma(), hint.angle()))
                    .orElse(seed);
        }

        public HueRamp {
            stops = List.copyOf(stops);
            if (stops.isEmpty() || stops.stream().anyMatch(stop -> !(stop >= 0 && stop <= 120)))
                throw new IllegalArgumentException("A ramp needs stops, each a depth from 0 to 120.");
        }
    }

    /**
     * A hint of another hue.
     *
     * @param from   the other hue's group, in the same set or context
     * @param angle  that hue's OKLCH hue when it was last seen, in degrees
     * @param chroma OKLCH chroma of the shades, 0 to 0.1
     */
    record Tint(TokenPath from, double angle, double chroma) {
        public Tint {
            if (!(chroma >= 0 && chroma <= 0.1))
                throw new IllegalArgumentException(
                        "The chroma of a tint must be between 0 and 0.1, was " + chroma + ".");
        }

        Tint seen(Color seed) {
            double hue = seed.to(ColorSpace.OKLCH).c3();
            return new Tint(from, Double.isNaN(hue) ? angle : hue, chroma);
        }
    }

    /** The type scale. */
    record TypeSteps(TypeScale scale) implements Recipe {}

    /** The spacing scale. */
    record SpaceSteps(SpaceScale scale) implements Recipe {}

    /** Shadows of one light. */
    record ShadowSteps(Light light) implements Recipe {}
}
