package org.umberloom.core.token;

/** Names as steps of a JSON pointer. Source: RFC 6901, section 3. */
public final class Pointers {
    private Pointers() {}

    public static String escaped(String name) {
        return name.replace("~", "~0").replace("/", "~1");
    }

    public static String unescaped(String step) {
        return step.replace("~1", "/").replace("~0", "~");
    }
}
