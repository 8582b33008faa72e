package org.umberloom.core.font;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** CSS Fonts 4, 5.2, font style matching; each case follows one sentence of its steps 2 and 4. */
class MatchingTest {
    private static List<Matching.Range<String>> files(String... said) {
        return Stream.of(said)
                .map(one -> one.split("/"))
                .map(one -> Matching.Range.of(String.join("/", one), one[1].equals("100%") ? "" : one[1], one[0]))
                .toList();
    }

    private static Cut cut(int weight, double stretch) {
        return new Cut(List.of("Own"), weight, stretch);
    }

    @ParameterizedTest
    @CsvSource({
        // Within a range.
        "650, 300 900/100%|100/100%, 300 900/100%",
        // 400 to 500: heavier ones up to 500 first.
        "400, 300/100%|500/100%, 500/100%",
        "450, 400/100%|500/100%|600/100%, 500/100%",
        // Then lighter ones, then those above 500.
        "400, 300/100%|600/100%, 300/100%",
        "500, 600/100%|900/100%, 600/100%",
        // Below 400: lighter ones first, the nearest of them.
        "350, 100/100%|300/100%|400/100%, 300/100%",
        "200, 300/100%|400/100%, 300/100%",
        // Above 500: heavier ones first.
        "600, 500/100%|700/100%|900/100%, 700/100%",
        "900, 400/100%|700/100%, 700/100%",
    })
    void theNearestWeightInTheOrderOfTheStandard(int wanted, String files, String expected) {
        assertThat(Matching.of(cut(wanted, 100), files(files.split("\\|")))).hasValue(expected);
    }

    @ParameterizedTest
    @CsvSource({
        "100, 400/75%|400/125%, 400/75%",
        "80, 400/75%|400/87.5%, 400/75%",
        "60, 400/75%|400/100%, 400/75%",
        "110, 400/100%|400/150%, 400/150%",
        "200, 400/100%|400/125%, 400/125%",
        // Width decides before weight does.
        "75, 700/75%|400/100%, 700/75%",
        "90, 400/75% 100%|400/87.5%, 400/75% 100%",
    })
    void widthComesBeforeWeight(double wanted, String files, String expected) {
        assertThat(Matching.of(cut(400, wanted), files(files.split("\\|")))).hasValue(expected);
    }

    @Test
    void noneOfNone() {
        assertThat(Matching.of(cut(400, 100), List.of())).isEmpty();
    }
}
