package org.umberloom.app.picture;

import java.util.List;
import org.umberloom.core.theme.PictureFacts;

/**
 * A picture on a shelf, be it of a site or of a theme.
 *
 * @param width  px; 0 where it has no size of its own, and so for the height
 * @param sizes  widths of its smaller files, in px
 * @param used   where it stands
 */
public record ShelvedPicture(
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
        long bytes,
        List<Integer> sizes,
        List<UsedView> used) {
    /** Where a picture stands. @param page of a site, its short name; empty for what is no page */
    public record UsedView(String page, String words) {}

    public static ShelvedPicture of(
            String name,
            String mediaType,
            PictureFacts facts,
            int width,
            int height,
            long bytes,
            List<Integer> sizes,
            List<UsedView> used) {
        return new ShelvedPicture(
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
                bytes,
                sizes,
                used);
    }
}
