package org.umberloom.core.token;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ValueTextTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "DIMENSION|18px|18px",
                "DIMENSION|1.125rem|1.125rem",
                "DIMENSION|18|18px",
                "DIMENSION|-0.5PX|-0.5px",
                "DIMENSION|1rem to 3rem|1rem to 3rem",
                "DIMENSION|16px to 20px between 320px and 1920px|16px to 20px between 320px and 1920px",
                "COLOR|#7A4A2B|#7a4a2b",
                "COLOR|oklch(0.5 0.09 60)|oklch(0.5 0.09 60)",
                "COLOR|{color.umber.60}|{color.umber.60}",
                "FONT_WEIGHT|bold|700",
                "FONT_WEIGHT|650|650",
                "NUMBER|1.5|1.5",
                "FONT_FAMILY|'Source Serif 4', serif|Source Serif 4, serif",
                "DURATION|200MS|200ms",
                "DURATION|0.2s|0.2s",
                "CUBIC_BEZIER|ease|cubic-bezier(0.25, 0.1, 0.25, 1)",
                "CUBIC_BEZIER|cubic-bezier(.2,0,0,1)|cubic-bezier(0.2, 0, 0, 1)",
                "STROKE_STYLE|dotted|dotted",
                "STROKE_STYLE|dash 4px 2px round|dash 4px 2px round",
                "BORDER|1px solid {color.ink.20}|1px solid {color.ink.20}",
                "BORDER|2px (dash 4px 2px butt) #888888|2px (dash 4px 2px butt) #888888",
                "TRANSITION|200ms ease-out 0ms|200ms cubic-bezier(0, 0, 0.58, 1) 0ms",
                "SHADOW|0 2px 8px #00000033|0px 2px 8px 0px #00000033",
                "SHADOW|inset 0px 1px 0px 0px #ffffff, {shadow.low}|inset 0px 1px 0px 0px #ffffff, {shadow.low}",
                "SHADOW|{a}, {b}|{a}, {b}",
                "SHADOW|0px (1px to 4px) 8px 0px #000000|0px (1px to 4px) 8px 0px #000000",
                "GRADIENT|#ffffff 0%, {color.sea.60} 100%|#ffffff 0%, {color.sea.60} 100%",
                "GRADIENT|#ffffff {a}, #000000 0.5|#ffffff {a}, #000000 50%",
                "TYPOGRAPHY|Archivo, sans-serif / {size.1} / 700 / 0px / 1.2|Archivo, sans-serif / {size.1} / 700 / 0px / 1.2",
                "COLOR|lighten({color.sea.60}, 8)|lighten({color.sea.60}, 8)",
                "COLOR|mix(#ff0000, {b}, 0.3)|mix(#ff0000, {b}, 0.3)",
                "DIMENSION|clamp({a}, 4px, 2rem)|clamp({a}, 4px, 2rem)",
                "NUMBER|multiply({a}, 1.5)|multiply({a}, 1.5)",
                "COLOR|on-color({ground}, {color.ink}, 4.5)|on-color({ground}, {color.ink}, 4.5)",
                "NUMBER|#/a/b/$value/components/0|#/a/b/$value/components/0"
            })
    void valuesAreShownAsTheyWereWritten(TokenType type, String typed, String shown) {
        assertThat(ValueText.write(ValueText.parse(type, typed))).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "DIMENSION|wide|is not a length",
                "DIMENSION|3em|is not a length",
                "FONT_WEIGHT|heavyish|is not a font weight",
                "FONT_WEIGHT|1001|1 to 1000",
                "NUMBER|one|is not a number",
                "COLOR|brownish|is not a color",
                "COLOR|{a..b}|cannot be a name",
                "TYPOGRAPHY|16px|part by part",
                "DURATION|2 weeks|ms or s",
                "CUBIC_BEZIER|bouncy|not an easing curve",
                "CUBIC_BEZIER|cubic-bezier(2, 0, 0, 1)|between 0 and 1",
                "STROKE_STYLE|wavy|not a stroke style",
                "BORDER|1px solid|not a border",
                "SHADOW|1px|not a shadow",
                "GRADIENT|#fff|not a gradient stop",
                "COLOR|lighten({a})|Write lighten(of, by)",
                "COLOR|lighten({a}, 500)|between 0 and 120",
                "BORDER|1px solid lighten({a}, 5)|cannot be derived in place"
            })
    void refusalsSayWhatIsAllowed(TokenType type, String typed, String message) {
        assertThatThrownBy(() -> ValueText.parse(type, typed))
                .isInstanceOf(IllegalArgumentException.class)
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
