package org.umberloom.core.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReleaseNumberTest {
    /** Source: Semantic Versioning 2.0.0, items 6 to 8: lower parts start at 0 again. */
    @ParameterizedTest
    @CsvSource({
        "1.9.0, MINOR, 1.10.0",
        "1.10.0, MINOR, 1.11.0",
        "1.2.3, PATCH, 1.2.4",
        "1.2.3, MINOR, 1.3.0",
        "1.2.3, MAJOR, 2.0.0"
    })
    void theNextIsCounted(String from, Step step, String to) {
        ReleaseNumber last = ReleaseNumber.parse(from);
        assertThat(last.after(step)).hasToString(to);
        assertThat(last.stepTo(last.after(step))).isEqualTo(step);
    }

    /** Source: Semantic Versioning 2.0.0, item 11: by numbers, and one for trying is before the release it is tried for. */
    @Test
    void numbersHaveAnOrder() {
        List<String> inOrder = List.of(
                "1.0.0-trial.1",
                "1.0.0-trial.2",
                "1.0.0-trial.11",
                "1.0.0",
                "1.0.1",
                "1.2.0-trial.1",
                "1.2.0",
                "1.10.0",
                "2.0.0",
                "2.1.0",
                "2.1.1");
        List<ReleaseNumber> numbers =
                new ArrayList<>(inOrder.stream().map(ReleaseNumber::parse).toList());
        Collections.shuffle(numbers, new Random(3));
        Collections.sort(numbers);
        assertThat(numbers.stream().map(ReleaseNumber::toString)).containsExactlyElementsOf(inOrder);
    }

    /** Source: Semantic Versioning 2.0.0, item 2: three numbers without leading zeros. */
    @ParameterizedTest
    @ValueSource(
            strings = {"1.0", "01.0.0", "1.0.0.0", "v1.0.0", "1.0.0-trial.0", "1.0.0-beta", "", "1.0.0 ", "9999999.0.0"
            })
    void whatIsNoneIsRefusedInASentence(String text) {
        assertThatThrownBy(() -> ReleaseNumber.parse(text))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("is not the number of a release")
                .hasMessageContaining("1.4.0");
    }

    @Test
    void aTrialIsOfItsNumber() {
        ReleaseNumber trial = ReleaseNumber.parse("2.1.0").trial(3);
        assertThat(trial).hasToString("2.1.0-trial.3");
        assertThat(trial.full()).isEqualTo(ReleaseNumber.parse("2.1.0"));
        assertThat(ReleaseNumber.parse(trial.toString())).isEqualTo(trial);
    }
}
