package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Evaluator;
import org.jsoup.select.QueryParser;
import org.umberloom.core.limit.Patience;

/**
 * The elements of a page by what most selectors end in: a name, a class or an attribute. A selector is then asked only of those
 * that it can match, as browsers do; without that, a large page takes seconds for each hundred rules.
 */
final class PageElements {
    /** A selector with what its last part begins with. @param end kind and name, such as {@code .note}; empty for any element */
    static final class Wanted {
        private final Evaluator evaluator;
        private final String end;

        /** @throws IllegalArgumentException for a selector that asks for what a page that stands still does not know */
        Wanted(String selector) {
            try {
                evaluator = QueryParser.parse(selector);
            } catch (IllegalStateException | StackOverflowError e) {
                throw new IllegalArgumentException("The selector cannot be asked.", e);
            }
            end = end(selector);
        }

        /** Those in an element and the element itself, where only a few are looked through. */
        List<Element> in(Element root) {
            return root.select(evaluator);
        }

        boolean matches(Element element) {
            return element.is(evaluator);
        }
    }

    private final Document document;
    private final Map<String, List<Element>> byEnd = new HashMap<>();

    PageElements(Document document) {
        this.document = document;
        for (Element element : document.getAllElements()) {
            add("", element);
            add(element.normalName(), element);
            for (Attribute attribute : element.attributes()) {
                String name = attribute.getKey().toLowerCase(Locale.ROOT);
                add("[" + name, element);
                if (name.equals("class"))
                    // What is compared without case elsewhere must be found here, too.
                    element.classNames().forEach(one -> add("." + one.toLowerCase(Locale.ROOT), element));
                else if (name.equals("id")) add("#" + attribute.getValue().toLowerCase(Locale.ROOT), element);
            }
        }
    }

    private void add(String end, Element element) {
        byEnd.computeIfAbsent(end, key -> new ArrayList<>()).add(element);
    }

    Document document() {
        return document;
    }

    /** In the order in which they stand. */
    List<Element> select(Wanted wanted) {
        List<Element> found = new ArrayList<>();
        for (Element element : byEnd.getOrDefault(wanted.end, Collections.emptyList())) {
            Patience.ask();
            if (wanted.evaluator.matches(document, element)) found.add(element);
        }
        return found;
    }

    private static String end(String selector) {
        int depth = 0;
        char quote = 0;
        int last = 0;
        String text = selector.strip();
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '\\' || c == '|') return "";
            if (quote != 0) {
                if (c == quote) quote = 0;
            } else if (c == '"' || c == '\'') quote = c;
            else if (c == '(' || c == '[') depth++;
            else if (c == ')' || c == ']') depth--;
            else if (depth == 0 && c == ',') return "";
            else if (depth == 0 && (c == '>' || c == '+' || c == '~' || Character.isWhitespace(c))) last = i + 1;
        }
        return begin(text.substring(last));
    }

    private static String begin(String compound) {
        if (compound.isEmpty()) return "";
        char first = compound.charAt(0);
        boolean marked = first == '.' || first == '#' || first == '[';
        if (!marked && !Character.isLetter(first)) return "";
        int end = 1;
        while (end < compound.length() && isName(compound.charAt(end))) end++;
        return end > (marked ? 1 : 0) ? compound.substring(0, end).toLowerCase(Locale.ROOT) : "";
    }

    private static boolean isName(char c) {
        return Character.isLetterOrDigit(c) || c == '-' || c == '_' || c > 127;
    }
}
