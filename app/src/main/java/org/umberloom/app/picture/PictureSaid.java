package org.umberloom.app.picture;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.umberloom.core.theme.PictureFacts;

/** What somebody says of a picture. @param focalX a share from the left, 0 to 1, and {@code focalY} from the top */
public record PictureSaid(
        @NotNull @Size(max = 200) String license,
        @NotNull @Size(max = 300) String source,
        @NotNull @Size(max = 300) String alt,
        double focalX,
        double focalY) {
    /** @throws IllegalArgumentException with a sentence for people */
    public PictureFacts facts() {
        return new PictureFacts(license.trim(), source.trim(), alt.trim(), focalX, focalY, false);
    }
}
