package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.umberloom.core.font.FontTables;
import org.umberloom.core.format.KitArchive;

/** Fonts of one's own, with the Liberation Serif that Debian ships: brought in, worn, packed, removed. */
class OwnFontsTest {
    private static final String FAMILY = "Liberation Serif";
    /** OpenType 1.9.1, OS/2: fsType is at 8; 2 is restricted license embedding. */
    private static final int FS_TYPE = 8;

    private static final byte RESTRICTED = 2;

    private final Loom loom = Loom.withDemo();
    private Page page;

    @TempDir
    private Path folder;

    @BeforeEach
    void open() {
        page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        page.navigate(loom.address() + "/fonts");
    }

    @AfterEach
    void leaveNone() {
        page.navigate(loom.address() + "/fonts");
        assertThat(families().first()).isVisible();
        if (family(FAMILY).count() > 0) {
            family(FAMILY).click();
            remove();
        }
        page.context().close();
    }

    private Locator families() {
        return page.locator("[role=listbox] [role=option]");
    }

    private Locator family(String name) {
        return page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(name));
    }

    private void remove() {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Remove the family"))
                .click();
        assertThat(family(FAMILY)).hasCount(0);
    }

    static Path liberation(String name) {
        return Stream.of("liberation", "liberation2")
                .map(one -> Path.of("/usr/share/fonts/truetype", one, "LiberationSerif-" + name + ".ttf"))
                .filter(Files::exists)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("install fonts-liberation"));
    }

    private Path restricted() throws IOException {
        FontTables tables = FontTables.read(Files.readAllBytes(liberation("Regular")));
        Map<String, byte[]> changed = new TreeMap<>(tables.tables());
        byte[] os2 = changed.get("OS/2").clone();
        os2[FS_TYPE] = 0;
        os2[FS_TYPE + 1] = RESTRICTED;
        changed.put("OS/2", os2);
        return Files.write(
                folder.resolve("restricted.ttf"), new FontTables(tables.flavor(), new TreeMap<>(changed)).file());
    }

    private void bring(Path... files) {
        page.getByLabel("Font files").setInputFiles(files);
        assertThat(family(FAMILY)).isVisible();
    }

    /** A new theme whose headings wear the family. @return the page's address */
    private String worn(String theme) {
        Browsers.newThemeOnPages(page, theme, "Plain weave");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Type"))
                .click();
        page.getByLabel("Kind of family").selectOption("own");
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(FAMILY))
                .click();
        assertThat(page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(FAMILY)))
                .hasAttribute("aria-selected", "true");
        return page.url();
    }

    private Map<String, byte[]> kit(String bench) {
        return KitArchive.read(page.request()
                .get(bench.replaceAll("/bench/(\\d+).*", "/api/themes/$1/kit.zip"))
                .body());
    }

    @Test
    void filesBecomeAFamilyThatPagesLoadAndKitsHold() throws IOException {
        Path letter = Files.writeString(folder.resolve("letter.ttf"), "Dear sir or madam");
        bring(liberation("Regular"), liberation("Bold"), letter);
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText(FAMILY)))
                .containsText("Regular, 400 · Bold, 700");
        assertThat(page.getByRole(AriaRole.ALERT))
                .hasText("“letter.ttf”: it is no font file (TTF, OTF, WOFF or WOFF2). It was not kept.");
        String bench = worn("Set in one’s own");
        Locator heading =
                page.locator("iframe").first().contentFrame().locator("h1").first();
        assertThat(heading).hasCSS("font-family", java.util.regex.Pattern.compile("^\"" + FAMILY + "\".*"));
        page.waitForCondition(() ->
                (Boolean) heading.evaluate("one => [...one.ownerDocument.fonts].some(face => face.status === 'loaded'"
                        + " && face.family.includes('" + FAMILY + "'))"));
        Map<String, byte[]> kit = kit(bench);
        assertThat(kit.keySet()).anyMatch(name -> name.matches("fonts/own/liberation-serif-700-[0-9a-f]{12}\\.woff2"));
        assertThat(new String(kit.get("LICENSES.txt"), StandardCharsets.UTF_8)).contains(FAMILY);
    }

    @Test
    void whatMayNotTravelStaysOutOfKitsAndTheKitSaysSo() throws IOException {
        bring(restricted());
        assertThat(family(FAMILY)).containsText("stays out of kits");
        String bench = worn("Set in what stays");
        assertThat(kit(bench).keySet()).noneMatch(name -> name.contains("liberation"));
        page.navigate(bench.replaceAll("/bench/(\\d+).*", "/kit/$1"));
        assertThat(page.getByText("Stays out:")).isVisible();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Files")))
                .containsText("Liberation Serif. By its maker it may not travel without its maker’s leave");
    }

    @Test
    void aRemovedFamilyComesBackWithOneStep() {
        bring(liberation("Regular"));
        family(FAMILY).click();
        remove();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo"))
                .click();
        assertThat(family(FAMILY)).isVisible();
    }

    @Test
    void nobodyGetsAFileWithoutSigningIn() {
        bring(liberation("Regular"));
        String css = page.request().get(loom.address() + "/api/fonts/own.css").text();
        String url = css.replaceAll("(?s).*url\\(\"([^\"]+)\".*", "$1");
        assertThat(page.request().get(loom.address() + url).status()).isEqualTo(200);
        try (var stranger = Browsers.context(ColorScheme.LIGHT)) {
            assertThat(stranger.request().get(loom.address() + url).status()).isEqualTo(401);
        }
    }
}
