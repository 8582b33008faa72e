package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Sources: WCAG 2.2, 1.1.1; techniques H37 and H67, failure F65 of the W3C. */
class AlternativesTest {
    @Test
    void picturesWithoutWordsAreNamedAndThoseThatOnlyAdornAreNot() {
        assertThat(
                        Alternatives.missing(
                                """
                        <p><img src="a.png"><img src="b.png" alt=""><img src="c.png" alt="A boat">
                        <img src="d.png" aria-label="A buoy"><input type="image" src="e.png"></p>"""))
                .containsExactly(new Alternatives.Silent(2, "a.png"), new Alternatives.Silent(6, "e.png"));
    }
}
