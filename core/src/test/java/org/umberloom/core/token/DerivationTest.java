package org.umberloom.core.token;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.umberloom.core.color.Color;

class DerivationTest {
    private static TokenValue computed(String derivation, TokenType type) {
        Derivation parsed = ((DerivedValue) ValueText.parse(type, derivation)).derivation();
        return parsed.operation().apply(parsed.arguments(), List.of()).value();
    }

    /** Worked by hand; 1 rem is 16 px. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "add(2, 0.5)|NUMBER|2.5",
                "multiply(2, 1.5)|NUMBER|3",
                "round(7, 4)|NUMBER|8",
                "round(5, 4)|NUMBER|4",
                "clamp(9, 1, 4)|NUMBER|4",
                "add(16px, 0.5rem)|DIMENSION|24px",
                "add(1rem, 8px)|DIMENSION|1.5rem",
                "multiply(10px, 1.25)|DIMENSION|12.5px",
                "round(13px, 4px)|DIMENSION|12px",
                "clamp(3px, 8px, 2rem)|DIMENSION|8px",
                "clamp(3rem, 8px, 32px)|DIMENSION|2rem",
                "multiply((10px to 20px), 2)|DIMENSION|20px to 40px"
            })
    void arithmeticKeepsTheUnitOfItsSource(String derivation, TokenType type, String result) {
        String text = derivation.replace("(10px to 20px)", "10px to 20px");
        assertThat(ValueText.write(computed(text, type))).isEqualTo(result);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "add(2, 4px)|NUMBER|numbers with numbers", "add(2px, 4)|DIMENSION|numbers with numbers",
                        "round(2, 0)|NUMBER|above 0",
                "lighten(#fff, 121)|COLOR|between 0 and 120", "fade(#fff, 2)|COLOR|between 0 and 1",
                        "mix(#fff, 3px, 0.5)|COLOR|is not a color",
                "on-color(#fff, #000, 4.5)|COLOR|a hue", "lighten(#fff)|COLOR|Write lighten(of, by)"
            })
    void argumentsThatDoNotFitAreRefused(String derivation, TokenType type, String message) {
        assertThatThrownBy(() -> computed(derivation, type))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(message);
    }

    @ParameterizedTest
    @EnumSource(Operation.class)
    void everyOperationReadsTheDataItWrites(Operation operation) {
        List<String> arguments = operation.parameterNames().stream()
                .skip(1)
                .map(name -> operation.takesHue(name) ? "{color.ink}" : "{n." + name + "}")
                .toList();
        Derivation derivation = operation.withTexts(Alias.to("a.b"), arguments);
        assertThat(Derivation.read(derivation.data())).isEqualTo(derivation);
        assertThat(((DerivedValue) ValueText.parse(
                                operation.makesColor() ? TokenType.COLOR : TokenType.NUMBER, derivation.toString()))
                        .derivation())
                .isEqualTo(derivation);
    }

    @Test
    void dataThatIsNoDerivationIsRefused() {
        assertThatThrownBy(() -> Derivation.read("lighten")).hasMessageContaining("must be an object");
        assertThatThrownBy(() -> Derivation.read(Map.of("op", "bleach"))).hasMessageContaining("lighten, darken");
        assertThatThrownBy(() -> Derivation.read(Map.of("op", "complement")))
                .hasMessageContaining("needs its argument “of”");
        assertThatThrownBy(() -> Derivation.read(Map.of("op", "complement", "of", "{a}", "by", 3.0)))
                .hasMessageContaining("no argument “by”");
    }

    @Test
    void alphaStaysWhereOnlyTheColorChanges() {
        ColorValue half = new ColorValue(Color.rgb(120, 60, 30).withAlpha(0.5));
        for (String operation : List.of("lighten", "darken", "rotate", "chroma")) {
            Derivation derivation = Operation.byId(operation).withTexts(half, List.of("2"));
            assertThat(((ColorValue) derivation
                                    .operation()
                                    .apply(derivation.arguments(), List.of())
                                    .value())
                            .color()
                            .alpha())
                    .as(operation)
                    .isEqualTo(0.5);
        }
    }
}
