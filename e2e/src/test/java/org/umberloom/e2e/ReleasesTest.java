package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.umberloom.core.json.Json;

/** Releases: what they would change, being made, on their way to sites, and as kits that stay the same. */
class ReleasesTest {
    private static final Loom LOOM = Loom.withDemo();

    private static List<?> list(Map<String, Object> of, String name) {
        return (List<?>) of.get(name);
    }

    private static Client somebody() throws Exception {
        return new Client(LOOM.address()).signedIn();
    }

    /** A copy of the demo's theme, worn by copies of two of its sites. */
    private record House(Client client, long theme, List<String> sites) {
        static House of(String name) throws Exception {
            Client client = somebody();
            Map<String, Object> found = Released.object(client.send("GET", "/api/themes?search=Tern", ""));
            long demo = list(found, "cards").stream()
                    .map(card -> (Map<?, ?>) card)
                    .filter(card -> card.get("name").equals("Tern Passage"))
                    .map(card -> ((Number) card.get("id")).longValue())
                    .findFirst()
                    .orElseThrow();
            long theme = ((Number) Released.object(
                                    client.send("POST", "/api/themes/" + demo + "/copy", "{\"name\":\"" + name + "\"}"))
                            .get("id"))
                    .longValue();
            List<String> sites = new ArrayList<>();
            for (String site : List.of("crossings", "galley")) {
                String slug = (String) Released.object(client.send(
                                "POST", "/api/sites/" + site + "/copy", "{\"name\":\"" + name + " " + site + "\"}"))
                        .get("slug");
                assertThat(client.send(
                                        "PUT",
                                        "/api/sites/" + slug + "/theme",
                                        "{\"theme\":" + theme + ",\"fitted\":false}")
                                .statusCode())
                        .isEqualTo(200);
                sites.add(slug);
            }
            return new House(client, theme, sites);
        }

        String path() {
            return "/api/themes/" + theme;
        }

        int revision() throws Exception {
            return ((Number) Released.object(client.send("GET", path() + "/releases", ""))
                            .get("revision"))
                    .intValue();
        }

        void edit(String path, String text) throws Exception {
            edit(Asked.value(path, text));
        }

        void edit(String fields) throws Exception {
            HttpResponse<String> answer = client.send("POST", path() + "/edits", Asked.edit(revision(), fields));
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        }

        HttpResponse<String> release(String number) throws Exception {
            return client.send(
                    "POST",
                    path() + "/releases",
                    "{\"revision\":" + revision() + ",\"number\":\"" + number
                            + "\",\"notes\":\"- As it is.\",\"reason\":\"it is a test\"}");
        }
    }

    @Test
    void aReleaseIsLookedAtMadeAndRolledOutInStages() throws Exception {
        House house = House.of("Ebb");
        assertThat(house.release("1.0.0").statusCode()).isEqualTo(200);
        house.edit("color.sea.seed", "#7a2b4a");
        house.edit("shape.radius", "14px");
        Page page = Browsers.signedIn(LOOM, ColorScheme.LIGHT);
        try {
            page.navigate(LOOM.address() + "/releases/" + house.theme);
            assertThat(page.getByRole(
                            AriaRole.HEADING, new Page.GetByRoleOptions().setName("What the draft would change")))
                    .isVisible();
            Locator changes = page.getByLabel("What changes");
            assertThat(changes.locator("figure")).hasCount(2);
            assertThat(changes.locator("figure").first()).containsText("color.sea.seed");
            // The pages before and after are the real ones, and what looks otherwise is outlined.
            changes.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Outlined"))
                    .click();
            changes.getByTestId("changed-region").first().waitFor();
            assertThat(changes.getByText("places look otherwise")).isVisible();

            Locator panel = page.getByLabel("The next release");
            assertThat(panel.getByRole(AriaRole.RADIO).first()).hasText("1.0.1");
            panel.getByRole(AriaRole.RADIO, new Locator.GetByRoleOptions().setName("1.1.0"))
                    .click();
            panel.getByLabel("Notes for editors of the sites").fill("Heather in place of salt blue.");
            Locator reason = panel.getByLabel("Why it is released all the same");
            if (reason.isVisible()) reason.fill("it is a test");
            panel.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Release 1.1.0"))
                    .click();
            Locator made = page.getByLabel("Release 1.1.0");
            assertThat(made).containsText("Heather in place of salt blue.");

            made.getByLabel("Ebb galley").check();
            made.getByLabel("when let go by hand").check();
            made.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Roll out to 1 site first"))
                    .click();
            assertThat(made.getByText("waits for you")).isVisible();
            assertThat(page.getByLabel("Sites on 1.1.0")).hasText("Ebb galley");
            made.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Next stage now"))
                    .click();
            assertThat(made.getByText("all stages went")).isVisible();
            assertThat(page.getByLabel("Sites on 1.1.0").getByRole(AriaRole.LISTITEM))
                    .hasCount(2);
            // What was found after each stage, and what readers see of it.
            assertThat(made.getByText("new was found after it")
                            .or(made.getByText("is new"))
                            .or(made.getByText("are new")))
                    .hasCount(2);
            made.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Publish 2 sites with it"))
                    .click();
            Locator readers = made.getByLabel("What readers see of 1.1.0").getByRole(AriaRole.LISTITEM);
            assertThat(readers.filter(new Locator.FilterOptions().setHasText(Pattern.compile("live$"))))
                    .hasCount(2);
            assertThat(Released.object(house.client.send("GET", "/api/sites/" + house.sites.get(1) + "/builds", ""))
                            .get("live"))
                    .isEqualTo(1.0);
            made.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take all of it back"))
                    .click();
            assertThat(made.getByText("taken back; every site stands")).isVisible();
            assertThat(page.getByLabel("Sites on 1.1.0").getByRole(AriaRole.LISTITEM))
                    .hasCount(0);

            // The site itself takes it by hand, and says what it stood on.
            page.navigate(LOOM.address() + "/sites/" + house.sites.get(0));
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take 1.1.0"))
                    .click();
            assertThat(page.getByLabel("What it stood on")
                            .getByRole(AriaRole.LISTITEM)
                            .first())
                    .containsText("1.1.0 taken");
        } finally {
            page.context().close();
        }
    }

    /** A release of an earlier state holds that state, and neither more nor less. */
    @Test
    void anEarlierStateIsReleased() throws Exception {
        House house = House.of("Spring");
        assertThat(house.release("1.0.0").statusCode()).isEqualTo(200);
        house.edit("shape.radius", "9px");
        String named = "r" + house.revision();
        assertThat(house.client
                        .send(
                                "PUT",
                                house.path() + "/checkpoints",
                                "{\"number\":" + house.revision() + ",\"name\":\"Rounder\"}")
                        .statusCode())
                .isLessThan(300);
        house.edit("shape.radius", "21px");
        Page page = Browsers.signedIn(LOOM, ColorScheme.LIGHT);
        try {
            page.navigate("/releases/" + house.theme);
            page.getByLabel("What is released").selectOption("Rounder");
            assertThat(page.getByRole(
                            AriaRole.HEADING, new Page.GetByRoleOptions().setName("What “Rounder” would change")))
                    .isVisible();
            Locator panel = page.getByLabel("The next release");
            Locator reason = panel.getByLabel("Why it is released all the same");
            if (reason.isVisible()) reason.fill("it is a test");
            panel.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Release 1.0.1"))
                    .click();
            page.getByLabel("Release 1.0.1").waitFor();
        } finally {
            page.context().close();
        }
        for (String[] than : new String[][] {{named, "false"}, {"draft", "true"}})
            assertThat(Released.object(
                                    house.client.send("GET", house.path() + "/difference?from=1.0.1&to=" + than[0], ""))
                            .get("any"))
                    .as(than[0])
                    .isEqualTo(Boolean.valueOf(than[1]));
    }

    /** Text that became too light is found on every site that took it, and is gone again where a site took what mends it. */
    @Test
    void whatWasFoundAfterAStageIsTold() throws Exception {
        House house = House.of("Slack");
        assertThat(house.release("1.0.0").statusCode()).isEqualTo(200);
        rolledOut(house, "1.0.0");
        house.edit(
                "\"op\":\"value\",\"place\":\"set:roles\",\"path\":\"surface.page.text\",\"text\":\"{color.ink.30}\"");
        assertThat(house.release("1.0.1").statusCode()).isEqualTo(200);
        for (Map<String, Object> site : found(house, rolledOut(house, "1.0.1"))) {
            assertThat(((Number) site.get("must")).intValue()).isPositive();
            assertThat(list(site, "told").toString()).contains("weight=must").contains("4.5");
        }
        house.edit(
                "\"op\":\"value\",\"place\":\"set:roles\",\"path\":\"surface.page.text\",\"text\":\"{color.ink.100}\"");
        assertThat(house.release("1.0.2").statusCode()).isEqualTo(200);
        for (Map<String, Object> site : found(house, rolledOut(house, "1.0.2"))) {
            assertThat(((Number) site.get("must")).intValue()).isZero();
            assertThat(((Number) site.get("gone")).intValue()).isPositive();
        }
    }

    /** The number of a roll-out that brought a release to both sites at once. */
    private static long rolledOut(House house, String release) throws Exception {
        return ((Number) Released.object(house.client.send(
                                "POST",
                                house.path() + "/rollouts",
                                "{\"release\":\"" + release + "\",\"stages\":[{\"sites\":[\""
                                        + String.join("\",\"", house.sites) + "\"],\"waitHours\":0}]}"))
                        .get("id"))
                .longValue();
    }

    private static List<Map<String, Object>> found(House house, long rollout) throws Exception {
        HttpResponse<String> answer = house.client.send("GET", house.path() + "/rollouts/" + rollout + "/found", "");
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        List<?> stages = list(Json.readObject("found", "{\"stages\":" + answer.body() + "}"), "stages");
        assertThat(stages).hasSize(1);
        List<Map<String, Object>> sites = Json.list(
                        "sites", Json.object("stage", stages.get(0)).get("sites"))
                .stream()
                .map(site -> Json.object("site", site))
                .toList();
        assertThat(sites).hasSize(2);
        return sites;
    }

    @Test
    void aNumberThatIsTooLowIsRefusedAndAKitOfAReleaseStaysTheSame() throws Exception {
        House house = House.of("Flood");
        assertThat(house.release("1.0.0").statusCode()).isEqualTo(200);
        String kit = house.path() + "/kit.zip?site=" + house.sites.get(1) + "&state=1.0.0&forms=scss&forms=gpl";
        byte[] before = house.client.download(kit);
        assertThat(house.release("1.0.1").body()).contains("nothing to release");
        house.edit(
                "\"op\":\"newToken\",\"place\":\"set:base\",\"type\":\"color\",\"path\":\"color.new\",\"text\":\"#123456\"");
        HttpResponse<String> low = house.release("1.0.1");
        assertThat(low.statusCode()).isEqualTo(400);
        assertThat(low.body()).contains("1.1.0 or 2.0.0").contains("color.new is new");
        assertThat(house.release("1.1.0-trial.1").statusCode()).isEqualTo(200);
        assertThat(house.release("1.1.0").statusCode()).isEqualTo(200);
        assertThat(house.client.download(kit)).isEqualTo(before);
        assertThat(house.client.download(kit.replace("1.0.0", "latest")))
                .isEqualTo(house.client.download(kit.replace("1.0.0", "1.1.0")))
                .isNotEqualTo(before);
        assertThat(house.client.send("GET", kit.replace("1.0.0", "9.9.9"), "").statusCode())
                .isEqualTo(404);
    }

    /** Half as wide a column takes more lines, and none fewer; a phone's window, which is narrower than both, takes the same. */
    @Test
    void textsThatTakeOtherLinesAreNamed() throws Exception {
        House house = House.of("Rip");
        assertThat(house.release("1.0.0").statusCode()).isEqualTo(200);
        String detail = house.path() + "/impact/site?from=1.0.0&to=draft&site=" + house.sites.get(0);
        assertThat(list(Released.object(house.client.send("GET", detail, "")), "lines"))
                .isEmpty();
        house.edit("width.text", "24rem");
        Map<String, Object> changed = Released.object(house.client.send("GET", detail, ""));
        List<Map<?, ?>> lines = list(changed, "lines").stream()
                .<Map<?, ?>>map(one -> (Map<?, ?>) one)
                .toList();
        assertThat(lines).isNotEmpty().allSatisfy(one -> {
            assertThat(((Number) one.get("after")).intValue()).isGreaterThan(((Number) one.get("before")).intValue());
            assertThat(((Number) one.get("window")).intValue()).isGreaterThan(390);
        });
        assertThat(((Number) changed.get("after")).longValue()).isBetween(2_000L, 9_000L);
    }

    /** Two leads release the same draft at one time: two numbers, or one clear refusal; never one number twice. */
    @Test
    void twoWhoReleaseAtOnceGetTwoNumbersOrARefusal() throws Exception {
        House house = House.of("Slack");
        assertThat(house.release("1.0.0").statusCode()).isEqualTo(200);
        house.edit("shape.radius", "9px");
        int revision = house.revision();
        ExecutorService two = Executors.newFixedThreadPool(2);
        List<HttpResponse<String>> answers = new ArrayList<>();
        try {
            List<Future<HttpResponse<String>>> asked = new ArrayList<>();
            for (String number : List.of("1.0.1", "1.0.1")) {
                Client lead = somebody();
                Callable<HttpResponse<String>> release = () -> lead.send(
                        "POST",
                        house.path() + "/releases",
                        "{\"revision\":" + revision + ",\"number\":\"" + number
                                + "\",\"notes\":\"\",\"reason\":\"it is a test\"}");
                asked.add(two.submit(release));
            }
            for (Future<HttpResponse<String>> one : asked) answers.add(one.get());
        } finally {
            two.shutdownNow();
        }
        assertThat(answers.stream().map(HttpResponse::statusCode)).containsExactlyInAnyOrder(200, 409);
        assertThat(answers.stream()
                        .filter(one -> one.statusCode() == 409)
                        .findFirst()
                        .orElseThrow()
                        .body())
                .contains("1.0.1")
                .contains("Nothing was released");
    }

    /** Painted properties that a role sets; what follows from layout alone is none of them. */
    private static final String CHANGED =
            """
            ([before, after, named]) => {
              const names = ['color', 'background-color', 'border-top-color', 'border-bottom-color', 'border-top-left-radius',
                'border-top-width', 'box-shadow', 'font-family', 'font-size', 'font-weight', 'line-height', 'letter-spacing',
                'text-decoration-color', 'text-decoration-line', 'text-transform', 'border-left-width', 'border-bottom-width',
                'background-image', 'text-align', 'padding-top', 'padding-left', 'margin-top', 'row-gap', 'max-width'];
              // The way to a folded menu is added where a page is shown.
              const written = '*:not(header > [data-part=menu-way])';
              const all = (frame) => [frame.contentDocument.body, ...frame.contentDocument.body.querySelectorAll(written)];
              const one = all(document.querySelector(before)), other = all(document.querySelector(after));
              const style = (e) => e.ownerDocument.defaultView.getComputedStyle(e);
              const own = [], any = [];
              other.forEach((element, at) => {
                const differ = names.filter((name) => style(one[at])[name] !== style(element)[name]);
                if (differ.length) any.push(at);
                const parent = other.indexOf(element.parentElement);
                // Handed down: the parent changed in the same way.
                const handed = (name) => parent >= 0 && style(one[parent])[name] === style(one[at])[name]
                  && style(other[parent])[name] === style(element)[name];
                // Colors that are the color of the letters.
                const letters = (name) => name.endsWith('color') && name !== 'background-color' && name !== 'color'
                  && style(element)[name] === style(element).color && style(one[at])[name] === style(one[at]).color;
                if (differ.some((name) => !handed(name) && !letters(name))) own.push(at);
              });
              // Some are named for what shows only while they have the focus.
              for (const at of named) {
                if (any.includes(at)) continue;
                one[at].focus();
                other[at].focus();
                if (style(one[at]).outlineColor !== style(other[at]).outlineColor) any.push(at);
              }
              return { own, any };
            }
            """;

    /** Spots that are named are those whose computed style changes in Chromium, save what is handed down from them. */
    @Test
    void impactIsWhatChromiumShows() throws Exception {
        House house = House.of("Neap");
        assertThat(house.release("1.0.0").statusCode()).isEqualTo(200);
        int released = house.revision();
        Page page = Browsers.signedIn(LOOM, ColorScheme.LIGHT);
        int named = 0;
        try {
            for (String[] edit : new String[][] {
                {"color.sea.seed", "#7a2b4a"},
                {"color.lantern.seed", "#2b7a4a"},
                {"shape.radius", "15px"},
                {"weight.heading", "500"},
                {"gap.section", "{space.5}"}
            }) {
                if (edit[0].startsWith("gap"))
                    house.edit(Asked.value(edit[0], edit[1]).replace("set:base", "set:roles"));
                else house.edit(edit[0], edit[1]);
                for (Object site : list(
                        Released.object(house.client.send("GET", house.path() + "/impact?from=1.0.0&to=draft", "")),
                        "sites")) named += compare(house, page, released, (Map<?, ?>) site, edit[0]);
                house.edit("\"op\":\"value\",\"place\":\"set:" + (edit[0].startsWith("gap") ? "roles" : "base")
                        + "\",\"path\":\"" + edit[0] + "\",\"text\":\"" + original(edit[0]) + "\"");
            }
            // Several choices at once, each of which reaches other elements.
            for (String[] choice : new String[][] {
                {"links", "never"},
                {"heading-case", "capitals"},
                {"quote", "mark"},
                {"table-rows", "banded"},
                {"buttons", "outlined"}
            })
                house.edit("\"op\":\"choose\",\"place\":\"set:roles\",\"choice\":\"" + choice[0] + "\",\"value\":\""
                        + choice[1] + "\"");
            int chosen = 0;
            for (Object site : list(
                    Released.object(house.client.send("GET", house.path() + "/impact?from=1.0.0&to=draft", "")),
                    "sites")) chosen += compare(house, page, released, (Map<?, ?>) site, "choices");
            assertThat(chosen).isGreaterThan(50);
        } finally {
            page.context().close();
        }
        assertThat(named).isGreaterThan(100);
    }

    private static String original(String path) {
        return switch (path) {
            case "color.sea.seed" -> "#1c6076";
            case "color.lantern.seed" -> "#c8571f";
            case "shape.radius" -> "6px";
            case "weight.heading" -> "680";
            default -> "{space.8}";
        };
    }

    /** The two pages of a site on which most changes. @return how many spots are named on them */
    private static int compare(House house, Page page, int released, Map<?, ?> site, String what) throws Exception {
        int named = 0;
        for (Object one : ((List<?>) site.get("pages")).stream().limit(2).toList())
            named += compare(
                    house, page, released, (String) site.get("slug"), (String) ((Map<?, ?>) one).get("page"), what);
        return named;
    }

    private static int compare(House house, Page page, int released, String site, String slug, String what)
            throws Exception {
        Map<String, Object> answer = Released.object(house.client.send(
                "GET",
                house.path() + "/impact/spots?from=1.0.0&to=draft&site=" + site + "&page=" + slug + "&scheme=light",
                ""));
        Set<Integer> spots = new LinkedHashSet<>();
        ((Map<?, ?>) answer.get("spots")).keySet().forEach(at -> spots.add(Integer.parseInt((String) at)));
        String path = "/preview/" + house.theme + "/%s/site/" + site + "/" + slug + ".html?still=true";
        page.navigate(LOOM.address() + "/library");
        page.evaluate(
                "([one, other]) => { document.body.innerHTML = '<iframe id=one width=1280 height=900></iframe><iframe id=other "
                        + "width=1280 height=900></iframe>'; document.getElementById('one').src = one; "
                        + "document.getElementById('other').src = other; }",
                List.of(path.formatted(released), path.formatted("draft")));
        page.waitForFunction(
                "() => ['one', 'other'].every((id) => { const d = document.getElementById(id)?.contentDocument; "
                        + "return d?.readyState === 'complete' && d.body?.childElementCount > 0 && d.location.href !== 'about:blank'; })");
        Map<?, ?> seen = (Map<?, ?>) page.evaluate(CHANGED, List.of("#one", "#other", List.copyOf(spots)));
        String where = what + " on " + slug + " of " + site;
        assertThat(spots)
                .as("%s: every element that changes by itself is named", where)
                .containsAll(numbers(seen.get("own")));
        assertThat(numbers(seen.get("any")))
                .as("%s: every element that is named changes", where)
                .containsAll(spots);
        return spots.size();
    }

    private static Set<Integer> numbers(Object list) {
        Set<Integer> numbers = new LinkedHashSet<>();
        ((List<?>) list).forEach(one -> numbers.add(((Number) one).intValue()));
        return numbers;
    }

    /** Everything is reached by the keyboard: along the cloth by arrows, and from there on by tabs. */
    @Test
    void theClothIsWalkedByArrowKeys() throws Exception {
        House house = House.of("Bore");
        assertThat(house.release("1.0.0").statusCode()).isEqualTo(200);
        house.edit("shape.radius", "11px");
        assertThat(house.release("1.0.1").statusCode()).isEqualTo(200);
        Page page = Browsers.signedIn(LOOM, ColorScheme.LIGHT);
        try {
            page.navigate(LOOM.address() + "/releases/" + house.theme);
            Locator draft = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Draft"));
            draft.focus();
            page.keyboard().press("ArrowLeft");
            Locator newest = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("1.0.1"));
            assertThat(newest.first()).isFocused();
            assertThat(page.getByText("What 1.0.1 changed")).isVisible();
            page.keyboard().press("ArrowLeft");
            assertThat(page.getByText("1.0.0 is all of it")).isVisible();
        } finally {
            BrowserContext context = page.context();
            context.close();
        }
    }
}
