package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import org.umberloom.core.json.Json;

/**
 * A theme of its own with one release, worn by a copy of a demo site.
 *
 * @param theme its number
 * @param site  by the name that stands in addresses
 */
record Released(Client client, String theme, String site) {
    static Released called(Client client, String name) throws Exception {
        String theme = client.newTheme(name);
        String site = (String) object(client.send("POST", "/api/sites/galley/copy", "{\"name\":\"" + name + "\"}"))
                .get("slug");
        Released released = new Released(client, theme, site);
        released.release("1.0.0");
        assertThat(client.send("PUT", "/api/sites/" + site + "/theme", "{\"theme\":" + theme + ",\"fitted\":false}")
                        .statusCode())
                .isEqualTo(200);
        return released;
    }

    static Map<String, Object> object(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Json.readObject("answer", answer.body());
    }

    void edit(int revision, String path, String value) throws Exception {
        assertThat(client.send(
                                "POST",
                                "/api/themes/" + theme + "/edits",
                                Asked.edit(revision, Asked.value(path, value)))
                        .statusCode())
                .isEqualTo(200);
    }

    /** Puts the site on a release. */
    void take(String number) throws Exception {
        HttpResponse<String> taken = client.send(
                "POST",
                "/api/themes/" + theme + "/standing",
                "{\"site\":\"" + site + "\",\"release\":\"" + number + "\"}");
        assertThat(taken.statusCode()).as(taken.body()).isEqualTo(200);
    }

    /** Makes a build of the site; @return where its pages are, for everybody */
    String build() throws Exception {
        Map<String, Object> published = object(client.send("POST", "/api/sites/" + site + "/builds", ""));
        Object newest = Json.list("builds", published.get("builds")).get(0);
        return client.address() + Json.object("build", newest).get("address");
    }

    void release(String number) throws Exception {
        int revision = ((Number) object(client.send("GET", "/api/themes/" + theme + "/releases", ""))
                        .get("revision"))
                .intValue();
        object(client.send(
                "POST",
                "/api/themes/" + theme + "/releases",
                "{\"revision\":" + revision + ",\"number\":\"" + number
                        + "\",\"notes\":\"\",\"reason\":\"it is a test\"}"));
    }
}
