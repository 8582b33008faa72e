package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Base64;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.font.Cut;
import org.umberloom.kit.font.FontCatalog;
import org.umberloom.kit.font.FontFiles;
import org.umberloom.kit.picture.Lettering;

/** Letters in pictures against the same letters in Chromium: variable fonts at weights between, with kerning. */
class LetteringOfTheBrowserTest {
    private static final int WIDTH = 1300;
    private static final int HEIGHT = 160;
    private static final int SIZE = 96;
    /** px. Letters are kerned as the font is as usual; browsers kern them as it is at that weight. */
    private static final int KERNED = 6;

    private static final String TEXT = "Humble inn & boon";

    @ParameterizedTest
    @CsvSource({
        "Bricolage Grotesque, 430",
        "Bricolage Grotesque, 800",
        "Fraunces, 250",
        "Fraunces, 640",
        "Literata, 900"
    })
    void letteringIsDrawnAsInTheBrowser(String family, int weight) throws IOException {
        BufferedImage ours = ours(family, weight);
        BufferedImage theirs = theirs(family, weight);
        double ink = ink(theirs, 0, WIDTH);
        assertThat(ink).isGreaterThan(1_000);
        assertThat(ink(ours, 0, WIDTH)).as("how much is black").isCloseTo(ink, within(ink * 0.02));
        assertThat(edge(ours, true)).as("where it begins").isCloseTo(edge(theirs, true), within(1));
        assertThat(edge(ours, false)).as("where it ends").isCloseTo(edge(theirs, false), within(KERNED));
        double apart = 0;
        for (int x = 0; x < WIDTH; x += 4) apart += Math.abs(ink(ours, x, 4) - ink(theirs, x, 4));
        assertThat(apart / ink).as("ink that stands elsewhere").isLessThan(0.25);
        // A weight that is off by a hundred would be seen.
        double other = ink(ours(family, weight > 500 ? weight - 100 : weight + 100), 0, WIDTH);
        assertThat(Math.abs(other - ink)).isGreaterThan(ink * 0.02);
    }

    private static BufferedImage ours(String family, int weight) {
        BufferedImage picture = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = picture.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        graphics.setPaint(Color.WHITE);
        graphics.fillRect(0, 0, WIDTH, HEIGHT);
        graphics.setPaint(Color.BLACK);
        new Lettering(FontFiles.shipped())
                .lines(
                        TEXT,
                        new Lettering.Setting(new Cut(List.of(family), weight, 100), false, 0, 1),
                        SIZE,
                        WIDTH,
                        false)
                .orElseThrow()
                .draw(graphics, 0, 32);
        graphics.dispose();
        return picture;
    }

    private static BufferedImage theirs(String family, int weight) throws IOException {
        FontCatalog catalog = FontCatalog.shipped();
        StringBuilder faces = new StringBuilder();
        for (FontCatalog.FontPart part : catalog.find(family).orElseThrow().files())
            if (!part.italic())
                faces.append("@font-face { font-family: Seen; font-weight: ")
                        .append(part.weights())
                        .append("; unicode-range: ")
                        .append(part.characters())
                        .append("; src: url(data:font/woff2;base64,")
                        .append(Base64.getEncoder().encodeToString(catalog.read(part.file())))
                        .append("); }\n");
        try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
            page.setViewportSize(WIDTH, HEIGHT);
            page.setContent(
                    "<style>" + faces + "body { margin: 0; background: white; } p { margin: 32px 0 0; font: " + weight
                            + " " + SIZE + "px/1 Seen; font-optical-sizing: none; white-space: nowrap; }</style><p>"
                            + TEXT.replace("&", "&amp;") + "</p>");
            page.evaluate("() => document.fonts.ready.then(() => true)");
            return ImageIO.read(new ByteArrayInputStream(page.screenshot()));
        }
    }

    /** How much of some columns is black, in px. */
    private static double ink(BufferedImage picture, int from, int columns) {
        double ink = 0;
        for (int x = from; x < Math.min(WIDTH, from + columns); x++)
            for (int y = 0; y < HEIGHT; y++) ink += 1 - (picture.getRGB(x, y) & 0xff) / 255.0;
        return ink;
    }

    private static int edge(BufferedImage picture, boolean first) {
        for (int i = 0; i < WIDTH; i++) {
            int x = first ? i : WIDTH - 1 - i;
            if (ink(picture, x, 1) > 1) return x;
        }
        return -1;
    }
}
