package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Every instrument of the bench against axe's rules, in the states that it opens in. */
class AccessibleBenchTest {
    private Page page;

    @BeforeEach
    void openBench() {
        page = Browsers.signedIn(Loom.withDemo(), ColorScheme.LIGHT);
        page.navigate("/bench/" + Prepared.copyOfTheme(page, "Tern Passage"));
        page.locator("iframe").first().contentFrame().locator("h1").waitFor();
        Browsers.onPages(page);
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    @Test
    void noInstrumentViolatesARule() throws IOException {
        Axe.screen(page, "bench");
        for (String tab : List.of("Type", "Space", "Widths", "Parts", "Own CSS", "Sets", "Tokens", "History")) {
            tab(tab);
            Axe.instrument(page, tab);
        }
        tab("Shape");
        exactly("Let one light throw them").click();
        page.getByText("Softness").waitFor();
        Axe.instrument(page, "Shape");
        tab("Frame");
        button("Footer").first().waitFor();
        Axe.instrument(page, "Frame");
        button("History").click();
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("History"))
                .waitFor();
        Axe.screen(page, "bench with its history");
        tab("Sets");
        exactly("Modifier").click();
        Axe.instrument(page, "new modifier");
        button("What to do with set base").click();
        page.getByRole(AriaRole.MENU).waitFor();
        Axe.instrument(page, "what to do with a set");
    }

    @Test
    void noStateOfTheColorInstrumentViolatesARule() throws IOException {
        exactly("Find").click();
        button("Harmonies of").click();
        page.getByText("one in each bay").first().waitFor();
        Axe.screen(page, "find colors");
        page.keyboard().press("Escape");
        button("Pick Seed of").click();
        page.getByText("Copy it as").waitFor();
        Axe.instrument(page, "the color field");
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Shades of lantern"))
                .press("Enter");
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Shade color.lantern.2"))
                .waitFor();
        Axe.instrument(page, "a shade");
        button("Back to the seed").click();
        for (String view : List.of("Readable shades", "Ground", "On the pages")) {
            exactly(view).click();
            if (view.equals("On the pages")) page.getByText("all at least AA").waitFor();
            if (view.equals("Ground")) button("Pattern").click();
            Axe.instrument(page, "surface, " + view);
        }
        exactly("Roles").click();
        button("muted in light").click();
        button("Derive it").click();
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Derivation"));
        form.waitFor();
        Axe.instrument(page, "a derivation");
        page.keyboard().press("Escape");
        assertThat(form).isHidden();
    }

    @Test
    void noEditorOfATokenViolatesARule() throws IOException {
        page.locator("iframe").first().contentFrame().locator("h1").click();
        page.getByRole(AriaRole.COMPLEMENTARY).getByTitle("{color.ink.2}").waitFor();
        Axe.screen(page, "bench with a trace");
        tab("Tokens");
        for (String token : List.of("color.sea.seed", "motion.swell", "shadow.mid", "gradient.fog", "type.h1")) {
            page.getByLabel("Search tokens").fill(token);
            page.getByRole(AriaRole.ROW).first().click();
            page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Token " + token))
                    .waitFor();
            Axe.instrument(page, "editor of " + token);
        }
        button("New token").click();
        Axe.instrument(page, "new token");
        button("Change several").click();
        Axe.instrument(page, "change several");
        button("Combination of the instruments").click();
        Axe.instrument(page, "switches");
    }

    private void tab(String name) {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private Locator exactly(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }
}
