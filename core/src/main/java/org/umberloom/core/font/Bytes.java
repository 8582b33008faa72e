package org.umberloom.core.font;

import java.nio.charset.StandardCharsets;

/**
 * Reads big-endian numbers one after the other, as font tables hold them. Where a file ends too soon, or points outside of
 * itself, {@link BadFont} says in which table.
 */
final class Bytes {
    private final byte[] data;
    private final String table;
    private int at;

    Bytes(byte[] data, String table) {
        this.data = data;
        this.table = table;
    }

    int at() {
        return at;
    }

    int left() {
        return data.length - at;
    }

    Bytes seek(long to) {
        if (to < 0 || to > data.length) throw ended();
        at = (int) to;
        return this;
    }

    Bytes skip(long count) {
        return seek(at + count);
    }

    int u8() {
        if (at >= data.length) throw ended();
        return data[at++] & 0xff;
    }

    int i8() {
        return (byte) u8();
    }

    int u16() {
        return u8() << 8 | u8();
    }

    int i16() {
        return (short) u16();
    }

    int i32() {
        return u16() << 16 | u16();
    }

    long u32() {
        return i32() & 0xffff_ffffL;
    }

    /** A number with 14 bits behind the point. */
    double f2dot14() {
        return i16() / 16_384.0;
    }

    /** A number with 16 bits behind the point. */
    double fixed() {
        return i32() / 65_536.0;
    }

    String tag() {
        return new String(bytes(4), StandardCharsets.ISO_8859_1);
    }

    byte[] bytes(long count) {
        if (count < 0 || count > left()) throw ended();
        byte[] part = new byte[(int) count];
        System.arraycopy(data, at, part, 0, part.length);
        at += part.length;
        return part;
    }

    /** A part that is read by itself, from here on. */
    Bytes part(long count) {
        return new Bytes(bytes(count), table);
    }

    BadFont ended() {
        return new BadFont("its part “" + table.strip() + "” ends too soon or points outside of itself");
    }
}
