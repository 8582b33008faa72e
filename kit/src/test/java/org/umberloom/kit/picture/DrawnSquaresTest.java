package org.umberloom.kit.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Color;

/** Squares of pixels against what was drawn. */
class DrawnSquaresTest {
    private static final String VECTOR = "image/svg+xml";
    private static final String RED = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 10 10\">"
            + "<rect width=\"10\" height=\"10\" fill=\"#d02010\"/></svg>";

    private static DrawnSquares drawn(String svg) {
        return new DrawnSquares(svg.getBytes(StandardCharsets.UTF_8), VECTOR);
    }

    private static BufferedImage image(byte[] png) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(png));
    }

    @Test
    void aVectorPictureIsDrawnAtEachSize() throws IOException {
        for (int size : new int[] {16, 180, 512}) {
            BufferedImage image = image(drawn(RED).png(size, 1, Optional.empty()));
            assertThat(image.getWidth()).isEqualTo(size);
            assertThat(image.getHeight()).isEqualTo(size);
            assertThat(image.getRGB(size / 2, size / 2)).isEqualTo(0xffd02010);
            assertThat(image.getRGB(1, size - 2)).isEqualTo(0xffd02010);
        }
    }

    /** Web Application Manifest, W3C: what matters of a maskable icon lies within a circle of four fifths; the rest is ground. */
    @Test
    void aGroundLiesAroundWhatMayNotBeCut() throws IOException {
        BufferedImage image = image(drawn(RED).png(100, 0.8, Optional.of(Color.rgb(255, 250, 240))));
        assertThat(image.getRGB(2, 50)).isEqualTo(0xfffffaf0);
        assertThat(image.getRGB(12, 50)).isEqualTo(0xffd02010);
        assertThat(image.getRGB(97, 97)).isEqualTo(0xfffffaf0);
    }

    @Test
    void aWidePictureIsWholeWithinItsSquare() throws IOException {
        BufferedImage wide = new BufferedImage(400, 100, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < 400; x++) for (int y = 0; y < 100; y++) wide.setRGB(x, y, 0x0044aa);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(wide, "png", out);
        BufferedImage image = image(new DrawnSquares(out.toByteArray(), "image/png").png(64, 1, Optional.empty()));
        assertThat(image.getRGB(32, 32)).isEqualTo(0xff0044aa);
        assertThat(image.getRGB(32, 10) >>> 24).as("clear above it").isZero();
        assertThat(image.getRGB(2, 32) >>> 24).isEqualTo(255);
    }

    /** The ICO format: 6 bytes, then 16 for each picture with its sides, its length and where it lies. */
    @Test
    void aFileForTabsHoldsAllItsSizes() throws IOException {
        byte[] file = drawn(RED).ico(List.of(16, 32, 48));
        ByteBuffer read = ByteBuffer.wrap(file).order(ByteOrder.LITTLE_ENDIAN);
        assertThat(new short[] {read.getShort(), read.getShort(), read.getShort()})
                .containsExactly((short) 0, (short) 1, (short) 3);
        for (int size : new int[] {16, 32, 48}) {
            assertThat(read.get()).isEqualTo((byte) size);
            read.position(read.position() + 7);
            int length = read.getInt();
            int at = read.getInt();
            assertThat(image(Arrays.copyOfRange(file, at, at + length)).getWidth())
                    .isEqualTo(size);
        }
    }

    @Test
    void nothingIsLoadedFromElsewhere() {
        String outside =
                "<svg xmlns=\"http://www.w3.org/2000/svg\" xmlns:xlink=\"http://www.w3.org/1999/xlink\" viewBox=\"0 0 9 9\">"
                        + "<image width=\"9\" height=\"9\" xlink:href=\"file:///etc/hostname\"/></svg>";
        assertThatThrownBy(() -> drawn(outside).png(16, 1, Optional.empty()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("cannot be drawn here");
    }
}
