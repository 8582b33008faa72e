package org.umberloom.kit;

import org.umberloom.core.theme.PictureFacts;
import org.umberloom.kit.picture.PictureReader;

/**
 * A picture of a site, with what is known of it.
 *
 * @param width px; 0 where it has no size of its own, and so for the height
 */
public record SitePicture(
        String name,
        String mediaType,
        String license,
        String source,
        String alt,
        double focalX,
        double focalY,
        boolean placeholder,
        int width,
        int height,
        byte[] content) {
    /** A picture as it was read. */
    public static SitePicture of(String name, PictureReader.Seen seen, PictureFacts facts) {
        return of(name, seen.mediaType(), facts, seen.width(), seen.height(), seen.content());
    }

    public static SitePicture of(
            String name, String mediaType, PictureFacts facts, int width, int height, byte[] content) {
        return new SitePicture(
                name,
                mediaType,
                facts.license(),
                facts.source(),
                facts.alt(),
                facts.focalX(),
                facts.focalY(),
                facts.placeholder(),
                width,
                height,
                content);
    }

    public PictureFacts facts() {
        return new PictureFacts(license, source, alt, focalX, focalY, placeholder);
    }
}
