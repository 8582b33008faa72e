package org.umberloom.core.limit;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How many elements a drawing comes to when everything that it refers to is drawn in its place: a few lines whose {@code use}
 * elements lie in each other can come to more than any machine draws. Elements are told in the order of the document.
 */
public final class Expansion {
    /** Elements that a drawing may come to; the largest map of a city holds fewer. */
    public static final long MOST = 200_000;

    private static final Pattern REFERENCE = Pattern.compile("url\\(\\s*[\"']?\\s*#([^)\"'\\s]+)");

    private static final class Drawn {
        private final int own;
        private final List<Drawn> inner = new ArrayList<>();
        private final List<String> references = new ArrayList<>();
        private long count = -1;
        private boolean counting;

        Drawn(int own) {
            this.own = own;
        }
    }

    private final Map<String, Drawn> byId = new HashMap<>();
    /** What rules of style sheets refer to, by the classes that they name; under no name those of all elements. */
    private final Map<String, Drawn> byClass = new HashMap<>();

    private final Deque<Drawn> around = new ArrayDeque<>();

    public Expansion() {
        around.push(new Drawn(0));
    }

    /** What a value of an attribute or a declaration refers to in the drawing itself, by ids. Source: SVG 2, 4.2. */
    public static List<String> references(String value) {
        if (value.startsWith("#")) return List.of(value.substring(1));
        if (!value.contains("url(")) return List.of();
        List<String> references = new ArrayList<>();
        Matcher matcher = REFERENCE.matcher(value);
        while (matcher.find()) references.add(matcher.group(1));
        return references;
    }

    /**
     * An element begins.
     *
     * @param id         empty for none
     * @param classes    that rules may refer to something for
     * @param references ids of what is drawn with it
     */
    public void open(String id, Collection<String> classes, Collection<String> references) {
        Drawn drawn = new Drawn(1);
        drawn.inner.add(ofRules(""));
        classes.forEach(one -> drawn.inner.add(ofRules(one)));
        drawn.references.addAll(references);
        around.element().inner.add(drawn);
        if (!id.isEmpty()) byId.putIfAbsent(id, drawn);
        around.push(drawn);
    }

    /** A rule of a style sheet refers to something for the elements of a class, wherever they stand. @param of empty for all elements */
    public void rule(String of, Collection<String> references) {
        ofRules(of).references.addAll(references);
    }

    private Drawn ofRules(String of) {
        return byClass.computeIfAbsent(of, key -> new Drawn(0));
    }

    /** The element that began last ends. */
    public void close() {
        around.pop();
    }

    /** How many elements are drawn; more than {@link #MOST} are not counted on. What refers to itself is drawn once, as browsers do. */
    public long drawn() {
        return count(around.peekLast());
    }

    private long count(Drawn drawn) {
        if (drawn.counting) return 0;
        if (drawn.count >= 0) return drawn.count;
        drawn.counting = true;
        long count = drawn.own;
        for (Drawn inner : drawn.inner) count = Math.min(MOST + 1, count + count(inner));
        for (String id : drawn.references)
            if (byId.containsKey(id)) count = Math.min(MOST + 1, count + count(byId.get(id)));
        drawn.counting = false;
        drawn.count = count;
        return count;
    }
}
