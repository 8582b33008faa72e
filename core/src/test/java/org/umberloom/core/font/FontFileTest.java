package org.umberloom.core.font;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.fontbox.ttf.GlyfDescript;
import org.apache.fontbox.ttf.GlyphData;
import org.apache.fontbox.ttf.OTFParser;
import org.apache.fontbox.ttf.OpenTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.umberloom.core.json.Json;

/**
 * Every shipped font against what fontTools 4.38.0 (Debian's python3-fonttools) reads in it: {@code fonts/reference.py} is the
 * script, {@code fonts/reference.json} what it said. Widths at weights other than the usual come from the outlines there, and
 * from the table of widths here.
 */
class FontFileTest {
    static Stream<String> files() {
        return ShippedFonts.reference().keySet().stream();
    }

    static Stream<String> basic() {
        return files().filter(file -> !file.contains("-ext"));
    }

    private static Map<String, Object> said(String file) {
        return Json.object("font", ShippedFonts.reference().get(file));
    }

    @Test
    void aboutFortyFamiliesShip() {
        assertThat(files().map(file -> said(file).get("family")).distinct()).hasSizeGreaterThanOrEqualTo(40);
    }

    /** Against the families’ names in the packages that the fonts come from (fontsource). */
    @Test
    void allFilesOfAFamilyShareItsName() {
        String catalog = new String(ShippedFonts.bytes("catalog.json"), StandardCharsets.UTF_8);
        List<?> families = Json.list(
                "catalog",
                Json.readObject("catalog", "{\"all\":" + catalog + "}").get("all"));
        assertThat(families).hasSizeGreaterThanOrEqualTo(40);
        for (Object family : families)
            for (Object part : Json.list("files", Json.object("family", family).get("files"))) {
                String file = (String) Json.object("file", part).get("file");
                assertThat(ShippedFonts.font(file).commonFamily())
                        .as(file)
                        .isEqualTo(Json.object("family", family).get("name"));
            }
    }

    @ParameterizedTest
    @MethodSource("files")
    void readsWhatTheFileSays(String file) {
        Map<String, Object> said = said(file);
        FontFile font = ShippedFonts.font(file);
        assertThat(font.family()).isEqualTo(said.get("family"));
        assertThat((double) font.unitsPerEm()).isEqualTo(number(said.get("unitsPerEm")));
        List<?> lines = Json.list("lines", said.get(Boolean.TRUE.equals(said.get("useTypo")) ? "typo" : "hhea"));
        double em = font.unitsPerEm();
        FontFile.Metrics metrics = font.metrics();
        assertThat(metrics.ascent() * em).isCloseTo(number(lines.get(0)), within(1e-9));
        assertThat(-metrics.descent() * em).isCloseTo(number(lines.get(1)), within(1e-9));
        assertThat(metrics.gap() * em).isCloseTo(number(lines.get(2)), within(1e-9));
        assertThat(metrics.xHeight() * em).isCloseTo(number(said.get("xHeight")), within(1e-9));
        assertThat(metrics.capHeight() * em).isCloseTo(number(said.get("capHeight")), within(1e-9));
        assertThat(font.axes().stream().map(axis -> List.of(axis.tag(), axis.least(), axis.usual(), axis.most())
                        .toString()))
                .isEqualTo(Json.list("axes", said.get("axes")).stream()
                        .map(axis -> {
                            List<?> one = Json.list("axis", axis);
                            return List.of(one.get(0), number(one.get(1)), number(one.get(2)), number(one.get(3)))
                                    .toString();
                        })
                        .toList());
        assertThat(new ArrayList<Object>(font.features())).isEqualTo(Json.list("features", said.get("features")));
        assertThat(font.coverage().stream().boxed().map(Double::valueOf).toList())
                .isEqualTo(Json.list("characters", said.get("characters")).stream()
                        .map(FontFileTest::number)
                        .toList());
        assertThat(font.italic()).isEqualTo(file.contains("italic"));
        assertThat(font.embedding()).isEqualTo(Embedding.of((int) number(said.get("fsType"))));
    }

    @ParameterizedTest
    @MethodSource("basic")
    void textIsAsWideAsItsOutlinesAre(String file) {
        FontFile font = ShippedFonts.font(file);
        Json.object("widths", said(file).get("widths")).forEach((weight, width) -> {
            Advances advances =
                    weight.equals("default") ? font.advances(Map.of()) : font.advances(Integer.parseInt(weight));
            // Each glyph's width is rounded to the font's units on either side.
            assertThat(advances.of(FontFile.RUNNING) * font.unitsPerEm())
                    .as(file + " at " + weight)
                    .isCloseTo(number(width), within(FontFile.RUNNING.length() * 0.51));
        });
    }

    @ParameterizedTest
    @MethodSource("basic")
    void outlinesComeOutOfTheirPackingAsTheyWere(String file) throws IOException, NoSuchAlgorithmException {
        MessageDigest points = MessageDigest.getInstance("SHA-256");
        byte[] whole = ShippedFonts.font(file).tables().file();
        try (OpenTypeFont font = new OTFParser().parse(new RandomAccessReadBuffer(whole))) {
            for (int at = 0; at < font.getNumberOfGlyphs(); at++) {
                GlyphData glyph = font.getGlyph().getGlyph(at);
                if (glyph == null || glyph.getNumberOfContours() <= 0) continue;
                GlyfDescript outline = (GlyfDescript) glyph.getDescription();
                StringBuilder said = new StringBuilder();
                for (int i = 0; i < outline.getPointCount(); i++)
                    said.append(at + " " + outline.getXCoordinate(i) + " " + outline.getYCoordinate(i) + " "
                            + (outline.getFlags(i) & 1) + "\n");
                List<Integer> ends = new ArrayList<>();
                for (int i = 0; i < outline.getContourCount(); i++) ends.add(outline.getEndPtOfContours(i));
                points.update((said + ends.toString() + "\n").getBytes(StandardCharsets.US_ASCII));
            }
        }
        assertThat(HexFormat.of().formatHex(points.digest()))
                .isEqualTo(said(file).get("outlines"));
    }

    private static double number(Object said) {
        return ((Number) said).doubleValue();
    }
}
