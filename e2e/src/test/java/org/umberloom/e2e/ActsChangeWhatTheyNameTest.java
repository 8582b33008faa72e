package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Difference;
import org.umberloom.core.theme.ThemeDocument;

/** Whatever is done through the application changes what it names: everything else, in every theme and site, stays to the byte. */
class ActsChangeWhatTheyNameTest {
    private static final Loom LOOM = Loom.withDemo();

    private Client client;
    private String theme;
    private String other;
    private String site;
    private String neighbor;

    @BeforeEach
    void aThemeWithTwoSites() throws Exception {
        client = new Client(LOOM.address()).signedIn();
        theme = number(client.send("POST", "/api/themes/1/copy", "{\"name\":\"Named\"}")
                .body());
        other = client.newTheme("Named otherwise");
        site = copyOf("freight");
        neighbor = copyOf("trust");
    }

    private String copyOf(String of) throws Exception {
        String slug = (String) Released.object(client.send("POST", "/api/sites/" + of + "/copy", "{\"name\":\"\"}"))
                .get("slug");
        use(slug, theme);
        return slug;
    }

    private void use(String slug, String theme) throws Exception {
        assertThat(client.send("PUT", "/api/sites/" + slug + "/theme", "{\"theme\":" + theme + ",\"fitted\":true}")
                        .statusCode())
                .isEqualTo(200);
    }

    private static String number(String created) {
        return created.replaceAll("\\D", "");
    }

    private Map<String, byte[]> files(String of) throws Exception {
        return KitArchive.read(client.download(
                of.startsWith("theme ")
                        ? "/api/themes/" + of.substring(6) + "/kit.zip?fonts=false"
                        : "/api/sites/" + of.substring(5) + "/archive.zip"));
    }

    private ThemeDocument document() throws Exception {
        return KitManifest.theme(files("theme " + theme));
    }

    /** Every file of every theme and site that could be touched, by whose it is. */
    private Map<String, Map<String, byte[]>> everything() throws Exception {
        Map<String, Map<String, byte[]>> all = new LinkedHashMap<>();
        for (String id : List.of("1", theme, other)) all.put("theme " + id, files("theme " + id));
        for (String slug : List.of("freight", "trust", site, neighbor)) all.put("site " + slug, files("site " + slug));
        return all;
    }

    /** Whose files differ. */
    private Set<String> changed(Map<String, Map<String, byte[]>> before) throws Exception {
        Set<String> changed = new TreeSet<>();
        everything().forEach((of, files) -> {
            Map<String, byte[]> was = before.get(of);
            boolean same = was.keySet().equals(files.keySet())
                    && files.entrySet().stream()
                            .allMatch(file -> Arrays.equals(file.getValue(), was.get(file.getKey())));
            if (!same) changed.add(of);
        });
        return changed;
    }

    private void done(String method, String path, String body) throws Exception {
        var answer = client.send(method, path, body);
        assertThat(answer.statusCode()).as(path + ": " + answer.body()).isEqualTo(200);
    }

    private int revision() throws Exception {
        return ((Number) Released.object(client.send("GET", "/api/themes/" + theme, ""))
                        .get("revision"))
                .intValue();
    }

    private Map<String, Object> firstColor() throws Exception {
        return Json.list(
                        "strays",
                        Released.object(client.send("GET", "/api/sites/" + site, ""))
                                .get("strays"))
                .stream()
                .map(stray -> Json.object("stray", stray))
                .filter(stray -> !((String) stray.get("css")).isEmpty())
                .findFirst()
                .orElseThrow();
    }

    private String named(Map<String, Object> stray) {
        return Json.writeCompact(List.of(Map.of("site", site, "id", stray.get("id"))));
    }

    @Test
    void aHardCodedValueAddedToTheThemeIsOneTokenMoreAndNothingLess() throws Exception {
        Map<String, Map<String, byte[]>> before = everything();
        ThemeDocument was = document();
        done(
                "POST",
                "/api/strays/lift",
                "{\"theme\":" + theme + ",\"path\":\"color.freightorange\",\"reason\":\"used often\",\"strays\":"
                        + named(firstColor()) + "}");
        assertThat(changed(before)).containsExactlyInAnyOrder("site " + site, "theme " + theme);
        assertThat(Difference.entries(was, document())).singleElement().satisfies(entry -> {
            assertThat(entry.path().dotted()).isEqualTo("color.freightorange");
            assertThat(entry.before()).isEmpty();
        });
    }

    @Test
    void aHardCodedValueReturnedToTheThemeChangesItsSiteAlone() throws Exception {
        Map<String, Map<String, byte[]>> before = everything();
        done("POST", "/api/strays/return", "{\"strays\":" + named(firstColor()) + "}");
        assertThat(changed(before)).containsExactly("site " + site);
    }

    @Test
    void whatASiteIsGivenChangesThatSite() throws Exception {
        Map<String, Map<String, byte[]>> before = everything();
        done("PUT", "/api/sites/" + site + "/look", "{\"contexts\":{\"density\":\"roomy\"},\"scheme\":\"dark\"}");
        done(
                "PUT",
                "/api/sites/" + site + "/nameplate",
                "{\"name\":\"Other\",\"tagline\":\"\",\"logo\":\"\",\"logoDark\":\"\",\"icon\":\"\"}");
        done("PUT", "/api/sites/" + site + "/css", "{\"css\":\"h2 { rotate: 1deg; }\"}");
        done("POST", "/api/sites/" + site + "/undo", "");
        assertThat(changed(before)).containsExactly("site " + site);
    }

    @Test
    void aThemeTriedOnAndTakenOffAgainLeavesTheSiteAsItWas() throws Exception {
        Map<String, Map<String, byte[]>> before = everything();
        use(neighbor, other);
        assertThat(changed(before)).isSubsetOf("site " + neighbor);
        use(neighbor, theme);
        assertThat(changed(before)).isEmpty();
    }

    @Test
    void aValueOfOnePageKindInOneSchemeIsAllThatChanges() throws Exception {
        Map<String, Map<String, byte[]>> before = everything();
        ThemeDocument was = document();
        done(
                "POST",
                "/api/themes/" + theme + "/edits",
                "{\"base\":" + revision() + ",\"edit\":{\"op\":\"value\",\"place\":\"scope:kind=article\","
                        + "\"path\":\"surface.page.link\",\"text\":\"#123456\",\"scheme\":\"light\"}}");
        assertThat(changed(before)).containsExactly("theme " + theme);
        assertThat(Difference.entries(was, document())).singleElement().satisfies(entry -> {
            assertThat(entry.place()).hasToString("scope:kind=article/scheme/light");
            assertThat(entry.path().dotted()).isEqualTo("surface.page.link");
        });
        done("POST", "/api/themes/" + theme + "/undo", "{\"base\":" + revision() + ",\"combo\":\"\",\"bays\":[]}");
        assertThat(changed(before)).isEmpty();
    }

    @Test
    void aFixChangesTheTokenThatItNamesAndAcceptingChangesNothing() throws Exception {
        Map<String, Map<String, byte[]>> before = everything();
        ThemeDocument was = document();
        Map<String, Object> report = Released.object(client.send("GET", "/api/themes/" + theme + "/findings", ""));
        List<Map<String, Object>> entries = Json.list("entries", report.get("entries")).stream()
                .map(entry -> Json.object("entry", entry))
                .toList();
        done("PUT", "/api/themes/" + theme + "/findings/" + entries.get(0).get("id"), "{\"reason\":\"known\"}");
        assertThat(changed(before)).isEmpty();
        Map<String, Object> fixed = entries.stream()
                .filter(entry -> entry.get("kind").equals("tight-lines"))
                .findFirst()
                .orElseThrow();
        Map<String, Object> fix =
                Json.object("fix", Json.list("fixes", fixed.get("fixes")).get(0));
        done(
                "POST",
                "/api/themes/" + theme + "/edits",
                "{\"base\":" + report.get("revision").toString().replace(".0", "") + ",\"edit\":"
                        + Json.writeCompact(fix.get("edit")) + "}");
        assertThat(changed(before)).containsExactly("theme " + theme);
        assertThat(Difference.entries(was, document()))
                .singleElement()
                .satisfies(entry -> assertThat(entry.path().dotted()).isEqualTo(fixed.get("path")));
    }
}
