package org.umberloom.core.type;

/** Ratios that scales are commonly made of: the intervals of just intonation, as fractions. */
public enum Interval {
    MINOR_SECOND("minor second", 16, 15),
    MAJOR_SECOND("major second", 9, 8),
    MINOR_THIRD("minor third", 6, 5),
    MAJOR_THIRD("major third", 5, 4),
    PERFECT_FOURTH("perfect fourth", 4, 3),
    AUGMENTED_FOURTH("augmented fourth", 45, 32),
    PERFECT_FIFTH("perfect fifth", 3, 2),
    MINOR_SIXTH("minor sixth", 8, 5),
    MAJOR_SIXTH("major sixth", 5, 3),
    MINOR_SEVENTH("minor seventh", 16, 9),
    MAJOR_SEVENTH("major seventh", 15, 8),
    OCTAVE("octave", 2, 1);

    private final String words;
    private final int numerator;
    private final int denominator;

    Interval(String words, int numerator, int denominator) {
        this.words = words;
        this.numerator = numerator;
        this.denominator = denominator;
    }

    public String words() {
        return words;
    }

    public double ratio() {
        return (double) numerator / denominator;
    }

    /** For people: {@code 4:3}. */
    public String fraction() {
        return numerator + ":" + denominator;
    }
}
