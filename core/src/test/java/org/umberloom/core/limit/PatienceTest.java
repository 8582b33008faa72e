package org.umberloom.core.limit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.PictureColors;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.PaletteText;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.ThemeDocument;

/** The long loops ask whether there is time, and what has no budget is never stopped. */
class PatienceTest {
    private static final class Over extends RuntimeException {
        private static final long serialVersionUID = 1;
    }

    private static final Runnable NONE = () -> {
        throw new Over();
    };
    private final ThemeDocument theme = Samples.starter();

    private static void assertEnds(String what, Supplier<?> work) {
        assertThat(work.get()).as(what).isNotNull();
        assertThatThrownBy(() -> Patience.with(NONE, work)).as(what).isInstanceOf(Over.class);
        int[] asked = {0};
        assertThat(Patience.with(() -> asked[0]++, work)).as(what).isNotNull();
        assertThat(asked[0]).as(what).isPositive();
        assertThat(work.get()).as(what + " afterwards").isNotNull();
    }

    @Test
    void whatIsReadAndComputedIsEnded() {
        String document = ThemeJson.writeInline(theme);
        assertEnds("a document", () -> ThemeJson.readInline(document));
        assertEnds("a resolution", () -> Resolution.of(theme, theme.defaults()));
        assertEnds("a style sheet", () -> Stylesheet.compile(theme, Usage.ALL, List.of()));
        assertEnds("a palette file", () -> PaletteText.read("GIMP Palette\n1 2 3 one\n"));
        assertEnds("custom properties", () -> PaletteText.read("--sea: #123456;"));
        assertEnds("a list of colors", () -> PaletteText.read("#123456 and #654321"));
        assertEnds(
                "the colors of a picture", () -> PictureColors.of(new int[] {0xff123456, 0xffc8501c, 0xff2e7d4f}, 2));
    }

    @Test
    void onePatienceWithinAnotherGivesItBackAndAfterStoringNothingIsEnded() {
        assertThatThrownBy(() -> Patience.with(NONE, () -> Patience.with(() -> {}, () -> {
                            Patience.ask();
                            return true;
                        })
                        .equals(ask())))
                .isInstanceOf(Over.class);
        assertThat(Patience.with(NONE, () -> {
                    Patience.noMore();
                    return ask();
                }))
                .isTrue();
        assertThat(ask()).isTrue();
    }

    private static boolean ask() {
        Patience.ask();
        return true;
    }
}
