package org.umberloom.core.page;

import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Contract;

/**
 * Surfaces that regions and parts are put on by a theme. Who reads or shows a page reads it with them: the elements name the chosen
 * surface then, as if it were written there. Pages are kept, and go out, as they are written; there the style sheet says it.
 */
public final class StandsOn {
    /** Says on a live page by which choice an element is put on a surface. */
    private static final String BY = "data-stands";
    /** Says what the markup names there, where something else is chosen. */
    private static final String OWN = "data-stands-own";

    /** The choices of surfaces, with the elements of each. */
    private static final Map<Choice, PageElements.Wanted> CHOICES = choices();

    private StandsOn() {}

    private static Map<Choice, PageElements.Wanted> choices() {
        Map<Choice, PageElements.Wanted> choices = new LinkedHashMap<>();
        for (Choice choice : Contract.standard().choices().values())
            choice.stands().ifPresent(selector -> choices.put(choice, new PageElements.Wanted(selector)));
        return choices;
    }

    /** A page with what is chosen; the very same where nothing is. @param chosen values by the names of choices */
    public static String in(String html, Map<String, String> chosen) {
        if (!chooses(chosen)) return html;
        Document document = Markup.read(html);
        put(document.body(), chosen);
        return document.outerHtml();
    }

    static boolean chooses(Map<String, String> chosen) {
        return CHOICES.keySet().stream()
                .anyMatch(choice -> chosen(choice, chosen).isPresent());
    }

    private static Optional<String> chosen(Choice choice, Map<String, String> chosen) {
        return Optional.ofNullable(chosen.get(choice.name())).flatMap(choice::surface);
    }

    /** Puts an element, and what lies in it, on what is chosen there. Choices that are not named stay as they are. */
    public static void put(Element root, Map<String, String> chosen) {
        CHOICES.forEach((choice, elements) -> {
            if (!chosen.containsKey(choice.name())) return;
            Optional<String> surface = chosen(choice, chosen);
            for (Element element : elements.in(root)) {
                if (surface.isEmpty() && !element.hasAttr(OWN)) continue;
                if (!element.hasAttr(OWN)) element.attr(OWN, element.attr(Markup.SURFACE));
                String named = surface.orElse(element.attr(OWN));
                if (named.isEmpty()) element.removeAttr(Markup.SURFACE);
                else element.attr(Markup.SURFACE, named);
            }
        });
    }

    /** A page whose elements say by which choice they are put on surfaces, to be chosen for while it is looked at. */
    public static void number(Document page) {
        CHOICES.forEach((choice, elements) -> elements.in(page.body())
                .forEach(element -> element.attr(BY, choice.name()).attr(OWN, element.attr(Markup.SURFACE))));
    }

    /** The elements of a page that choices put on surfaces, each with the name of its choice. */
    static Map<Element, String> choosing(PageElements page) {
        Map<Element, String> choosing = new IdentityHashMap<>();
        CHOICES.forEach((choice, elements) -> page.select(
                        new PageElements.Wanted(choice.stands().orElseThrow()))
                .forEach(element -> choosing.putIfAbsent(element, choice.name())));
        return choosing;
    }

    /** The choice by which an element, or the nearest around it that is put somewhere or names a surface, is put on one. */
    static Optional<String> by(Element element) {
        return by(element, StandsOn::choosing);
    }

    /** @param choosing what puts an element itself on a surface */
    static Optional<String> by(Element element, Function<Element, Optional<String>> choosing) {
        for (Element one = element; one != null; one = one.parent()) {
            Optional<String> choice = choosing.apply(one);
            if (choice.isPresent()) return choice;
            if (one.hasAttr(Markup.SURFACE)) return Optional.empty();
        }
        return Optional.empty();
    }

    /** The choice by which an element itself is put on a surface. */
    static Optional<String> choosing(Element element) {
        return CHOICES.entrySet().stream()
                .filter(one -> one.getValue().matches(element))
                .map(one -> one.getKey().name())
                .findFirst();
    }
}
