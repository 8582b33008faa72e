package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Twelve benches in one browser: each once held a stream, and the seventh waited for ever. */
class ManyTabsTest {
    @Test
    void theTwelfthTabWorksAndAllHearOfAnEdit() throws Exception {
        Loom loom = Loom.withDemo();
        Client client = new Client(loom.address()).signedIn();
        String theme = client.newTheme("Many tabs");
        Page first = Browsers.signedIn(loom, ColorScheme.LIGHT);
        BrowserContext browser = first.context();
        List<Page> tabs = new ArrayList<>(List.of(first));
        while (tabs.size() < 12) tabs.add(browser.newPage());
        for (Page tab : tabs) {
            tab.navigate(loom.address() + "/bench/" + theme);
            tab.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Color"))
                    .waitFor();
        }
        Page last = tabs.get(11);
        last.getByRole(
                        AriaRole.TAB,
                        new Page.GetByRoleOptions().setName("Widths").setExact(true))
                .click();
        last.getByLabel("text as written").fill("30rem");
        last.keyboard().press("Enter");
        for (Page tab : tabs) assertThat(tab.getByTestId("saved-state")).containsText("Text column: 30rem");
        browser.close();
        assertThat(client.send("GET", "/api/themes/" + theme, "").statusCode()).isEqualTo(200);
    }
}
