package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenType;

/** An open collection of CSS custom properties from npm, open-props 1.7.23, in the three forms in which it ships tokens. */
class CollectionsTest {
    private static String text(String name) throws IOException {
        try (InputStream in = CollectionsTest.class.getResourceAsStream("/collections/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static Map<TokenType, Integer> counts(Resolution resolution) {
        Map<TokenType, Integer> counts = new TreeMap<>();
        for (Resolved token : resolution.tokens().values()) counts.merge(token.type(), 1, Integer::sum);
        return counts;
    }

    @Test
    void itsResolverDocumentIsReadWhole() throws IOException {
        ThemeJson.Reading reading =
                ThemeJson.reading("open-props.resolver.json", text("open-props.resolver.json"), file -> "");
        Resolution resolution = Resolution.of(reading.theme(), reading.theme().defaults());
        assertThat(resolution.findings()).isEmpty();
        assertThat(counts(resolution))
                .containsExactlyInAnyOrderEntriesOf(Map.of(
                        TokenType.COLOR,
                        247,
                        TokenType.DIMENSION,
                        71,
                        TokenType.FONT_FAMILY,
                        18,
                        TokenType.FONT_WEIGHT,
                        9,
                        TokenType.CUBIC_BEZIER,
                        66,
                        TokenType.NUMBER,
                        19,
                        TokenType.SHADOW,
                        11));
        assertThat(reading.notes()).hasSize(1);
        assertThat(ThemeJson.readInline(ThemeJson.writeInline(reading.theme()))).isEqualTo(reading.theme());
    }

    @Test
    void itsOlderFileIsReadWithANoteForEachKindOfChange() throws IOException {
        List<String> notes = new ArrayList<>();
        ThemeDocument theme = Samples.of(TokensJson.read("older", text("open-props.older.json"), notes));
        Resolution resolution = Resolution.of(theme, theme.defaults());
        assertThat(counts(resolution))
                .containsExactlyInAnyOrderEntriesOf(
                        Map.of(TokenType.COLOR, 247, TokenType.DIMENSION, 52, TokenType.CUBIC_BEZIER, 68));
        assertThat(notes).hasSize(9).anyMatch(note -> note.contains("The type “other” is not known"));
        assertThat(resolution.findings()).extracting(Finding::code).containsOnly("foreign-type");
    }

    @Test
    void itsFlatFileIsReadAndWhatIsNotUnderstoodIsKept() throws IOException {
        List<String> notes = new ArrayList<>();
        Group tokens = TokensJson.read("flat", text("open-props.flat.json"), notes);
        assertThat(counts(Resolution.of(Samples.of(tokens), Samples.of(tokens).defaults())))
                .containsEntry(TokenType.COLOR, 247);
        assertThat(notes).anyMatch(note -> note.contains("kept as text (33 times"));
        assertThat(TokensJson.write(tokens)).contains("49% 51% 48% 52% / 57% 44% 56% 43%", "15ch");
    }

    /** The same colors as color spaces with components and as older hex text come to the same. */
    @Test
    void bothFormsOfItsColorsAgree() throws IOException {
        ThemeDocument today = ThemeJson.reading("today", text("open-props.resolver.json"), file -> "")
                .theme();
        ThemeDocument before = Samples.of(TokensJson.read("older", text("open-props.older.json"), new ArrayList<>()));
        Resolution now = Resolution.of(today, today.defaults());
        int compared = 0;
        for (Resolved old : Resolution.of(before, before.defaults()).tokens().values()) {
            if (old.type() != TokenType.COLOR) continue;
            String path = old.path().dotted().substring("color.".length());
            assertThat(((ColorValue) now.find(path).orElseThrow().value())
                            .color()
                            .hex())
                    .as(path)
                    .isEqualTo(((ColorValue) old.value()).color().hex());
            compared++;
        }
        assertThat(compared).isEqualTo(247);
    }
}
