package org.umberloom.core.theme;

/** Where in a theme a token is written: in a set, or in one context of a modifier. */
public sealed interface Place {
    record InSet(String set) implements Place {
        @Override
        public String toString() {
            return "set:" + set;
        }
    }

    record InContext(String modifier, String context) implements Place {
        @Override
        public String toString() {
            return "context:" + modifier + "/" + context;
        }
    }

    static Place set(String name) {
        return new InSet(name);
    }

    static Place context(String modifier, String context) {
        return new InContext(modifier, context);
    }

    /** Reads {@code set:base} or {@code context:scheme/dark}. @throws IllegalArgumentException for anything else */
    static Place parse(String text) {
        if (text.startsWith("set:") && text.length() > 4) return set(text.substring(4));
        int slash = text.indexOf('/');
        if (text.startsWith("context:") && slash > 8 && slash < text.length() - 1)
            return context(text.substring(8, slash), text.substring(slash + 1));
        throw new IllegalArgumentException(
                "“" + text + "” is not a place: write set:NAME or context:MODIFIER/CONTEXT.");
    }
}
