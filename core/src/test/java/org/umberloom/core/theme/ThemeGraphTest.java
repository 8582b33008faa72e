package org.umberloom.core.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.color.Color;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DerivedValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Operation;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

class ThemeGraphTest {
    private static final Place BASE = Place.set("base");
    private static final int EDITS = 160;

    @Nested
    class RandomSequences {
        /** After every edit of a random sequence the graph that was carried along equals one made from nothing. */
        @ParameterizedTest
        @ValueSource(longs = {1, 2, 3, 4, 5})
        void whatIsCarriedAlongEqualsAFullResolve(long seed) {
            RandomThemes themes = new RandomThemes(seed);
            ThemeDocument theme = themes.theme();
            Combination combination = themes.combination(theme);
            ThemeGraph graph = ThemeGraph.of(theme, combination);
            int accepted = 0;
            for (int i = 0; i < EDITS; i++) {
                ThemeDocument changed = applied(themes, theme);
                if (changed == null) continue;
                accepted++;
                theme = changed;
                graph = graph.after(theme);
                Resolution full = Resolution.of(theme, combination);
                assertThat(List.copyOf(graph.resolution().tokens().entrySet()))
                        .as("seed %d, edit %d", seed, i)
                        .isEqualTo(List.copyOf(full.tokens().entrySet()));
                assertThat(graph.resolution().findings())
                        .as("seed %d, edit %d", seed, i)
                        .isEqualTo(full.findings());
            }
            assertThat(accepted).isGreaterThan(EDITS / 3);
        }

        /** Every edit, through its written form, and back again: byte for byte what was there before. */
        @ParameterizedTest
        @ValueSource(longs = {11, 12, 13, 14})
        void everyKindOfEditHasAnExactInverse(long seed) {
            RandomThemes themes = new RandomThemes(seed);
            ThemeDocument theme = themes.theme();
            Deque<Edit> inverses = new ArrayDeque<>();
            Deque<String> states = new ArrayDeque<>();
            for (int i = 0; i < EDITS; i++) {
                Edit.Applied applied;
                try {
                    Edit edit = themes.edit(theme);
                    applied = EditJson.read(EditJson.write(edit)).applyTo(theme);
                    assertThat(ThemeJson.writeInline(applied.theme()))
                            .as("seed %d, edit %d %s", seed, i, edit)
                            .isEqualTo(ThemeJson.writeInline(edit.applyTo(theme).theme()));
                } catch (IllegalArgumentException refused) {
                    continue;
                }
                states.push(ThemeJson.writeInline(theme));
                inverses.push(EditJson.read(EditJson.write(applied.inverse())));
                theme = applied.theme();
            }
            assertThat(states).hasSizeGreaterThan(EDITS / 3);
            while (!states.isEmpty()) {
                Edit inverse = inverses.pop();
                theme = inverse.applyTo(theme).theme();
                assertThat(ThemeJson.writeInline(theme))
                        .as("seed %d, %d left, %s", seed, states.size(), inverse)
                        .isEqualTo(states.pop());
            }
        }

        @ParameterizedTest
        @ValueSource(longs = {21, 22, 23})
        void writingAndReadingIsIdentity(long seed) {
            RandomThemes themes = new RandomThemes(seed);
            ThemeDocument theme = themes.theme();
            for (int i = 0; i < 60; i++) {
                ThemeDocument changed = applied(themes, theme);
                if (changed != null) theme = changed;
                String written = ThemeJson.writeInline(theme);
                assertThat(ThemeJson.writeInline(ThemeJson.readInline(written)))
                        .as("seed %d, edit %d", seed, i)
                        .isEqualTo(written);
            }
        }

        /** Whatever is moved, every value in every combination stays; only its path is another. */
        @ParameterizedTest
        @ValueSource(longs = {31, 32, 33})
        void movingNeverChangesAResolvedValue(long seed) {
            RandomThemes themes = new RandomThemes(seed);
            ThemeDocument theme = themes.theme();
            List<TokenPath> paths = new ArrayList<>(
                    Resolution.of(theme, theme.defaults()).tokens().keySet());
            int moved = 0;
            for (int i = 0; i < 40; i++) {
                TokenPath from = paths.get((int) ((seed * 31 + i * 17L) % paths.size()));
                TokenPath to = TokenPath.of("elsewhere.n" + i);
                ThemeDocument after;
                try {
                    after = new Edit.Move(from, to).applyTo(theme).theme();
                } catch (IllegalArgumentException gone) {
                    continue;
                }
                moved++;
                for (Combination combination : theme.combinations(8)) {
                    Resolution before = Resolution.of(theme, combination);
                    Resolution now = Resolution.of(after, combination);
                    before.tokens().forEach((path, token) -> {
                        if (path.dotted().startsWith("taken.") || from.dotted().startsWith("role.")) return;
                        TokenPath there = path.equals(from) ? to : path;
                        boolean shadeOfHue = token.written().value() instanceof DerivedValue;
                        if (!shadeOfHue)
                            assertThat(now.tokens().get(there))
                                    .as("%s after %s to %s", path, from, to)
                                    .isNotNull()
                                    .extracting(Resolved::value)
                                    .isEqualTo(token.value());
                    });
                }
                theme = after;
            }
            assertThat(moved).isGreaterThan(10);
        }

        /** The difference of two states, as an edit, leads exactly from one to the other and back. */
        @ParameterizedTest
        @ValueSource(longs = {41, 42, 43})
        void aDifferenceLeadsExactlyFromOneStateToTheOther(long seed) {
            RandomThemes themes = new RandomThemes(seed);
            ThemeDocument start = themes.theme();
            ThemeDocument end = start;
            for (int i = 0; i < 80; i++) {
                ThemeDocument changed = applied(themes, end);
                if (changed != null) end = changed;
            }
            Edit edit = EditJson.read(EditJson.write(Difference.edit("there", start, end)));
            assertThat(ThemeJson.writeInline(edit.applyTo(start).theme())).isEqualTo(ThemeJson.writeInline(end));
            assertThat(ThemeJson.writeInline(
                            Difference.edit("back", end, start).applyTo(end).theme()))
                    .isEqualTo(ThemeJson.writeInline(start));
        }

        private static ThemeDocument applied(RandomThemes themes, ThemeDocument theme) {
            try {
                return themes.edit(theme).applyTo(theme).theme();
            } catch (IllegalArgumentException refused) {
                return null;
            }
        }
    }

    @Nested
    class OnlyDependents {
        private final ColorValue red = new ColorValue(Color.rgb(255, 0, 0));
        private final ThemeDocument theme = fan(1_000);

        private static ThemeDocument fan(int users) {
            Group group = Group.EMPTY.with(TokenPath.of("root"), Token.of(new ColorValue(Color.rgb(0, 0, 255))));
            for (int i = 0; i < users; i++)
                group = group.with(TokenPath.of("user.u" + i), Token.untyped(Alias.to("root")));
            for (int i = 0; i < users; i++)
                group = group.with(TokenPath.of("other.o" + i), Token.of(new ColorValue(Color.rgb(0, 9, 0))));
            return Samples.of(group);
        }

        @Test
        void anEditAtARootComputesItsDependentsAndNothingElse() {
            ThemeGraph graph = ThemeGraph.of(theme, theme.defaults());
            ThemeGraph after = graph.after(new Edit.SetValue(BASE, TokenPath.of("root"), red)
                    .applyTo(theme)
                    .theme());
            assertThat(after.recomputed()).isEqualTo(1_001);
            assertThat(after.resolution().since(graph.resolution()).changed()).hasSize(1_001);
        }

        @Test
        void anEditAtALeafComputesOneToken() {
            ThemeGraph graph = ThemeGraph.of(theme, theme.defaults());
            assertThat(graph.after(new Edit.SetValue(BASE, TokenPath.of("other.o5"), red)
                                    .applyTo(theme)
                                    .theme())
                            .recomputed())
                    .isEqualTo(1);
        }

        @Test
        void aNewTokenComputesOnlyItselfAndWhatWaitedForIt() {
            ThemeDocument waiting = new Edit.SetValue(BASE, TokenPath.of("waits"), Alias.to("comes"))
                    .applyTo(theme)
                    .theme();
            ThemeGraph graph = ThemeGraph.of(waiting, waiting.defaults());
            assertThat(graph.resolution().findings()).hasSize(1);
            ThemeGraph after = graph.after(new Edit.SetValue(BASE, TokenPath.of("comes"), red)
                    .applyTo(waiting)
                    .theme());
            assertThat(after.recomputed()).isEqualTo(2);
            assertThat(after.resolution().findings()).isEmpty();
        }

        @Test
        void dependentsAndSourcesAreCountedHoweverFar() {
            ThemeDocument chain =
                    Samples.of(Samples.alias(Samples.alias(Samples.with(Group.EMPTY, "a", red), "b", "a"), "c", "b"));
            ThemeGraph graph = ThemeGraph.of(chain, chain.defaults());
            assertThat(graph.dependents(TokenPath.of("a"))).containsExactly(TokenPath.of("b"), TokenPath.of("c"));
            assertThat(graph.directDependents(TokenPath.of("a"))).containsExactly(TokenPath.of("b"));
            assertThat(graph.sources(TokenPath.of("c"))).containsExactly(TokenPath.of("a"), TokenPath.of("b"));
        }
    }

    @Test
    void theShadesThatARecipeGrowsDependOnItsSeed() {
        ThemeDocument theme = new Edit.Detach(BASE, TokenPath.of("color.brand.60"))
                .applyTo(Samples.starter())
                .theme();
        List<TokenPath> dependents =
                ThemeGraph.of(theme, theme.defaults()).dependents(TokenPath.of("color.brand.seed"));
        assertThat(dependents)
                .contains(TokenPath.of("color.brand.70"), TokenPath.of("surface.page.link"))
                .doesNotContain(TokenPath.of("color.brand.60"), TokenPath.of("color.ink.100"));
    }

    @Nested
    class Derivations {
        private final ThemeDocument theme = Samples.starter();

        private ColorValue derived(TokenValue value) {
            ThemeDocument with = new Edit.SetValue(BASE, TokenPath.of("made"), value)
                    .applyTo(theme)
                    .theme();
            return Resolution.of(with, with.defaults())
                    .value("made", ColorValue.class)
                    .orElseThrow();
        }

        @Test
        void aDerivedColorFollowsItsSource() {
            TokenValue lighter =
                    new DerivedValue(Operation.LIGHTEN.withTexts(Alias.to("color.brand.60"), List.of("20")));
            assertThat(org.umberloom.core.color.Depth.of(derived(lighter).color())
                            .value())
                    .isBetween(39.5, 40.5);
        }

        @Test
        void chainsOfDerivationsAreFollowed() {
            ThemeDocument with = new Edit.Batch(
                            "",
                            List.of(
                                    new Edit.SetValue(
                                            BASE,
                                            TokenPath.of("x.one"),
                                            new DerivedValue(Operation.LIGHTEN.withTexts(
                                                    Alias.to("color.brand.80"), List.of("10")))),
                                    new Edit.SetValue(
                                            BASE,
                                            TokenPath.of("x.two"),
                                            new DerivedValue(
                                                    Operation.LIGHTEN.withTexts(Alias.to("x.one"), List.of("10"))))))
                    .applyTo(theme)
                    .theme();
            Color two = Resolution.of(with, with.defaults())
                    .value("x.two", ColorValue.class)
                    .orElseThrow()
                    .color();
            assertThat(org.umberloom.core.color.Depth.of(two).value()).isBetween(59.5, 60.5);
        }

        @Test
        void aContextMayHoldADerivation() {
            ThemeDocument with = new Edit.SetValue(
                            Place.context("scheme", "dark"),
                            TokenPath.of("surface.page.link"),
                            new DerivedValue(Operation.DEPTH.withTexts(Alias.to("color.brand.60"), List.of("25"))))
                    .applyTo(theme)
                    .theme();
            Color dark = Resolution.of(with, with.defaults().with("scheme", "dark"))
                    .value("surface.page.link", ColorValue.class)
                    .orElseThrow()
                    .color();
            assertThat(org.umberloom.core.color.Depth.of(dark).value()).isBetween(24.5, 25.5);
        }

        @Test
        void theReadablePartnerComesFromTheHueWhenItReachesTheRatio() {
            ColorValue partner = derived(new DerivedValue(
                    Operation.ON_COLOR.withTexts(Alias.to("color.brand.70"), List.of("{color.ink}", "4.5"))));
            Resolution resolution = Resolution.of(theme, theme.defaults());
            assertThat(partner)
                    .isEqualTo(resolution.find("color.ink.2").orElseThrow().value());
        }

        @Test
        void elseTheBetterEndStandsThereAndIsReported() {
            ThemeDocument with = new Edit.SetValue(
                            BASE,
                            TokenPath.of("made"),
                            new DerivedValue(Operation.ON_COLOR.withTexts(
                                    Alias.to("color.ink.60"), List.of("{color.ink}", "15"))))
                    .applyTo(theme)
                    .theme();
            Resolution resolution = Resolution.of(with, with.defaults());
            assertThat(resolution.findings()).extracting(Finding::code).containsExactly("not-readable");
            assertThat(resolution
                            .value("made", ColorValue.class)
                            .orElseThrow()
                            .color()
                            .hex())
                    .isIn("#000000", "#ffffff");
        }

        /** Whatever seed is taken, a role that is kept as a solved pair stays readable. */
        @Test
        void aSolvedPairStaysReadableWhateverTheSeed() {
            ThemeDocument solved = new Edit.SetValue(
                            Place.set(Starter.ROLES),
                            TokenPath.of("surface.page.link"),
                            new DerivedValue(Operation.REACH.withTexts(
                                    Alias.to("color.brand.50"),
                                    List.of("{color.brand}", "{surface.page.ground}", "4.5"))))
                    .applyTo(theme)
                    .theme();
            java.util.Random random = new java.util.Random(6);
            for (int i = 0; i < 60; i++) {
                ColorValue seed =
                        new ColorValue(Color.rgb(random.nextInt(256), random.nextInt(256), random.nextInt(256)));
                ThemeDocument reseeded = new Edit.SetValue(BASE, TokenPath.of("color.brand.seed"), seed)
                        .applyTo(solved)
                        .theme();
                for (String scheme : List.of("light", "dark")) {
                    Resolution resolution =
                            Resolution.of(reseeded, reseeded.defaults().with("scheme", scheme));
                    assertThat(org.umberloom.core.color.Contrast.ratio(
                                    resolution
                                            .value("surface.page.link", ColorValue.class)
                                            .orElseThrow()
                                            .color(),
                                    resolution
                                            .value("surface.page.ground", ColorValue.class)
                                            .orElseThrow()
                                            .color()))
                            .as("seed %s in %s", seed.color().hex(), scheme)
                            .isGreaterThanOrEqualTo(4.5);
                }
            }
        }

        @Test
        void aPairThatCannotBeSolvedSaysByHowMuch() {
            ThemeDocument with = new Edit.SetValue(
                            BASE,
                            TokenPath.of("made"),
                            new DerivedValue(Operation.REACH.withTexts(
                                    Alias.to("color.ink.60"), List.of("{color.ink}", "{color.ink.60}", "7"))))
                    .applyTo(theme)
                    .theme();
            Finding finding = Resolution.of(with, with.defaults()).findings().get(0);
            assertThat(finding.message())
                    .contains("No shade of that hue reaches 7:1")
                    .contains("short");
        }

        @Test
        void aResultOutOfRangeIsAFinding() {
            ThemeDocument with = new Edit.Batch(
                            "",
                            List.of(
                                    new Edit.SetValue(
                                            BASE, TokenPath.of("n.big"), new org.umberloom.core.token.NumberValue(900)),
                                    new Edit.SetValue(
                                            BASE,
                                            TokenPath.of("n.made"),
                                            new DerivedValue(Operation.LIGHTEN.withTexts(
                                                    Alias.to("color.brand.60"), List.of("{n.big}"))))))
                    .applyTo(theme)
                    .theme();
            assertThat(Resolution.of(with, with.defaults()).findings())
                    .extracting(Finding::code)
                    .containsExactly("range");
        }

        /** What other readers see in {@code $value} is the result, in the context as in the set. */
        @Test
        void theWrittenDocumentHoldsTheResult() {
            ThemeDocument with = new Edit.SetValue(
                            BASE,
                            TokenPath.of("made"),
                            new DerivedValue(
                                    Operation.FADE.withTexts(new ColorValue(Color.rgb(255, 0, 0)), List.of("0.5"))))
                    .applyTo(theme)
                    .theme();
            assertThat(ThemeJson.writeInline(with).replaceAll("\\s", ""))
                    .contains(
                            "\"made\":{\"$type\":\"color\",\"$value\":{\"colorSpace\":\"srgb\",\"components\":[1,0,0],"
                                    + "\"alpha\":0.5,\"hex\":\"#ff0000\"},"
                                    + "\"$extensions\":{\"org.umberloom\":{\"derivation\":{\"op\":\"fade\"");
            assertThat(ThemeJson.readInline(ThemeJson.writeInline(with))).isEqualTo(with);
        }
    }

    @Nested
    class Fixes {
        @Test
        void aFixOfAnUnknownReferenceMendsIt() {
            Group tokens = Samples.alias(
                    Samples.with(Group.EMPTY, "color.brand", new ColorValue(Color.rgb(1, 2, 3))),
                    "link",
                    "color.brnad");
            ThemeDocument theme = Samples.of(tokens);
            Finding finding = Resolution.of(theme, theme.defaults()).findings().get(0);
            ThemeDocument mended = finding.fixes().get(0).edit().applyTo(theme).theme();
            assertThat(finding.fixes().get(0).label()).isEqualTo("Refer to color.brand");
            assertThat(Resolution.of(mended, mended.defaults()).findings()).isEmpty();
        }

        @Test
        void aFixOfACircleBreaksIt() {
            ThemeDocument theme = Samples.of(Samples.alias(Samples.alias(Group.EMPTY, "a", "b"), "b", "a"));
            Finding finding = Resolution.of(theme, theme.defaults()).findings().get(0);
            ThemeDocument mended = finding.fixes().get(0).edit().applyTo(theme).theme();
            assertThat(Resolution.of(mended, mended.defaults()).findings())
                    .extracting(Finding::code)
                    .doesNotContain("cycle");
        }
    }

    @Nested
    class Several {
        private final ThemeDocument theme = Samples.starter();

        @Test
        void aPieceOfManyPathsIsRenamedWithItsReferences() {
            ThemeDocument renamed = Bulk.renamePaths(theme, "color.brand", "color.umber")
                    .applyTo(theme)
                    .theme();
            Resolution before = Resolution.of(theme, theme.defaults());
            Resolution after = Resolution.of(renamed, renamed.defaults());
            assertThat(after.findings()).isEmpty();
            assertThat(after.find("color.umber.60").orElseThrow().value())
                    .isEqualTo(before.find("color.brand.60").orElseThrow().value());
            assertThat(after.find("surface.page.link").orElseThrow().value())
                    .isEqualTo(before.find("surface.page.link").orElseThrow().value());
            assertThat(ThemeJson.writeInline(renamed)).doesNotContain("color.brand");
        }

        @Test
        void aValueIsReplacedWhereverItIsWritten() {
            ThemeDocument changed = Bulk.replaceValues(theme, "{color.ink.100}", "{color.ink.110}")
                    .applyTo(theme)
                    .theme();
            assertThat(ThemeJson.writeInline(changed)).doesNotContain("{color.ink.100}");
        }

        @Test
        void aGroupIsShiftedAndItsReferencesStay() {
            Edit edit = Bulk.shift(theme, BASE, TokenPath.of("width"), Operation.MULTIPLY, List.of("2"));
            ThemeDocument changed = edit.applyTo(theme).theme();
            assertThat(Resolution.of(changed, changed.defaults())
                            .find("width.text")
                            .orElseThrow()
                            .value())
                    .isEqualTo(org.umberloom.core.token.DimensionValue.rem(80));
            assertThat(edit.label()).isEqualTo("multiply 2 on 4 tokens of width");
        }
    }

    @Test
    void editsThatTouchNothingInCommonCanBeMadeAtOnce() {
        Edit one = new Edit.SetValue(BASE, TokenPath.of("color.a.seed"), new ColorValue(Color.rgb(1, 2, 3)));
        Edit other = new Edit.SetValue(BASE, TokenPath.of("color.b.seed"), new ColorValue(Color.rgb(1, 2, 3)));
        assertThat(one.meets(other)).isFalse();
        assertThat(one.meets(new Edit.Move(TokenPath.of("color.a"), TokenPath.of("color.c"))))
                .isTrue();
        assertThat(one.meets(new Edit.SetValue(Place.set("roles"), TokenPath.of("color.a.seed"), Alias.to("x"))))
                .isFalse();
        assertThat(one.meets(new Structure.RemoveSet("roles"))).isFalse();
        assertThat(new Edit.SetName("x").meets(new Edit.SetName("y"))).isTrue();
    }
}
