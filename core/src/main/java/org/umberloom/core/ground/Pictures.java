package org.umberloom.core.ground;

import java.util.Optional;
import org.umberloom.core.color.Tones;

/** The pictures that go with a theme, as far as its computation needs them. */
@FunctionalInterface
public interface Pictures {
    /** No pictures at all. */
    Pictures NONE = name -> Optional.empty();

    /** Pictures that nobody read: nothing can be said of what stands on them. */
    Pictures UNREAD = name -> Optional.empty();

    /** The tones of the picture with that file name; empty when it is not there. */
    Optional<Tones> tones(String name);
}
