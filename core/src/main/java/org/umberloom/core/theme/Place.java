package org.umberloom.core.theme;

import java.util.Comparator;
import java.util.Optional;
import org.umberloom.core.token.Names;

/** Where values and choices are written: in a set, in one context of a modifier, or at a scope that is laid over them. */
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
            return "context:" + part(modifier) + "/" + part(context);
        }

        /** A name so that the slash between two of them stays the only one. */
        private static String part(String name) {
            return name.replace("~", "~7e~").replace("/", "~2f~");
        }
    }

    /**
     * At a scope, which every theme has whether something is written there or not.
     *
     * @param under the context in which alone it holds; none for every combination
     */
    record InScope(Scope scope, Optional<InContext> under) implements Place, Comparable<InScope> {
        private static final Comparator<InScope> ORDER = Comparator.comparing(InScope::scope)
                .thenComparing(place -> place.under.map(InContext::modifier).orElse(""))
                .thenComparing(place -> place.under.map(InContext::context).orElse(""));

        /** The same where only what holds in every combination is meant. */
        public InScope always() {
            return new InScope(scope, Optional.empty());
        }

        @Override
        public int compareTo(InScope other) {
            return ORDER.compare(this, other);
        }

        @Override
        public String toString() {
            return "scope:" + scope
                    + under.map(in -> "/" + Combination.code(in.modifier) + "/" + Combination.code(in.context))
                            .orElse("");
        }
    }

    /**
     * For people, to follow what holds there: {@code of article pages in dark}; empty in a set, where it holds everywhere.
     *
     * @param leading the word before a scope, such as {@code of} or {@code on}
     */
    default String words(String leading) {
        if (this instanceof InContext in) return " in " + in.context();
        if (!(this instanceof InScope at)) return "";
        return " " + leading + " " + at.scope().words()
                + at.under().map(in -> in.words(leading)).orElse("");
    }

    static Place set(String name) {
        return new InSet(name);
    }

    static Place context(String modifier, String context) {
        return new InContext(modifier, context);
    }

    static InScope scope(Scope scope) {
        return new InScope(scope, Optional.empty());
    }

    static InScope scope(Scope scope, String modifier, String context) {
        return new InScope(scope, Optional.of(new InContext(modifier, context)));
    }

    /**
     * Reads {@code set:base}, {@code context:scheme/dark}, {@code scope:kind=article} or
     * {@code scope:kind=article/scheme/dark}.
     *
     * @throws IllegalArgumentException for anything else
     */
    static Place parse(String text) {
        if (text.startsWith("set:") && text.length() > 4) return set(text.substring(4));
        if (text.startsWith("scope:")) return scoped(text.substring(6));
        int slash = text.indexOf('/');
        if (text.startsWith("context:") && slash > 8 && slash < text.length() - 1)
            return context(Combination.named(text.substring(8, slash)), Combination.named(text.substring(slash + 1)));
        throw none(text);
    }

    private static InScope scoped(String text) {
        String[] parts = text.split("/", -1);
        if (parts.length == 1) return scope(Scope.parse(text));
        if (parts.length != 3) throw none("scope:" + text);
        return scope(Scope.parse(parts[0]), Combination.named(parts[1]), Combination.named(parts[2]));
    }

    private static IllegalArgumentException none(String text) {
        return new IllegalArgumentException("“" + Names.shown(text)
                + "” is not a place: write set:NAME, context:MODIFIER/CONTEXT or scope:kind=NAME.");
    }
}
