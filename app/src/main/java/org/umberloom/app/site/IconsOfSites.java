package org.umberloom.app.site;

import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.umberloom.core.page.SiteIcons;
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

    /**
     * Every file by its name, to lie in {@link SiteIcons#FOLDER}; none for a site without an icon, or with one that cannot be drawn.
     */
    Map<String, byte[]> files(SiteDocument site, ThemeDocument theme) {
        Optional<SiteIcons> icons = SiteSquares.of(site, theme);
        return icons.flatMap(one -> sites.picture(site.slug(), one.picture()))
                .map(picture -> squares.files(icons.orElseThrow(), picture))
                .orElse(Map.of());
    }

    /** One of them as it is served. */
    byte[] file(SiteDocument site, ThemeDocument theme, String name) {
        return Optional.ofNullable(files(site, theme).get(name))
                .orElseThrow(() -> new NoSuchElementException("“" + site.name() + "” has no icon “" + name + "”."));
    }
}
