package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.io.OutputStream;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Bad input gets a clear message, and nothing is lost by it. */
class WrongInputTest {
    private final Loom loom = Loom.withDemo();
    private Page page;

    @BeforeEach
    void signIn() {
        page = Browsers.atLibrary(loom, ColorScheme.LIGHT);
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    private Locator seedField() {
        return page.getByLabel("Seed of sea", new Page.GetByLabelOptions().setExact(true))
                .getByRole(AriaRole.TEXTBOX)
                .or(page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Seed of sea")))
                .first();
    }

    private Locator alert() {
        return page.getByRole(AriaRole.ALERT).first();
    }

    @Test
    void aWrongPasswordIsSaidWithoutSayingWhichHalfWasWrong() {
        page.context().clearCookies();
        page.navigate(loom.address() + "/sign-in");
        page.getByLabel("E-mail address").fill("nobody@example.org");
        page.getByLabel("Password").fill("wrong");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                .click();
        assertThat(alert()).containsText("do not belong together");
        assertThat(page.getByLabel("E-mail address")).hasValue("nobody@example.org");
    }

    @Test
    void whatIsNoColorIsRefusedBesideTheFieldAndStaysInIt() {
        Browsers.openBench(page, "Tern Passage");
        String before = seedField().inputValue();
        seedField().fill("sea-ish");
        seedField().press("Enter");
        assertThat(alert()).containsText("“sea-ish” is not a color");
        assertThat(page.getByText("“sea-ish” is not a color")).hasCount(1);
        assertThat(seedField()).hasValue("sea-ish");
        seedField().press("Escape");
        assertThat(seedField()).hasValue(before);
        assertThat(page.getByTestId("saved-state")).containsText("Saved");
    }

    @Test
    void aSessionThatEndedIsRenewedAndTheEditIsKept() {
        Browsers.openBench(page, "Tern Passage");
        loom.expireSessions();
        seedField().fill("#225577");
        seedField().press("Enter");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Sign in again");
        Browsers.fillSignIn(page);
        assertThat(page.getByTestId("saved-state")).containsText("Seed of sea: #225577");
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo Seed of sea"))
                .click();
        assertThat(page.getByTestId("saved-state")).containsText("Undid: Seed of sea");
    }

    @Test
    void aServerThatDoesNotAnswerIsSaidWhateverWasAsked() {
        Browsers.openBench(page, "Tern Passage");
        page.route(Pattern.compile("/api/themes/\\d+\\?"), Route::abort);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Combination of the instruments"))
                .click();
        page.getByRole(AriaRole.DIALOG)
                .getByText("heritage", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.getByText("The server could not be reached. Nothing was changed; try again in a moment.")
                        .first())
                .isVisible();
    }

    /** @param many how many requests get no answer, the first of which is stored */
    @ParameterizedTest
    @ValueSource(ints = {1, 5})
    void anAnswerThatIsLostAfterStoringIsAskedForAgainAndStoredOnce(int many) {
        Browsers.openBench(page, "Tern Passage");
        String before = seedField().inputValue();
        int[] lost = {0};
        page.route(Pattern.compile("/api/themes/\\d+/edits"), route -> {
            if (lost[0] == many) {
                route.resume();
                return;
            }
            if (lost[0]++ == 0) route.fetch();
            route.abort();
        });
        seedField().fill("#336655");
        seedField().press("Enter");
        // As long as it is not known that is said, and nothing else.
        if (many > 1)
            assertThat(page.getByText("It may have been stored").first()).isVisible();
        assertThat(page.getByTestId("saved-state")).containsText("Seed of sea: #336655");
        assertThat(seedField()).hasValue("#336655");
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo Seed of sea"))
                .click();
        assertThat(page.getByTestId("saved-state")).containsText("Undid: Seed of sea");
        assertThat(seedField()).hasValue(before);
    }

    private void importRefused(Path file, String message) {
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(2))
                .first()
                .waitFor();
        int before = page.getByRole(AriaRole.LISTITEM).count();
        page.getByLabel("Kit file").setInputFiles(file);
        assertThat(alert()).containsText(message);
        assertThat(alert()).containsText("nothing was changed");
        page.reload();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(2))
                .first()
                .waitFor();
        assertThat(page.getByRole(AriaRole.LISTITEM)).hasCount(before);
    }

    @Test
    void aDamagedArchiveIsRefused(@TempDir Path folder) throws IOException {
        Path file = Files.write(folder.resolve("cut.kit.zip"), new byte[] {'P', 'K', 3, 4, 20, 0, 0, 0, 8, 0, 1, 2, 3});
        importRefused(file, "The archive is damaged");
    }

    @Test
    void anArchiveThatClimbsOutIsRefused(@TempDir Path folder) throws IOException {
        Path file = folder.resolve("climbing.kit.zip");
        try (OutputStream out = Files.newOutputStream(file);
                ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("../../outside.txt"));
            zip.write(1);
        }
        importRefused(file, "a path that leaves it");
    }

    @Test
    void aFileThatIsNoKitIsRefused(@TempDir Path folder) throws IOException {
        importRefused(
                Files.writeString(folder.resolve("notes.json"), "{\"hello\": true}"), "no value that could be a token");
    }

    @Test
    void aFileOf200MegabytesIsRefusedBeforeItIsSent(@TempDir Path folder) throws IOException {
        Path file = folder.resolve("huge.kit.zip");
        try (RandomAccessFile huge = new RandomAccessFile(file.toFile(), "rw")) {
            huge.setLength(200L << 20);
        }
        importRefused(file, "32 MB are read");
    }

    /** The same without the front end's own check: the server answers 413 with its reason, and goes on. */
    @Test
    void anUploadOf200MegabytesIsRefusedByTheServer() {
        Object answer = page.evaluate(
                """
                async () => {
                  const token = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1];
                  const body = new FormData();
                  body.append('file', new Blob([new Uint8Array(200 * 1024 * 1024)]), 'huge.kit.zip');
                  const response = await fetch('/api/kits', { method: 'POST', body, headers: { 'X-XSRF-TOKEN': token } });
                  return response.status + ' ' + (await response.json()).detail;
                }""");
        assertThat((String) answer)
                .startsWith("413")
                .contains("larger than 32 MB")
                .contains("Nothing was imported");
        page.reload();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Library")))
                .isVisible();
    }

    @Test
    void aRequestWithoutItsTokenIsRefused() {
        assertThat(page.evaluate("() => fetch('/api/themes/1/undo', { method: 'POST' }).then((r) => r.status)"))
                .isEqualTo(403);
    }

    @Test
    void aThemeThatIsNotThereHasAScreenThatSaysSo() {
        page.navigate(loom.address() + "/bench/4711");
        assertThat(page.getByText("There is no theme with the number 4711.")).isVisible();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Back to the library")))
                .isVisible();
    }
}
