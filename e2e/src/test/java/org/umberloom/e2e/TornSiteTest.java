package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonParser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.SiteArchive;

/** A site whose row cannot be read: every other screen goes on, and what is stored of it is in the archive of everything. */
class TornSiteTest {
    private final Loom loom = Loom.withDemo();

    private static JsonArray listed(Map<String, byte[]> everything, String what) {
        return JsonParser.parseString(new String(everything.get("contents.json"), StandardCharsets.UTF_8))
                .getAsJsonObject()
                .getAsJsonArray(what);
    }

    @Test
    void itHarmsNoOtherScreenAndIsNamedInTheArchiveOfEverything() throws Exception {
        Client client = new Client(loom.address()).signedIn();
        String theme = client.newTheme("Wet sails");
        String made = client.send("POST", "/api/sites", "{\"name\":\"Wet quay\",\"theme\":" + theme + "}")
                .body();
        String slug = JsonParser.parseString(made).getAsJsonObject().get("slug").getAsString();
        loom.change("update site_part set content = '{\"torn\": 1' where name = 'page/index' and site_id = "
                + "(select id from site where slug = '" + slug + "')");
        loom.change("update site set facts = null, uses = null, revision = revision + 1 where slug = '" + slug + "'");

        for (String path : new String[] {
            "/api/cloth",
            "/api/sites-away",
            "/api/themes/" + theme + "/findings",
            "/api/themes/" + theme + "/pairs",
            "/api/themes/" + theme + "/pictures",
            "/api/themes/" + theme + "/standings",
            "/api/strays?theme=" + theme,
            "/api/themes/" + theme
        }) assertThat(client.send("GET", path, "").statusCode()).as(path).isEqualTo(200);
        assertThat(client.send("GET", "/api/themes/" + theme + "/findings", "").body())
                .contains("What is stored of this site cannot be read");
        HttpResponse<String> shown = client.send("GET", "/api/sites/" + slug, "");
        assertThat(shown.statusCode()).isEqualTo(422);
        assertThat(shown.body()).contains("is stored, but cannot be shown");

        Map<String, byte[]> everything = KitArchive.read(client.download("/api/everything.zip"));
        assertThat(new String(everything.get("sites/" + slug + "/stored/page.index.json"), StandardCharsets.UTF_8))
                .isEqualTo("{\"torn\": 1");
        JsonArray sites = listed(everything, "sites");
        for (JsonElement entry : sites) {
            String folder = entry.getAsJsonObject().get("folder").getAsString();
            boolean torn = folder.equals("sites/" + slug + "/");
            assertThat(entry.getAsJsonObject().has("asStored")).as(folder).isEqualTo(torn);
            if (torn) continue;
            Map<String, byte[]> site = new LinkedHashMap<>();
            everything.forEach((name, content) -> {
                if (name.startsWith(folder)) site.put(name.substring(folder.length()), content);
            });
            assertThat(SiteArchive.read("x", site).site().slug()).isEqualTo(folder.split("/")[1]);
        }
        String rows = client.send("GET", "/api/cloth", "").body();
        assertThat(sites.size())
                .as("every site that is listed is in it")
                .isGreaterThanOrEqualTo(JsonParser.parseString(rows)
                        .getAsJsonObject()
                        .getAsJsonArray("rows")
                        .size());

        Page page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        page.navigate("/sites");
        assertThat(page.getByText("Cannot be shown")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Wet quay Cannot be shown"))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("This site cannot be shown")))
                .isVisible();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Export what is stored")))
                .isVisible();
        page.getByLabel("Name of the site to delete").fill("Wet quay");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Delete for good"))
                .click();
        page.waitForURL("**/sites");
        page.context().close();
        assertThat(client.send("GET", "/api/sites/" + slug, "").statusCode()).isEqualTo(404);
    }
}
