package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.Headings;
import org.umberloom.core.page.PageBlocks;
import org.umberloom.core.page.RoleSpots;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.Strays;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;

/**
 * Ten sets of general documentation pages from packages of Debian 12 (named with their versions in the README beside them): they
 * come in, go out, and come in again as the same site; what they say is still there, and nothing in them runs or reaches anything.
 */
class PagesFromElsewhereTest {
    private static final Path ALL = Path.of("src/test/resources/pages-from-elsewhere");

    static Stream<Path> sets() throws IOException {
        return Files.list(ALL).filter(Files::isDirectory).sorted();
    }

    private static Map<String, byte[]> files(Path set) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        try (Stream<Path> all = Files.walk(set)) {
            for (Path file : all.filter(Files::isRegularFile).toList())
                files.put(set.relativize(file).toString(), Files.readAllBytes(file));
        }
        return files;
    }

    @ParameterizedTest
    @MethodSource("sets")
    void inAndOutAndInAgainIsTheSame(Path set) throws IOException {
        Map<String, byte[]> files = files(set);
        SiteArchive.Reading in = SiteArchive.read(set.getFileName().toString(), files);
        assertThat(in.site().pages()).hasSize((int)
                files.keySet().stream().filter(name -> name.endsWith(".html")).count());
        assertThat(in.site().pages().get(0).slug()).isEqualTo("index");
        Map<String, byte[]> out = SiteArchive.write(in.site(), in.pictures());
        SiteArchive.Reading again = SiteArchive.read("another name", out);
        assertThat(again.site()).isEqualTo(in.site());
        assertThat(again.notes()).isEmpty();
        assertThat(again.pictures().keySet()).isEqualTo(in.pictures().keySet());
        assertThat(SiteArchive.write(again.site(), again.pictures()).keySet()).isEqualTo(out.keySet());
    }

    @ParameterizedTest
    @MethodSource("sets")
    void whatTheySayIsThereAndNothingRunsOrReachesAnything(Path set) throws IOException {
        Map<String, byte[]> files = files(set);
        SiteArchive.Reading in = SiteArchive.read(set.getFileName().toString(), files);
        int words = 0;
        for (SitePage page : in.site().pages()) {
            Document document = Jsoup.parse(page.html());
            assertThat(document.select(
                            "script, iframe, object, embed, base, meta[http-equiv], link:not([href=theme.css])"))
                    .as(page.slug())
                    .isEmpty();
            for (Element element : document.getAllElements())
                for (Attribute attribute : element.attributes()) {
                    assertThat(attribute.getKey()).as(page.slug()).doesNotStartWith("on");
                    if (attribute.getKey().equals("src"))
                        assertThat(attribute.getValue()).as(page.slug()).doesNotContain(":");
                }
            words += document.body().text().split("\\s+").length;
            // Each can be laid out, and its headings be read, whatever it is made of.
            assertThat(PageBlocks.of(page.html())).as(page.slug()).isNotEmpty();
            assertThat(Headings.of(page.html()).headings()).as(page.slug()).isNotNull();
        }
        int before = 0;
        for (Map.Entry<String, byte[]> file : files.entrySet())
            if (file.getKey().endsWith(".html")) {
                Document document = Jsoup.parse(new String(file.getValue(), java.nio.charset.StandardCharsets.UTF_8));
                document.select("noscript").unwrap();
                before += document.body().text().split("\\s+").length;
            }
        assertThat(words).isEqualTo(before);
    }

    @ParameterizedTest
    @MethodSource("sets")
    void theirStraysAndRolesAreFound(Path set) throws IOException {
        SiteArchive.Reading in = SiteArchive.read(set.getFileName().toString(), files(set));
        ThemeDocument theme = Starter.ALL.get(0).theme("T");
        Worn worn = Worn.of(Resolution.of(theme, theme.defaults()));
        for (Strays.Stray stray : Strays.in(in.site())) {
            assertThat(Strays.nearest(stray, worn)).isNotNull();
            assertThat(Strays.governing(stray, worn)).isNotNull();
        }
        for (SitePage page : in.site().pages())
            assertThat(RoleSpots.of(page.html())).containsKey("surface.page.text");
    }
}
