package org.umberloom.core.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenValue;

class TypeScaleTest {
    /** The 16 px major-third scale as handbooks print it, rounded to 0.001 px; common practice. */
    @ParameterizedTest
    @CsvSource({"-2,10.24", "-1,12.8", "0,16", "1,20", "2,25", "3,31.25", "4,39.063", "5,48.828"})
    void majorThird(int step, double px) {
        assertThat(new TypeScale.End(16, 1.25).size(step)).isCloseTo(px, within(0.001));
    }

    @Test
    void stepsMoveBetweenTheirEnds() {
        Map<String, TokenValue> steps =
                new TypeScale(new TypeScale.End(16, 1.2), new TypeScale.End(18, 1.25), 360, 1280, -1, 3).steps();
        assertThat(steps.keySet()).containsExactly("minus-1", "0", "1", "2", "3");
        FluidValue base = (FluidValue) steps.get("0");
        assertThat(base.pxAt(320)).isEqualTo(16);
        assertThat(base.pxAt(820)).isCloseTo(17, within(1e-9));
        assertThat(base.pxAt(1920)).isEqualTo(18);
    }

    @Test
    void equalEndsGiveAPlainSize() {
        TypeScale.End end = new TypeScale.End(16, 1.2);
        assertThat(new TypeScale(end, end, 360, 1280, 0, 0).steps()).containsEntry("0", DimensionValue.rem(1));
    }

    @ParameterizedTest
    @CsvSource({"2,1.2", "16,0.9", "16,5", "NaN,1.2"})
    void endsOutsideTheirRangeAreRefused(double base, double ratio) {
        assertThatThrownBy(() -> new TypeScale.End(base, ratio)).hasMessageContaining("between");
    }

    @Test
    void aScaleRunsThroughTheSizeThatAStepIsGiven() {
        TypeScale scale = new TypeScale(new TypeScale.End(16, 1.2), new TypeScale.End(18, 1.25), 360, 1280, -2, 6);
        TypeScale through = scale.through(4, true, 60);
        assertThat(through.wide().size(4)).isCloseTo(60, within(1e-9));
        assertThat(through.narrow()).isEqualTo(scale.narrow());
        assertThat(scale.through(0, false, 15).narrow()).isEqualTo(new TypeScale.End(15, 1.2));
        assertThat(scale.through(-2, true, 11).wide().size(-2)).isCloseTo(11, within(1e-9));
        // A ratio below 1 would turn the scale around.
        assertThat(scale.through(3, true, 9).wide().ratio()).isEqualTo(1);
    }
}
