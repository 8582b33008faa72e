package org.umberloom.core.limit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class ExpansionTest {
    private static void leaf(Expansion drawing, String id, String... references) {
        drawing.open(id, List.of(), List.of(references));
        drawing.close();
    }

    @Test
    void elementsAreCountedWithWhatTheyReferTo() {
        Expansion drawing = new Expansion();
        drawing.open("", List.of(), List.of());
        leaf(drawing, "dot");
        leaf(drawing, "two", "dot", "dot");
        leaf(drawing, "", "two");
        drawing.close();
        // The root, the dot, two with its two dots, and one that draws two again.
        assertThat(drawing.drawn()).isEqualTo(1 + 1 + 3 + (1 + 3));
    }

    /** Ten times ten times ten, eleven levels deep: 10 to the 11. */
    @Test
    void whatGrowsByPowersIsFoundAtOnce() {
        Expansion drawing = new Expansion();
        leaf(drawing, "l0");
        for (int level = 1; level <= 11; level++) {
            drawing.open("l" + level, List.of(), List.of());
            for (int i = 0; i < 10; i++) leaf(drawing, "", "l" + (level - 1));
            drawing.close();
        }
        assertThat(drawing.drawn()).isGreaterThan(Expansion.MOST);
    }

    @Test
    void rulesOfStyleSheetsCountForElementsBeforeAndAfterThem() {
        Expansion drawing = new Expansion();
        drawing.open("", List.of("a"), List.of());
        drawing.close();
        drawing.rule("a", List.of("big"));
        drawing.open("big", List.of(), List.of());
        for (int i = 0; i < 99; i++) leaf(drawing, "");
        drawing.close();
        drawing.open("", List.of("a"), List.of());
        drawing.close();
        assertThat(drawing.drawn()).isEqualTo(100 + 2 * 101);
    }

    @Test
    void whatRefersToItselfEnds() {
        Expansion drawing = new Expansion();
        leaf(drawing, "a", "b");
        leaf(drawing, "b", "a");
        leaf(drawing, "c", "c");
        assertThat(drawing.drawn()).isBetween(3L, 6L);
    }

    @Test
    void referencesAreReadAsTheyAreWritten() {
        assertThat(Expansion.references("#a")).containsExactly("a");
        assertThat(Expansion.references("url( '#b' ) url(#c)")).containsExactly("b", "c");
        assertThat(Expansion.references("red")).isEqualTo(Collections.emptyList());
    }
}
