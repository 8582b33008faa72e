package org.umberloom.app.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.umberloom.app.asset.FontShelf;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.kit.Kit;
import org.umberloom.kit.SharingPictures;
import org.umberloom.kit.SiteSquares;
import org.umberloom.kit.picture.SmallerPictures;

/** Kits of what is kept here. */
@Component
public class KitFiles {
    private static final Set<String> READABLE = Set.of("json", "css", "html", "svg", "txt", "scss", "js", "ts", "gpl");

    private final SiteService sites;
    private final FontShelf shelf;
    private final PictureStore grounds;
    private final SmallerPictures smaller;
    private final SiteSquares squares;
    private final SharingPictures sharing;

    KitFiles(
            SiteService sites,
            FontShelf shelf,
            PictureStore grounds,
            SmallerPictures smaller,
            SiteSquares squares,
            SharingPictures sharing) {
        this.sites = sites;
        this.shelf = shelf;
        this.grounds = grounds;
        this.smaller = smaller;
        this.squares = squares;
        this.sharing = sharing;
    }

    /** Every file by its name; the stylesheet holds what the given sites' pages use, or all when there is none. */
    public Map<String, byte[]> of(ThemeDocument theme, List<Site> shown) {
        return of(theme, shown, Kit.Parts.OF_DRAFT);
    }

    /** The pages of one site in a release, with everything that they need to be seen, and nothing else. */
    public Map<String, byte[]> ofRelease(ThemeDocument theme, Site site, String release) {
        return of(theme, List.of(site), new Kit.Parts(release, true, false, List.of()));
    }

    Map<String, byte[]> of(ThemeDocument theme, List<Site> shown, Kit.Parts parts) {
        List<Kit.OfSite> whole = shown.stream()
                .map(site -> new Kit.OfSite(sites.document(site), sites.pictures(site)))
                .toList();
        return new Kit(new Kit.Workshop(shelf.atHand(), grounds, smaller, squares, sharing, List.of()))
                .of(theme, whole, parts);
    }

    /** Names of the files that can be shown as text. */
    static List<String> readable(Map<String, byte[]> files) {
        List<String> names = new ArrayList<>();
        for (String name : files.keySet())
            if (READABLE.contains(name.substring(name.lastIndexOf('.') + 1))) names.add(name);
        return names;
    }
}
