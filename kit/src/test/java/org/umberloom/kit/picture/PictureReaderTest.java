package org.umberloom.kit.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.color.PictureColors;

class PictureReaderTest {
    private final PictureReader reader = new PictureReader();

    private static byte[] painted(String format, int width, int height) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setColor(new java.awt.Color(0x1c6076));
        graphics.fillRect(0, 0, width, height);
        graphics.setColor(new java.awt.Color(0xc8501c));
        graphics.fillRect(0, 0, width / 4, height);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(image, format, bytes);
        return bytes.toByteArray();
    }

    @ParameterizedTest
    @ValueSource(strings = {"png", "jpg"})
    void theColorsOfALogoAreFoundWithTheirShares(String format) throws IOException {
        java.util.List<PictureColors.Found> found = PictureColors.of(reader.pixels(painted(format, 800, 400)), 8);
        assertThat(found).hasSize(2);
        assertThat(found.stream().mapToDouble(PictureColors.Found::share).max().orElseThrow())
                .isBetween(0.74, 0.76);
    }

    @Test
    void aLargePictureIsThinnedOut() throws IOException {
        int[] pixels = reader.pixels(painted("png", 4_000, 3_000));
        assertThat(pixels.length).isBetween(900_000, 2_000_000);
    }

    /** A PNG whose header announces 50,000 by 50,000 pixels: refused by its size, before any pixel is unpacked. */
    @Test
    void aDecompressionBombIsRefusedUnread() throws IOException {
        assertThatThrownBy(() -> reader.pixels(header(50_000, 50_000)))
                .hasMessageContaining("2500 megapixels")
                .hasMessageContaining("not kept");
    }

    /** A PNG of sixteen bits for each of four channels, all alike: a third of a megabyte that unpacks to 316. */
    private static byte[] flat(int width, int height) throws IOException {
        ByteArrayOutputStream pixels = new ByteArrayOutputStream();
        try (DeflaterOutputStream packed = new DeflaterOutputStream(pixels)) {
            byte[] row = new byte[1 + width * 8];
            for (int y = 0; y < height; y++) packed.write(row);
        }
        ByteArrayOutputStream header = new ByteArrayOutputStream();
        DataOutputStream data = new DataOutputStream(header);
        data.writeInt(width);
        data.writeInt(height);
        data.write(new byte[] {16, 6, 0, 0, 0});
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(png);
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        chunk(out, "IHDR", header.toByteArray());
        chunk(out, "IDAT", pixels.toByteArray());
        chunk(out, "IEND", new byte[0]);
        return png.toByteArray();
    }

    private static void chunk(DataOutputStream out, String name, byte[] content) throws IOException {
        byte[] named = name.getBytes(StandardCharsets.US_ASCII);
        CRC32 crc = new CRC32();
        crc.update(named);
        crc.update(content);
        out.writeInt(content.length);
        out.write(named);
        out.write(content);
        out.writeInt((int) crc.getValue());
    }

    @Test
    void whatUnpacksToTooManyBytesIsRefusedUnread() throws IOException {
        byte[] picture = flat(7_900, 5_000);
        assertThat(picture.length).isLessThan(400_000);
        assertThatThrownBy(() -> reader.read(picture))
                .hasMessageContaining("would unpack to 301 MB; up to 244 are read")
                .hasMessageContaining("not kept");
        assertThat(reader.read(flat(1_900, 1_000)).width()).isEqualTo(1_900);
    }

    /** Such a picture may have been kept before it was refused; its smaller files are made of thinned pixels. */
    @Test
    void smallerFilesOfALargePictureNeverHoldAllOfIt() throws IOException {
        byte[] picture = flat(7_900, 5_000);
        assertThat(Raster.atLeast(picture, 480).getWidth()).isBetween(480, 1_000);
        for (int width : List.of(480, 960, 1_600)) {
            BufferedImage small = ImageIO.read(
                    new java.io.ByteArrayInputStream(new SmallerPictures().made(picture, "image/png", width)));
            assertThat(small.getWidth()).isEqualTo(width);
        }
        try (Raster raster = Raster.open(picture).orElseThrow()) {
            BufferedImage held = raster.thinned(1);
            assertThat(8L * held.getWidth() * held.getHeight()).isLessThanOrEqualTo(Raster.MOST_HELD);
        }
    }

    private static byte[] header(int width, int height) throws IOException {
        ByteArrayOutputStream header = new ByteArrayOutputStream();
        DataOutputStream data = new DataOutputStream(header);
        data.writeBytes("IHDR");
        data.writeInt(width);
        data.writeInt(height);
        data.write(new byte[] {8, 2, 0, 0, 0});
        CRC32 crc = new CRC32();
        crc.update(header.toByteArray());
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(png);
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        out.writeInt(13);
        out.write(header.toByteArray());
        out.writeInt((int) crc.getValue());
        out.writeInt(0);
        out.writeBytes("IDAT");
        return png.toByteArray();
    }

    /** The smallest lossless WebP there is: one pixel. */
    @Test
    void webpIsRead() {
        byte[] webp = java.util.Base64.getDecoder().decode("UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA==");
        assertThat(reader.pixels(webp)).hasSize(1);
    }

    @Test
    void aVectorPictureCountsTheColorsItNames() {
        int[] pixels = reader.pixels(
                """
                <svg xmlns="http://www.w3.org/2000/svg"><rect fill="#1c6076"/>
                 <path style="stroke: #c8501c; fill:none"/><use href="#a"/></svg>"""
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(PictureColors.of(pixels, 8))
                .extracting(found -> CssColor.write(found.color()))
                .containsExactlyInAnyOrder("#1c6076", "#c8501c");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<svg><script>alert(1)</script></svg>",
                "<svg onload=\"alert(1)\"/>",
                "<svg><image href=\"http://example.org/x.png\"/></svg>",
                "<?xml version=\"1.0\"?><!DOCTYPE svg [<!ENTITY a \"b\">]><svg/>",
                "<svg><style>@import 'x.css'</style></svg>",
                "<svg><rect fill=\"url(http://example.org/#a)\"/></svg>",
                "<svg><foreignObject/></svg>",
                "<svg><a href=\"javascript:x\"/></svg>",
                "<svg xmlns:x=\"http://www.w3.org/2000/svg\"><x:script>1</x:script></svg>",
                "<svg><g><metadata><x onclick=\"1\"/></metadata></g></svg>",
                "<svg><style>a{background:image-set('x' 1x)}</style></svg>",
                "<svg><rect style=\"fill:u\\72l(x)\"/></svg>",
                "<svg><use href=\"other.svg#a\"/></svg>",
                "<svg><image href=\"data:image/svg+xml;base64,AAAA\"/></svg>"
            })
    void aHostileVectorPictureIsRefused(String svg) {
        assertThatThrownBy(() -> reader.pixels(svg.getBytes(StandardCharsets.UTF_8)))
                .hasMessageContaining("refused")
                .hasMessageContaining("nothing was changed");
    }

    /** Escape sequences of ISO-2022-JP hide the letters from who looks for them byte by byte. */
    @Test
    void aScriptInAnotherEncodingIsRefused() throws IOException {
        String svg = "<?xml version=\"1.0\" encoding=\"ISO-2022-JP\"?><svg xmlns=\"http://www.w3.org/2000/svg\">"
                + "<\u001b(Jscript\u001b(B>1</script></svg>";
        byte[] hidden = svg.getBytes(StandardCharsets.US_ASCII);
        assertThatThrownBy(() -> reader.read(hidden))
                .hasMessageContaining("vector picture")
                .hasMessageContaining("nothing was changed");
        byte[] utf16 =
                "<?xml version=\"1.0\" encoding=\"UTF-16\"?><svg xmlns=\"http://www.w3.org/2000/svg\"><script/></svg>"
                        .getBytes(StandardCharsets.UTF_16);
        assertThatThrownBy(() -> reader.read(utf16)).hasMessageContaining("script");
    }

    @Test
    void aSafePictureIsWrittenAnewAndStaysTheSameWhenItIsReadAgain() {
        byte[] drawn =
                """
                <?xml version="1.0" encoding="UTF-8"?><!-- by hand --><!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN"
                 "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd">
                <svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"
                 xmlns:e="http://example.org/editor" e:zoom="2" viewBox="0 0 9 9">
                <e:guides><e:g/></e:guides><metadata>none</metadata><style>.a{fill:#c8501c}</style><defs><path id="p" d="M0 0h9v9z"/></defs>
                <use xlink:href="#p" class="a"/><rect width="3" height="3" style="fill: #1c6076"/><text x="1" y="8">a &lt; b</text></svg>"""
                        .getBytes(StandardCharsets.UTF_8);
        PictureReader.Seen seen = reader.read(drawn);
        String safe = new String(seen.content(), StandardCharsets.UTF_8);
        assertThat(safe)
                .startsWith("<svg")
                .contains("href=\"#p\"", "a &lt; b", ".a{fill:#c8501c}", "viewBox")
                .doesNotContain("guides", "metadata", "zoom", "DOCTYPE", "by hand");
        assertThat(seen.mediaType()).isEqualTo("image/svg+xml");
        assertThat(seen.pixels()).hasSize(2);
        assertThat(reader.read(seen.content()).content()).isEqualTo(seen.content());
    }

    /** It once took a minute: expressions went over every blank from every blank. */
    @Test
    void aLongOddPictureTakesNoLonger() {
        byte[] blanks = ("<svg xmlns=\"http://www.w3.org/2000/svg\"><rect fill=\"#123456\"" + " ".repeat(2_000_000)
                        + "/></svg>")
                .getBytes(StandardCharsets.UTF_8);
        org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(
                java.time.Duration.ofSeconds(30),
                () -> assertThat(reader.pixels(blanks)).hasSize(1));
    }

    @Test
    void aFileIsWhatItReallyIsWhateverItClaims() throws IOException {
        assertThat(reader.read(painted("png", 9, 9)).mediaType()).isEqualTo("image/png");
        assertThat(reader.read(painted("jpg", 9, 9)).mediaType()).isEqualTo("image/jpeg");
        assertThatThrownBy(() -> reader.read(painted("gif", 9, 9))).hasMessageContaining("neither JPEG");
        assertThatThrownBy(() -> reader.read(painted("bmp", 9, 9))).hasMessageContaining("neither JPEG");
    }

    @Test
    void aLineOfPixelsOfAnyLengthIsRefusedUnread() throws IOException {
        assertThatThrownBy(() -> reader.pixels(header(1, 64_000_000))).hasMessageContaining("a side may have");
        assertThatThrownBy(() -> reader.pixels(header(64_000_000, 1))).hasMessageContaining("a side may have");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "not a picture", "\u0089PNG\r\n\u001a\n"})
    void whatIsNoPictureIsRefused(String content) {
        assertThatThrownBy(() -> reader.pixels(content.getBytes(StandardCharsets.ISO_8859_1)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("nothing was changed");
    }

    /** A kit that is made of a kit holds the same pictures. */
    @Test
    void aPictureThatWasWrittenAnewStaysSo() throws IOException {
        try (Stream<Path> demo = Files.walk(Path.of("..", "demo", "sites"))) {
            List<Path> drawings =
                    demo.filter(file -> file.toString().endsWith(".svg")).toList();
            assertThat(drawings).hasSizeGreaterThan(5);
            for (Path drawing : drawings) {
                byte[] once =
                        new PictureReader().read(Files.readAllBytes(drawing)).content();
                assertThat(new PictureReader().read(once).content())
                        .as(drawing.toString())
                        .isEqualTo(once);
            }
        }
    }
}
