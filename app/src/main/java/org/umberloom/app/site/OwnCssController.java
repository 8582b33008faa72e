package org.umberloom.app.site;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.AccountService;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.site.SiteEdits;
import org.umberloom.core.theme.OwnStyle;

/** Own style sheets of sites and themes, as they are written and stored. */
@RestController
@RequestMapping("/api")
class OwnCssController {
    /** Pages of a theme's sites on which it is looked for what its own style sheet hides. */
    private static final int MOST_PAGES = 60;

    /**
     * A style sheet while it is written.
     *
     * @param site  whose own it is, by its short name; none for a theme's
     * @param theme whose own it is where it is no site's
     */
    record CssTried(@Size(max = 200) String site, Long theme, @NotNull @Size(max = OwnStyle.LONGEST) String css) {}

    record CssText(Integer base, @NotNull @Size(max = OwnStyle.LONGEST) String css) {}

    private final SiteService sites;
    private final SiteWork work;
    private final AccountService accounts;

    OwnCssController(SiteService sites, SiteWork work, AccountService accounts) {
        this.sites = sites;
        this.work = work;
        this.accounts = accounts;
    }

    /** The properties of a theme that an own style sheet can read. */
    @GetMapping("/css-properties")
    List<String> properties() {
        return OwnCss.PROPERTIES;
    }

    /** A style sheet while it is written; nothing is stored. */
    @PostMapping("/css")
    OwnCss.Read readCss(@Valid @RequestBody CssTried css) {
        Map<String, String> pages = new LinkedHashMap<>();
        if (css.site() != null && !css.site().isBlank()) {
            collect(sites.get(css.site()), pages);
            return OwnCss.read(css.css(), pages, Stylesheet::own);
        }
        if (css.theme() != null)
            for (Site site : sites.wearing(css.theme())) if (pages.size() < MOST_PAGES) collect(site, pages);
        return OwnCss.read(css.css(), pages, Stylesheet::ownOfTheme);
    }

    private void collect(Site site, Map<String, String> pages) {
        sites.find(site).ifPresent(document -> document.pages()
                .forEach(page -> pages.put(site.slug() + "/" + page.slug(), page.html())));
    }

    /** A site's own style sheet, as far as it can be read and may stand there. */
    @PutMapping("/sites/{site}/css")
    SiteDrafts.Stacks css(@PathVariable String site, @Valid @RequestBody CssText css, Principal principal) {
        return work.edit(site, css.base(), old -> SiteEdits.css(css.css()), accounts.get(principal.getName()));
    }
}
