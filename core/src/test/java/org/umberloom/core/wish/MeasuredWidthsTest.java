package org.umberloom.core.wish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.umberloom.core.font.Cut;
import org.umberloom.core.font.Families;
import org.umberloom.core.theme.Asked;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/** A text column said in characters: {@code characters * (mean * size + spacing)}, and again whenever the text changes. */
class MeasuredWidthsTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("T");
    private static final TokenPath TEXT = TokenPath.of("width.text");

    /** Letters of half an em; those of the family “Wide” of six tenths; both as wide as they are stretched. */
    private static final Families LETTERS = new Families() {
        @Override
        public OptionalDouble mean(Cut cut) {
            return OptionalDouble.of((cut.stack().get(0).equals("Wide") ? 0.6 : 0.5) * cut.stretch() / 100);
        }

        @Override
        public Optional<Weights> weights(String family) {
            return Optional.empty();
        }
    };

    private static Edit edit(ThemeDocument theme, Asked asked) {
        return Following.of(asked, LETTERS).in(new Seen(theme, Resolution.of(theme, theme.defaults())));
    }

    private static ThemeDocument after(ThemeDocument theme, Asked asked) {
        return edit(theme, asked).applyTo(theme).theme();
    }

    private static ThemeDocument measured() {
        ThemeDocument sized = after(THEME, member("fontSize", "20px"));
        return after(sized, new ValueWish.Measured(Optional.empty(), TEXT, 66));
    }

    private static ValueWish.Member member(String part, String text) {
        return new ValueWish.Member(Optional.empty(), TokenPath.of("type.body"), part, text);
    }

    private static double px(ThemeDocument theme) {
        return ((DimensionValue) Resolution.of(theme, theme.defaults())
                        .find("width.text")
                        .orElseThrow()
                        .value())
                .toPx();
    }

    private static Token token(ThemeDocument theme) {
        return Resolution.of(theme, theme.defaults())
                .find("width.text")
                .orElseThrow()
                .written();
    }

    @Test
    void itIsAsWideAsItsCharacters() {
        assertThat(px(measured())).isEqualTo(66 * 0.5 * 20);
        assertThat(MeasuredWidths.of(token(measured()))).hasValue(66);
    }

    @Test
    void itFollowsWhenTheTextChanges() {
        assertThat(px(after(measured(), member("fontSize", "18px")))).isEqualTo(66 * 0.5 * 18);
        assertThat(px(after(measured(), member("letterSpacing", "1px")))).isEqualTo(66 * (0.5 * 20 + 1));
        assertThat(px(after(measured(), member("fontFamily", "Wide, serif")))).isEqualTo(66 * 0.6 * 20);
        assertThat(px(after(measured(), member("fontStretch", "75%")))).isEqualTo(66 * 0.5 * 0.75 * 20);
    }

    /** What a site wrote in characters when the text was 18 px, under a theme whose text is 20 px now. */
    @Test
    void aSitesOwnWidthFollowsTheThemeThatItWears() {
        Place.InScope site = Place.scope(Scope.site("galley"));
        Group written = Group.EMPTY.with(
                TEXT, new Token(DimensionValue.px(50 * 0.5 * 18), MeasuredWidths.saying(Meta.NONE, 50)));
        ThemeDocument theme = after(THEME, member("fontSize", "20px"));
        ThemeDocument worn = MeasuredWidths.followed(theme.worn(Map.of(site, written)), Set.of(site), LETTERS);
        Resolution there = Resolution.of(worn, worn.defaults().at(site.scope()));
        assertThat(((DimensionValue) there.find("width.text").orElseThrow().value()).toPx())
                .isEqualTo(50 * 0.5 * 20);
        assertThat(px(worn)).as("the theme's own").isEqualTo(px(theme));
    }

    @Test
    void oneStepTakesAllOfItBack() {
        ThemeDocument before = measured();
        Edit.Applied applied = edit(before, member("fontSize", "18px")).applyTo(before);
        assertThat(applied.inverse().applyTo(applied.theme()).theme()).isEqualTo(before);
    }

    @Test
    void whatIsSetByHandFollowsNoMore() {
        ThemeDocument byHand = after(measured(), new ValueWish.Value(Optional.empty(), TEXT, "40rem"));
        assertThat(px(byHand)).isEqualTo(640);
        assertThat(MeasuredWidths.of(token(byHand))).isEmpty();
        assertThat(px(after(byHand, member("fontSize", "12px")))).isEqualTo(640);
    }

    @Test
    void aThemeWithoutSuchWidthsIsEditedAsEver() {
        assertThat(edit(THEME, member("fontSize", "18px"))).isInstanceOf(Edit.SetValue.class);
    }

    @Test
    void aPlaceCanSayItForItself() {
        Place dark = Place.context("scheme", "dark");
        ThemeDocument there = after(measured(), new ValueWish.Measured(Optional.of(dark), TEXT, 50));
        assertThat(px(there)).isEqualTo(660);
        DimensionValue inTheDark = Resolution.of(there, there.defaults().with("scheme", "dark"))
                .value("width.text", DimensionValue.class)
                .orElseThrow();
        assertThat(inTheDark.toPx()).isEqualTo(500);
    }

    @Test
    void aLineHasLimits() {
        assertThatThrownBy(() -> new ValueWish.Measured(Optional.empty(), TEXT, 5))
                .hasMessageContaining("between 20 and 200 characters");
    }
}
