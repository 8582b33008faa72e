package org.umberloom.core.page;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.limit.Recent;

/** Where on a page each role is taken, by rules that name the element itself, and where something written by hand hides it. */
public final class RoleSpots {
    /**
     * Elements by where they stand in the body, as {@link Spots} counts; the body itself is 0.
     *
     * @param taking the role
     * @param hiding it by a value of their own
     */
    public record Found(List<Integer> taking, List<Integer> hiding) {
        public Found {
            taking = List.copyOf(taking);
            hiding = List.copyOf(hiding);
        }
    }

    /** With every choice at its standard, which most pages are asked for. */
    private static final Recent<Map<String, Found>> KNOWN = new Recent<>();

    private RoleSpots() {}

    /** By the path that a role has where it is taken, such as {@code surface.deep.link} or {@code type.h1}. */
    public static Map<String, Found> of(String html) {
        return KNOWN.get(html, one -> read(one, Map.of()));
    }

    /** The same with what is chosen on the page. @param chosen values by the names of choices */
    public static Map<String, Found> of(String html, Map<String, String> chosen) {
        String standing = StandsOn.in(html, chosen);
        return Contract.standard().completed(chosen).equals(Contract.standard().completed(Map.of()))
                ? of(standing)
                : read(standing, chosen);
    }

    private static Map<String, Found> read(String html, Map<String, String> chosen) {
        Document document = Jsoup.parse(html);
        List<Element> all = document.body().getAllElements();
        Map<String, List<Integer>> taking = new TreeMap<>();
        Map<Element, Set<String>> taken = RulesOfPages.choosing(chosen).taken(document);
        for (int at = 0; at < all.size(); at++)
            for (String reading : taken.getOrDefault(all.get(at), Set.of()))
                taking.computeIfAbsent(path(all.get(at), reading), key -> new ArrayList<>())
                        .add(at);
        Map<String, List<Integer>> hiding = new HashMap<>();
        for (HandValues.HandValue hand : HandValues.of(html)) {
            String path = Contract.standard()
                    .ofReading(hand.reading())
                    .map(role -> role.on(hand.surface()))
                    .orElse("");
            hiding.computeIfAbsent(path, key -> new ArrayList<>()).add(hand.at());
        }
        Map<String, Found> found = new LinkedHashMap<>();
        hiding.keySet().forEach(path -> taking.putIfAbsent(path, new ArrayList<>()));
        taking.forEach((path, elements) -> {
            List<Integer> hidden = hiding.getOrDefault(path, List.of());
            if (!path.startsWith("type.")) elements.removeAll(Set.copyOf(hidden));
            found.put(path, new Found(elements.stream().distinct().toList(), hidden));
        });
        return Map.copyOf(found);
    }

    private static String path(Element element, String reading) {
        return Contract.standard()
                .ofReading(reading)
                .map(role -> role.on(Markup.surface(element)))
                .orElse(reading);
    }
}
