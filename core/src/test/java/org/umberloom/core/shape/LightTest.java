package org.umberloom.core.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.ShadowValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;
import org.umberloom.core.wish.ScaleWish;

/** Shadows fall away from their light, and farther, softer and paler from what lies higher. */
class LightTest {
    private static final Color INK = Color.rgb(0, 0, 0);

    private static Light light(double angle, double softness) {
        return new Light(angle, 0.5, softness, 0.3, INK, List.of(2.0, 6.0, 16.0));
    }

    private static double px(TokenValue length) {
        return ((DimensionValue) length).toPx();
    }

    private static double alpha(ShadowValue shadow) {
        return ((ColorValue) shadow.color()).color().alpha();
    }

    @ParameterizedTest
    @CsvSource({"0, 0, 5", "90, -5, 0", "-90, 5, 0", "180, 0, -5", "45, -3.5, 3.5"})
    void theyFallAwayFromIt(double angle, double x, double y) {
        ShadowValue shadow = light(angle, 2).shadow(10);
        assertThat(px(shadow.offsetX())).isCloseTo(x, within(0.05));
        assertThat(px(shadow.offsetY())).isCloseTo(y, within(0.05));
    }

    @Test
    void whatLiesHigherThrowsThemFartherSofterAndPaler() {
        ShadowValue before = light(30, 2).shadow(0.5);
        for (double height = 1; height <= 96; height += 0.5) {
            ShadowValue shadow = light(30, 2).shadow(height);
            assertThat(px(shadow.offsetY())).isGreaterThanOrEqualTo(px(before.offsetY()));
            assertThat(px(shadow.blur())).isGreaterThanOrEqualTo(px(before.blur()));
            assertThat(alpha(shadow)).isLessThanOrEqualTo(alpha(before));
            before = shadow;
        }
    }

    @Test
    void aHardLightHasNoBlurAndStaysAsDark() {
        ShadowValue shadow = light(0, 0).shadow(40);
        assertThat(px(shadow.blur())).isZero();
        assertThat(px(shadow.spread())).isZero();
        assertThat(alpha(shadow)).isEqualTo(0.3);
    }

    @Test
    void itGrowsAGroupThatFilesKeepAndOneStepTakesBack() {
        ThemeDocument theme = Starter.ALL.get(0).theme("T");
        TokenPath path = TokenPath.of("height");
        Edit edit = new ScaleWish.Shadows(Place.set("base"), path, 20, 0.5, 2, 0.3, "#102030", List.of(2.0, 6.0))
                .in(new Seen(theme, Resolution.of(theme, theme.defaults())));
        Edit.Applied applied = edit.applyTo(theme);
        Resolution resolution = Resolution.of(applied.theme(), theme.defaults());
        assertThat(resolution.find("height.2")).hasValueSatisfying(token -> {
            assertThat(token.type()).isEqualTo(TokenType.SHADOW);
            assertThat(px(((ShadowValue) token.value()).blur())).isEqualTo(12);
        });
        assertThat(applied.inverse().applyTo(applied.theme()).theme()).isEqualTo(theme);
        ThemeDocument read = ThemeJson.readInline(ThemeJson.writeInline(applied.theme()));
        assertThat(Recipes.of(read.at(Place.set("base")).group(path).orElseThrow()))
                .isEqualTo(Optional.of(new Recipe.ShadowSteps(
                        new Light(20, 0.5, 2, 0.3, CssColor.parse("#102030"), List.of(2.0, 6.0)))));
    }

    @Test
    void theFirstLightThrowsTheShadowsThatStoodByThemselves() {
        TokenPath path = TokenPath.of("shadow.height");
        ThemeDocument theme = Starter.ALL.get(0).theme("T");
        Place place = Place.set("base");
        Group shadows = Group.EMPTY
                .with(TokenPath.of("near"), shadow("0 1px 3px #0003"))
                .with(TokenPath.of("far"), shadow("0 8px 20px #0003"))
                .with(TokenPath.of("nothing"), shadow("0 8px 20px #0000"))
                .with(TokenPath.of("inward"), shadow("inset 0 1px 3px #0003"));
        theme = new Edit.Put(place, TokenPath.of("own"), shadows, -1)
                .applyTo(theme)
                .theme();
        ScaleWish.Shadows light = new ScaleWish.Shadows(place, path, 0, 0.5, 2, 0.3, "#000", List.of(2.0, 6.0, 16.0));
        Edit.Applied applied = light.in(new Seen(theme, Resolution.of(theme, theme.defaults())))
                .applyTo(theme);
        Group own = applied.theme().at(place).group(TokenPath.of("own")).orElseThrow();
        assertThat(own.token(TokenPath.of("near")).orElseThrow().value()).isEqualTo(new Alias(path.child("1")));
        assertThat(own.token(TokenPath.of("far")).orElseThrow().value()).isEqualTo(new Alias(path.child("2")));
        for (String stays : List.of("nothing", "inward"))
            assertThat(own.token(TokenPath.of(stays))).isEqualTo(shadows.token(TokenPath.of(stays)));
        assertThat(applied.inverse().applyTo(applied.theme()).theme()).isEqualTo(theme);

        // A light that is there already leaves what was taken from it by hand.
        ThemeDocument lit = new Edit.SetValue(
                        place, TokenPath.of("own.near"), ValueText.parse(TokenType.SHADOW, "0 1px 3px #0003"))
                .applyTo(applied.theme())
                .theme();
        Edit.Applied again =
                light.in(new Seen(lit, Resolution.of(lit, lit.defaults()))).applyTo(lit);
        assertThat(again.theme()).isEqualTo(lit);
    }

    private static Token shadow(String text) {
        return Token.of(ValueText.parse(TokenType.SHADOW, text));
    }

    @Test
    void numbersOutOfRangeAreRefusedInWords() {
        assertThatThrownBy(() -> light(200, 1)).hasMessageContaining("angle of the light must be between -180 and 180");
        assertThatThrownBy(() -> new Light(0, 0.5, 1, 0.3, INK, List.of(4.0, 4.0)))
                .hasMessageContaining("Heights must rise");
        assertThatThrownBy(() -> new Light(0, 0.5, 1, 0.3, INK, List.of())).hasMessageContaining("1 to 12 heights");
    }

    /** Arcs about one center keep their distance: outer = inner + gap. */
    @Test
    void cornersInOneAnotherKeepTheirGap() {
        for (double inner = 0; inner < 30; inner += 2.5)
            for (double gap = 0; gap < 40; gap += 3.5) {
                double outer = Corners.around(inner, gap);
                assertThat(Corners.within(outer, gap)).isCloseTo(inner, within(1e-9));
                assertThat(outer - inner).isCloseTo(gap, within(1e-9));
            }
        assertThat(Corners.within(8, 20)).isZero();
    }
}
