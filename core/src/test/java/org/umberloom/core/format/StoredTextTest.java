package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.RandomThemes;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.ThemeDocument;

/** What is carried along is, byte for byte, what is written from nothing. */
class StoredTextTest {
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void overRandomEdits(long seed) {
        RandomThemes random = new RandomThemes(seed);
        ThemeDocument theme = random.theme();
        StoredText text = StoredText.NONE.next(theme);
        assertThat(text.text()).isEqualTo(ThemeJson.writeInline(theme));
        for (int i = 0; i < 60; i++) {
            try {
                theme = random.edit(theme).applyTo(theme).theme();
            } catch (IllegalArgumentException refused) {
                continue;
            }
            text = text.next(theme);
            assertThat(text.text()).as("seed %d, edit %d", seed, i).isEqualTo(ThemeJson.writeInline(theme));
            assertThat(ThemeJson.readInline(text.text())).isEqualTo(theme);
        }
    }

    @Test
    void picturesAndWhatOthersKeptInTheDocumentComeAlong() {
        ThemeDocument theme = new Edit.SetPicture(
                        "a.png", Optional.of(new Picture("a.png", "f".repeat(64), "image/png", "CC0", 3)))
                .applyTo(Samples.starter())
                .theme();
        assertThat(StoredText.NONE.next(Samples.starter()).next(theme).text())
                .isEqualTo(ThemeJson.writeInline(theme))
                .contains("a.png");
    }

    @Test
    void whatWouldNotComeBackIsRefused() {
        ThemeDocument theme =
                new Edit.SetDescription("fine").applyTo(Samples.starter()).theme();
        StoredText text = StoredText.NONE.next(theme);
        assertThatThrownBy(() -> text.next(new Edit.SetMeta(
                                org.umberloom.core.theme.Place.set("base"),
                                org.umberloom.core.token.TokenPath.of("color"),
                                theme.at(org.umberloom.core.theme.Place.set("base"))
                                        .group(org.umberloom.core.token.TokenPath.of("color"))
                                        .orElseThrow()
                                        .meta()
                                        .described("half \udc00"))
                        .applyTo(theme)
                        .theme()))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("broken character");
    }
}
