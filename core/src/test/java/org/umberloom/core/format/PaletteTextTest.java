package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.json.FormatException;

class PaletteTextTest {
    private static java.util.List<String> read(String text) {
        return PaletteText.read(text).colors().stream()
                .map(named -> (named.name().isEmpty() ? "" : named.name() + "=") + CssColor.write(named.color()))
                .toList();
    }

    @Test
    void colorsInAnyFormWithAnythingBetween() {
        assertThat(read("#7a4a2b, oklch(0.5 0.1 240)\nrebeccapurple  rgb(1, 2, 3) #FFF"))
                .containsExactly("#7a4a2b", "oklch(0.5 0.1 240)", "#663399", "#010203", "#ffffff");
    }

    @Test
    void theSameColorTwiceIsOne() {
        assertThat(read("#fff white #ffffff")).containsExactly("#ffffff");
    }

    @Test
    void customPropertiesBringTheirNames() {
        PaletteText.Palette palette =
                PaletteText.read(":root { --brand: #7a4a2b; --gap: 4px; --sea: color(display-p3 0.1 0.4 0.5) }");
        assertThat(palette.colors()).extracting(PaletteText.Named::name).containsExactly("brand", "sea");
        assertThat(palette.passedOver()).containsExactly("--gap: 4px");
    }

    /** The open palette format GPL, from memory: a header line, name and columns, comments, then three numbers and a name. */
    @Test
    void anOpenPaletteFile() {
        assertThat(read("GIMP Palette\nName: Harbor\nColumns: 3\n# made up\n 28  96 118\tSea\n200  80  28 "
                        + "Lantern\n999 0 0 wrong\n"))
                .containsExactly("Sea=#1c6076", "Lantern=#c8501c");
    }

    /** Each took more than a minute by expressions that began again at every letter. */
    @org.junit.jupiter.params.ParameterizedTest
    @org.junit.jupiter.params.provider.ValueSource(strings = {"-", "--", "a(", "#", "--a:", "--a ", "word ", "rgb(1 "})
    void longOddTextsTakeNoLonger(String odd) {
        String text = odd.repeat(380_000 / odd.length());
        org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(java.time.Duration.ofSeconds(20), () -> {
            assertThatThrownBy(() -> PaletteText.read(text)).isInstanceOf(FormatException.class);
            if (!odd.startsWith("--a"))
                assertThat(PaletteText.read(text + " #7a4a2b;").colors()).isNotEmpty();
        });
    }

    @Test
    void aTextBeyondTheLimitIsRefusedWithIt() {
        assertThatThrownBy(() -> PaletteText.read("#fff ".repeat(100_000))).hasMessageContaining("400000 are read");
    }

    @Test
    void textWithoutAColorIsRefusedWithWhatIsAllowed() {
        assertThatThrownBy(() -> PaletteText.read("our brand is bold and warm-hearted 12px"))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("GPL palette file");
    }

    @Test
    void aPropertyThatRefersToAnotherIsItsColor() {
        PaletteText.Palette palette = PaletteText.read(
                ":root { --bg: #fff; --card: var(--bg); --deep: var(--card, red); --lost: var(--none, #123456); "
                        + "--none-at-all: var(--no) }");
        assertThat(palette.colors().stream()
                        .map(one -> one.name() + " " + one.color().hex()))
                .containsExactly("bg #ffffff", "card #ffffff", "deep #ffffff", "lost #123456");
        assertThat(palette.passedOver()).containsExactly("--none-at-all: var(--no)");
    }

    @Test
    void whereItStopsItSaysSo() {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < 300; i++)
            text.append("--c")
                    .append(i)
                    .append(": rgb(")
                    .append(i % 256)
                    .append(' ')
                    .append(i / 256)
                    .append(" 9);\n");
        PaletteText.Palette palette = PaletteText.read(text.toString());
        assertThat(palette.colors()).hasSize(256);
        assertThat(palette.passedOver()).containsExactly("and 44 more colors: up to 256 are taken");
    }
}
