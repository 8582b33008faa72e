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
 * @param kinds     of its pages
 * @param overrides how many values and choices its own places hold, by the group of roles
 * @param strays    how many, by the group of roles that they hide
 */
record SiteFacts(
        int form,
        int pages,
        Set<String> kinds,
        Map<String, String> look,
        SchemePolicy scheme,
        Map<String, Integer> overrides,
        Map<String, Integer> strays) {
    /** Counts that another version made are made anew. */
    static final int FORM = 2;

    static SiteFacts of(SiteDocument site) {
        Map<String, Integer> overrides = new TreeMap<>();
        site.written().forEach((place, tokens) -> RoleGroups.in(tokens)
                .forEach((group, count) -> overrides.merge(group, count, Integer::sum)));
        Map<String, Integer> strays = new TreeMap<>();
        Strays.in(site).forEach(stray -> strays.merge(stray.group(), 1, Integer::sum));
        Set<String> kinds = new LinkedHashSet<>();
        site.pages().forEach(page -> kinds.add(page.kind()));
        return new SiteFacts(FORM, site.pages().size(), kinds, site.look(), site.scheme(), overrides, strays);
    }

    String write() {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("form", form);
        data.put("pages", pages);
        data.put("kinds", List.copyOf(kinds));
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
                (int) Json.number("pages", data.get("pages")),
                new LinkedHashSet<>(Json.list("kinds", data.get("kinds")).stream()
                        .map(String.class::cast)
                        .toList()),
                look(data.get("look")),
                SchemePolicy.byId(Json.string("scheme", data.get("scheme"))),
                counts(data.get("overrides")),
                counts(data.get("strays")));
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
