package org.umberloom.core.font;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Which of a family's upright files browsers set a text in. Source: CSS Fonts 4, 5.2, font style matching. */
public final class Matching {
    private static final int MEDIUM = 400;
    private static final int HEAVIER_FIRST = 500;
    /** More than any distance: what is only looked at when nothing lies the other way. */
    private static final double OTHER_WAY = 10_000;

    /**
     * What a file has.
     *
     * @param narrowest in percent of the usual width
     * @param widest    in percent of the usual width
     */
    public record Range<T>(T file, double narrowest, double widest, Families.Span weights) {
        /** @param stretch as CSS {@code font-stretch}, one percentage or two; empty for the usual */
        public static <T> Range<T> of(T file, String stretch, String weights) {
            String[] ends = stretch.replace("%", "").split(" ");
            return stretch.isEmpty()
                    ? new Range<>(file, Cut.USUAL_STRETCH, Cut.USUAL_STRETCH, Families.Span.of(weights))
                    : new Range<>(
                            file,
                            Double.parseDouble(ends[0]),
                            Double.parseDouble(ends[ends.length - 1]),
                            Families.Span.of(weights));
        }
    }

    private Matching() {}

    /** By width first, then by weight; none of none. */
    public static <T> Optional<T> of(Cut cut, List<Range<T>> files) {
        return files.stream()
                .min(Comparator.comparingDouble((Range<T> one) -> fromStretch(cut.stretch(), one))
                        .thenComparingDouble(one -> fromWeight(cut.weight(), one.weights())))
                .map(Range::file);
    }

    /** Up to the usual width narrower ones come first, above it wider ones. */
    private static double fromStretch(double wanted, Range<?> file) {
        return distance(wanted, file.narrowest(), file.widest(), wanted <= Cut.USUAL_STRETCH);
    }

    /** From 400 to 500 those up to 500 come first, then lighter ones; below 400 lighter ones, above 500 heavier ones. */
    private static double fromWeight(int wanted, Families.Span span) {
        boolean medium = wanted >= MEDIUM && wanted <= HEAVIER_FIRST;
        if (medium && span.from() > wanted && span.from() <= HEAVIER_FIRST) return (span.from() - wanted) / OTHER_WAY;
        return distance(wanted, span.from(), span.to(), wanted <= HEAVIER_FIRST);
    }

    private static double distance(double wanted, double from, double to, boolean lessFirst) {
        if (wanted >= from && wanted <= to) return 0;
        boolean less = to < wanted;
        return (less ? wanted - to : from - wanted) + (less == lessFirst ? 0 : OTHER_WAY);
    }
}
