package org.umberloom.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import org.junit.jupiter.api.Test;

/** Every screen but the bench against axe's rules. */
class AccessibilityTest {
    private final Loom loom = Loom.withDemo();

    @Test
    void noScreenViolatesARule() throws IOException {
        Page page = Browsers.atLibrary(loom, ColorScheme.LIGHT);
        Axe.screen(page, "library");
        button(page, "New theme").click();
        page.getByText("Herringbone").waitFor();
        Axe.screen(page, "new theme");
        page.keyboard().press("Escape");
        page.navigate(loom.address() + "/kit/1");
        page.getByLabel("Text of theme.css").waitFor();
        Axe.screen(page, "kit");
        checkFindings(page);
        checkReleases(page);
        page.navigate(loom.address() + "/library");
        page.getByLabel("Kit file")
                .setInputFiles(Files.writeString(
                        Files.createTempFile("kelp", ".json"),
                        "{\"colors\": {\"ink\": \"#221100\", \"paper\": \"#fffaf0\", \"action\": \"#0044aa\"}}"));
        button(page, "Import theme").waitFor();
        Axe.screen(page, "what would come in");
        button(page, "Import theme").click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Dress kelp"))
                .waitFor();
        Axe.screen(page, "dress");
        checkSites(page);
        page.navigate(loom.address() + "/bench/4711");
        page.getByText("This bench is empty").waitFor();
        Axe.screen(page, "missing theme");
        page.context().clearCookies();
        page.navigate(loom.address() + "/sign-in");
        page.getByLabel("Password").waitFor();
        Axe.screen(page, "sign-in");
        page.context().close();
    }

    /** The theme of the walk as it is before its first release, and with one that its draft is ahead of. */
    private void checkReleases(Page page) throws IOException {
        String address = Loom.withDemo().address();
        page.navigate(address + "/releases/1");
        button(page, "Release 1.0.0").waitFor();
        Axe.screen(page, "releases, none yet");
        if (page.getByLabel("Why it is released all the same").isVisible())
            page.getByLabel("Why it is released all the same").fill("it is a test");
        button(page, "Release 1.0.0").click();
        page.getByLabel("Release 1.0.0").waitFor();
        Axe.screen(page, "a release on its way to sites");
        page.navigate(address + "/hosts");
        button(page, "New host").click();
        page.getByText("Look at its key and confirm it first.").waitFor();
        Axe.screen(page, "hosts");
        page.navigate(address + "/people");
        page.getByLabel("What it is for").fill("Harbour build");
        button(page, "Make a key").click();
        page.getByLabel("The new key").waitFor();
        Axe.screen(page, "people with a new key");
    }

    private void checkFindings(Page page) throws IOException {
        page.navigate(Loom.withDemo().address() + "/findings/1");
        page.getByText("Accept…").first().click();
        Axe.screen(page, "findings");
    }

    private void checkSites(Page page) throws IOException {
        page.navigate(loom.address() + "/fonts");
        page.getByText("Worn by").waitFor();
        Axe.screen(page, "fonts");
        page.navigate(loom.address() + "/sites");
        page.getByText("Strays").first().waitFor();
        Axe.screen(page, "sites");
        button(page, "Look").first().click();
        page.getByText("Or as a token of the theme").waitFor();
        Axe.screen(page, "strays of all sites, looked at");
        button(page, "New site").click();
        page.getByText("Pages to begin with").waitFor();
        Axe.screen(page, "new site");
        page.keyboard().press("Escape");
        page.navigate(loom.address() + "/sites/galley");
        page.getByLabel("Reason to keep").waitFor();
        Axe.screen(page, "site");
        com.microsoft.playwright.Locator theme = page.getByLabel("Theme", new Page.GetByLabelOptions().setExact(true));
        String other = theme.locator("option", new com.microsoft.playwright.Locator.LocatorOptions().setHasText("kelp"))
                .first()
                .getAttribute("value");
        theme.selectOption(other);
        page.getByText("What does not fit").waitFor();
        Axe.screen(page, "a theme before it is worn");
        page.navigate(loom.address() + "/sites/galley/index");
        button(page, "section “Soup at sea level”").click();
        button(page, "Add a part").click();
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Headings"))
                .getByText("Soup at sea level")
                .click();
        Axe.screen(page, "a page in its plan");
        page.navigate(loom.address() + "/coverage/1?of=surface.page.link");
        page.getByText("Pages where it is hidden").waitFor();
        Axe.screen(page, "coverage");
    }

    private static com.microsoft.playwright.Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }
}
