package org.umberloom.core.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IntervalTest {
    private static final double CENTS_OF_AN_OCTAVE = 1200;

    /** From memory: just intervals in cents, as in A. J. Ellis’s table in Helmholtz, On the Sensations of Tone, 1885, appendix XX. */
    @ParameterizedTest
    @CsvSource({
        "MINOR_SECOND, 111.731",
        "MAJOR_SECOND, 203.910",
        "MINOR_THIRD, 315.641",
        "MAJOR_THIRD, 386.314",
        "PERFECT_FOURTH, 498.045",
        "AUGMENTED_FOURTH, 590.224",
        "PERFECT_FIFTH, 701.955",
        "MINOR_SIXTH, 813.686",
        "MAJOR_SIXTH, 884.359",
        "MINOR_SEVENTH, 996.090",
        "MAJOR_SEVENTH, 1088.269",
        "OCTAVE, 1200"
    })
    void anIntervalIsAsLargeAsPublished(Interval interval, double cents) {
        assertThat(CENTS_OF_AN_OCTAVE * Math.log(interval.ratio()) / Math.log(2))
                .isCloseTo(cents, within(0.001));
    }

    @Test
    void eachIsLargerThanTheOneBefore() {
        for (int i = 1; i < Interval.values().length; i++)
            assertThat(Interval.values()[i].ratio()).isGreaterThan(Interval.values()[i - 1].ratio());
    }
}
