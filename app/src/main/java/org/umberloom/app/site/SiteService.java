package org.umberloom.app.site;

import java.util.List;
import java.util.NoSuchElementException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.umberloom.app.theme.PageKinds;

/** Sites with their pages and pictures. */
@Service
public class SiteService implements PageKinds {
    private final SiteMapper sites;

    SiteService(SiteMapper sites) {
        this.sites = sites;
    }

    public List<Site> all() {
        return sites.all();
    }

    @Override
    public List<String> of(long theme) {
        List<String> wearing = sites.kindsWearing(theme);
        return wearing.isEmpty() ? sites.kinds() : wearing;
    }

    public Site get(String slug) {
        return sites.bySlug(slug).orElseThrow(() -> new NoSuchElementException("There is no site “" + slug + "”."));
    }

    public List<Page> pages(Site site) {
        return sites.pages(site.id());
    }

    public List<Picture> pictures(Site site) {
        return sites.pictures(site.id());
    }

    public Page page(String site, String page) {
        return sites.page(site, page)
                .orElseThrow(() -> new NoSuchElementException("The site “" + site + "” has no page “" + page + "”."));
    }

    public Picture picture(String site, String name) {
        return sites.picture(site, name)
                .orElseThrow(
                        () -> new NoSuchElementException("The site “" + site + "” has no picture “" + name + "”."));
    }

    /** Adds a whole site. */
    @Transactional
    public void add(String slug, String name, long themeId, List<Page> pages, List<Picture> pictures) {
        sites.addSite(slug, name, themeId);
        long id = get(slug).id();
        for (int i = 0; i < pages.size(); i++) {
            Page page = pages.get(i);
            sites.addPage(id, page.slug(), page.title(), page.kind(), i, page.html());
        }
        for (Picture picture : pictures)
            sites.addPicture(id, picture.name(), picture.mediaType(), picture.license(), picture.content());
    }
}
