package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.KeyboardModifier;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.KitArchive;

/** What a theme and a site have of their own: style sheets, a nameplate, a choice at one section. Theme and site are this test's alone. */
class OfItsOwnTest {
    private static final byte[] SIGN =
            "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 8 8'><path d='M0 8 4 0 8 8z'/></svg>"
                    .getBytes(StandardCharsets.UTF_8);
    private final Loom loom = Loom.withDemo();
    private Page page;
    private String site;
    private String bench;

    @BeforeEach
    void open() {
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        String theme = Prepared.theme(page, "Of its own", "Plain weave");
        site = Prepared.copyOf(page, "galley");
        Prepared.wears(page, site, theme);
        bench = loom.address() + "/bench/" + theme + "?site=" + site + "&page=index";
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private void tab(String name) {
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private FrameLocator bay() {
        return page.locator("iframe").first().contentFrame();
    }

    private void writes(String css) {
        Locator editor = page.getByLabel("Own style sheet of");
        editor.click();
        page.keyboard().press("Control+a");
        page.keyboard().insertText(css);
    }

    private Locator heading() {
        return bay().locator("main h2").first();
    }

    @Test
    void pagesFollowWhileAnOwnStyleSheetIsWritten() {
        page.navigate(bench);
        heading().waitFor();
        Browsers.heard(page);
        tab("Own CSS");
        writes("h2 { rotate: 3deg; color: var(--surface-acent); }\n@import url('https://example.com/x.css');");
        assertThat(heading()).hasCSS("rotate", "3deg");
        assertThat(page.getByText("The theme gives no --surface-acent")).isVisible();
        assertThat(page.getByText("imports of other style sheets will be left out"))
                .isVisible();
        button("As it was").click();
        assertThat(heading()).hasCSS("rotate", "none");
        writes("h2 { rotate: 2deg; }");
        button("Store it").click();
        assertThat(button("Store it")).isDisabled();
        assertThat(heading()).hasCSS("rotate", "2deg");
        // A site's own wins over its theme's, however little its selector asks.
        writes("main h2 { rotate: 2deg; }");
        button("Store it").click();
        assertThat(button("Store it")).isDisabled();
        button("Copy of Galley").first().click();
        writes("h2 { rotate: 5deg; }");
        assertThat(heading()).hasCSS("rotate", "5deg");
        button("Store it").click();
        assertThat(button("Store it")).isDisabled();
        page.reload();
        assertThat(heading()).hasCSS("rotate", "5deg");
        // What the theme said goes by the theme's undo, and the site's own stays.
        button("Undo").click();
        button("Undo").click();
        assertThat(heading()).hasCSS("rotate", "5deg");
        tab("History");
        button("Copy of Galley").first().click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Edits of Copy of Galley"))
                        .getByText("own style sheet"))
                .isVisible();
    }

    private Locator well(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name + ":"));
    }

    private void gives(String well, String file) {
        well(well).click();
        page.getByLabel("File for " + well).setInputFiles(new FilePayload(file, "image/svg+xml", SIGN));
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(well + ": " + file)))
                .isVisible();
    }

    @Test
    void theNameplateStandsOnEveryPageAndIsHiddenWhereThatIsChosen() {
        page.navigate("/sites/" + site);
        gives("Logo", "sign.svg");
        gives("Logo in the dark", "night.svg");
        gives("Icon", "icon.svg");
        Locator tagline = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Tagline"));
        tagline.fill("Hot at every tide");
        tagline.press("Enter");
        assertThat(page.getByText("Hot at every tide").first()).isVisible();
        page.navigate(bench);
        Locator logo = bay().locator("header [data-plate=logo]");
        Locator night = bay().locator("header [data-plate=logo-dark]");
        Locator line = bay().locator("header [data-plate=tagline]");
        assertThat(logo).isVisible();
        assertThat(night).isHidden();
        assertThat(line).hasText("Hot at every tide");
        assertThat(bay().locator("link[rel=icon]").last()).hasAttribute("href", "pictures/icon.svg");
        assertThat(bay().locator("link[rel=manifest]")).hasCount(1);
        // The second bay shows the dark: there it is the other logo.
        FrameLocator dark = page.locator("iframe").nth(1).contentFrame();
        assertThat(dark.locator("html[data-scheme=dark] header [data-plate=logo-dark]"))
                .isVisible();
        assertThat(dark.locator("header [data-plate=logo]")).isHidden();
        // Hidden in the header of this page alone.
        line.click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.ALT)));
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("this page"))
                .check();
        tab("Parts");
        page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName("Parts").setExact(true))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Nameplate"))
                .click();
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Whether the tagline stands"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("hidden"))
                .click();
        assertThat(line).isHidden();
        page.navigate(bench.replace("page=index", "page=hours"));
        assertThat(line).isVisible();
    }

    @Test
    void oneSectionHasButtonsOfItsOwnKind() {
        page.navigate(bench);
        Locator one = bay().locator("section [data-part=button]").first();
        one.waitFor();
        Browsers.heard(page);
        tab("Parts");
        bay().locator("section h1").first().click();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("this section"))
                .check();
        tab("Parts");
        page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName("Parts").setExact(true))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Buttons"))
                .click();
        Locator outlined = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("How much buttons"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("a line around the words"));
        outlined.click();
        assertThat(one).hasCSS("background-color", "rgba(0, 0, 0, 0)");
        page.reload();
        assertThat(one).hasCSS("background-color", "rgba(0, 0, 0, 0)");
        // By itself, as the site goes out, it is the same.
        page.navigate(loom.address() + "/preview/" + bench.replaceFirst(".*/bench/(\\d+).*", "$1") + "/draft/site/"
                + site + "/index.html?still=true");
        assertThat(page.locator("section [data-part=button]").first()).hasCSS("background-color", "rgba(0, 0, 0, 0)");
    }

    @Test
    void whatSomebodyElseDoesToASiteIsSeenOnTheBench() {
        page.navigate(bench);
        heading().waitFor();
        Browsers.heard(page);
        page.waitForTimeout(1_500);
        Page other = page.context().newPage();
        other.navigate(loom.address() + "/sites/" + site);
        other.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Galley at sea");
        other.keyboard().press("Enter");
        assertThat(page.getByText("Galley at sea was changed by somebody else")).isVisible();
        other.close();
    }

    /** The files of a site by their names. Drawings are written anew when they come in: their elements end otherwise. */
    private Map<String, String> archive(String slug) {
        Map<String, String> files = new TreeMap<>();
        KitArchive.read(
                        page.request()
                                .get(loom.address() + "/api/sites/" + slug + "/archive.zip")
                                .body(),
                        KitArchive.Of.PAGES)
                .forEach((name, content) -> {
                    String text = new String(content, StandardCharsets.UTF_8).replace(slug, "site");
                    files.put(name, name.startsWith("pictures/") ? text.replaceAll("</\\w+>|/?>|\\s+", "") : text);
                });
        return files;
    }

    @Test
    void aSiteComesOutOfAKitAsItWentIntoIt() {
        page.navigate("/sites/" + site);
        gives("Logo", "sign.svg");
        gives("Icon", "icon.svg");
        String theme = bench.replaceFirst(".*/bench/(\\d+).*", "$1");
        byte[] kit = page.request()
                .get(loom.address() + "/api/themes/" + theme + "/kit.zip?site=" + site)
                .body();
        page.navigate(loom.address() + "/sites");
        button("Bring one in").click();
        page.getByLabel("Archive, or pages").setInputFiles(new FilePayload("kit.zip", "application/zip", kit));
        page.getByLabel("Theme that it wears").selectOption(theme);
        button("Take it in").click();
        page.waitForURL("**/sites/copy-of-*");
        String taken = page.url().replaceFirst(".*/", "");
        org.assertj.core.api.Assertions.assertThat(taken).isNotEqualTo(site);
        org.assertj.core.api.Assertions.assertThat(archive(taken))
                .hasSizeGreaterThan(6)
                .isEqualTo(archive(site));
    }
}
