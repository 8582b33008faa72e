package org.umberloom.core.font;

import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * Families for headings that go with one for text: of another kind, so that nobody takes the difference for a mistake, and with small
 * letters about as high, so that both look equally large. Common practice; where the bounds lie is a choice of this program.
 *
 * @param ratio height of small letters by those of the text’s family
 * @param why   for people: “geometric beside transitional, small letters 1.02 times as high”
 */
public record Pairing(String name, double ratio, String why) {
    /** More than that, and one looks larger than the other. */
    private static final double MOST_APART = 0.08;

    private static final int MOST = 8;
    /** Kinds that are no match for running text beside them. */
    private static final Set<String> ALONE = Set.of("mono", "script and hand");

    /** A family with what it is like. */
    public record Candidate(String name, String kind, String generic, double xHeight) {}

    /** Up to eight, those of the other generic kind first, then those whose small letters are the most alike. */
    public static List<Pairing> with(Candidate text, List<Candidate> all) {
        return all.stream()
                .filter(one -> !one.kind().equals(text.kind()) && !ALONE.contains(one.kind()))
                .filter(one -> apart(one, text) <= MOST_APART)
                .sorted(Comparator.comparing((Candidate one) -> one.generic().equals(text.generic()))
                        .thenComparingDouble(one -> apart(one, text)))
                .limit(MOST)
                .map(one -> of(one, text))
                .toList();
    }

    private static double apart(Candidate one, Candidate text) {
        return Math.abs(one.xHeight() / text.xHeight() - 1);
    }

    private static Pairing of(Candidate one, Candidate text) {
        double ratio = Math.round(100 * one.xHeight() / text.xHeight()) / 100.0;
        String high = ratio == 1 ? "small letters as high" : "small letters " + ratio + " times as high";
        return new Pairing(one.name(), ratio, one.kind() + " beside " + text.kind() + ", " + high);
    }
}
