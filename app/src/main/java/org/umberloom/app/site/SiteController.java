package org.umberloom.app.site;

import java.util.ArrayList;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.theme.DraftService;

/** The sites that a bench can show. */
@RestController
@RequestMapping("/api/sites")
class SiteController {
    /** @param scope at which the page stands, as it is in a combination's key */
    record PageView(String slug, String title, String kind, String scope) {
        static PageView of(Page page) {
            return new PageView(
                    page.slug(), page.title(), page.kind(), page.scope().toString());
        }
    }

    /** @param specimen whether these are the built-in pages, which every theme can be looked at on */
    record SiteView(String slug, String name, long themeId, boolean specimen, List<PageView> pages) {}

    private final SiteService sites;
    private final DraftService drafts;

    SiteController(SiteService sites, DraftService drafts) {
        this.sites = sites;
        this.drafts = drafts;
    }

    /** All sites, and the specimen of a theme. */
    @GetMapping
    List<SiteView> sites(@RequestParam long theme) {
        List<SiteView> all = new ArrayList<>();
        for (Site site : sites.all())
            all.add(new SiteView(
                    site.slug(),
                    site.name(),
                    site.themeId(),
                    false,
                    sites.pages(site).stream().map(PageView::of).toList()));
        all.add(new SiteView(
                Specimens.SLUG,
                Specimens.NAME,
                theme,
                true,
                Specimens.of(drafts.newest(theme).theme()).stream()
                        .map(PageView::of)
                        .toList()));
        return all;
    }
}
