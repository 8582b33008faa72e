package org.umberloom.core.font;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What people can choose of the substitutions that a font offers. Source: OpenType 1.9.1, “Registered features”. */
public final class Features {
    private static final int SETS = 20;

    /** @param tag such as {@code tnum} @param words for people: “figures of one width” */
    public record Feature(String tag, String words) {}

    private static final Map<String, String> WORDS = words();

    private Features() {}

    private static Map<String, String> words() {
        Map<String, String> words = new LinkedHashMap<>();
        words.put("tnum", "figures of one width");
        words.put("pnum", "figures of their own widths");
        words.put("lnum", "figures as high as capitals");
        words.put("onum", "figures like small letters");
        words.put("zero", "zero with a slash");
        words.put("frac", "fractions");
        words.put("ordn", "ordinals");
        words.put("smcp", "small capitals");
        words.put("c2sc", "capitals as small ones");
        words.put("case", "marks beside capitals");
        words.put("dlig", "further ligatures");
        words.put("hlig", "historical ligatures");
        words.put("swsh", "swashes");
        words.put("salt", "other forms");
        for (int set = 1; set <= SETS; set++) words.put(String.format("ss%02d", set), "set " + set + " of other forms");
        return words;
    }

    /** Those of a font, in the order in which they are offered; what browsers always do is not among them. */
    public static List<Feature> chosenFrom(Collection<String> tags) {
        return WORDS.entrySet().stream()
                .filter(known -> tags.contains(known.getKey()))
                .map(known -> new Feature(known.getKey(), known.getValue()))
                .toList();
    }
}
