package org.umberloom.core.font;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Fonts whose files say less than those of today: what they leave out is measured from their letters. */
class OlderFontsTest {
    private static final int FAMILY_CLASS = 30;
    private static final int PANOSE = 32;
    private static final int X_HEIGHT = 86;
    private static final int CAP_HEIGHT = 88;

    /** The same font, whose table OS/2 says nothing of its kind and its letters' heights. Offsets: OpenType 1.9.1, OS/2. */
    private static FontFile silent(String file) {
        byte[] bytes = ShippedFonts.font(file).tables().file().clone();
        ByteBuffer in = ByteBuffer.wrap(bytes);
        int tables = in.getShort(4);
        for (int i = 0; i < tables; i++) {
            int record = 12 + 16 * i;
            byte[] tag = Arrays.copyOfRange(bytes, record, record + 4);
            if (!new String(tag, StandardCharsets.US_ASCII).equals("OS/2")) continue;
            int at = in.getInt(record + 8);
            in.putShort(at + FAMILY_CLASS, (short) 0);
            for (int n = 0; n < 10; n++) in.put(at + PANOSE + n, (byte) 0);
            in.putShort(at + X_HEIGHT, (short) 0);
            in.putShort(at + CAP_HEIGHT, (short) 0);
            int sum = 0;
            int length = in.getInt(record + 12);
            for (int n = 0; n < length; n++) sum += (bytes[at + n] & 0xff) << 24 - 8 * (n % 4);
            in.putInt(record + 4, sum);
        }
        return FontFile.read(bytes);
    }

    @ParameterizedTest
    @CsvSource({
        "figtree-latin.woff2,sans-serif",
        "work-sans-latin.woff2,sans-serif",
        "lora-latin.woff2,serif",
        "source-serif-4-latin.woff2,serif",
        "bitter-latin.woff2,serif"
    })
    void kindAndHeightsAreToldByTheLetters(String file, String generic) {
        FontFile silent = silent(file);
        FontFile.Metrics said = ShippedFonts.font(file).metrics();
        assertThat(silent.generic()).isEqualTo(generic);
        assertThat(silent.metrics().xHeight()).isCloseTo(said.xHeight(), within(0.02));
        assertThat(silent.metrics().capHeight()).isCloseTo(said.capHeight(), within(0.02));
    }

    @Test
    void ligaturesCountWhereNoSpacingIsSet() {
        FontFile lora = ShippedFonts.font("lora-latin.woff2");
        Advances advances = lora.advances(Map.of());
        assertThat(lora.features()).contains("liga");
        String text = "fi";
        double apart = advances.of("f") + advances.of("i");
        double[] joined = advances.set(text, 1, 0);
        double[] spaced = advances.set(text, 1, 0.0001);
        assertThat(joined[1]).as("both letters share the ligature").isCloseTo(joined[2] / 2, within(1e-9));
        assertThat(spaced[2]).as("letter spacing keeps letters apart").isCloseTo(apart, within(0.05));
    }
}
