package org.umberloom.kit;

import java.util.Optional;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.ThemeDocument;

/** The pictures that surfaces of themes stand on. */
public interface Grounds {
    /** What the core needs of the pictures that a document names. */
    Pictures of(ThemeDocument theme);

    /** What is in one. @param hash of that, as the document names it */
    Optional<byte[]> content(String hash);
}
