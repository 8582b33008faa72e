package org.umberloom.app.site;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.umberloom.core.json.Json;
import org.umberloom.core.site.RoleGroups;
import org.umberloom.core.site.SchemePolicy;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.Strays;

/**
 * What is counted of a site when it is stored, so that many sites can be shown without reading them.
 *
 * @param pages     in order
 * @param overrides how many values and choices its own places hold, by the group of roles
 * @param strays    how many, by the group of roles that they hide
 */
record SiteFacts(
        int form,
        List<PageFact> pages,
        Map<String, String> look,
        SchemePolicy scheme,
        Map<String, Integer> overrides,
        Map<String, Integer> strays) {
    /** Counts that another version made are made anew. */
    static final int FORM = 7;

    /** Of a site that cannot be read. */
    static final SiteFacts NONE = new SiteFacts(FORM, List.of(), Map.of(), SchemePolicy.READER, Map.of(), Map.of());

    /** What a list of pages says of one. */
    record PageFact(String slug, String title, String kind) {}

    Set<String> kinds() {
        Set<String> kinds = new LinkedHashSet<>();
        pages.forEach(page -> kinds.add(page.kind));
        return kinds;
    }

    /** @param found its strays */
    static SiteFacts of(SiteDocument site, List<Strays.Stray> found) {
        Map<String, Integer> overrides = new TreeMap<>();
        site.written().forEach((place, tokens) -> RoleGroups.in(tokens)
                .forEach((group, count) -> overrides.merge(group, count, Integer::sum)));
        Map<String, Integer> strays = new TreeMap<>();
        found.forEach(stray -> strays.merge(stray.group(), 1, Integer::sum));
        List<PageFact> pages = site.pages().stream()
                .map(page -> new PageFact(page.slug(), page.title(), page.kind()))
                .toList();
        return new SiteFacts(FORM, pages, site.look(), site.scheme(), overrides, strays);
    }

    String write() {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("form", form);
        data.put(
                "pages",
                pages.stream()
                        .map(page -> List.of(page.slug, page.title, page.kind))
                        .toList());
        data.put("look", look);
        data.put("scheme", scheme.id());
        data.put("overrides", overrides);
        data.put("strays", strays);
        return Json.writeCompact(data);
    }

    static SiteFacts read(String text) {
        Map<String, Object> data = Json.readObject("Facts of a site", text);
        return new SiteFacts(
                (int) Json.number("form", data.get("form")),
                pages(data.get("pages")),
                look(data.get("look")),
                SchemePolicy.byId(Json.string("scheme", data.get("scheme"))),
                counts(data.get("overrides")),
                counts(data.get("strays")));
    }

    /** What an earlier version counted is counted again in any case. */
    private static List<PageFact> pages(Object data) {
        if (!(data instanceof List<?> all)) return List.of();
        return all.stream()
                .map(one -> Json.list("page", one))
                .map(page -> new PageFact(
                        Json.string("slug", page.get(0)),
                        Json.string("title", page.get(1)),
                        Json.string("kind", page.get(2))))
                .toList();
    }

    private static Map<String, String> look(Object data) {
        Map<String, String> look = new LinkedHashMap<>();
        Json.object("look", data).forEach((modifier, context) -> look.put(modifier, Json.string(modifier, context)));
        return look;
    }

    private static Map<String, Integer> counts(Object data) {
        Map<String, Integer> counts = new TreeMap<>();
        Json.object("counts", data).forEach((group, count) -> counts.put(group, (int) Json.number(group, count)));
        return counts;
    }
}
