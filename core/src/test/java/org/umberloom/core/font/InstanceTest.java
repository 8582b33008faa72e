package org.umberloom.core.font;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.apache.fontbox.ttf.GlyphDescription;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Variable fonts at places of their axes, against fontTools 4.66.1, varLib.instancer (fonts/outlines.py). */
class InstanceTest {
    private static final int ROUNDING = 1;

    static Stream<String> outlines() throws IOException {
        try (InputStream in = InstanceTest.class.getResourceAsStream("/fonts/outlines.csv")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8)
                    .lines().filter(line -> !line.startsWith("#")).toList().stream();
        }
    }

    private static Map<String, Double> axes(String text) {
        Map<String, Double> axes = new HashMap<>();
        for (String axis : text.split(",")) axes.put(axis.split("=")[0], Double.valueOf(axis.split("=")[1]));
        return axes;
    }

    private static TrueTypeFont parsed(FontFile font, Map<String, Double> axes) throws IOException {
        return new TTFParser().parse(new RandomAccessReadBuffer(font.file(axes)));
    }

    @ParameterizedTest
    @MethodSource("outlines")
    void outlinesAndWidthsAreThoseOfTheReference(String line) throws IOException {
        String[] said = line.split(";");
        try (TrueTypeFont font = parsed(ShippedFonts.font(said[0] + ".woff2"), axes(said[1]))) {
            int glyph = font.getUnicodeCmapLookup().getGlyphId(Integer.parseInt(said[2].substring(2), 16));
            assertThat(font.getAdvanceWidth(glyph)).isCloseTo(Integer.parseInt(said[3]), within(ROUNDING));
            GlyphDescription outline = font.getGlyph().getGlyph(glyph).getDescription();
            outline.resolve();
            String[] points = said[4].split(" ");
            assertThat(outline.getPointCount()).isEqualTo(points.length);
            for (int i = 0; i < points.length; i++) {
                String[] point = points[i].split(",");
                assertThat((int) outline.getXCoordinate(i)).isCloseTo(Integer.parseInt(point[0]), within(ROUNDING));
                assertThat((int) outline.getYCoordinate(i)).isCloseTo(Integer.parseInt(point[1]), within(ROUNDING));
            }
        }
    }

    @Test
    void asUsualItIsWhatItWasAndVariesNoMore() throws IOException {
        for (String name : List.of("literata-latin.woff2", "abril-fatface-latin-400.woff2")) {
            FontFile font = ShippedFonts.font(name);
            FontFile fixed = FontFile.read(font.file(Map.of()));
            assertThat(fixed.axes()).isEmpty();
            assertThat(fixed.coverage()).isEqualTo(font.coverage());
            assertThat(fixed.advances(400).of(FontFile.RUNNING))
                    .isEqualTo(font.advances(400).of(FontFile.RUNNING));
        }
    }
}
