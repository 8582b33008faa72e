package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.LoadState;
import com.microsoft.playwright.options.SelectOption;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.KitArchive;

/**
 * A lead's whole way with sites: one comes in, wears the theme, loses its strays and differs at one spot; then the theme changes, and
 * all follow.
 */
class SixSitesTest {
    private static final List<String> OTHERS = List.of("crossings", "freight", "galley", "trust", "winter", "crew");
    private final Loom loom = Loom.withDemo();
    private Page page;

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private static byte[] archive() {
        String page = "<html lang=en><head><title>The shed</title><link rel=stylesheet href=css/own.css>"
                + "<script>alert(1)</script></head>"
                + "<body><div class=header><a href=index.html>Shed</a></div><h1>Tools to lend</h1>"
                + "<h2>Saws</h2><p style='color: #0a5c7e'>Four of them.</p><h2>Planes</h2><p>Two.</p></body></html>";
        String css = "h2 { font-size: 31px; } .later { color: red; }";
        return KitArchive.write(Map.of(
                "shed/index.html", page.getBytes(StandardCharsets.UTF_8),
                "shed/css/own.css", css.getBytes(StandardCharsets.UTF_8)));
    }

    /** What a page of a site shows by itself. */
    private String shown(String theme, String site, String selector, String property) {
        page.navigate(loom.address() + "/preview/" + theme + "/draft/site/" + site + "/index.html?still=true");
        return (String) page.locator(selector)
                .first()
                .evaluate("(one, property) => getComputedStyle(one).getPropertyValue(property)", property);
    }

    @Test
    void aSiteComesInWearsTheThemeAndAllFollowIt() {
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        String theme = Prepared.theme(page, "Six follow", "Plain weave");
        page.navigate(loom.address() + "/sites");
        button("Bring one in").click();
        page.getByLabel("Archive, or pages").setInputFiles(new FilePayload("shed.zip", "application/zip", archive()));
        page.getByLabel("Theme that it wears").selectOption(new SelectOption().setLabel("Six follow"));
        button("Take it in").click();
        assertThat(page.getByText("Taken out, since nothing here may run or load: 1 scripts."))
                .isVisible();
        assertThat(page.getByText("Recognised, so that the theme dresses it")).isVisible();
        page.getByText("Look at the site").click();
        page.waitForURL("**/sites/shed*");
        String shed = page.url().replaceFirst(".*/", "");
        // A color in an attribute and a size in its own style sheet, both back to the theme.
        Locator strays = page.getByRole(
                        AriaRole.LIST,
                        new Page.GetByRoleOptions().setName("Strays").setExact(true))
                .getByRole(AriaRole.LISTITEM);
        assertThat(strays).hasCount(2);
        // What stands above the list comes after it, and moves it.
        page.waitForLoadState(LoadState.NETWORKIDLE);
        page.getByLabel("All 2").check();
        button("Return 2 to the theme").click();
        assertThat(page.getByText("Nothing on its pages hides the theme.")).isVisible();
        String size = shown(theme, shed, "main h2", "font-size");
        assertThat(size).isNotEqualTo("31px");
        // One heading on one page differs, on purpose.
        page.navigate(loom.address() + "/bench/" + theme + "?site=" + shed + "&page=index");
        Locator heading = page.locator("iframe").first().contentFrame().locator("main h2");
        heading.first().waitFor();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Widths"))
                .click();
        heading.first().click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("this element"))
                .check();
        Locator field = page.getByLabel("content as written");
        field.fill("20rem");
        field.press("Enter");
        assertThat(button("Undo")).isEnabled();
        page.waitForCondition(() -> "20rem"
                .equals(heading.first()
                        .evaluate("(one) => getComputedStyle(one).getPropertyValue('--width-content').trim()")));
        // The six of the demo come to wear it too, and then the theme changes.
        List<String> copies = new ArrayList<>();
        for (String site : OTHERS) {
            if (!copies.isEmpty()) {
                copies.add(Prepared.copyOf(page, site));
                Prepared.wears(page, copies.get(copies.size() - 1), theme);
                continue;
            }
            page.navigate("/sites/" + site);
            button("Copy the site").click();
            page.waitForURL("**/sites/copy-of-*");
            copies.add(page.url().replaceFirst(".*/", ""));
            page.getByLabel("Theme", new Page.GetByLabelOptions().setExact(true))
                    .selectOption(new SelectOption().setLabel("Six follow"));
            button("Wear Six follow").click();
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("What it wore")))
                    .isVisible();
        }
        page.navigate(loom.address() + "/bench/" + theme + "?site=" + shed + "&page=index");
        heading.first().waitFor();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Widths"))
                .click();
        field.fill("33rem");
        field.press("Enter");
        page.waitForCondition(() -> "33rem"
                .equals(heading.nth(1)
                        .evaluate("(one) => getComputedStyle(one).getPropertyValue('--width-content').trim()")));
        for (String site : copies)
            assertThat(shown(theme, site, "main", "--width-content").trim())
                    .as(site)
                    .isEqualTo("33rem");
        assertThat(shown(theme, shed, "main h2", "--width-content").trim())
                .as("the pinned spot does not follow")
                .isEqualTo("20rem");
        assertThat(shown(theme, shed, "main", "--width-content").trim()).isEqualTo("33rem");
        // Taken back, it follows again.
        page.navigate(loom.address() + "/sites/" + shed);
        button("Follow again").click();
        assertThat(page.getByText("It follows the theme.")).isVisible();
        assertThat(shown(theme, shed, "main h2", "--width-content").trim()).isEqualTo("33rem");
        page.context().close();
    }
}
