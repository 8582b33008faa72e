package org.umberloom.core.font;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/** Families whose files are at hand. */
public interface Families {
    /** None at all. */
    Families NONE = new Families() {
        @Override
        public OptionalDouble mean(Cut cut) {
            return OptionalDouble.empty();
        }

        @Override
        public Optional<Weights> weights(String family) {
            return Optional.empty();
        }
    };

    /** Weights of one file, 1 to 1000: all from one to another where it varies, else one. */
    record Span(int from, int to) {
        /** @param text {@code 300 900}, or one weight */
        public static Span of(String text) {
            String[] ends = text.split(" ");
            return new Span(Integer.parseInt(ends[0]), Integer.parseInt(ends[ends.length - 1]));
        }

        private String words() {
            return from == to ? String.valueOf(from) : from + " to " + to;
        }
    }

    /** The weights that a family has, at least one. */
    record Weights(List<Span> spans) {
        public Weights {
            spans = spans.stream()
                    .distinct()
                    .sorted(Comparator.comparingInt(Span::from))
                    .toList();
        }

        public int lightest() {
            return spans.get(0).from();
        }

        public int heaviest() {
            return spans.stream().mapToInt(Span::to).max().orElseThrow();
        }

        public boolean has(double weight) {
            return spans.stream().anyMatch(span -> weight >= span.from() && weight <= span.to());
        }

        /** For people: “400, 700”, “300 to 900”. */
        public String words() {
            return spans.stream().map(Span::words).collect(Collectors.joining(", "));
        }
    }

    /** How wide a character of running English is in the first family that is known, in em. */
    OptionalDouble mean(Cut cut);

    /** Of a family by its name; none where it is not known. */
    Optional<Weights> weights(String family);
}
