package org.umberloom.core.font;

import java.util.SortedMap;
import java.util.TreeMap;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;

/** The first web font format: each table by itself, deflated. Source: WOFF File Format 1.0, W3C, 13 December 2012. */
final class Woff {
    static final int SIGNATURE = 0x774f_4646;
    private static final int HEADER = 44;

    private Woff() {}

    static FontTables read(byte[] file) {
        Bytes in = new Bytes(file, "directory");
        in.skip(4);
        int flavor = in.i32();
        in.skip(4);
        int count = FontTables.count(in.u16());
        in.seek(HEADER);
        SortedMap<String, byte[]> tables = new TreeMap<>();
        long whole = 0;
        for (int i = 0; i < count; i++) {
            String tag = in.tag();
            long offset = in.u32();
            long packed = in.u32();
            long length = in.u32();
            long sum = in.u32();
            whole += length;
            if (whole > FontTables.MOST_BYTES || packed > length)
                throw new BadFont("its parts would be larger than any font’s");
            byte[] data = new Bytes(file, tag).seek(offset).bytes(packed);
            byte[] table = packed == length ? data : inflated(tag, data, (int) length);
            FontTables.put(tables, tag, table, sum);
        }
        return new FontTables(flavor, tables);
    }

    private static byte[] inflated(String tag, byte[] data, int length) {
        Inflater inflater = new Inflater();
        try {
            inflater.setInput(data);
            byte[] table = new byte[length];
            int done = 0;
            while (done < length) {
                int more = inflater.inflate(table, done, length - done);
                if (more == 0) throw new BadFont("its part “" + tag.strip() + "” cannot be unpacked");
                done += more;
            }
            return table;
        } catch (DataFormatException e) {
            throw new BadFont("its part “" + tag.strip() + "” cannot be unpacked");
        } finally {
            inflater.end();
        }
    }
}
