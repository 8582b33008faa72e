package org.umberloom.app.site;

import java.util.NoSuchElementException;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.kit.SiteSquares;

/** What browsers show of sites outside their pages, from the pictures on their shelves. */
@Component
class IconsOfSites {
    private final SiteMapper sites;
    private final SiteSquares squares;

    IconsOfSites(SiteMapper sites, SiteSquares squares) {
        this.sites = sites;
        this.squares = squares;
    }

    /** One of them as it is served. */
    byte[] file(SiteDocument site, ThemeDocument theme, String name) {
        return Optional.ofNullable(squares.files(site, theme, picture -> sites.picture(site.slug(), picture))
                        .get(name))
                .orElseThrow(() -> new NoSuchElementException("“" + site.name() + "” has no icon “" + name + "”."));
    }
}
