package org.umberloom.app.site;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The sites that a bench can show. */
@RestController
@RequestMapping("/api/sites")
class SiteController {
    record PageView(String slug, String title, String kind) {
    }

    record SiteView(String slug, String name, long themeId, List<PageView> pages) {
    }

    private final SiteService sites;

    SiteController(SiteService sites) {
        this.sites = sites;
    }

    @GetMapping
    List<SiteView> sites() {
        return sites.all().stream().map(site -> new SiteView(site.slug(), site.name(), site.themeId(),
                sites.pages(site).stream().map(page -> new PageView(page.slug(), page.title(), page.kind())).toList()))
                .toList();
    }
}
