package org.umberloom.core.font;

import com.aayushatharva.brotli4j.Brotli4jLoader;
import com.aayushatharva.brotli4j.decoder.BrotliInputStream;
import com.aayushatharva.brotli4j.encoder.Encoder;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/** The second web font format: all tables in one Brotli stream, outlines in a form of their own. Source: WOFF File Format 2.0, W3C. */
public final class Woff2 {
    static final int SIGNATURE = 0x774f_4632;
    private static final int HEADER = 48;
    /** Tags that are written as a number. Source: section 5.2, table of known tables. */
    private static final List<String> KNOWN = List.of(
            ("cmap head hhea hmtx maxp name OS/2 post cvt_ fpgm glyf loca prep CFF_ VORG EBDT EBLC gasp hdmx kern LTSH PCLT "
                            + "VDMX vhea vmtx BASE GDEF GPOS GSUB EBSC JSTF MATH CBDT CBLC COLR CPAL SVG_ sbix acnt avar bdat bloc "
                            + "bsln cvar fdsc feat fmtx fvar gvar hsty just lcar mort morx opbd prop trak Zapf Silf Glat Gloc Feat "
                            + "Sill")
                    .replace('_', ' ')
                    .split(" (?! )"));

    private static final int NAMED = 63;
    private static final int UNTRANSFORMED = 3;
    private static final int FLAT_QUALITY = 9;

    private record Entry(String tag, int version, int length, int packed) {
        boolean transformed() {
            return outlines() ? version != UNTRANSFORMED : version != 0;
        }

        boolean outlines() {
            return tag.equals("glyf") || tag.equals("loca");
        }
    }

    static {
        Brotli4jLoader.ensureAvailability();
    }

    private Woff2() {}

    static FontTables read(byte[] file) {
        Bytes in = new Bytes(file, "directory");
        in.skip(4);
        int flavor = in.i32();
        in.skip(4);
        int count = FontTables.count(in.u16());
        in.skip(6);
        long packed = in.u32();
        in.seek(HEADER);
        List<Entry> entries = new ArrayList<>();
        long whole = 0;
        for (int i = 0; i < count; i++) {
            int flags = in.u8();
            String tag = (flags & NAMED) == NAMED ? in.tag() : KNOWN.get(flags & NAMED);
            Entry entry = new Entry(tag, flags >> 6, base128(in), 0);
            if (entry.transformed()) entry = new Entry(tag, flags >> 6, entry.length, base128(in));
            entries.add(entry);
            whole += entry.transformed() ? entry.packed : entry.length;
            if (whole > FontTables.MOST_BYTES || entry.length > FontTables.MOST_BYTES)
                throw new BadFont("its parts would be larger than any font’s");
        }
        return tables(flavor, entries, new Bytes(unpacked(in.bytes(packed), (int) whole), "parts"));
    }

    private static FontTables tables(int flavor, List<Entry> entries, Bytes data) {
        SortedMap<String, byte[]> tables = new TreeMap<>();
        Woff2Outlines.Made outlines = null;
        byte[] metrics = null;
        for (Entry entry : entries) {
            byte[] part = data.bytes(entry.transformed() ? entry.packed : entry.length);
            if (!entry.transformed()) FontTables.put(tables, entry.tag, part);
            else if (entry.tag.equals("glyf")) outlines = Woff2Outlines.of(part);
            else if (entry.tag.equals("hmtx") && entry.version == 1) metrics = part;
            else if (!entry.tag.equals("loca"))
                throw new BadFont("its part “" + entry.tag.strip() + "” is packed in a way that is not known");
        }
        if (outlines != null) {
            FontTables.put(tables, "glyf", outlines.glyf());
            FontTables.put(tables, "loca", outlines.loca());
        }
        if (metrics != null) {
            if (outlines == null) throw new BadFont("its widths are packed by outlines that it has not");
            int proportional = new FontTables(flavor, tables)
                    .reading("hhea")
                    .seek(HHEA_COUNT)
                    .u16();
            FontTables.put(tables, "hmtx", outlines.metrics(metrics, proportional));
        }
        return new FontTables(flavor, tables);
    }

    static final int HHEA_COUNT = 34;

    private static byte[] unpacked(byte[] packed, int length) {
        try (BrotliInputStream in = new BrotliInputStream(new ByteArrayInputStream(packed))) {
            byte[] data = in.readNBytes(length);
            if (data.length != length || in.read() >= 0) throw new BadFont("it unpacks to another size than it says");
            return data;
        } catch (IOException e) {
            throw new BadFont("it cannot be unpacked");
        }
    }

    /** A font as a WOFF2 file; outlines are packed as they are. Equal fonts give equal bytes. */
    public static byte[] write(FontTables font) {
        ByteArrayOutputStream directory = new ByteArrayOutputStream();
        ByteArrayOutputStream data = new ByteArrayOutputStream();
        int count = 0;
        // Outlines and where they begin stand one after the other (section 5.3).
        List<Map.Entry<String, byte[]>> tables = new ArrayList<>(font.tables().entrySet());
        tables.removeIf(table -> table.getKey().equals("DSIG"));
        for (Map.Entry<String, byte[]> table : tables) {
            int known = KNOWN.indexOf(table.getKey());
            int version = table.getKey().equals("glyf") || table.getKey().equals("loca") ? UNTRANSFORMED : 0;
            directory.write(version << 6 | (known < 0 ? NAMED : known));
            if (known < 0) directory.writeBytes(table.getKey().getBytes(StandardCharsets.ISO_8859_1));
            base128(directory, table.getValue().length);
            data.writeBytes(table.getValue());
            count++;
        }
        byte[] packed = packed(data.toByteArray());
        int length = FontTables.padded(HEADER + directory.size() + packed.length);
        int sfnt = 12 + 16 * count;
        for (Map.Entry<String, byte[]> table : tables) sfnt += FontTables.padded(table.getValue().length);
        ByteBuffer out = ByteBuffer.allocate(length);
        out.putInt(SIGNATURE)
                .putInt(font.flavor())
                .putInt(length)
                .putShort((short) count)
                .putShort((short) 0)
                .putInt(sfnt)
                .putInt(packed.length)
                .putShort((short) 1)
                .putShort((short) 0);
        out.position(HEADER);
        out.put(directory.toByteArray()).put(packed);
        return out.array();
    }

    private static byte[] packed(byte[] data) {
        try {
            return Encoder.compress(
                    data, Encoder.Parameters.create(FLAT_QUALITY).setMode(Encoder.Mode.FONT));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A number of up to five bytes, seven bits each (section 4.1). */
    private static int base128(Bytes in) {
        long number = 0;
        for (int i = 0; i < 5; i++) {
            int next = in.u8();
            if (i == 0 && next == 0x80) break;
            number = number << 7 | next & 0x7f;
            if (number > Integer.MAX_VALUE) break;
            if ((next & 0x80) == 0) return (int) number;
        }
        throw new BadFont("a length in it is no number");
    }

    private static void base128(ByteArrayOutputStream out, int number) {
        int bits = 28;
        while (bits > 0 && number >> bits == 0) bits -= 7;
        for (; bits >= 0; bits -= 7) out.write(number >> bits & 0x7f | (bits > 0 ? 0x80 : 0));
    }
}
