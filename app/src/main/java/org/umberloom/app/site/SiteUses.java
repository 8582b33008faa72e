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
 * Which roles the pages of a site take, counted when it is stored, so that a role can be looked for across many sites. As text it
 * is short and quickly read, since a thousand of them are read for one answer: the roles of the site once, and for each page the
 * numbers of those it takes with their counts, such as {@code 0:14,3:2:1}.
 *
 * @param chosen under which choices it was counted, in a form that can be compared; empty for every choice at its standard
 */
public record SiteUses(String chosen, List<PageUses> pages) {
    /** Of counts that an earlier version wrote in another form: under no choices that a theme can make. */
    private static final SiteUses OUTDATED = new SiteUses("?", List.of());

    /** @param hiding spots that should take the role and have a value of their own */
    public record Count(int taking, int hiding) {
        private static final Count NONE = new Count(0, 0);
    }

    /** What a page takes. */
    public static final class PageUses {
        private final String page;
        private final String title;
        /** The numbers of the site's roles by their paths. */
        private final Map<String, Integer> numbers;
        /** By those numbers, as far as this page’s go; none where it has nothing to do with the role. */
        private final Count[] counts;

        private final String choices;

        private PageUses(String page, String title, Map<String, Integer> numbers, Count[] counts, String choices) {
            this.page = page;
            this.title = title;
            this.numbers = numbers;
            this.counts = counts;
            this.choices = choices;
        }

        public String page() {
            return page;
        }

        public String title() {
            return title;
        }

        /** How many spots take a role, and how many hide it. @param path of the role */
        Count of(String path) {
            Integer number = numbers.get(path);
            return number == null || number >= counts.length || counts[number] == null ? Count.NONE : counts[number];
        }

        /** How many spots take a role. */
        public int taking(String path) {
            return of(path).taking;
        }

        /** How many spots look otherwise where a choice is made otherwise. */
        public int looking(String choice, String old, String fresh) {
            return ChoiceCounts.read(choices).differing(choice, old, fresh);
        }

        /** The roles that it takes or hides, by their paths. */
        Map<String, Count> roles() {
            Map<String, Count> roles = new LinkedHashMap<>();
            numbers.forEach((path, number) -> {
                if (number < counts.length && counts[number] != null) roles.put(path, counts[number]);
            });
            return roles;
        }

        private String write() {
            StringBuilder text = new StringBuilder();
            for (int number = 0; number < counts.length; number++) {
                Count count = counts[number];
                if (count == null) continue;
                if (!text.isEmpty()) text.append(',');
                text.append(number).append(':').append(count.taking);
                if (count.hiding > 0) text.append(':').append(count.hiding);
            }
            return text.toString();
        }

        private static Count[] read(String text, int roles) {
            Count[] counts = new Count[roles];
            int[] numbers = new int[3];
            int at = 0;
            for (int i = 0; i <= text.length(); i++) {
                char c = i < text.length() ? text.charAt(i) : ',';
                if (c == ':') at++;
                else if (c != ',') numbers[at] = numbers[at] * 10 + c - '0';
                else {
                    if (at > 0) counts[numbers[0]] = new Count(numbers[1], numbers[2]);
                    numbers = new int[3];
                    at = 0;
                }
            }
            return counts;
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
        Map<String, Integer> numbers = new LinkedHashMap<>();
        List<PageUses> pages = new ArrayList<>();
        for (SitePage page : site.pages()) {
            Map<String, Integer> reached = bySheet.getOrDefault(page.slug(), Map.of());
            Map<String, String> there = chosen.apply(page);
            Map<Integer, Count> roles = new TreeMap<>();
            new TreeMap<>(RoleSpots.of(page.html(), there)).forEach((path, found) -> {
                int hidden = reached.getOrDefault(path, 0);
                roles.put(
                        numbers.computeIfAbsent(path, key -> numbers.size()),
                        new Count(
                                Math.max(0, found.taking().size() - hidden),
                                found.hiding().size() + hidden));
            });
            Count[] counts = new Count[numbers.size()];
            roles.forEach((number, count) -> counts[number] = count);
            pages.add(new PageUses(
                    page.slug(),
                    page.title(),
                    numbers,
                    counts,
                    ChoiceCounts.of(ChoiceSpots.of(page.html(), there)).write()));
        }
        return new SiteUses(choosing, pages);
    }

    String write() {
        return Json.writeCompact(Map.of(
                "chosen",
                chosen,
                "roles",
                pages.isEmpty() ? List.of() : List.copyOf(pages.get(0).numbers.keySet()),
                "pages",
                pages.stream()
                        .map(page -> List.of(page.page, page.title, page.write(), page.choices))
                        .toList()));
    }

    static SiteUses read(String text) {
        if (text.isEmpty()) return OUTDATED;
        Map<String, Object> all = Json.readObject("Uses of a site", text);
        if (!(all.get("roles") instanceof List<?> paths)) return OUTDATED;
        Map<String, Integer> numbers = new LinkedHashMap<>();
        for (Object path : paths) numbers.put(Json.string("role", path), numbers.size());
        List<PageUses> pages = new ArrayList<>();
        for (Object one : Json.list("pages", all.get("pages"))) {
            List<?> page = Json.list("page", one);
            pages.add(new PageUses(
                    Json.string("page", page.get(0)),
                    Json.string("title", page.get(1)),
                    numbers,
                    PageUses.read(Json.string("counts", page.get(2)), numbers.size()),
                    Json.string("choices", page.get(3))));
        }
        return new SiteUses(Json.string("chosen", all.get("chosen")), pages);
    }
}
