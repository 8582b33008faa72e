package org.umberloom.core.theme;

import java.util.Comparator;
import java.util.List;

/** Finds the existing names that are most like one that is not there. */
final class Nearest {
    private static final int MOST = 3;

    private Nearest() {}

    /** At most three names, the most similar first; none that differs in more than half of its letters. */
    static List<String> names(String wanted, List<String> existing) {
        record Candidate(String name, int distance) {}
        return existing.stream()
                .filter(name -> Math.abs(name.length() - wanted.length()) <= wanted.length() / 2)
                .map(name -> new Candidate(name, distance(wanted, name)))
                .filter(candidate -> candidate.distance <= wanted.length() / 2)
                .sorted(Comparator.comparingInt(Candidate::distance).thenComparing(Candidate::name))
                .limit(MOST)
                .map(Candidate::name)
                .toList();
    }

    /** The names as a sentence that proposes them as references, or another sentence where none is near. */
    static String sentence(String wanted, List<String> existing, String otherwise) {
        List<String> names =
                names(wanted, existing).stream().map(name -> "{" + name + "}").toList();
        return names.isEmpty() ? otherwise : "Nearest names: " + String.join(", ", names) + ".";
    }

    /** Levenshtein distance. */
    private static int distance(String one, String other) {
        int[] row = new int[other.length() + 1];
        for (int j = 0; j < row.length; j++) row[j] = j;
        for (int i = 1; i <= one.length(); i++) {
            int diagonal = row[0];
            row[0] = i;
            for (int j = 1; j < row.length; j++) {
                int replace = diagonal + (one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1);
                diagonal = row[j];
                row[j] = Math.min(replace, 1 + Math.min(row[j], row[j - 1]));
            }
        }
        return row[other.length()];
    }
}
