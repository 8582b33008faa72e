package org.umberloom.core.font;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Families whose files are at hand. */
public interface Families {
    /** The weights that a family has, from the lightest to the heaviest, 1 to 1000; those between are there, too. */
    record Weights(int lightest, int heaviest) {}

    /**
     * How wide a character of running English is in the first family of a stack that is known, in em.
     *
     * @param weight 1 to 1000
     */
    OptionalDouble mean(List<String> stack, int weight);

    /** Of a family by its name; none where it is not known. */
    Optional<Weights> weights(String family);
}
