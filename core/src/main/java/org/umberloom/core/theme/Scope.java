package org.umberloom.core.theme;

import org.umberloom.core.token.Names;

/**
 * A part of what a theme dresses that may be given values and choices of its own, laid over the theme's. Written as
 * {@code kind=article}, the name by its {@link Combination#code}.
 *
 * @param level how far it reaches
 * @param name  of the page kind
 */
public record Scope(Level level, String name) implements Comparable<Scope> {
    /** From wide to narrow. */
    public enum Level {
        /** All pages of a kind, in every site that wears the theme. */
        KIND("kind");

        private final String id;

        Level(String id) {
            this.id = id;
        }

        public String id() {
            return id;
        }
    }

    /** @throws IllegalArgumentException for a name that is none */
    public Scope {
        Names.checked("A page kind", name);
    }

    public static Scope kind(String name) {
        return new Scope(Level.KIND, name);
    }

    /** Reads what {@link #toString} writes. @throws IllegalArgumentException for anything else */
    public static Scope parse(String text) {
        for (Level level : Level.values())
            if (text.startsWith(level.id + "="))
                return new Scope(level, Combination.named(text.substring(level.id.length() + 1)));
        throw new IllegalArgumentException("“" + Names.shown(text) + "” is not a scope: write kind=article.");
    }

    /** For people: {@code article pages}. */
    public String words() {
        return name + " pages";
    }

    @Override
    public int compareTo(Scope other) {
        int byLevel = level.compareTo(other.level);
        return byLevel != 0 ? byLevel : name.compareTo(other.name);
    }

    @Override
    public String toString() {
        return level.id + "=" + Combination.code(name);
    }
}
