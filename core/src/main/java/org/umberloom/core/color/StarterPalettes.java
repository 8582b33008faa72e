package org.umberloom.core.color;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Palettes to begin with, made for this product: each a main color, an accent that stands apart from it, a warm or cool
 * companion and a neutral. None is too pale to grow a whole ramp from.
 */
public final class StarterPalettes {
    /** Names and their colors; every color has a name of its own, in the order main, accent, companion, neutral. */
    public static final Map<String, Map<String, Color>> ALL = all();

    private StarterPalettes() {}

    private static Map<String, Map<String, Color>> all() {
        Map<String, Map<String, Color>> all = new LinkedHashMap<>();
        put(all, "Peat fire", "peat #4b3a2f", "ember #c4512d", "heather #7d6486", "ash #77736c");
        put(all, "Low tide", "channel #2b6472", "samphire #6f8a2e", "mussel #4a4f7c", "shingle #7f7b73");
        put(all, "Rye field", "rye #a07b2c", "poppy #c23b33", "hedge #4d6b42", "chaff #857d6a");
        put(all, "Dye vat", "indigo #35488f", "madder #a8394a", "weld #a88a1f", "lye #73757d");
        put(all, "Winter quay", "harbour #345a7a", "lamp #c7832a", "frost #5e8c96", "rope #827868");
        put(all, "Orchard wall", "brick #9c4a3a", "leaf #55803f", "plum #70486b", "mortar #807a72");
        put(all, "Slate roof", "slate #4a5d6e", "moss #6d7f35", "rust #a5562f", "rain #72787d");
        put(all, "Copper kettle", "copper #a65b34", "verdigris #2f7f74", "tea #6f5439", "pewter #75767a");
        put(all, "Night market", "night #4b3f86", "lantern #c9622b", "jade #22806a", "smoke #75707c");
        put(all, "Chalk path", "clover #5b7d3a", "sky #3d79ad", "foxglove #a14a83", "chalk #7c7f76");
        return Collections.unmodifiableMap(all);
    }

    private static void put(Map<String, Map<String, Color>> all, String name, String... colors) {
        Map<String, Color> palette = new LinkedHashMap<>();
        for (String color : List.of(colors)) {
            String[] parts = color.split(" ");
            palette.put(parts[0], CssColor.parse(parts[1]));
        }
        all.put(name, Collections.unmodifiableMap(palette));
    }
}
