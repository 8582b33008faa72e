package org.umberloom.core.font;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class Woff2Test {
    private static final String FILE = "figtree-latin.woff2";

    @ParameterizedTest
    @ValueSource(strings = {FILE, "zilla-slab-latin-700-italic.woff2", "jetbrains-mono-latin.woff2"})
    void whatIsPackedHereUnpacksToTheSameTables(String file) {
        FontTables font = FontTables.read(ShippedFonts.bytes(file));
        byte[] packed = Woff2.write(font);
        FontTables again = FontTables.read(packed);
        assertThat(again.tables().keySet()).isEqualTo(font.tables().keySet());
        again.tables()
                .forEach((tag, table) ->
                        assertThat(table).as(tag).isEqualTo(font.tables().get(tag)));
        assertThat(Woff2.write(font)).isEqualTo(packed);
        assertThat(ByteBuffer.wrap(packed).getInt(8)).isEqualTo(packed.length);
    }

    @Test
    void aTrueTypeFileAddsUp() {
        byte[] file = FontTables.read(ShippedFonts.bytes(FILE)).file();
        // The whole file's sum. Source: OpenType 1.9.1, head, checksumAdjustment.
        assertThat(FontTables.checksum("", file)).isEqualTo(0xb1b0_afbaL);
        assertThat(FontTables.read(file).tables().keySet())
                .isEqualTo(FontTables.read(ShippedFonts.bytes(FILE)).tables().keySet());
    }

    @Test
    void aChangedByteIsNoticed() {
        byte[] file = FontTables.read(ShippedFonts.bytes(FILE)).file();
        file[file.length / 2] ^= 0x10;
        assertThatThrownBy(() -> FontTables.read(file))
                .isInstanceOf(BadFont.class)
                .hasMessageContaining("is damaged");
    }

    @Test
    void whatIsNoFontIsRefused() {
        assertThatThrownBy(() -> FontFile.read("<svg xmlns='http://www.w3.org/2000/svg'/>".getBytes()))
                .isInstanceOf(BadFont.class)
                .hasMessageContaining("no font file");
        assertThatThrownBy(() -> FontFile.read(new byte[50 << 20]))
                .isInstanceOf(BadFont.class)
                .hasMessageContaining("50 MB");
        byte[] file = ShippedFonts.bytes(FILE);
        assertThatThrownBy(() -> FontFile.read(Arrays.copyOf(file, file.length / 2)))
                .isInstanceOf(BadFont.class);
    }

    /** Whatever is done to a font, it is read or refused with a reason. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void aDamagedFontIsReadOrRefused(long seed) {
        Random random = new Random(seed);
        byte[] packed = ShippedFonts.bytes(FILE);
        FontTables good = FontTables.read(packed);
        int refused = 0;
        for (int i = 0; i < 60; i++) {
            byte[] bad;
            if (random.nextInt(3) == 0) {
                bad = packed.clone();
                for (int n = 0; n < 1 + random.nextInt(6); n++)
                    bad[random.nextInt(bad.length)] = (byte) random.nextInt();
            } else {
                // Within a table, with a checksum that fits again.
                var tables = new java.util.TreeMap<>(good.tables());
                String tag = tables.keySet().toArray(String[]::new)[random.nextInt(tables.size())];
                byte[] table = tables.get(tag).clone();
                if (random.nextInt(4) == 0) table = Arrays.copyOf(table, random.nextInt(table.length + 1));
                for (int n = 0; n < 1 + random.nextInt(12) && table.length > 0; n++)
                    table[random.nextInt(Math.min(table.length, 64))] = (byte) random.nextInt();
                tables.put(tag, table);
                bad = new FontTables(good.flavor(), tables).file();
            }
            try {
                FontFile.read(bad).advances(700).of(FontFile.RUNNING);
            } catch (BadFont e) {
                refused++;
                assertThat(e).hasMessageNotContaining("null");
            }
        }
        assertThat(refused).isPositive();
    }
}
