package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.helger.css.decl.CascadingStyleSheet;
import com.helger.css.reader.CSSReader;
import com.helger.css.reader.CSSReaderSettings;
import com.helger.css.reader.errorhandler.CollectingCSSParseErrorHandler;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.theme.ThemeDocument;

/** An exported kit against the Nu HTML checker, a CSS parser, Chromium, and an installation that has never seen it. */
class KitTest {
    private static byte[] archive;
    private static Map<String, byte[]> files;

    @BeforeAll
    static void export() {
        archive = kit("site=crossings&forms=css&forms=sheet");
        files = KitArchive.read(archive);
    }

    private static byte[] kit(String asked) {
        Page page = Browsers.signedIn(Loom.withDemo(), ColorScheme.LIGHT);
        byte[] kit = page.request()
                .get(Loom.withDemo().address() + "/api/themes/1/kit.zip?" + asked)
                .body();
        page.context().close();
        return kit;
    }

    private static String text(String name) {
        return new String(files.get(name), StandardCharsets.UTF_8);
    }

    @Test
    void exportingTwiceGivesTheSameBytes() {
        byte[] first = archive;
        export();
        assertThat(archive).isEqualTo(first);
    }

    @Test
    void itHoldsEverythingItsManifestNames() {
        assertThat(files)
                .containsKeys(
                        "kit.json",
                        "theme.css",
                        "theme.resolver.json",
                        "LICENSES.txt",
                        "pages/crossings/index.html",
                        "pages/crossings/pictures/passage.svg",
                        "fonts/source-serif-4-latin.woff2",
                        "fonts/source-serif-4-LICENSE.txt");
        assertThat(text("LICENSES.txt")).contains("OFL-1.1").contains("CC0 1.0");
    }

    @Test
    void pagesForAServerFetchTheFontsOfTheirFirstViewAtOnceAndOnlyWhatIsThere() {
        Map<String, byte[]> pages = KitArchive.read(kit("site=crossings&tokens=false"));
        for (String name : pages.keySet()) {
            if (!isPage(name)) continue;
            List<String> ahead = java.util.regex.Pattern.compile(
                            "<link rel=\"preload\"[^>]*href=\"\\.\\./\\.\\./([^\"]+)\"")
                    .matcher(new String(pages.get(name), StandardCharsets.UTF_8))
                    .results()
                    .map(found -> found.group(1))
                    .toList();
            assertThat(ahead)
                    .as(name)
                    .contains("fonts/source-serif-4-latin.woff2")
                    .doesNotHaveDuplicates();
            assertThat(pages.keySet()).containsAll(ahead);
        }
    }

    @Test
    void aMenuThatIsFoldedAwayGoesOutWithItsControlAndNoOtherDoes() {
        assertThat(files.keySet().stream().filter(name -> name.endsWith(".html") || name.equals("theme.css")))
                .noneMatch(name -> text(name).contains("menu-way") || text(name).contains("popover"));
        Map<String, byte[]> folded = KitArchive.read(kit("site=winter"));
        List<String> pages = folded.keySet().stream().filter(KitTest::isPage).toList();
        assertThat(pages).isNotEmpty().allSatisfy(name -> assertThat(
                        new String(folded.get(name), StandardCharsets.UTF_8))
                .containsOnlyOnce("popovertarget=\"site-menu\"")
                .containsOnlyOnce("id=\"site-menu\""));
        assertThat(new String(folded.get("theme.css"), StandardCharsets.UTF_8)).contains(":popover-open");
    }

    private static boolean isPage(String name) {
        return name.startsWith("pages/") && name.endsWith(".html");
    }

    @Test
    void everyPageIsValidHtml() throws Exception {
        for (String name : files.keySet())
            if (name.endsWith(".html"))
                assertThat(NuChecker.errors(files.get(name))).as(name).isEmpty();
    }

    @Test
    void everyStylesheetIsValidCss() throws Exception {
        List<String> sheets =
                files.keySet().stream().filter(name -> name.endsWith(".css")).toList();
        assertThat(sheets).contains("theme.css").hasSizeGreaterThan(1);
        for (String name : sheets)
            assertThat(NuChecker.errorsOfCss(text(name))).as(name).isEmpty();
    }

    /** The checker itself notices what is wrong, also within a cascade layer. */
    @Test
    void theCheckerFindsAnErrorWhereThereIsOne() throws Exception {
        assertThat(NuChecker.errors("<!doctype html><p><img>".getBytes(StandardCharsets.UTF_8)))
                .isNotEmpty();
        assertThat(NuChecker.errorsOfCss(
                        "@layer a, b; @layer a { p { color: red; } @media print { p { colr: red; } } }"))
                .singleElement()
                .asString()
                .contains("colr");
        assertThat(NuChecker.errorsOfCss("@layer a { p { inline-size: red; } }"))
                .hasSize(1);
    }

    /** ph-css; version as in pom.xml. */
    @Test
    void theStylesheetParsesWithoutErrors() {
        CollectingCSSParseErrorHandler errors = new CollectingCSSParseErrorHandler();
        CascadingStyleSheet sheet = CSSReader.readFromStringReader(
                text("theme.css"), new CSSReaderSettings().setCustomErrorHandler(errors));
        assertThat(sheet).isNotNull();
        assertThat(errors.getAllParseErrors()).isEmpty();
    }

    @Test
    void chromiumAcceptsEveryDeclaration() {
        try (BrowserContext context = Browsers.context(ColorScheme.LIGHT)) {
            Page page = context.newPage();
            page.setContent("<!doctype html><title>t</title>");
            @SuppressWarnings("unchecked")
            List<String> refused = (List<String>) page.evaluate(
                    """
                    (css) => {
                      const style = document.createElement('style');
                      style.textContent = css;
                      document.head.append(style);
                      let rules = 0;
                      const faces = [];
                      const walk = (list) => {
                        for (const rule of list) {
                          if (rule instanceof CSSFontFaceRule) faces.push(rule.cssText);
                          else if (rule.style) rules++;
                          if (rule.cssRules) walk(rule.cssRules);
                        }
                      };
                      walk(style.sheet.cssRules);
                      const refused = faces.filter((face) => !/font-weight: \\d+ \\d+;/.test(face)
                          || !face.includes('src: url(')
                            && !/stand-in";.*src: local\\(.*size-adjust: [\\d.]+%;.*ascent-override/.test(face));
                      const plain = css.replace(/@font-face \\{[^}]*\\}/g, '');
                      for (const [, property, value] of plain.matchAll(/^ {2}([\\w-]+): (.+);$/gm)) {
                        const own = property.startsWith('--');
                        if (!own && !CSS.supports(property, value.replace(/ !important$/, ''))) refused.push(property + ': ' + value);
                      }
                      if (rules < 40 || faces.length < 7 || faces.length !== css.match(/@font-face/g).length)
                        refused.push('only ' + rules + ' rules and ' + faces.length + ' faces were read');
                      return refused;
                    }""",
                    text("theme.css"));
            assertThat(refused).isEmpty();
        }
    }

    @Test
    void itsPagesOpenFromTheFileSystemWithNoRequestToAnywhere(@TempDir Path folder) throws IOException {
        for (Map.Entry<String, byte[]> file : files.entrySet()) {
            Path target = folder.resolve(file.getKey());
            Files.createDirectories(target.getParent());
            Files.write(target, file.getValue());
        }
        try (BrowserContext context = Browsers.context(ColorScheme.LIGHT)) {
            Page page = context.newPage();
            List<String> elsewhere = new ArrayList<>();
            List<String> failed = new ArrayList<>();
            List<String> hints = new ArrayList<>();
            page.onRequest(request -> {
                if (!request.url().startsWith("file:") && !request.url().startsWith("data:"))
                    elsewhere.add(request.url());
            });
            page.onRequestFailed((Request request) -> failed.add(request.url()));
            for (String name : files.keySet()) {
                if (!isPage(name)) continue;
                page.navigate(folder.resolve(name).toUri().toString());
                assertThat(page.evaluate("async () => { await document.fonts.ready; return document.fonts.check('16px "
                                + "\"Source Serif 4\"'); }"))
                        .isEqualTo(true);
                assertThat(page.evaluate("() => [...document.images].every((i) => i.complete && i.naturalWidth > 0)"))
                        .isEqualTo(true);
                assertThat((String) page.evaluate("() => getComputedStyle(document.querySelector('h1')).fontFamily"))
                        .contains("Bricolage Grotesque");
                ((List<?>) page.evaluate(
                                "() => [...document.querySelectorAll('link[rel=preload]')].map((one) => one.href)"))
                        .forEach(url -> hints.add((String) url));
                // Every link to another page leads to a file of the kit.
                @SuppressWarnings("unchecked")
                List<String> links = (List<String>) page.evaluate("() => [...document.links].map((a) => a.href)");
                assertThat(links)
                        .isNotEmpty()
                        .allMatch(link -> Files.exists(Path.of(java.net.URI.create(link.replaceAll("#.*", "")))));
            }
            assertThat(elsewhere).isEmpty();
            // A file system is no origin that fonts could be fetched ahead from; the style sheet loads the same ones.
            // From a folder a page may not ask for a font ahead, so none of a kit does.
            assertThat(hints).isEmpty();
            assertThat(failed).isEmpty();
        }
    }

    @Test
    void importingItIntoAnEmptyInstallationGivesAnEqualTheme() {
        ThemeDocument exported = KitManifest.theme(files);
        try (Loom empty = Loom.empty()) {
            Page page = Browsers.atLibrary(empty, ColorScheme.LIGHT);
            com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat(
                            page.getByText("No cloth on the loom yet"))
                    .isVisible();
            String token = (String) page.evaluate("() => /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]");
            APIResponse imported = page.request()
                    .post(
                            empty.address() + "/api/kits",
                            RequestOptions.create()
                                    .setHeader("X-XSRF-TOKEN", token)
                                    .setMultipart(FormData.create()
                                            .set("file", new FilePayload("tern.kit.zip", "application/zip", archive))));
            assertThat(imported.status()).as(imported.text()).isEqualTo(200);
            byte[] again = page.request()
                    .get(empty.address() + "/api/themes/1/kit.zip")
                    .body();
            assertThat(KitManifest.theme(KitArchive.read(again))).isEqualTo(exported);
            page.context().close();
        }
    }
}
