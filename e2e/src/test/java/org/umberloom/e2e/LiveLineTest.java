package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.WebSocketRoute;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** The open line on which probes are asked while a pointer moves: what it answers, whom, and what happens when it is lost. */
class LiveLineTest {
    private final Loom loom = Loom.withDemo();

    private static String probe(String path, String text) {
        return Asked.probe(0, Asked.value(path, text));
    }

    @Nested
    class Spoken {
        private Client client;
        private String theme;

        @BeforeEach
        void makeATheme() throws Exception {
            client = new Client(loom.address()).signedIn();
            theme = client.send("POST", "/api/themes", "{\"name\":\"Spoken\",\"starter\":\"plain\"}")
                    .body()
                    .replaceAll("\\D", "");
        }

        private Client.Socket open() {
            return client.open("/api/themes/" + theme + "/live", loom.address());
        }

        @Test
        void itAnswersWhatARequestOfItsOwnWouldBe() throws Exception {
            Client.Socket socket = open();
            for (String seed : new String[] {"#204080", "oklch(0.6 0.15 30)", "rebeccapurple"}) {
                String asked = probe("color.brand.seed", seed);
                String byLine = socket.ask(asked);
                assertThat(byLine).contains("--color-brand-");
                assertThat(byLine)
                        .isEqualTo(client.send("POST", "/api/themes/" + theme + "/probe", asked)
                                .body());
            }
        }

        @Test
        void whatIsWrongIsSaidAndTheLineStaysOpen() throws Exception {
            Client.Socket socket = open();
            assertThat(socket.ask("sea-ish")).contains("\"status\":400").contains("must be an edit request in JSON");
            assertThat(socket.ask("{}"))
                    .contains("\"status\":400")
                    .contains("not complete: base is missing, edit is missing");
            assertThat(socket.ask(probe("color.brand.seed", "sea-ish")))
                    .contains("\"status\":400")
                    .contains("is not a color");
            assertThat(socket.ask(probe("color.brand.seed", "#204080"))).contains("--color-brand-");
        }

        @Test
        void aThemeThatIsNotThereIsSaidToBeMissing() throws Exception {
            for (String missing : new String[] {"999999", "sea", "-1", "99999999999999999999"})
                assertThat(client.open("/api/themes/" + missing + "/live", loom.address())
                                .closed
                                .get(20, TimeUnit.SECONDS))
                        .as(missing)
                        .isEqualTo(4404);
        }

        /** RFC 6455, 10.2: a server that is not for every page looks at the origin of who opens a socket. */
        @Test
        void strangersCannotOpenIt() {
            assertThatThrownBy(() -> client.open("/api/themes/" + theme + "/live", "http://elsewhere.example"))
                    .rootCause()
                    .hasMessageContaining("403");
            assertThatThrownBy(() -> new Client(loom.address()).open("/api/themes/" + theme + "/live", loom.address()))
                    .rootCause()
                    .hasMessageContaining("401");
        }

        /** Whoever opens it hears the newest revision at once, so that nothing is missed on the way there. */
        @Test
        void itAnnouncesTheNewestRevisionWhenItOpensAndEachThatFollows() throws Exception {
            client.send("POST", "/api/themes/" + theme + "/edits", Asked.edit(0, Asked.value("shape.radius", "9px")));
            Client.Socket socket = open();
            assertThat(socket.announced.poll(20, TimeUnit.SECONDS)).isEqualTo("{\"revision\":1}");
            client.send("POST", "/api/themes/" + theme + "/edits", Asked.edit(1, Asked.value("shape.radius", "10px")));
            assertThat(socket.announced.poll(20, TimeUnit.SECONDS)).isEqualTo("{\"revision\":2}");
        }

        /** Nothing is asked on it: it ends all the same. */
        @Test
        void itEndsWithTheSession() throws Exception {
            Client.Socket socket = open();
            assertThat(client.send("DELETE", "/api/session", "").statusCode()).isLessThan(300);
            assertThat(socket.closed.get(10, TimeUnit.SECONDS)).isEqualTo(4401);
        }

        /** RFC 6455, 7.4.1: 1009 is the code for a message that is too big. */
        @Test
        void aMessageThatIsTooLargeClosesIt() throws Exception {
            Client.Socket socket = open();
            socket.say(" ".repeat(300 * 1024));
            assertThat(socket.closed.get(10, TimeUnit.SECONDS)).isEqualTo(1009);
        }
    }

    @Nested
    class OnTheBench {
        private static final int MOST_DRAGS = 40;
        private final AtomicInteger ownRequests = new AtomicInteger();
        private final AtomicInteger opened = new AtomicInteger();
        private final AtomicReference<WebSocketRoute> line = new AtomicReference<>();
        private volatile boolean refuses;
        private Page page;

        @BeforeEach
        void openTheBench() {
            page = Browsers.signedIn(loom, ColorScheme.LIGHT);
            page.routeWebSocket(Pattern.compile(".*/live$"), route -> {
                opened.incrementAndGet();
                if (refuses) {
                    route.close();
                    return;
                }
                route.connectToServer();
                line.set(route);
            });
            page.onRequest(request -> {
                if (request.url().endsWith("/probe") && request.postData().contains("\"lean\":true"))
                    ownRequests.incrementAndGet();
            });
            Browsers.newThemeOnPages(page, "Lined", "Plain weave");
        }

        @AfterEach
        void close() {
            page.context().close();
        }

        /** Drags the hue, sees the page change while the button is down, and lets go outside of what would store it. */
        private void seeTheHueDragged(int px) {
            String before = Browsers.groundOfHero(page);
            Browsers.pressAndDragHue(page, px, 5);
            page.waitForCondition(() -> !Browsers.groundOfHero(page).equals(before));
            page.mouse().up();
            assertThat(page.getByTestId("saved-state")).containsText("Saved");
        }

        @Test
        void aDragNeedsNoRequestsOfItsOwn() {
            seeTheHueDragged(-40);
            assertThat(opened).hasValue(1);
            assertThat(ownRequests).hasValue(0);
        }

        /** Thumb and number with the pages, then the ramp, then what is told of it; nothing is stored by that. */
        @Test
        void whileTheButtonIsDownTheTrayFollowsThePages() {
            Locator hue = page.getByRole(
                    AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Hue").setExact(true));
            Locator shades = page.getByRole(
                    AriaRole.SLIDER,
                    new Page.GetByRoleOptions().setName("Shades of brand").setExact(true));
            Locator seed = page.getByRole(
                    AriaRole.TEXTBOX,
                    new Page.GetByRoleOptions().setName("Seed of brand").setExact(true));
            String ramp = shades.getAttribute("aria-valuetext");
            int before = Integer.parseInt(hue.getAttribute("aria-valuenow"));
            Browsers.pressAndDragHue(page, -30, 1);
            page.waitForCondition(() -> Math.abs(Integer.parseInt(hue.getAttribute("aria-valuenow")) - before) > 20);
            String degrees = hue.getAttribute("aria-valuenow");
            assertThat(hue).hasAttribute("aria-valuetext", degrees + "°");
            assertThat(seed).hasValue(Pattern.compile("oklch\\(.* " + degrees + "\\)"));
            assertThat(shades).not().hasAttribute("aria-valuetext", ramp);
            assertThat(page.getByTestId("saved-state")).containsText("Trying, not saved");
            page.mouse().up();
            assertThat(page.getByTestId("saved-state")).containsText("Saved");
            assertThat(hue).hasAttribute("aria-valuenow", degrees);
        }

        @Test
        void whenTheLineIsLostTheDragGoesOnAndItIsOpenedAgain() {
            refuses = true;
            line.get().close();
            seeTheHueDragged(-40);
            assertThat(ownRequests.get()).isPositive();
            refuses = false;
            int before = opened.get();
            int asked = -1;
            for (int drags = 0; drags < MOST_DRAGS && asked != ownRequests.get(); drags++) {
                asked = ownRequests.get();
                seeTheHueDragged(drags % 2 == 0 ? 20 : -20);
            }
            assertThat(opened.get()).isGreaterThan(before);
            assertThat(ownRequests).as("the last drag asked on the line alone").hasValue(asked);
        }

        @Test
        void whenTheSessionEndedTheDragAsksToSignInAgain() {
            loom.expireSessions();
            Browsers.pressAndDragHue(page, -30, 1);
            BoundingBox hue = page.getByRole(
                            AriaRole.SLIDER,
                            new Page.GetByRoleOptions().setName("Hue").setExact(true))
                    .boundingBox();
            double[] by = {-20};
            page.waitForCondition(() -> {
                page.mouse().move(hue.x + hue.width / 2 + (by[0] = -by[0]), hue.y + hue.height / 2);
                return page.getByRole(AriaRole.DIALOG).isVisible();
            });
            assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Sign in again");
            page.mouse().up();
            Browsers.fillSignIn(page);
            assertThat(page.getByTestId("saved-state")).containsText("Seed of brand: oklch(");
        }
    }
}
