package org.umberloom.app.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.color.Color;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.site.RoleGroups;
import org.umberloom.core.site.SchemePolicy;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.site.Strays;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;
import org.umberloom.core.token.TokenPath;

/** Where roles and tokens are taken, across all pages of all sites that wear a theme. */
@Service
public class CoverageService {
    /** Pages that are named one by one; the rest is counted. */
    private static final int MOST_PAGES = 240;
    /** Combinations of a theme that are asked which roles come from a token. */
    private static final int MOST_LOOKS = 16;

    /** @param css what it comes to where it is a color, else empty */
    record RoleTaken(String path, String group, String css, int taking, int hiding) {}

    /** @param hiding spots that should take it and have a value of their own */
    record PageTaken(String site, String name, String page, String title, int taking, int hiding) {}

    /**
     * @param roles  that show it: itself, or those that come from the token
     * @param pages  those with spots that hide it first
     * @param more   pages that are not listed
     * @param sites  that have it somewhere
     */
    record Taken(String of, List<String> roles, int taking, int hiding, int sites, List<PageTaken> pages, int more) {}

    private final SiteService sites;
    private final SiteMapper mapper;
    private final SiteDrafts drafts;
    private final DraftService themes;

    CoverageService(SiteService sites, SiteMapper mapper, SiteDrafts drafts, DraftService themes) {
        this.drafts = drafts;
        this.sites = sites;
        this.mapper = mapper;
        this.themes = themes;
    }

    /** Every role that some page takes. */
    List<RoleTaken> roles(long theme) {
        ThemeDocument document = themes.newest(theme).theme();
        Worn worn = Worn.of(ThemeGraph.of(document, document.defaults()).resolution());
        Map<String, SiteUses.Count> all = new TreeMap<>();
        for (SiteTaking site : taking(theme, document))
            for (SiteUses.PageUses page : site.uses.pages())
                page.roles()
                        .forEach((path, count) -> all.merge(
                                path,
                                count,
                                (a, b) -> new SiteUses.Count(a.taking() + b.taking(), a.hiding() + b.hiding())));
        List<RoleTaken> roles = new ArrayList<>();
        all.forEach((path, count) -> roles.add(new RoleTaken(
                path, group(path), worn.color(path).map(Color::hex).orElse(""), count.taking(), count.hiding())));
        roles.sort(Comparator.comparingInt(role -> RoleGroups.ALL.indexOf(role.group)));
        return roles;
    }

    private static String group(String path) {
        return Contract.standard()
                .filledBy(path)
                .map(role -> RoleGroups.of(path, role.type()))
                .orElse("");
    }

    /**
     * A site with the roles that its pages take.
     *
     * @param look   in which it stands
     * @param scheme which schemes its readers see
     * @param own    whether it writes something at places of its own
     */
    public record SiteTaking(
            String slug, String name, Map<String, String> look, SchemePolicy scheme, boolean own, SiteUses uses) {}

    /**
     * What every site takes with what is chosen there. What was counted by another version, by nobody yet, or with other choices, is
     * counted first.
     */
    public List<SiteTaking> taking(long theme, ThemeDocument document) {
        List<SiteMapper.UsesRow> rows = mapper.uses(theme);
        if (rows.stream().anyMatch(row -> row.uses().isEmpty())) {
            sites.counted();
            rows = mapper.uses(theme);
        }
        Map<Combination, String> known = new HashMap<>();
        List<SiteTaking> all = new ArrayList<>();
        for (SiteMapper.UsesRow row : rows) {
            // Of a site that cannot be read nothing was counted.
            if (row.facts().isEmpty()) continue;
            SiteFacts facts = SiteFacts.read(row.facts());
            Combination look = SiteLook.of(document, facts.look(), facts.scheme());
            String choosing = known.computeIfAbsent(look, one -> choosing(document, one));
            // What a site chooses itself is part of what was counted with it.
            if (facts.overrides().containsKey(RoleGroups.CHOICE)) choosing += "+" + row.revision();
            SiteUses uses = SiteUses.read(row.uses());
            if (!uses.chosen().equals(choosing)) {
                Optional<SiteDraft> draft = drafts.find(sites.get(row.slug()));
                if (draft.isEmpty()) continue;
                uses = counted(row, draft.get(), document, choosing);
            }
            all.add(new SiteTaking(
                    row.slug(),
                    row.name(),
                    facts.look(),
                    facts.scheme(),
                    !facts.overrides().isEmpty(),
                    uses));
        }
        return all;
    }

    /** The choices of a theme that do not stand at their standard, in a form that can be compared. */
    private static String choosing(ThemeDocument theme, Combination look) {
        Map<String, String> chosen = new TreeMap<>(Choices.of(theme, look));
        chosen.entrySet().removeIf(one -> one.getValue()
                .equals(Contract.standard().choices().get(one.getKey()).standard()));
        return chosen.isEmpty() ? "" : chosen.toString();
    }

    private SiteUses counted(SiteMapper.UsesRow row, SiteDraft draft, ThemeDocument theme, String choosing) {
        SiteDocument site = draft.site();
        ThemeDocument worn = theme.worn(site.written());
        Combination look = SiteLook.of(worn, site);
        SiteUses uses = SiteUses.of(
                site,
                Strays.ofSheet(site),
                choosing,
                page -> Choices.of(worn, look.at(SitePlaces.reaching(site.slug(), page.slug(), page.kind()))));
        mapper.keepFacts(row.id(), draft.revision(), row.facts(), uses.write());
        return uses;
    }

    /** Where a role, or a token through the roles that come from it, is taken. */
    Taken taken(long theme, String of) {
        ThemeDocument document = themes.newest(theme).theme();
        Set<String> roles = rolesOf(document, of);
        List<PageTaken> pages = new ArrayList<>();
        Set<String> having = new HashSet<>();
        int taking = 0;
        int hiding = 0;
        for (SiteTaking row : taking(theme, document))
            for (SiteUses.PageUses page : row.uses.pages()) {
                int here = 0;
                int hidden = 0;
                for (String role : roles) {
                    SiteUses.Count count = page.of(role);
                    here += count.taking();
                    hidden += count.hiding();
                }
                if (here + hidden == 0) continue;
                taking += here;
                hiding += hidden;
                having.add(row.slug());
                pages.add(new PageTaken(row.slug(), row.name(), page.page(), page.title(), here, hidden));
            }
        pages.sort(Comparator.comparingInt((PageTaken page) -> page.hiding > 0 ? 0 : 1)
                .thenComparing(PageTaken::name)
                .thenComparing(Comparator.comparingInt(PageTaken::taking).reversed()));
        List<PageTaken> shown = pages.subList(0, Math.min(MOST_PAGES, pages.size()));
        return new Taken(
                of, List.copyOf(roles), taking, hiding, having.size(), List.copyOf(shown), pages.size() - shown.size());
    }

    /** The roles that show a token, in any context of the theme; those that are unset and stand on one of them too. */
    private static Set<String> rolesOf(ThemeDocument theme, String of) {
        TokenPath path = TokenPath.of(of);
        Set<String> roles = new LinkedHashSet<>();
        if (Contract.standard().filledBy(of).isPresent()) roles.add(of);
        for (Combination look : theme.combinations(MOST_LOOKS)) {
            ThemeGraph graph = ThemeGraph.of(theme, look);
            for (TokenPath dependent : graph.dependents(path))
                if (Contract.standard().filledBy(dependent.dotted()).isPresent()) roles.add(dependent.dotted());
            Worn worn = Worn.of(graph.resolution());
            for (boolean more = true; more; ) {
                more = false;
                for (Role role : Contract.standard().roles().values())
                    for (String surface : role.ofSurfaces() ? worn.surfaces() : List.of("")) {
                        Worn.Standing standing = worn.at(role, surface);
                        if (standing.on().filter(roles::contains).isPresent()) more |= roles.add(standing.path());
                    }
            }
        }
        return roles;
    }
}
