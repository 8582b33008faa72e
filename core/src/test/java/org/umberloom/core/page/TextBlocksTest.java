package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Which text fills the column, in which style and language, and which letters each style sets. */
class TextBlocksTest {
    private static final String LONG =
            "All human beings are born free and equal in dignity and rights, and they are endowed with reason.";

    private static TextBlocks of(String main) {
        return TextBlocks.of(
                "<html lang=en><body><header><p>" + LONG + "</p></header><main>" + main + "</main></body></html>",
                Map.of());
    }

    @Test
    void blocksAreOfTheStyleThatTheirRulesGiveThem() {
        assertThat(of("<p data-part=lead>" + LONG + "</p><p>" + LONG + "</p><blockquote>" + LONG
                                + "</blockquote><ul><li>" + LONG + "</li></ul>")
                        .blocks())
                .extracting(TextBlocks.Block::style)
                .containsExactly("type.lead", "type.body", "type.quote", "type.body");
    }

    @Test
    void whatIsShortOrNarrowIsNoBlock() {
        assertThat(of("<p>Short.</p><div data-part=card><p>" + LONG + "</p></div><table><tr><td><p>" + LONG
                                + "</p></td></tr></table>")
                        .blocks())
                .isEmpty();
    }

    @Test
    void aBlockIsCountedOnceWithTheLanguageAroundIt() {
        TextBlocks text = of("<blockquote lang=de><p>" + LONG + " " + LONG + "</p></blockquote>");
        assertThat(text.blocks()).singleElement().satisfies(block -> {
            assertThat(block.style()).isEqualTo("type.quote");
            assertThat(block.language()).isEqualTo(Locale.GERMAN);
        });
    }

    @Test
    void lettersAreThoseThatAreSeen() {
        Map<String, java.util.BitSet> letters =
                of("<h2>Ŋa\u00ad\u200b</h2><p>b <code>c</code></p>").letters();
        assertThat(letters.get("type.h2").stream().mapToObj(Character::toString))
                .containsExactly("a", "Ŋ");
        assertThat(letters.get("type.code").stream().mapToObj(Character::toString))
                .containsExactly("c");
        assertThat(letters.get("type.body").get('b')).isTrue();
    }
}
