package org.umberloom.core.theme;

import java.util.List;
import org.umberloom.core.color.RampShape;
import org.umberloom.core.space.SpaceScale;
import org.umberloom.core.type.TypeScale;

/** A rule that computes the tokens of a group. It is data, kept with the group. */
public sealed interface Recipe {
    /**
     * A hue's ramp, grown from the group's own token {@code seed}.
     *
     * @param stops depths, each 0 to 120, at least one
     */
    record HueRamp(List<Double> stops, RampShape shape) implements Recipe {
        /** The token of the group that the ramp grows from. */
        public static final String SEED = "seed";

        public HueRamp {
            stops = List.copyOf(stops);
            if (stops.isEmpty() || stops.stream().anyMatch(stop -> !(stop >= 0 && stop <= 120)))
                throw new IllegalArgumentException("A ramp needs stops, each a depth from 0 to 120.");
        }
    }

    /** The type scale. */
    record TypeSteps(TypeScale scale) implements Recipe {
    }

    /** The spacing scale. */
    record SpaceSteps(SpaceScale scale) implements Recipe {
    }
}
