package org.umberloom.app.site;

import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Part;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.PartSpots;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.ValueText;

/** Parts as a theme wears them: where their roles come from, and on which pages they stand. */
@RestController
@RequestMapping("/api/themes/{theme}/parts")
class PartsController {
    /** As many are looked through. */
    private static final int MOST_SITES = 24;

    /**
     * A role that a part brings.
     *
     * @param path  of its token, on the surface that was asked for
     * @param own   whether it has one
     * @param on    what it stands on without one: a role, or empty for a value that the contract carries
     * @param value what it comes to, as it is written
     */
    record PartRole(String path, String purpose, boolean own, String on, String value) {}

    /** A page that has the part. @param spots how often */
    record PartPage(String site, String name, String page, String title, int spots) {}

    /** @param sites that wear the theme @param looked at how many of them */
    record PartStands(List<PartRole> roles, List<PartPage> pages, int sites, int looked) {}

    private final DraftService themes;
    private final SiteService sites;

    PartsController(DraftService themes, SiteService sites) {
        this.themes = themes;
        this.sites = sites;
    }

    /** @param combo the look that roles are told in, as {@code scheme=dark,look=freight}; empty for the theme’s standard */
    @GetMapping("/{part}")
    PartStands part(
            @PathVariable long theme,
            @PathVariable String part,
            @RequestParam(defaultValue = "") String combo,
            @RequestParam(defaultValue = Surfaces.PAGE) String surface) {
        Part known = Contract.standard().parts().stream()
                .filter(one -> one.name().equals(part))
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("There is no part “" + Names.shown(part) + "”."));
        ThemeDocument document = themes.newest(theme).theme();
        Combination look = (combo.isEmpty() ? document.defaults() : Combination.parse(combo)).completedFor(document);
        Worn worn = Worn.of(Resolution.of(document, look));
        String on = worn.surfaces().contains(surface) ? surface : Surfaces.PAGE;
        List<Site> wearing = sites.wearing(theme);
        List<PartPage> pages = new ArrayList<>();
        Set<String> selectors = PartSpots.selectors(known);
        for (Site site : wearing.subList(0, Math.min(MOST_SITES, wearing.size())))
            for (SitePage page : sites.find(site).map(SiteDocument::pages).orElse(List.of())) {
                int spots = PartSpots.count(page.html(), selectors);
                if (spots > 0) pages.add(new PartPage(site.slug(), site.name(), page.slug(), page.title(), spots));
            }
        return new PartStands(
                known.roles().stream().map(role -> role(worn, role, on)).toList(),
                pages,
                wearing.size(),
                Math.min(MOST_SITES, wearing.size()));
    }

    private static PartRole role(Worn worn, Role role, String surface) {
        Worn.Standing standing = worn.at(role, role.ofSurfaces() ? surface : Surfaces.PAGE);
        return new PartRole(
                standing.path(),
                role.purpose(),
                !standing.unset(),
                standing.unset() ? standing.on().orElse("") : "",
                ValueText.write(standing.value()));
    }
}
