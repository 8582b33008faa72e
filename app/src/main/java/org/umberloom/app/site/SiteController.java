package org.umberloom.app.site;

import java.security.Principal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.AccountService;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.ThemeDocument;

/** The sites that a bench can show. */
@RestController
@RequestMapping("/api/sites")
class SiteController {
    /** @param scopes that reach the page, from wide to narrow, as they are in a combination's key */
    record PageView(String slug, String title, String kind, List<String> scopes) {
        static PageView of(String site, SiteFacts.PageFact page) {
            return new PageView(
                    page.slug(),
                    page.title(),
                    page.kind(),
                    SitePlaces.reaching(site, page.slug(), page.kind()).stream()
                            .map(Scope::toString)
                            .toList());
        }

        static PageView of(String site, Page page) {
            return new PageView(
                    page.slug(),
                    page.title(),
                    page.kind(),
                    page.scopes(site).stream().map(Scope::toString).toList());
        }
    }

    /**
     * @param specimen whether these are the built-in pages, which every theme can be looked at on
     * @param look     contexts that it stands in, where they are not the theme's defaults
     */
    record SiteView(
            String slug, String name, long themeId, boolean specimen, Map<String, String> look, List<PageView> pages) {}

    private final SiteService sites;
    private final SiteWork work;
    private final DraftService drafts;
    private final AccountService accounts;

    SiteController(SiteService sites, SiteWork work, DraftService drafts, AccountService accounts) {
        this.sites = sites;
        this.work = work;
        this.drafts = drafts;
        this.accounts = accounts;
    }

    /** Takes back the last edit of a site that stands. */
    @PostMapping("/{site}/undo")
    SiteDrafts.Stacks undo(@PathVariable String site, Principal principal) {
        return work.undo(site, accounts.get(principal.getName()));
    }

    /** Makes the last undone edit of a site again. */
    @PostMapping("/{site}/redo")
    SiteDrafts.Stacks redo(@PathVariable String site, Principal principal) {
        return work.redo(site, accounts.get(principal.getName()));
    }

    /** All sites, and the specimen of a theme. */
    @GetMapping
    List<SiteView> sites(@RequestParam long theme) {
        ThemeDocument document = drafts.newest(theme).theme();
        List<SiteView> all = new ArrayList<>();
        // The oldest first: a bench begins with it.
        List<SiteService.Counted> counted = new ArrayList<>(sites.counted());
        counted.removeIf(site -> !site.fault().isEmpty());
        counted.sort(Comparator.comparingLong(site -> site.row().id()));
        for (SiteService.Counted site : counted)
            all.add(new SiteView(
                    site.row().slug(),
                    site.row().name(),
                    site.row().themeId(),
                    false,
                    SiteLook.chosen(document, site.facts().look(), site.facts().scheme()),
                    site.facts().pages().stream()
                            .map(page -> PageView.of(site.row().slug(), page))
                            .toList()));
        all.add(new SiteView(
                Specimens.SLUG,
                Specimens.NAME,
                theme,
                true,
                Map.of(),
                Specimens.of(document).stream()
                        .map(page -> PageView.of(Specimens.SLUG, page))
                        .toList()));
        return all;
    }
}
