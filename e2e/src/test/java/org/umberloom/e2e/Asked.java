package org.umberloom.e2e;

/** Bodies of requests for edits, in JSON. */
final class Asked {
    private Asked() {}

    /** @param edit the fields of one edit, its {@code op} among them, without braces */
    static String edit(Object base, String edit) {
        return "{\"base\":" + base + ",\"edit\":{" + edit + "}}";
    }

    /** One that a pointer asks for as it moves. */
    static String probe(Object base, String edit) {
        return "{\"base\":" + base + ",\"lean\":true,\"edit\":{" + edit + "}}";
    }

    /** The fields of an edit that writes a value into the set {@code base}. */
    static String value(String path, String text) {
        return "\"op\":\"value\",\"place\":\"set:base\",\"path\":\"" + path + "\",\"text\":\"" + text + "\"";
    }
}
