package org.umberloom.core.css;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.theme.SitePlaces;

/** What a spot on a live page says itself, as blocks beside those of the page. */
public final class SpotProperties {
    /** Begins the name of a block that is a spot's: {@code @fares.17}, and {@code @fares.17 deep} for a surface within it. */
    public static final String SPOT = "@";

    private SpotProperties() {}

    /**
     * @param own    the properties in the combination at the spot
     * @param around those right around it
     * @param chosenOwn    what is chosen at the spot, by the names of choices
     * @param chosenAround what is chosen right around it
     */
    public static Map<String, Map<String, String>> of(
            SitePlaces.Spot spot,
            Map<String, Map<String, String>> own,
            Map<String, Map<String, String>> around,
            Map<String, String> chosenOwn,
            Map<String, String> chosenAround) {
        Map<String, String> chosen = Stylesheet.choosing(chosenOwn, chosenAround);
        Map<String, Map<String, String>> blocks = new LinkedHashMap<>();
        String name = SPOT + spot.scope().name();
        Map<String, String> here = TokenBlocks.on(PutOn.surface(spot, chosenOwn), own);
        Set<String> differing = TokenBlocks.differing(here, TokenBlocks.on(PutOn.surface(spot, chosenAround), around));
        put(blocks, name, here, differing);
        if (blocks.containsKey(name)) blocks.get(name).putAll(TokenBlocks.takenAnew(spot, differing));
        if (!chosen.isEmpty())
            blocks.computeIfAbsent(name, key -> new LinkedHashMap<>()).putAll(chosen);
        for (String surface : PutOn.surfaces(spot, chosenOwn)) {
            Map<String, String> within = own.getOrDefault(surface, Map.of());
            Map<String, String> outside = around.getOrDefault(surface, Map.of());
            Map<String, String> changed = new LinkedHashMap<>(within);
            changed.entrySet().removeIf(one -> one.getValue().equals(outside.get(one.getKey())));
            put(blocks, name + " " + surface, within, changed.keySet());
        }
        return blocks;
    }

    private static void put(
            Map<String, Map<String, String>> blocks, String block, Map<String, String> values, Set<String> names) {
        Map<String, String> said = new LinkedHashMap<>();
        values.forEach((name, value) -> {
            if (names.contains(name)) said.put(name, value);
        });
        if (!said.isEmpty()) blocks.put(block, said);
    }
}
