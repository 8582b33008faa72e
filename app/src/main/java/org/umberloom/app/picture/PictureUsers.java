package org.umberloom.app.picture;

import java.util.List;
import java.util.Map;

/** Who lets pictures of a theme stand somewhere, besides the theme itself. */
public interface PictureUsers {
    /** Where, by the names of pictures. */
    Map<String, List<ShelvedPicture.UsedView>> using(long theme);
}
