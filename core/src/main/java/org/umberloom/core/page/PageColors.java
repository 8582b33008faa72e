package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.Comparator;
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
        return of(Jsoup.parse(html), chosen);
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
        List<Paint> matching = rules.stream()
                .filter(rule -> element.is(rule.selector))
                .map(Rule::paint)
                .toList();
        String surface = element.hasAttr(Markup.SURFACE) ? element.attr(Markup.SURFACE) : parent.surface;
        Inherited here = styled(matching, Paint.State.REST, surface, parent);
        boolean field = FIELDS.contains(element.normalName());
        boolean words = !element.ownText().isBlank();
        boolean link = element.normalName().equals("a") && element.hasAttr("href");
        if (words || field && !BOXES.contains(element.attr("type"))) {
            String text = words ? element.ownText() : element.normalName();
            text(here, "", text);
            for (Paint.State state : List.of(Paint.State.HOVER, Paint.State.VISITED)) {
                if (state == Paint.State.VISITED && !link
                        || matching.stream().noneMatch(paint -> paint.state() == state)) continue;
                Inherited then = styled(matching, state, surface, parent);
                if (!then.equals(here)) text(then, state == Paint.State.HOVER ? "pointed at" : "visited", text);
            }
            meet(
                    new Meeting(here.path("on-selection"), here.path("selection"), Meeting.Kind.TEXT, "", "selected"),
                    text);
        }
        if (link || field || element.normalName().equals("button"))
            strongest(matching, Paint.State.FOCUS, Paint::border)
                    .ifPresent(role -> meet(
                            new Meeting(Surfaces.path(surface, role), parent.ground, Meeting.Kind.SHAPE, "", "focused"),
                            element.normalName()));
        if (field && !BOXES.contains(element.attr("type")))
            strongest(matching, Paint.State.REST, Paint::border)
                    .ifPresent(role -> meet(
                            new Meeting(here.path(role), here.ground, Meeting.Kind.SHAPE, "", ""),
                            element.normalName()));
        boolean button = element.normalName().equals("button")
                || element.attr("data-part").equals("button");
        if (button)
            strongest(matching, Paint.State.REST, Paint::border)
                    .ifPresent(role -> meet(
                            new Meeting(Surfaces.path(surface, role), parent.ground, Meeting.Kind.SHAPE, "", ""),
                            element.text()));
        if (button && !here.ground.equals(parent.ground))
            meet(new Meeting(here.ground, parent.ground, Meeting.Kind.SHAPE, "", ""), element.text());
        for (Element child : element.children()) visit(child, here);
    }

    /** What an element hands down in a state; what only that state's rules paint comes on top of what others do. */
    private static Inherited styled(List<Paint> matching, Paint.State state, String surface, Inherited parent) {
        String color = strongest(matching, state, Paint::color)
                .filter(role -> !role.equals(Paint.INHERIT))
                .map(role -> Surfaces.path(surface, role))
                .orElse(parent.color);
        String ground = strongest(matching, state, Paint::background)
                .filter(role -> !role.equals(Paint.THROUGH))
                .map(role -> Surfaces.path(surface, role))
                .orElse(parent.ground);
        return new Inherited(
                surface, color, ground, strongest(matching, state, Paint::type).orElse(parent.type));
    }

    private static Optional<String> strongest(List<Paint> matching, Paint.State state, Function<Paint, String> part) {
        return matching.stream()
                .filter(paint ->
                        (paint.state() == Paint.State.REST && state != Paint.State.FOCUS || paint.state() == state)
                                && !part.apply(paint).isEmpty())
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
