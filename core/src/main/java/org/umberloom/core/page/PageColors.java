package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Evaluator;
import org.jsoup.select.QueryParser;
import org.umberloom.core.contract.Paint;
import org.umberloom.core.theme.Surfaces;

/**
 * Which colors really meet on a page: the base layer's rules applied to its elements as a browser would, with
 * inheritance, without drawing anything. The result holds roles, so it serves every combination of a theme.
 */
public final class PageColors {
    private static final int MOST_WORDS = 60;
    private static final Set<String> FIELDS = Set.of("input", "select", "textarea");
    private static final Set<String> UNSEEN = Set.of("head", "script", "style", "template", "option");
    private static final Set<String> BOXES = Set.of("checkbox", "radio", "hidden");

    private record Rule(Paint paint, Evaluator selector) {}

    /** States in which text is read, with their words and what else holds in them; who presses something points at it. */
    private enum Reading {
        HOVER("pointed at", Paint.State.HOVER, Set.of(Paint.State.REST, Paint.State.HOVER)),
        PRESSED("pressed", Paint.State.PRESSED, Set.of(Paint.State.REST, Paint.State.HOVER, Paint.State.PRESSED)),
        VISITED("visited", Paint.State.VISITED, Set.of(Paint.State.REST, Paint.State.VISITED)),
        FOCUSED("reached by the keyboard", Paint.State.FOCUS, Set.of(Paint.State.REST, Paint.State.FOCUS)),
        KEYED(
                "pressed by the keyboard",
                Paint.State.PRESSED,
                Set.of(Paint.State.REST, Paint.State.FOCUS, Paint.State.PRESSED));

        private final String words;
        private final Paint.State own;
        private final Set<Paint.State> holding;

        Reading(String words, Paint.State own, Set<Paint.State> holding) {
            this.words = words;
            this.own = own;
            this.holding = holding;
        }
    }

    private static final Set<Paint.State> AT_REST = Set.of(Paint.State.REST);

    /** What an element hands down. */
    private record Inherited(String surface, String color, String ground, String type) {
        String path(String role) {
            return Surfaces.path(surface, role);
        }
    }

    private static final Map<List<Paint>, List<Rule>> RULES = new ConcurrentHashMap<>();

    private final List<Rule> rules;
    private final Map<Meeting, String> found = new LinkedHashMap<>();
    private final Map<Meeting, Integer> counts = new LinkedHashMap<>();

    /** A meeting with how often it is on the page, and the words of the first place. */
    public record Found(Meeting meeting, int count, String words) {}

    private PageColors(List<Rule> rules) {
        this.rules = rules;
    }

    /** @param chosen values of choices; those not named stand at their standard */
    public static List<Found> of(String html, Map<String, String> chosen) {
        Document page = Jsoup.parse(html);
        StandsOn.put(page.body(), chosen);
        return of(page, chosen);
    }

    static List<Found> of(Document page, Map<String, String> chosen) {
        PageColors colors = new PageColors(RULES.computeIfAbsent(Paint.all(chosen), paints -> paints.stream()
                .map(paint -> new Rule(paint, QueryParser.parse(paint.selector())))
                .toList()));
        colors.visit(
                page.body(),
                new Inherited(
                        Surfaces.PAGE,
                        Surfaces.path(Surfaces.PAGE, "text"),
                        Surfaces.path(Surfaces.PAGE, "ground"),
                        "body"));
        List<Found> all = new ArrayList<>();
        colors.found.forEach((meeting, words) -> all.add(new Found(meeting, colors.counts.get(meeting), words)));
        return all;
    }

    private void visit(Element element, Inherited parent) {
        if (UNSEEN.contains(element.normalName()) || element.hasAttr("hidden")) return;
        List<Paint> matching = matching(element);
        String surface = element.hasAttr(Markup.SURFACE) ? element.attr(Markup.SURFACE) : parent.surface;
        Inherited here = styled(matching, AT_REST, surface, parent);
        boolean field = FIELDS.contains(element.normalName());
        boolean words = !element.ownText().isBlank();
        boolean link = element.normalName().equals("a") && element.hasAttr("href");
        if (words || field && !BOXES.contains(element.attr("type"))) {
            String text = words ? element.ownText() : element.normalName();
            text(here, "", text);
            meet(
                    new Meeting(here.path("on-selection"), here.path("selection"), Meeting.Kind.TEXT, "", "selected"),
                    text);
        }
        Set<Inherited> pressed = new HashSet<>();
        for (Reading reading : Reading.values()) {
            if (reading == Reading.VISITED && !link
                    || matching.stream().noneMatch(paint -> paint.state() == reading.own)) continue;
            Inherited then = styled(matching, reading.holding, surface, parent);
            // By the keyboard it mostly looks as by the pointer.
            if (!then.equals(here) && (reading.own != Paint.State.PRESSED || pressed.add(then)))
                read(element, then, reading.words, field);
        }
        if (link || field || element.normalName().equals("button"))
            strongest(matching, Set.of(Paint.State.FOCUS), Paint::border)
                    .ifPresent(role -> meet(
                            new Meeting(Surfaces.path(surface, role), parent.ground, Meeting.Kind.SHAPE, "", "focused"),
                            element.normalName()));
        if (field && !BOXES.contains(element.attr("type")))
            strongest(matching, AT_REST, Paint::border)
                    .ifPresent(role -> meet(
                            new Meeting(here.path(role), here.ground, Meeting.Kind.SHAPE, "", ""),
                            element.normalName()));
        boolean button = element.normalName().equals("button")
                || element.attr("data-part").equals("button");
        if (button)
            strongest(matching, AT_REST, Paint::border)
                    .ifPresent(role -> meet(
                            new Meeting(Surfaces.path(surface, role), parent.ground, Meeting.Kind.SHAPE, "", ""),
                            element.text()));
        if (button && !here.ground.equals(parent.ground))
            meet(new Meeting(here.ground, parent.ground, Meeting.Kind.SHAPE, "", ""), element.text());
        for (Element child : element.children()) visit(child, here);
    }

    /** The text of an element, and of what lies in it, in a state of the element. */
    private void read(Element element, Inherited then, String state, boolean field) {
        if (!element.ownText().isBlank() || field && !BOXES.contains(element.attr("type")))
            text(then, state, element.ownText().isBlank() ? element.normalName() : element.ownText());
        for (Element child : element.children()) {
            if (UNSEEN.contains(child.normalName()) || child.hasAttr("hidden")) continue;
            String surface = child.hasAttr(Markup.SURFACE) ? child.attr(Markup.SURFACE) : then.surface;
            read(child, styled(matching(child), AT_REST, surface, then), state, FIELDS.contains(child.normalName()));
        }
    }

    private List<Paint> matching(Element element) {
        return rules.stream()
                .filter(rule -> element.is(rule.selector))
                .map(Rule::paint)
                .toList();
    }

    /** What an element hands down where states hold; what only a state's rules paint comes on top of what others do. */
    private static Inherited styled(List<Paint> matching, Set<Paint.State> holding, String surface, Inherited parent) {
        String color = strongest(matching, holding, Paint::color)
                .filter(role -> !role.equals(Paint.INHERIT))
                .map(role -> Surfaces.path(surface, role))
                .orElse(parent.color);
        String ground = strongest(matching, holding, Paint::background)
                .filter(role -> !role.equals(Paint.THROUGH))
                .map(role -> Surfaces.path(surface, role))
                .orElse(parent.ground);
        return new Inherited(
                surface,
                color,
                ground,
                strongest(matching, holding, Paint::type).orElse(parent.type));
    }

    private static Optional<String> strongest(
            List<Paint> matching, Set<Paint.State> holding, Function<Paint, String> part) {
        return matching.stream()
                .filter(paint ->
                        holding.contains(paint.state()) && !part.apply(paint).isEmpty())
                .max(Comparator.comparingLong(Paint::rank))
                .map(part);
    }

    private void text(Inherited here, String state, String words) {
        meet(new Meeting(here.color, here.ground, Meeting.Kind.TEXT, here.type, state), words);
    }

    private void meet(Meeting meeting, String words) {
        found.putIfAbsent(meeting, words.length() <= MOST_WORDS ? words : words.substring(0, MOST_WORDS) + "…");
        counts.merge(meeting, 1, Integer::sum);
    }
}
