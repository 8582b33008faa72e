package org.umberloom.app.site;

import java.util.NoSuchElementException;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.umberloom.app.asset.FontShelf;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.kit.SharingPictures;
import org.umberloom.kit.SiteSquares;

/** What browsers show of sites outside their pages, from the pictures on their shelves. */
@Component
class IconsOfSites {
    private final SiteMapper sites;
    private final SiteSquares squares;
    private final SharingPictures sharing;
    private final FontShelf fonts;

    IconsOfSites(SiteMapper sites, SiteSquares squares, SharingPictures sharing, FontShelf fonts) {
        this.sites = sites;
        this.squares = squares;
        this.sharing = sharing;
        this.fonts = fonts;
    }

    /** The picture that stands for a page where it is shared. @param whole whether it is that of the whole site */
    byte[] shared(SiteDocument site, ThemeDocument theme, SitePage page, boolean whole) {
        return sharing.png(fonts.atHand(), site, theme, page, whole, picture -> sites.picture(site.slug(), picture))
                .orElseThrow(() -> new NoSuchElementException("The fonts of this theme have not all letters of “"
                        + (whole ? site.name() : page.title()) + "”, so no picture can be drawn."));
    }

    /** One of them as it is served. */
    byte[] file(SiteDocument site, ThemeDocument theme, String name) {
        return Optional.ofNullable(squares.files(site, theme, picture -> sites.picture(site.slug(), picture))
                        .get(name))
                .orElseThrow(() -> new NoSuchElementException("“" + site.name() + "” has no icon “" + name + "”."));
    }
}
