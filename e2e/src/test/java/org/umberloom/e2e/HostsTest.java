package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.umberloom.host.SimulatedHost;

/** A host is made known, a site is brought there and seen by readers, and goes back in one step. */
class HostsTest {
    static final String PASSWORD = "rope-and-tar";

    private final Loom loom = Loom.withDemo();

    @TempDir
    private Path folder;

    private SimulatedHost host;
    private Page page;

    @BeforeEach
    void open() throws Exception {
        host = new SimulatedHost(harbour(folder, 0));
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
    }

    /** One that lets the account harbour in by its password. @param port 0 for a free one */
    static SimulatedHost.Setting harbour(Path folder, int port) {
        return new SimulatedHost.Setting(
                folder.resolve("served"),
                folder.resolve("key"),
                "harbour",
                PASSWORD,
                "",
                port,
                0,
                OptionalLong.empty(),
                SimulatedHost.Speaks.LIBRARY);
    }

    @AfterEach
    void close() {
        page.context().close();
        host.close();
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private void label(String name, String text) {
        page.getByLabel(name, new Page.GetByLabelOptions().setExact(true)).fill(text);
    }

    private void known(String name) {
        page.navigate("/hosts");
        button("New host").click();
        assertThat(button("Add the host")).isDisabled();
        label("Address", "127.0.0.1");
        label("Port", Integer.toString(host.port()));
        button("Look at its key").click();
        assertThat(page.getByText(host.fingerprint())).isVisible();
        button("It is theirs").click();
        label("Account", "harbour");
        label("Password", PASSWORD);
        page.getByLabel("Where readers see that folder").fill("http://127.0.0.1:" + host.webPort());
        label("Name of the host", name);
        button("Add the host").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name)))
                .isVisible();
    }

    @Test
    void aSiteIsBroughtToAHostSeenThereAndGoesBack() throws Exception {
        Released released = Released.called(new Client(loom.address()).signedIn(), "Slipway");
        known("Slipway host");
        button("Try Slipway host").click();
        Locator steps = page.getByLabel("What was tried at Slipway host").getByRole(AriaRole.LISTITEM);
        assertThat(steps).hasCount(5);
        assertThat(steps.last()).containsText("removed again");

        page.navigate("/sites/" + released.site());
        button("Take 1.0.0").click();
        button("Choose a host").click();
        page.getByRole(
                        AriaRole.COMBOBOX,
                        new Page.GetByRoleOptions().setName("Host").setExact(true))
                .selectOption("Slipway host");
        label("Its folder there", "slipway");
        button("Bring it there").click();
        button("Make a build").click();
        button("Bring build 1 to Slipway host").click();
        Locator files = page.getByLabel("Files that would be sent");
        assertThat(files).containsText("theme.css");
        assertThat(folder.resolve("served/slipway")).doesNotExist();
        button("Deliver build 1").click();
        assertThat(page.getByText("Nothing is waiting")).isVisible();
        Locator seen = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("as readers see it"));
        assertThat(seen).isVisible();

        // Readers see it whole, from the host alone.
        Page reader = Browsers.context(ColorScheme.LIGHT).newPage();
        List<String> wrong = new ArrayList<>();
        reader.onResponse(response -> {
            if (response.status() >= 400 && !response.url().endsWith("/favicon.ico")
                    || !response.url().startsWith("http://127.0.0.1:" + host.webPort()))
                wrong.add(response.status() + " " + response.url());
        });
        String address = seen.getAttribute("href");
        reader.navigate(address);
        String before = color(reader);
        assertThat(wrong).isEmpty();

        released.edit(0, "color.brand.seed", "#902040");
        released.release("1.0.1");
        page.reload();
        button("Take 1.0.1").click();
        button("Make a build").click();
        button("Bring build 2 to Slipway host").click();
        assertThat(page.getByText("are there already")).isVisible();
        assertThat(files.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(".woff2")))
                .hasCount(0);
        button("Deliver build 2").click();
        assertThat(page.getByText("in 1.0.1, since")).isVisible();
        reader.navigate(address);
        assertThat(color(reader)).isNotEqualTo(before);

        button("Go back to it").click();
        assertThat(page.getByText("It is there already, whole.")).isVisible();
        button("Switch to build 1").click();
        assertThat(page.getByText("in 1.0.0, since")).isVisible();
        reader.navigate(address);
        assertThat(color(reader)).isEqualTo(before);
        reader.context().close();

        // Another key than the known one: nothing is sent, and it is said beside the site.
        int port = host.port();
        host.close();
        Files.delete(folder.resolve("key"));
        host = new SimulatedHost(harbour(folder, port));
        button("Deliver").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("shows another key than the one it is known by");
    }

    private static String color(Page reader) {
        return (String)
                reader.evaluate("getComputedStyle(document.documentElement).getPropertyValue('--color-brand-seed')"
                        + " + getComputedStyle(document.querySelector('main a, main [data-part=button]')).color"
                        + " + getComputedStyle(document.querySelector('[data-part=button]')).backgroundColor");
    }

    @Test
    void aHostThatIsAwayIsSaidWhereItIsLookedFor() {
        page.navigate("/hosts");
        button("New host").click();
        label("Address", "127.0.0.1");
        label("Port", "1");
        button("Look at its key").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Nobody answers at 127.0.0.1:1");
        label("Address", "no host at all");
        button("Look at its key").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("is no name or number of a host");
        assertThat(page.getByLabel("Address")).hasValue("no host at all");
    }
}
