package org.umberloom.app.site;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import org.umberloom.core.json.Json;
import org.umberloom.core.page.ChoiceSpots;
import org.umberloom.core.page.RoleSpots;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.Strays;

/**
 * Which roles the pages of a site take, counted when it is stored, so that a role can be looked for across many sites.
 *
 * @param chosen under which choices it was counted, in a form that can be compared; empty for every choice at its standard
 */
public record SiteUses(String chosen, List<PageUses> pages) {
    /** @param hiding spots that should take the role and have a value of their own */
    public record Count(int taking, int hiding) {}

    /**
     * @param roles   by their paths
     * @param choices what they decide there, counted by {@link ChoiceCounts}
     */
    public record PageUses(String page, String title, Map<String, Count> roles, String choices) {
        /** How many spots take a role. */
        public int taking(String path) {
            Count count = roles.get(path);
            return count == null ? 0 : count.taking;
        }

        /** How many spots look otherwise where a choice is made otherwise. */
        public int looking(String choice, String old, String fresh) {
            return ChoiceCounts.read(choices).differing(choice, old, fresh);
        }
    }

    /** @param sheet what the declarations of its own style sheet reach, by their numbers */
    static SiteUses of(SiteDocument site, Map<Integer, List<Strays.Stray>> sheet) {
        return of(site, sheet, "", page -> Map.of());
    }

    /** @param chosen on each page, by the names of choices */
    static SiteUses of(
            SiteDocument site,
            Map<Integer, List<Strays.Stray>> sheet,
            String choosing,
            Function<SitePage, Map<String, String>> chosen) {
        Map<String, Map<String, Integer>> bySheet = new LinkedHashMap<>();
        sheet.values()
                .forEach(strays -> strays.forEach(stray -> bySheet.computeIfAbsent(stray.page(), key -> new TreeMap<>())
                        .merge(stray.role(), 1, Integer::sum)));
        List<PageUses> pages = new ArrayList<>();
        for (SitePage page : site.pages()) {
            Map<String, Integer> reached = bySheet.getOrDefault(page.slug(), Map.of());
            Map<String, Count> roles = new TreeMap<>();
            Map<String, String> there = chosen.apply(page);
            RoleSpots.of(page.html(), there).forEach((path, found) -> {
                int hidden = reached.getOrDefault(path, 0);
                roles.put(
                        path,
                        new Count(
                                Math.max(0, found.taking().size() - hidden),
                                found.hiding().size() + hidden));
            });
            pages.add(new PageUses(
                    page.slug(),
                    page.title(),
                    roles,
                    ChoiceCounts.of(ChoiceSpots.of(page.html(), there)).write()));
        }
        return new SiteUses(choosing, pages);
    }

    String write() {
        List<Object> data = new ArrayList<>();
        for (PageUses page : pages) {
            Map<String, Object> roles = new LinkedHashMap<>();
            page.roles.forEach((path, count) -> roles.put(path, List.of(count.taking, count.hiding)));
            data.add(Map.of("page", page.page, "title", page.title, "roles", roles, "choices", page.choices));
        }
        return Json.writeCompact(Map.of("chosen", chosen, "pages", data));
    }

    static SiteUses read(String text) {
        if (text.isEmpty()) return new SiteUses("", List.of());
        List<PageUses> pages = new ArrayList<>();
        Map<String, Object> all = Json.readObject("Uses of a site", text);
        for (Object one : Json.list("pages", all.get("pages"))) {
            Map<String, Object> page = Json.object("page", one);
            Map<String, Count> roles = new LinkedHashMap<>();
            Json.object("roles", page.get("roles")).forEach((path, counts) -> {
                List<?> both = Json.list(path, counts);
                roles.put(path, new Count((int) Json.number(path, both.get(0)), (int) Json.number(path, both.get(1))));
            });
            pages.add(new PageUses(
                    Json.string("page", page.get("page")),
                    Json.string("title", page.get("title")),
                    roles,
                    Json.string("choices", page.getOrDefault("choices", ""))));
        }
        return new SiteUses(Json.string("chosen", all.getOrDefault("chosen", "")), pages);
    }
}
