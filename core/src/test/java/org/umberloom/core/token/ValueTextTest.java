package org.umberloom.core.token;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ValueTextTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "DIMENSION|18px|18px", "DIMENSION|1.125rem|1.125rem", "DIMENSION|18|18px", "DIMENSION|-0.5PX|-0.5px",
        "DIMENSION|1rem to 3rem|1rem to 3rem", "DIMENSION|16px to 20px between 320px and 1920px|16px to 20px between 320px and 1920px",
        "COLOR|#7A4A2B|#7a4a2b", "COLOR|oklch(0.5 0.09 60)|oklch(0.5 0.09 60)", "COLOR|{color.umber.60}|{color.umber.60}",
        "FONT_WEIGHT|bold|700", "FONT_WEIGHT|650|650", "NUMBER|1.5|1.5",
        "FONT_FAMILY|'Source Serif 4', serif|Source Serif 4, serif"})
    void valuesAreShownAsTheyWereWritten(TokenType type, String typed, String shown) {
        assertThat(ValueText.write(ValueText.parse(type, typed))).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"DIMENSION|wide|is not a length", "DIMENSION|3em|is not a length",
        "FONT_WEIGHT|heavyish|is not a font weight", "FONT_WEIGHT|1001|1 to 1000", "NUMBER|one|is not a number",
        "COLOR|brownish|is not a color", "COLOR|{a..b}|cannot be a name", "TYPOGRAPHY|16px|member by member"})
    void refusalsSayWhatIsAllowed(TokenType type, String typed, String message) {
        assertThatThrownBy(() -> ValueText.parse(type, typed)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(message);
    }

    @Test
    void pathsKnowTheirPlace() {
        TokenPath path = TokenPath.of("color.umber.60");
        assertThat(path.name()).isEqualTo("60");
        assertThat(path.isBelow(TokenPath.of("color"))).isTrue();
        assertThat(path.isBelow(TokenPath.of("color.um"))).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"''", "a..b", ".a", "a.", "$type", "a.{b}"})
    void whatIsNoPathIsRefused(String text) {
        assertThatThrownBy(() -> new TokenPath(text)).isInstanceOf(IllegalArgumentException.class);
    }
}
