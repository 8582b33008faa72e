package org.umberloom.core.change;

import java.util.Collection;
import java.util.Locale;

/** How far a release is from the one before it. Source: Semantic Versioning 2.0.0, items 6 to 8, for themes as 3.9 of the model says. */
public enum Step {
    /** Only values and texts are others. */
    PATCH,
    /** Something came that was not there. */
    MINOR,
    /** Something is gone or means another thing, so that who uses it has to look. */
    MAJOR;

    /** As it is written: {@code patch}. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The heaviest; a patch of none. */
    static Step heaviest(Collection<Step> steps) {
        return steps.stream().max(Step::compareTo).orElse(PATCH);
    }
}
