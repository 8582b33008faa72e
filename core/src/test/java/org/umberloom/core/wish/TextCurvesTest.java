package org.umberloom.core.wish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.umberloom.core.font.Families;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Asked;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.type.TextCurve;

/** Line height and letter spacing over size: two ends, evenly between by ratio of sizes, and styles that follow or have left. */
class TextCurvesTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("T");
    private static final Place ROLES = Place.set("roles");
    private static final String LINE = "lineHeight";

    private static Edit edit(ThemeDocument theme, Asked asked) {
        return Following.of(asked, Families.NONE).in(new Seen(theme, Resolution.of(theme, theme.defaults())));
    }

    private static ThemeDocument after(ThemeDocument theme, Asked... wishes) {
        for (Asked asked : wishes) theme = edit(theme, asked).applyTo(theme).theme();
        return theme;
    }

    private static ValueWish.Member member(String style, String part, String text) {
        return new ValueWish.Member(Optional.empty(), TokenPath.of("type." + style), part, text);
    }

    /** All styles on one curve from 1.6 at 16 px to 1.2 at 64 px. */
    private static ThemeDocument curved() {
        ThemeDocument theme = after(THEME, new ScaleWish.Curve(ROLES, LINE, 16, 1.6, 64, 1.2, Optional.empty()));
        for (String style : new String[] {"body", "h1", "h2", "small"})
            theme = after(theme, new ScaleWish.OnCurve(ROLES, TokenPath.of("type." + style), LINE, true));
        return after(
                theme,
                member("h1", "fontSize", "64px"),
                member("h2", "fontSize", "32px"),
                member("body", "fontSize", "16px"));
    }

    private static TypographyValue style(ThemeDocument theme, String name) {
        return Resolution.of(theme, theme.defaults())
                .value("type." + name, TypographyValue.class)
                .orElseThrow();
    }

    private static double line(ThemeDocument theme, String name) {
        return ((NumberValue) style(theme, name).lineHeight()).number();
    }

    private static Token token(ThemeDocument theme, String name) {
        return theme.at(ROLES).token(TokenPath.of("type." + name)).orElseThrow();
    }

    @Test
    void betweenItsEndsItGoesEvenlyByRatio() {
        TextCurve curve = new TextCurve(16, 1.6, 64, 1.2);
        assertThat(curve.at(16)).isEqualTo(1.6);
        assertThat(curve.at(32)).as("half way from 16 to 64 by ratio").isCloseTo(1.4, within(1e-12));
        assertThat(curve.at(64)).isEqualTo(1.2);
        assertThat(curve.at(8)).isEqualTo(1.6);
        assertThat(curve.at(200)).isEqualTo(1.2);
        double before = curve.at(10);
        for (double px = 10; px < 100; px += 0.5) {
            assertThat(curve.at(px)).isLessThanOrEqualTo(before);
            before = curve.at(px);
        }
    }

    @Test
    void stylesOnItFollowItAndTheirSizes() {
        assertThat(line(curved(), "body")).isEqualTo(1.6);
        assertThat(line(curved(), "h2")).isEqualTo(1.4);
        assertThat(line(curved(), "h1")).isEqualTo(1.2);
        assertThat(line(after(curved(), member("h2", "fontSize", "16px")), "h2"))
                .isEqualTo(1.6);
        assertThat(line(after(curved(), new ScaleWish.Curve(ROLES, LINE, 16, 1.6, 64, 1, Optional.empty())), "h2"))
                .isEqualTo(1.3);
    }

    /** Every line is whole steps of the grid: the nearest number of them, and never closer than the letters are high. */
    @Test
    void onAGridLinesAreWholeStepsAtTheWideEnd() {
        ThemeDocument theme = after(curved(), new ScaleWish.Curve(ROLES, LINE, 16, 1.6, 64, 1, Optional.of(4.0)));
        assertThat(line(theme, "body") * 16).as("25.6 px are six steps").isCloseTo(24, within(0.01));
        assertThat(line(theme, "h2") * 32).as("41.6 px are ten steps").isCloseTo(40, within(0.01));
        assertThat(line(theme, "h1") * 64).isCloseTo(64, within(0.01));
        assertThat(new TextCurve(16, 1.1, 64, 1, 12).lineAt(16))
                .as("one step of 12 px would cut the letters")
                .isEqualTo(1.5);
        ThemeDocument read = ThemeJson.readInline(ThemeJson.writeInline(theme));
        assertThat(TextCurves.of(read.at(ROLES).group(TextCurves.STYLES).orElseThrow(), TextCurves.Kind.LINE))
                .hasValue(new TextCurve(16, 1.6, 64, 1, 4));
        assertThatThrownBy(() -> after(THEME, new ScaleWish.Curve(ROLES, LINE, 16, 1.6, 64, 1, Optional.of(-4.0))))
                .hasMessageContaining("up to 64 px");
    }

    @Test
    void letterSpacingIsSaidInEm() {
        ThemeDocument theme = after(
                curved(),
                new ScaleWish.Curve(ROLES, "letterSpacing", 16, 0, 64, -0.02, Optional.empty()),
                new ScaleWish.OnCurve(ROLES, TokenPath.of("type.h1"), "letterSpacing", true));
        assertThat(style(theme, "h1").letterSpacing()).isEqualTo(DimensionValue.px(-1.28));
    }

    @Test
    void atFirstNothingMovesThatIsNotNear() {
        ThemeDocument theme = after(THEME, new ScaleWish.Curve(ROLES, LINE, 16, 3, 64, 2.5, Optional.empty()));
        assertThat(line(theme, "h1")).isEqualTo(line(THEME, "h1"));
        assertThat(TextCurves.left(token(theme, "h1"), TextCurves.Kind.LINE)).isTrue();
    }

    private static double px(String name) {
        return ((FluidValue) style(THEME, name).fontSize()).wide().toPx();
    }

    @Test
    void whatIsNearByReferenceIsOnItFromTheBeginning() {
        double body = line(THEME, "body");
        double h1 = line(THEME, "h1");
        ThemeDocument fitted =
                after(THEME, new ScaleWish.Curve(ROLES, LINE, px("body"), body, px("h1"), h1, Optional.empty()));
        assertThat(TextCurves.left(token(fitted, "h1"), TextCurves.Kind.LINE)).isFalse();
        assertThat(TextCurves.left(token(fitted, "body"), TextCurves.Kind.LINE)).isFalse();
    }

    @Test
    void aStyleThatIsSetByHandLeavesAndComesBack() {
        ThemeDocument byHand = after(curved(), member("h2", LINE, "1.9"));
        assertThat(line(byHand, "h2")).isEqualTo(1.9);
        assertThat(TextCurves.left(token(byHand, "h2"), TextCurves.Kind.LINE)).isTrue();
        assertThat(line(after(byHand, new ScaleWish.Curve(ROLES, LINE, 16, 1.5, 64, 1.1, Optional.empty())), "h2"))
                .isEqualTo(1.9);
        assertThat(line(after(byHand, new ScaleWish.OnCurve(ROLES, TokenPath.of("type.h2"), LINE, true)), "h2"))
                .isEqualTo(1.4);
    }

    @Test
    void withoutItStylesStayAsTheyAre() {
        ThemeDocument none = after(curved(), new ScaleWish.NoCurve(ROLES, LINE));
        assertThat(line(none, "h2")).isEqualTo(1.4);
        assertThat(line(after(none, member("h2", "fontSize", "16px")), "h2")).isEqualTo(1.4);
    }

    @Test
    void oneStepTakesAllOfItBackAndFilesKeepIt() {
        ThemeDocument before = curved();
        Edit.Applied applied = edit(before, member("h2", "fontSize", "16px")).applyTo(before);
        assertThat(applied.inverse().applyTo(applied.theme()).theme()).isEqualTo(before);
        ThemeDocument read = ThemeJson.readInline(ThemeJson.writeInline(before));
        assertThat(TextCurves.of(read.at(ROLES).group(TextCurves.STYLES).orElseThrow(), TextCurves.Kind.LINE))
                .hasValue(new TextCurve(16, 1.6, 64, 1.2));
    }

    @Test
    void whatIsNoCurveIsRefused() {
        assertThatThrownBy(() -> after(THEME, new ScaleWish.Curve(ROLES, LINE, 64, 1.6, 16, 1.2, Optional.empty())))
                .hasMessageContaining("from a small size to a larger one");
        assertThatThrownBy(() ->
                        after(THEME, new ScaleWish.Curve(ROLES, "fontWeight", 16, 1.6, 64, 1.2, Optional.empty())))
                .hasMessageContaining("“fontWeight” cannot");
    }
}
