package org.umberloom.app.site;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.picture.PictureUsers;
import org.umberloom.app.picture.ShelvedPicture;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.token.Names;

/** Pictures of themes for the sites that wear them. */
@Component
class PicturesOfThemes implements PictureUsers {
    private final SiteService sites;
    private final SitePictures shelf;
    private final DraftService themes;
    private final PictureStore store;

    PicturesOfThemes(SiteService sites, SitePictures shelf, DraftService themes, PictureStore store) {
        this.sites = sites;
        this.shelf = shelf;
        this.themes = themes;
        this.store = store;
    }

    /** Sites that give surfaces grounds of their own. */
    @Override
    public Map<String, List<ShelvedPicture.UsedView>> using(long theme) {
        Map<String, List<ShelvedPicture.UsedView>> used = new LinkedHashMap<>();
        for (Site site : sites.wearing(theme)) {
            Optional<SiteDocument> found = sites.find(site);
            if (found.isEmpty()) continue;
            SiteDocument document = found.get();
            Grounds.standing(document.written().values())
                    .forEach((picture, surfaces) ->
                            surfaces.forEach(surface -> used.computeIfAbsent(picture, key -> new ArrayList<>())
                                    .add(new ShelvedPicture.UsedView(
                                            "", "the surface " + surface + " of " + document.name()))));
        }
        return used;
    }

    /** @return what it is called on the shelf of the site */
    String take(String site, String name) {
        Picture picture = Optional.ofNullable(
                        Picture.of(themes.newest(sites.get(site).themeId()).theme())
                                .get(name))
                .orElseThrow(() -> new NoSuchElementException(
                        "The theme of this site has no picture “" + Names.shown(name) + "”."));
        byte[] content = store.content(picture.hash())
                .orElseThrow(() -> new NoSuchElementException("What “" + picture.name() + "” shows is not kept here."));
        return shelf.take(site, picture, content);
    }
}
