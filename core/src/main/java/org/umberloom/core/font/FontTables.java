package org.umberloom.core.font;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * The tables of one font. Source: OpenType 1.9.1, “Organization of an OpenType Font”.
 *
 * @param flavor {@code 0x00010000} or {@code 'true'} for TrueType outlines, {@code 'OTTO'} for those of CFF
 */
public record FontTables(int flavor, SortedMap<String, byte[]> tables) {
    static final int TRUE_TYPE = 0x0001_0000;
    static final int TRUE = 0x7472_7565;
    static final int CFF = 0x4f54_544f;
    private static final int COLLECTION = 0x7474_6366;
    /** More bytes than any font for the web has; common practice. */
    public static final int MOST_BYTES = 16 << 20;

    private static final int MOST_TABLES = 64;
    private static final int HEADER = 12;
    private static final int ENTRY = 16;
    /** Where the head table keeps what makes the whole file add up; it is left out of its own checksum. */
    private static final int ADJUSTMENT = 8;

    private static final long ADDS_UP_TO = 0xb1b0_afbaL;

    public FontTables {
        tables = java.util.Collections.unmodifiableSortedMap(new TreeMap<>(tables));
    }

    /** Any of the four forms of a font file: TTF, OTF, WOFF, WOFF2. @throws BadFont that says what is wrong with it */
    public static FontTables read(byte[] file) {
        if (file.length > MOST_BYTES)
            throw new BadFont("it has " + file.length / 1_048_576 + " MB, and the most is " + MOST_BYTES / 1_048_576
                    + " MB; a subset of it will do for pages");
        if (file.length < HEADER) throw new BadFont("it is no font file (TTF, OTF, WOFF or WOFF2)");
        return switch (ByteBuffer.wrap(file).getInt()) {
            case Woff.SIGNATURE -> Woff.read(file);
            case Woff2.SIGNATURE -> Woff2.read(file);
            case TRUE_TYPE, TRUE, CFF -> sfnt(file);
            case COLLECTION -> throw new BadFont("it is a collection of fonts; give its fonts one by one");
            default -> throw new BadFont("it is no font file (TTF, OTF, WOFF or WOFF2)");
        };
    }

    private static FontTables sfnt(byte[] file) {
        Bytes in = new Bytes(file, "directory");
        int flavor = in.i32();
        int count = count(in.u16());
        in.skip(6);
        SortedMap<String, byte[]> tables = new TreeMap<>();
        for (int i = 0; i < count; i++) {
            String tag = in.tag();
            long sum = in.u32();
            long offset = in.u32();
            long length = in.u32();
            byte[] table = new Bytes(file, tag).seek(offset).bytes(length);
            put(tables, tag, table, sum);
        }
        return new FontTables(flavor, tables);
    }

    static int count(int count) {
        if (count == 0 || count > MOST_TABLES) throw new BadFont("it says that it has " + count + " parts");
        return count;
    }

    static void put(Map<String, byte[]> tables, String tag, byte[] table) {
        if (tables.put(tag, table) != null) throw new BadFont("it has the part “" + tag.strip() + "” twice");
    }

    /** @param sum what its checksum is said to be */
    static void put(Map<String, byte[]> tables, String tag, byte[] table, long sum) {
        if (sum != checksum(tag, table))
            throw new BadFont("its part “" + tag.strip() + "” is damaged: its checksum is another");
        put(tables, tag, table);
    }

    Optional<byte[]> table(String tag) {
        return Optional.ofNullable(tables.get(tag));
    }

    /** A table to be read. @throws BadFont where there is none */
    Bytes reading(String tag) {
        return new Bytes(table(tag).orElseThrow(() -> new BadFont("it has no part “" + tag.strip() + "”")), tag);
    }

    /** The sum of a table's numbers of four bytes, the last filled up with zeros. */
    static long checksum(String tag, byte[] table) {
        long sum = 0;
        for (int i = 0; i < table.length; i += 4) {
            long word = 0;
            for (int b = 0; b < 4; b++) word = word << 8 | (i + b < table.length ? table[i + b] & 0xff : 0);
            if (!tag.equals("head") || i != ADJUSTMENT) sum += word;
        }
        return sum & 0xffff_ffffL;
    }

    /** As a TTF or OTF file that adds up. */
    public byte[] file() {
        int size = HEADER + ENTRY * tables.size();
        for (byte[] table : tables.values()) size += padded(table.length);
        ByteBuffer out = ByteBuffer.allocate(size);
        int power = Integer.highestOneBit(tables.size());
        out.putInt(flavor)
                .putShort((short) tables.size())
                .putShort((short) (power * ENTRY))
                .putShort((short) Integer.numberOfTrailingZeros(power))
                .putShort((short) (ENTRY * (tables.size() - power)));
        int offset = HEADER + ENTRY * tables.size();
        int head = -1;
        for (Map.Entry<String, byte[]> table : tables.entrySet()) {
            byte[] data = table.getValue();
            if (table.getKey().equals("head") && data.length >= ADJUSTMENT + 4) head = offset;
            out.put(table.getKey().getBytes(StandardCharsets.ISO_8859_1))
                    .putInt((int) checksum(table.getKey(), data))
                    .putInt(offset)
                    .putInt(data.length);
            out.put(offset, data);
            offset += padded(data.length);
        }
        byte[] file = out.array();
        if (head >= 0) {
            out.putInt(head + ADJUSTMENT, 0);
            out.putInt(head + ADJUSTMENT, (int) (ADDS_UP_TO - checksum("", file)));
        }
        return file;
    }

    static int padded(int length) {
        return (length + 3) & ~3;
    }
}
