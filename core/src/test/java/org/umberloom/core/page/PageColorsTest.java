package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.TokenPath;

class PageColorsTest {
    private static List<String> meetings(String body) {
        return PageColors.of("<body>" + body + "</body>", Map.of()).stream()
                .map(PageColors.Found::meeting)
                .map(PageColorsTest::words)
                .toList();
    }

    private static String words(Meeting meeting) {
        return meeting.foreground().substring(8) + " on " + meeting.ground().substring(8)
                + (meeting.type().isEmpty() ? "" : " " + meeting.type())
                + (meeting.state().isEmpty() ? "" : " " + meeting.state());
    }

    @Test
    void textStandsOnTheGroundOfItsSurface() {
        assertThat(meetings("<p>Hello</p>"))
                .containsExactly("page.text on page.ground body", "page.on-selection on page.selection selected");
        assertThat(meetings("<section data-surface=deep><h2>Hello</h2></section>"))
                .contains("deep.heading on deep.ground h2");
    }

    @Test
    void aColorIsInheritedWithTheSurfaceWhereItWasSet() {
        assertThat(meetings("<div data-state=bad>off <em data-surface=deep>and on</em></div>"))
                .contains("page.bad on page.ground body", "deep.text on deep.ground body");
        assertThat(meetings("<div data-state=bad><em>off</em></div>")).contains("page.bad on page.ground body");
    }

    @Test
    void theStrongerRuleWins() {
        assertThat(meetings("<nav><a href=x>Fares</a></nav>"))
                .contains("page.text on page.ground menu", "page.link on page.ground menu pointed at")
                .doesNotContain("page.link-visited on page.ground menu visited");
        assertThat(meetings("<p data-part=notice data-state=warning>Held, <a href=x>see</a></p>"))
                .contains("page.on-warning on page.warning notice")
                .noneMatch(words -> words.contains("link"));
    }

    @Test
    void linksAreAlsoSeenPointedAtVisitedAndFocused() {
        assertThat(meetings("<p><a href=x>Fares</a></p>"))
                .contains(
                        "page.link on page.ground body",
                        "page.link-hover on page.ground body pointed at",
                        "page.link-visited on page.ground body visited",
                        "page.focus on page.ground focused");
        assertThat(meetings("<p><a>No link</a></p>"))
                .noneMatch(words -> words.contains("visited") || words.contains("focus"));
    }

    /** What is pressed is pointed at too, and words that lie within stand on what the state paints. */
    @Test
    void whatLiesWithinIsReadInTheStateAround() {
        assertThat(meetings("<button><b>Go</b></button>"))
                .contains(
                        "page.on-accent on page.accent button",
                        "page.on-accent on page.accent-hover button pointed at");
        assertThat(meetings("<a href=x data-part=button data-rank=quiet><span>Go</span></a>"))
                .anyMatch(words -> words.contains("pointed at"))
                .anyMatch(words -> words.contains("pressed"));
    }

    /** Who presses by the keyboard does not point: what is pressed says all of its colors itself, however buttons are chosen. */
    @Test
    void aButtonPressedByTheKeyboardLooksAsByThePointer() {
        for (String choice : List.of("buttons", "second-buttons"))
            for (String value :
                    Contract.standard().choices().get(choice).values().keySet())
                for (String rank : List.of("", " data-rank=second", " data-rank=quiet"))
                    assertThat(PageColors.of("<button" + rank + ">Go</button>", Map.of(choice, value)))
                            .extracting(found -> words(found.meeting()))
                            .as("%s %s%s", choice, value, rank)
                            .noneMatch(words -> words.endsWith("pressed by the keyboard"));
    }

    @Test
    void aNoticesFocusRingIsSeenOnItsOwnColor() {
        assertThat(meetings("<p data-part=notice data-state=good><a href=x>see</a></p>"))
                .contains("page.on-good on page.good focused");
    }

    @Test
    void buttonsAndFieldsAreShapesToo() {
        assertThat(meetings("<button>Go</button>"))
                .contains(
                        "page.on-accent on page.accent button",
                        "page.on-accent on page.accent-hover button pointed at",
                        "page.accent on page.ground",
                        "page.focus on page.ground focused");
        assertThat(meetings("<input aria-invalid=true>"))
                .contains("page.field-text on page.field-ground field", "page.bad on page.field-ground");
    }

    @Test
    void whatIsNotSeenDoesNotCount() {
        assertThat(meetings("<p hidden>no</p><template><p>no</p></template><p> </p>"))
                .isEmpty();
    }

    @Test
    void placesAreCountedAndTheFirstIsNamed() {
        PageColors.Found found = PageColors.of("<p>One</p><p>Two</p>", Map.of()).get(0);
        assertThat(found.count()).isEqualTo(2);
        assertThat(found.words()).isEqualTo("One");
    }

    @Nested
    class Large {
        private final ThemeDocument theme = Starter.ALL.get(0).theme("Large");

        @Test
        void isWhatIsLargeOnTheNarrowestScreen() {
            Worn worn = Worn.of(Resolution.of(theme, theme.defaults()));
            assertThat(LargeText.is("h1", worn)).isTrue();
            assertThat(LargeText.is("body", worn)).isFalse();
            assertThat(LargeText.is("", worn)).isFalse();
            assertThat(LargeText.is("no-such-style", worn)).isFalse();
        }

        /** WCAG 2.2, "large scale": 24 px, whatever the weight. */
        @Test
        void beginsAtTwentyFourPixels() {
            for (double px : new double[] {23.9, 24}) {
                ThemeDocument sized = new Edit.SetValue(
                                Place.set(Starter.BASE), TokenPath.of("size.0"), DimensionValue.px(px))
                        .applyTo(theme)
                        .theme();
                assertThat(LargeText.is("body", Worn.of(Resolution.of(sized, sized.defaults()))))
                        .isEqualTo(px >= 24);
            }
        }
    }
}
