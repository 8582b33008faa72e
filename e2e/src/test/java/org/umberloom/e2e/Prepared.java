package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Pattern;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Starter;

/** What a test begins with, made without the screens that make it; they have tests of their own. */
final class Prepared {
    private Prepared() {}

    /** What has to come with every change. */
    static String token(Page page) {
        return page.context().cookies().stream()
                .filter(cookie -> cookie.name.equals("XSRF-TOKEN"))
                .map(cookie -> cookie.value)
                .findFirst()
                .orElse("");
    }

    /** What the application answers to somebody who is signed in on a page. */
    static Map<String, Object> sent(Page page, String method, String path, String body) {
        APIResponse answer = page.request()
                .fetch(
                        path,
                        RequestOptions.create()
                                .setMethod(method)
                                .setHeader("Content-Type", "application/json")
                                .setHeader("X-XSRF-TOKEN", token(page))
                                .setData(body));
        assertThat(answer.ok()).as(method + " " + path + ": " + answer.text()).isTrue();
        return answer.text().isEmpty() ? Map.of() : Json.readObject("answer", answer.text());
    }

    /** The button of the bench that says how many findings there are. */
    static Locator findings(Page page) {
        return page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("^(\\d+ findings?|No findings)$")));
    }

    /** A new theme's number. */
    static String theme(Page page, String name, String starter) {
        String id = Starter.ALL.stream()
                .filter(one -> one.name().equals(starter))
                .findFirst()
                .orElseThrow()
                .id();
        return number(
                sent(page, "POST", "/api/themes", Json.write(Map.of("name", name, "starter", id, "seed", "#3b5f8a"))));
    }

    /** The number of a theme that is called so. */
    static String number(Page page, String theme) {
        String asked = "/api/themes?search=" + URLEncoder.encode(theme, StandardCharsets.UTF_8);
        return Json.list(
                        "cards",
                        Json.readObject("themes", page.request().get(asked).text())
                                .get("cards"))
                .stream()
                .map(card -> Json.object("card", card))
                .filter(card -> card.get("name").equals(theme))
                .map(Prepared::number)
                .findFirst()
                .orElseThrow();
    }

    private static String number(Map<String, Object> of) {
        return Long.toString(((Number) of.get("id")).longValue());
    }

    static String copyOfTheme(Page page, String theme) {
        return number(sent(page, "POST", "/api/themes/" + number(page, theme) + "/copy", "{\"name\":\"\"}"));
    }

    /** A copy of a site, by the name that stands in addresses. */
    static String copyOf(Page page, String site) {
        return (String) sent(page, "POST", "/api/sites/" + site + "/copy", "{\"name\":\"\"}")
                .get("slug");
    }

    static void wears(Page page, String site, String theme) {
        sent(page, "PUT", "/api/sites/" + site + "/theme", "{\"theme\":" + theme + ",\"fitted\":false}");
    }
}
