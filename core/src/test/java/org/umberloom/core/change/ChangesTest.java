package org.umberloom.core.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.color.Color;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Difference;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.RandomThemes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;

class ChangesTest {
    /**
     * Pairs of states with what a release is to be called after 1.4.2, and what happened, each by its kind and path. The steps are
     * those of 3.9 of the model; a color's size is ΔE00 after Sharma, Wu and Dalal 2005, computed for one pair elsewhere below.
     */
    @ParameterizedTest(name = "{0} → {1}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                // Only values.
                "color.a = #102030 | color.a = #102031 | 1.4.3 | CHANGED color.a",
                "space.a = 4px | space.a = 8px | 1.4.3 | CHANGED space.a",
                "space.a = 4px | space.a = 0.25rem | 1.4.3 | CHANGED space.a",
                "space.a = 4px to 8px | space.a = 4px to 12px | 1.4.3 | CHANGED space.a",
                "weight.a = 400 | weight.a = 700 | 1.4.3 | CHANGED weight.a",
                "ratio.a = 1.5 | ratio.a = 1.4 | 1.4.3 | CHANGED ratio.a",
                "time.a = 200ms | time.a = 0.3s | 1.4.3 | CHANGED time.a",
                "family.a = Inter, sans-serif | family.a = Lora, serif | 1.4.3 | CHANGED family.a",
                "shadow.a = 0px 1px 2px 0px #000 | shadow.a = 0px 4px 8px 0px #000 | 1.4.3 | CHANGED shadow.a",
                "color.a = #111;color.b = #222 | color.a = #111;color.b = {color.a} | 1.4.3 | CHANGED color.b",
                "color.a = #111;color.b = {color.a} | color.a = #111;color.b = #111 | 1.4.3 | CHANGED color.b",
                "color.a = #111;color.b = {color.a} | color.a = #333;color.b = {color.a} | 1.4.3 | CHANGED color.a",
                "color.a = #111;color.b = lighten({color.a}, 10) | "
                        + "color.a = #111;color.b = lighten({color.a}, 20) | 1.4.3 | CHANGED color.b",
                "color.a = #111;color.b = #222 | color.a = #222;color.b = #111 | 1.4.3 | CHANGED color.a, CHANGED color.b",
                "light:;dark:;color.a = #111 | light:;dark: color.a = #eee;color.a = #111 | 1.4.3 | PLACED color.a",
                "light:;dark: color.a = #eee;color.a = #111 | light:;dark:;color.a = #111 | 1.4.3 | PLACED color.a",
                "light:;dark: color.a = #eee;color.a = #111 | light:;dark: color.a = #ddd;color.a = #111 | 1.4.3 | CHANGED color.a",
                "light: color.a = #111;dark: color.a = #eee | "
                        + "light: color.a = #222;dark: color.a = #222 | 1.4.3 | CHANGED color.a, CHANGED color.a",
                "light:;dark: | dark:;light: | 1.4.3 | ''",
                // Something new.
                "color.a = #111 | color.a = #111;color.b = #222 | 1.5.0 | ADDED color.b",
                "color.a = #111 | color.a = #222;color.b = #222 | 1.5.0 | ADDED color.b, CHANGED color.a",
                "color.a = #111 | color.a = #111;color.b = {color.a} | 1.5.0 | ADDED color.b",
                "color.a = #111 | color.a = #111;light:;dark: | 1.5.0 | ''",
                "light:;dark: | light:;dark:;dim: | 1.5.0 | ''",
                "light:;dark: | light:;dark: color.a = #eee | 1.5.0 | ADDED color.a",
                "color.a = #111 | color.a = {color.b};color.b = #111 | 1.5.0 | RENAMED_KEPT color.b",
                "space.a = 4px;space.b = {space.a} | space.a = {space.n};space.n = 4px;space.b = {space.n} | 1.5.0 | RENAMED_KEPT space.n",
                "color.a = #111 | color.a = {color.b};color.b = #222 | 1.5.0 | ADDED color.b, CHANGED color.a",
                // Something gone, renamed or of another type.
                "color.a = #111;color.b = #222 | color.a = #111 | 2.0.0 | REMOVED color.b",
                "color.a = #111;color.b = {color.a} | color.a = #111 | 2.0.0 | REMOVED color.b",
                "color.a = #111 | color.b = #111 | 2.0.0 | RENAMED color.b",
                "color.a = #111 | color.b = #222 | 2.0.0 | REMOVED color.a, ADDED color.b",
                "color.one.a = #111;color.one.b = #222 | "
                        + "color.two.a = #111;color.two.b = #222 | 2.0.0 | RENAMED color.two.a, RENAMED color.two.b",
                "color.one.a = #111;color.x = {color.one.a} | color.two.a = #111;color.x = {color.two.a} | 2.0.0 | RENAMED color.two.a",
                "color.one.a = #111;color.one.b = {color.one.a} | "
                        + "color.two.a = #111;color.two.b = {color.two.a} | 2.0.0 | RENAMED color.two.a, RENAMED color.two.b",
                "color.one.a = #111 | color.two.z = #111 | 2.0.0 | REMOVED color.one.a, ADDED color.two.z",
                "color.a = #111;color.b = #111 | color.b = #111;color.c = #111 | 2.0.0 | RENAMED color.c",
                "light: color.a = #111;dark: color.a = #eee | light: color.b = #111;dark: color.b = #eee | 2.0.0 | RENAMED color.b",
                "light: color.a = #111;dark: color.a = #eee | "
                        + "light: color.b = #111;dark: color.b = #ddd | 2.0.0 | REMOVED color.a, ADDED color.b",
                "x.a@space = 4px | x.a@ratio = 4 | 2.0.0 | RETYPED x.a",
                "x.a@color = #111;x.b@color = {x.a} | x.a@space = 1px;x.b@color = #111 | 2.0.0 | RETYPED x.a, CHANGED x.b",
                "light:;dark: | light: | 2.0.0 | ''",
                "light:;dark: | color.a = #111 | 2.0.0 | ADDED color.a",
                "light:;dark: color.a = #eee | light: | 2.0.0 | REMOVED color.a",
            })
    void aPairIsToldAndNumbered(String before, String after, String number, String told) {
        Changes changes = Changes.between(Sketch.of(before), Sketch.of(after));
        assertThat(changes.any()).isTrue();
        assertThat(changes.next(Optional.of(ReleaseNumber.parse("1.4.2")))).hasToString(number);
        assertThat(changes.changes().stream().map(change -> change.kind() + " " + change.path()))
                .containsExactlyInAnyOrder(told.equals("''") ? new String[0] : told.split(", "));
    }

    @ParameterizedTest
    @ValueSource(strings = {"color.a = #111", "light: color.a = #111;dark:", ""})
    void nothingIsNothing(String lines) {
        Changes changes = Changes.between(Sketch.of(lines), Sketch.of(lines));
        assertThat(changes.any()).isFalse();
        assertThat(changes.reasons()).isEmpty();
    }

    @Nested
    class Sizes {
        private Change only(String before, String after) {
            return Changes.between(Sketch.of(before), Sketch.of(after))
                    .changes()
                    .get(0);
        }

        /** Source: Sharma, Wu and Dalal 2005, as implemented by the color package, which is tested against their data. */
        @Test
        void aColorsIsTheDifferenceThatIsSeen() {
            Change change = only("color.a = #7a4a2b", "color.a = #8a4a2b");
            assertThat(change.size().measure()).isEqualTo(Size.Measure.COLOR);
            assertThat(change.size().amount())
                    .isEqualTo(org.umberloom.core.color.Ciede2000.between(
                            Color.rgb(0x7a, 0x4a, 0x2b), Color.rgb(0x8a, 0x4a, 0x2b)));
            assertThat(change.size().words()).matches("ΔE \\d\\.\\d");
        }

        @Test
        void notesSpeakOfPages() {
            Changes changes = Changes.between(
                    Sketch.of("gap.flow = 16px;color.a = #111"),
                    Sketch.of("gap.flow = 24px;color.a = #111;color.b = #222"));
            assertThat(Telling.notes(changes, 12))
                    .startsWith("- color.b is new.\n- Between paragraphs and the like, and inside parts: changes ")
                    .endsWith("(+8 px).\n");
            assertThat(Telling.notes(changes, 1)).isEqualTo("- color.b is new.\n- And 1 thing more.\n");
        }

        @ParameterizedTest
        @CsvSource(
                delimiter = '|',
                value = {
                    "space.a = 4px | space.a = 1rem | +12 px",
                    "space.a = 16px to 20px | space.a = 16px to 32px | +12 px",
                    "space.a = 16px to 20px | space.a = 8px to 22px | −8 px",
                    "ratio.a = 1.5 | ratio.a = 1.2 | × 0.8",
                    "weight.a = 400 | weight.a = 650 | +250 in weight",
                    "time.a = 200ms | time.a = 0.1s | −100 ms",
                    "shadow.a = 0px 1px 2px 0px #000 | shadow.a = 0px 1px 9px 0px #000 | blur +7 px",
                    "color.a = #00000000 | color.a = #ffffff00 | the same to the eye",
                })
        void othersAreSaidInTheirOwnMeasure(String before, String after, String words) {
            assertThat(only(before, after).size().words()).isEqualTo(words);
        }
    }

    @Nested
    class Following {
        private final ThemeDocument theme = Samples.starter();
        private final TokenPath seed = theme.at(Place.set(Starter.BASE)).paths().stream()
                .filter(path -> path.name().equals("seed"))
                .findFirst()
                .orElseThrow();

        @Test
        void aSeedIsOneChangeWithItsShadesAndRoles() {
            ThemeDocument moved = new Edit.SetValue(
                            Place.set(Starter.BASE), seed, new ColorValue(Color.rgb(0x2b, 0x4a, 0x7a)))
                    .applyTo(theme)
                    .theme();
            Changes changes = Changes.between(theme, moved);
            assertThat(changes.changes()).hasSize(1);
            Change change = changes.changes().get(0);
            assertThat(change.path()).isEqualTo(seed);
            assertThat(change.follow()).hasSizeGreaterThan(20);
            assertThat(changes.step()).isEqualTo(Step.PATCH);
            assertThat(Telling.sentence(change))
                    .matches(java.util.regex.Pattern.quote(seed.dotted())
                            + " changed much \\(ΔE \\d+\\.?\\d?\\); \\d+ (shade|token)s and \\d+ roles follow\\.");
            assertThat(Telling.notes(changes, 12))
                    .startsWith("- The color “" + seed.parent().orElseThrow().name() + "”: changes much (ΔE ")
                    .contains("It shows in: ");
            // What follows is what comes to another value, no more and no less.
            Resolution before = Resolution.of(theme, theme.defaults());
            Resolution after = Resolution.of(moved, moved.defaults());
            List<TokenPath> others = after.tokens().values().stream()
                    .filter(token -> !token.value()
                            .equals(before.tokens().get(token.path()).value()))
                    .map(token -> token.path())
                    .filter(path -> !path.equals(seed))
                    .toList();
            assertThat(change.follow()).containsExactlyInAnyOrderElementsOf(others);
        }
    }

    @Nested
    class RandomEdits {
        /** The difference leads from the old state to the new one, and the number is never lower than what came or went asks for. */
        @ParameterizedTest
        @ValueSource(longs = {1, 2, 3, 4, 5, 6})
        void theNumberIsNeverTooLow(long seed) {
            RandomThemes themes = new RandomThemes(seed);
            ThemeDocument start = themes.theme();
            ThemeDocument theme = start;
            for (int i = 0; i < 60; i++) {
                ThemeDocument next;
                try {
                    next = themes.edit(theme).applyTo(theme).theme();
                } catch (IllegalArgumentException refused) {
                    continue;
                }
                for (ThemeDocument from : List.of(theme, start)) {
                    Changes changes = Changes.between(from, next);
                    assertThat(changes.any()).isEqualTo(!from.equals(next));
                    if (changes.any())
                        assertThat(changes.step())
                                .as("seed %d, edit %d: %s", seed, i, changes.reasons())
                                .isGreaterThanOrEqualTo(least(from, next));
                    assertThat(Difference.edit("all", from, next).applyTo(from).theme())
                            .isEqualTo(next);
                }
                theme = next;
            }
        }

        /** By the plain sets of paths with their types that stand anywhere, without any telling apart. */
        private static Step least(ThemeDocument from, ThemeDocument to) {
            Map<String, String> before = standing(from);
            Map<String, String> after = standing(to);
            for (Map.Entry<String, String> one : before.entrySet())
                if (!after.containsKey(one.getKey())) return Step.MAJOR;
            return before.keySet().containsAll(after.keySet()) ? Step.PATCH : Step.MINOR;
        }

        private static Map<String, String> standing(ThemeDocument theme) {
            Map<String, String> all = new TreeMap<>();
            for (Place place : theme.places()) theme.at(place).paths().forEach(path -> all.put(path.dotted(), ""));
            theme.modifiers()
                    .forEach((name, modifier) ->
                            modifier.contexts().keySet().forEach(context -> all.put("/" + name + "/" + context, "")));
            return all;
        }
    }

    /** Whatever comes to another value is told, as a change or as what follows one. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14})
    void nothingThatChangesIsLeftOut(long seed) {
        RandomThemes themes = new RandomThemes(seed);
        ThemeDocument start = themes.theme();
        ThemeDocument theme = start;
        for (int made = 0; made < 25; ) {
            try {
                Edit edit = themes.edit(theme);
                if (edit instanceof Structure) continue;
                theme = edit.applyTo(theme).theme();
                made++;
            } catch (IllegalArgumentException refused) {
                continue;
            }
        }
        Changes changes = Changes.between(start, theme);
        int compared = 0;
        for (Combination look : start.combinations(8)) {
            Resolution before = Resolution.of(start, look);
            Resolution after = Resolution.of(theme, look);
            List<TokenPath> others = after.since(before).changed().stream()
                    .filter(token -> before.tokens().containsKey(token.path())
                            && !before.tokens().get(token.path()).value().equals(token.value()))
                    .map(token -> token.path())
                    .toList();
            compared += others.size();
            assertThat(changes.touched()).as("seed %d, %s", seed, look).containsAll(others);
        }
        assertThat(compared).isPositive();
    }
}
