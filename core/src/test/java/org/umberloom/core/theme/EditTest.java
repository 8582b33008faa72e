package org.umberloom.core.theme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.offset;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.color.Ramp;
import org.umberloom.core.color.RampShape;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.space.SpaceScale;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.type.TypeScale;

class EditTest {
    private static final Place BASE = Place.set(Starter.BASE);
    private static final Place DARK = Place.context("scheme", "dark");
    private static final TokenPath SEED = TokenPath.of("color.brand.seed");
    private static final TokenPath SHADE = TokenPath.of("color.brand.60");

    private static Token token(ThemeDocument theme, TokenPath path) {
        return theme.at(BASE).token(path).orElseThrow();
    }

    private static ColorValue color(String css) {
        return new ColorValue(CssColor.parse(css));
    }

    @Nested
    class RecipesAndSeeds {
        private final ThemeDocument theme = Samples.starter();

        @Test
        void aNewSeedGrowsTheWholeRampAgain() {
            ThemeDocument changed = new Edit.SetValue(BASE, SEED, color("#204080"))
                    .applyTo(theme)
                    .theme();
            assertThat(token(changed, SEED).value()).isEqualTo(color("#204080"));
            assertThat(token(changed, SHADE).value())
                    .isNotEqualTo(token(theme, SHADE).value());
        }

        @Test
        void aShadeSetByHandIsDetachedAndSurvivesTheNextSeed() {
            ThemeDocument changed = new Edit.SetValue(BASE, SHADE, color("#123456"))
                    .applyTo(theme)
                    .theme();
            assertThat(token(changed, SHADE).detached()).isTrue();
            ThemeDocument reseeded = new Edit.SetValue(BASE, SEED, color("#204080"))
                    .applyTo(changed)
                    .theme();
            assertThat(token(reseeded, SHADE).value()).isEqualTo(color("#123456"));
        }

        @Test
        void aTokenOfOnesOwnBesideTheShadesStaysAndFormerStopsGo() {
            ThemeDocument changed = new Edit.SetValue(BASE, TokenPath.of("color.brand.special"), color("#123456"))
                    .applyTo(theme)
                    .theme();
            changed = new Edit.SetValue(BASE, SEED, color("#204080"))
                    .applyTo(changed)
                    .theme();
            changed = new Edit.SetRecipe(
                            BASE,
                            TokenPath.of("color.brand"),
                            new Recipe.HueRamp(List.of(20.0, 60.0), RampShape.DEFAULT))
                    .applyTo(changed)
                    .theme();
            assertThat(changed.at(BASE)
                            .group(TokenPath.of("color.brand"))
                            .orElseThrow()
                            .children())
                    .containsOnlyKeys("seed", "20", "60", "special");
        }

        @Test
        void anAttachedShadeIsComputedAgain() {
            ThemeDocument detached = new Edit.SetValue(BASE, SHADE, color("#123456"))
                    .applyTo(theme)
                    .theme();
            ThemeDocument attached =
                    new Edit.Attach(BASE, SHADE).applyTo(detached).theme();
            assertThat(attached).isEqualTo(theme);
        }

        @Test
        void aSeedThatIsNoColorIsRefused() {
            assertThatThrownBy(() -> new Edit.SetValue(BASE, SEED, DimensionValue.px(2)).applyTo(theme))
                    .hasMessageContaining("seed");
        }

        @Test
        void aGroupCannotBeGivenAValue() {
            assertThatThrownBy(() -> new Edit.SetValue(BASE, TokenPath.of("color.brand"), color("#fff")).applyTo(theme))
                    .hasMessageContaining("group");
        }
    }

    @Test
    void aBatchIsAllOrNothing() {
        ThemeDocument theme = Samples.starter();
        Edit half =
                new Edit.Batch("half", List.of(new Edit.SetName("Other"), new Edit.Remove(BASE, TokenPath.of("none"))));
        assertThatThrownBy(() -> half.applyTo(theme)).hasMessageContaining("none");
        assertThat(theme.name()).isEqualTo("Sample");
    }

    /** Random sequences of edits; each, taken back, gives the document before it byte for byte, as do all in turn. */
    @Test
    void everyEditHasAnExactInverse() {
        long seed = 41;
        Random random = new Random(seed);
        for (int run = 0; run < 12; run++) {
            ThemeDocument theme = Samples.starter();
            Deque<Edit> inverses = new ArrayDeque<>();
            List<String> states = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                Edit edit = randomEdit(random, theme);
                states.add(ThemeJson.writeInline(theme));
                Edit.Applied applied = EditJson.read(EditJson.write(edit)).applyTo(theme);
                inverses.push(EditJson.read(EditJson.write(applied.inverse())));
                theme = applied.theme();
            }
            for (int i = states.size() - 1; i >= 0; i--) {
                theme = inverses.pop().applyTo(theme).theme();
                assertThat(ThemeJson.writeInline(theme))
                        .as("seed %d, run %d, edit %d", seed, run, i)
                        .isEqualTo(states.get(i));
            }
        }
    }

    private static Edit randomEdit(Random random, ThemeDocument theme) {
        TokenValue any = new ColorValue(Color.rgb(random.nextInt(256), random.nextInt(256), random.nextInt(256)));
        String stop = String.valueOf((random.nextInt(10) + 1) * 10);
        List<Edit> choices = List.of(
                new Edit.SetValue(BASE, SEED, any),
                new Edit.SetValue(BASE, TokenPath.of("color.ink." + stop), any),
                new Edit.SetValue(
                        DARK, TokenPath.of("surface.page.extra-" + random.nextInt(4)), Alias.to("color.brand." + stop)),
                new Edit.SetValue(BASE, TokenPath.of("made." + random.nextInt(3) + ".deep"), any),
                new Edit.SetRecipe(
                        BASE,
                        TokenPath.of("color.brand"),
                        new Recipe.HueRamp(
                                Ramp.DEFAULT_STOPS.subList(random.nextInt(5), 14),
                                new RampShape(
                                        random.nextInt(40) - 20, random.nextInt(40) - 20, random.nextDouble(), 0.5))),
                new Edit.SetRecipe(
                        BASE,
                        TokenPath.of("size"),
                        new Recipe.TypeSteps(new TypeScale(
                                new TypeScale.End(14 + random.nextInt(6), 1.1),
                                new TypeScale.End(16, 1.2 + random.nextDouble() / 4),
                                360,
                                1280,
                                -random.nextInt(3),
                                6))),
                new Edit.SetRecipe(
                        BASE,
                        TokenPath.of("space"),
                        new Recipe.SpaceSteps(new SpaceScale(8 + random.nextInt(16), SpaceScale.DEFAULT_FACTORS))),
                new Edit.SetName("Name " + random.nextInt(100)),
                theme.at(BASE).find(TokenPath.of("shape.radius")).isPresent()
                        ? new Edit.Remove(BASE, TokenPath.of("shape.radius"))
                        : new Edit.Put(BASE, TokenPath.of("shape.radius"), Token.untyped(DimensionValue.px(3)), 0),
                new Edit.Batch(
                        "two",
                        List.of(
                                new Edit.SetName("B"),
                                new Edit.SetValue(
                                        BASE,
                                        TokenPath.of("width.text"),
                                        DimensionValue.rem(30 + random.nextInt(10))))));
        return choices.get(random.nextInt(choices.size()));
    }

    @Nested
    class ANeutralThatLeansTowardAnotherHue {
        private static final TokenPath BRAND = TokenPath.of("color.brand");
        private static final TokenPath INK = TokenPath.of("color.ink");
        private final ThemeDocument leaning = new Edit.SetRecipe(
                        BASE,
                        INK,
                        new Recipe.HueRamp(
                                List.of(20.0, 60.0, 100.0),
                                RampShape.DEFAULT,
                                Optional.of(new Recipe.Tint(BRAND, 0, 0.02))))
                .applyTo(Samples.starter())
                .theme();

        private static double hue(ThemeDocument theme, String path) {
            return ((ColorValue) theme.at(BASE)
                            .token(TokenPath.of(path))
                            .orElseThrow()
                            .value())
                    .color()
                    .to(ColorSpace.OKLCH)
                    .c3();
        }

        private Edit seed(String color) {
            return new Edit.SetValue(BASE, BRAND.child("seed"), new ColorValue(CssColor.parse(color)));
        }

        @Test
        void takesThatHueAndKeepsItsOwnSeed() {
            assertThat(hue(leaning, "color.ink.60")).isCloseTo(hue(leaning, "color.brand.seed"), offset(4.0));
            assertThat(leaning.at(BASE).token(INK.child("seed")))
                    .isEqualTo(Samples.starter().at(BASE).token(INK.child("seed")));
        }

        @Test
        void followsTheOtherSeedAndUndoesExactly() {
            Edit.Applied applied = seed("#205a9c").applyTo(leaning);
            assertThat(hue(applied.theme(), "color.ink.60"))
                    .isCloseTo(hue(applied.theme(), "color.brand.seed"), offset(4.0));
            assertThat(applied.inverse().applyTo(applied.theme()).theme()).isEqualTo(leaning);
        }

        @Test
        void followsTheOtherHueToItsNewName() {
            ThemeDocument moved = new Edit.Move(BRAND, TokenPath.of("color.main"))
                    .applyTo(leaning)
                    .theme();
            Recipe.HueRamp ramp = (Recipe.HueRamp)
                    Recipes.of(moved.at(BASE).group(INK).orElseThrow()).orElseThrow();
            assertThat(ramp.tint().orElseThrow().from()).isEqualTo(TokenPath.of("color.main"));
            assertThat(new Edit.Move(BRAND, TokenPath.of("color.main"))
                            .applyTo(leaning)
                            .inverse()
                            .applyTo(moved)
                            .theme())
                    .isEqualTo(leaning);
        }

        @Test
        void countsAsADependentOfTheOtherSeed() {
            assertThat(ThemeGraph.of(leaning, leaning.defaults()).dependents(BRAND.child("seed")))
                    .contains(INK.child("60"));
        }

        @Test
        void comesBackFromItsData() {
            Recipe recipe =
                    Recipes.of(leaning.at(BASE).group(INK).orElseThrow()).orElseThrow();
            assertThat(RecipeData.read(RecipeData.write(recipe))).isEqualTo(recipe);
        }
    }
}
