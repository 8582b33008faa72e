package org.umberloom.core.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Color;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.ForeignValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TypographyValue;

class ResolverTest {
    private static final ColorValue RED = new ColorValue(Color.rgb(255, 0, 0));
    private static final ColorValue BLUE = new ColorValue(Color.rgb(0, 0, 255));

    private static Resolution resolve(ThemeDocument theme) {
        return Resolution.of(theme, theme.defaults());
    }

    @Test
    void aliasesAreFollowedToTheirEnd() {
        Group tokens = Samples.alias(Samples.alias(Samples.with(Group.EMPTY, "a", RED), "b", "a"), "c", "b");
        assertThat(resolve(Samples.of(tokens)).value("c", ColorValue.class)).contains(RED);
    }

    /** Resolver Module 2025.10: aliases are resolved after the sets of a combination are merged; from memory. */
    @Test
    void aContextRedirectsARoleByItsAliasAlone() {
        Group base = Samples.alias(Samples.with(Samples.with(Group.EMPTY, "red", RED), "blue", BLUE), "link", "red");
        Group dark = Samples.alias(Group.EMPTY, "link", "blue");
        ThemeDocument theme = new ThemeDocument(
                "T",
                "",
                Map.of("base", new ThemeDocument.TokenSet("", base)),
                Map.of("scheme", new Modifier("", Map.of("light", Group.EMPTY, "dark", dark), "light")),
                List.of(ThemeDocument.OrderEntry.set("base"), ThemeDocument.OrderEntry.modifier("scheme")),
                Map.of());
        assertThat(resolve(theme).value("link", ColorValue.class)).contains(RED);
        assertThat(Resolution.of(theme, theme.defaults().with("scheme", "dark")).value("link", ColorValue.class))
                .contains(BLUE);
    }

    @Test
    void laterEntriesOfTheOrderWin() {
        Map<String, ThemeDocument.TokenSet> sets = Map.of(
                "one", new ThemeDocument.TokenSet("", Samples.with(Group.EMPTY, "a", RED)),
                "two", new ThemeDocument.TokenSet("", Samples.with(Group.EMPTY, "a", BLUE)));
        ThemeDocument theme = new ThemeDocument(
                "T",
                "",
                sets,
                Map.of(),
                List.of(ThemeDocument.OrderEntry.set("two"), ThemeDocument.OrderEntry.set("one")),
                Map.of());
        assertThat(resolve(theme).value("a", ColorValue.class)).contains(RED);
    }

    @Test
    void textStylesTakeTheirMembersThroughAliases() {
        Resolution resolution = resolve(Samples.starter());
        TypographyValue h1 = resolution.value("type.h1", TypographyValue.class).orElseThrow();
        assertThat(h1.fontSize())
                .isEqualTo(resolution.find("size.5").orElseThrow().value());
        assertThat(resolution.findings()).isEmpty();
    }

    @Nested
    class Faults {
        private final Group sound = Samples.with(Group.EMPTY, "color.brand", RED);

        private Finding only(Group tokens) {
            Resolution resolution = resolve(Samples.of(tokens));
            assertThat(resolution.value("color.brand", ColorValue.class))
                    .as("what is sound still resolves")
                    .contains(RED);
            assertThat(resolution.findings()).hasSize(1);
            return resolution.findings().get(0);
        }

        @Test
        void anUnknownReferenceNamesTheNearest() {
            Finding finding = only(Samples.alias(sound, "link", "color.brandt"));
            assertThat(finding.code()).isEqualTo("unknown-reference");
            assertThat(finding.remedy()).contains("{color.brand}");
        }

        @Test
        void aCycleIsPrintedAsALoop() {
            Group tokens = Samples.alias(Samples.alias(sound, "a", "b"), "b", "a");
            assertThat(only(tokens).message()).contains("a → b → a");
        }

        @Test
        void aTokenThatSaysAnotherTypeThanItsValueIsReported() {
            Group tokens = Samples.with(sound, "two", new NumberValue(2))
                    .with(TokenPath.of("wrong"), new Token(Alias.to("two"), Meta.typed(TokenType.COLOR)));
            Finding finding = only(tokens);
            assertThat(finding.code()).isEqualTo("type-mismatch");
            assertThat(finding.fixes()).extracting(Finding.Fix::label).containsExactly("Say it is a number");
        }

        @Test
        void aMemberOfTheWrongTypeIsReported() {
            Group tokens = sound.with(
                    TokenPath.of("style"),
                    Token.of(new TypographyValue(
                            Alias.to("color.brand"),
                            DimensionValue.px(16),
                            new org.umberloom.core.token.FontWeightValue(400),
                            DimensionValue.px(0),
                            new NumberValue(1.5))));
            assertThat(only(tokens).message()).contains("color").contains("fontFamily");
        }

        @Test
        void aForeignTypeIsKeptAndReported() {
            assertThat(only(sound.with(
                                    TokenPath.of("ease"),
                                    new Token(new ForeignValue("cubicBezier", List.of()), Meta.NONE)))
                            .code())
                    .isEqualTo("foreign-type");
        }

        @Test
        void aMissingContextFallsBackToTheDefaultAndIsReported() {
            ThemeDocument theme = Samples.starter();
            Resolution resolution = Resolution.of(theme, theme.defaults().with("scheme", "dusk"));
            assertThat(resolution.findings()).extracting(Finding::code).containsExactly("missing-context");
            assertThat(resolution.tokens()).isEqualTo(resolve(theme).tokens());
        }
    }

    @Nested
    class Why {
        @Test
        void theTraceNamesEveryPlaceAndTheWinner() {
            ThemeDocument theme = Samples.starter();
            Trace trace = Trace.of(
                    ThemeGraph.of(theme, theme.defaults().with("scheme", "dark")), TokenPath.of("surface.page.link"));
            assertThat(trace.hops())
                    .extracting(hop -> hop.path().dotted())
                    .containsExactly("surface.page.link", "color.brand.40");
            assertThat(trace.hops().get(0).candidates())
                    .extracting(c -> c.place().toString(), Trace.Candidate::wins)
                    .containsExactly(
                            org.assertj.core.groups.Tuple.tuple("set:roles", false),
                            org.assertj.core.groups.Tuple.tuple("context:scheme/dark", true));
            assertThat(trace.hops().get(1).recipe()).isEqualTo("color.brand");
        }

        @Test
        void theTraceOfATextStyleFollowsEachMember() {
            ThemeDocument theme = Samples.starter();
            assertThat(Trace.of(ThemeGraph.of(theme, theme.defaults()), TokenPath.of("type.h2"))
                            .hops())
                    .extracting(Trace.Hop::member)
                    .containsExactly("", "fontFamily", "fontSize", "fontWeight");
        }

        @Test
        void aTokenThatNobodySetsHasAnEmptyTrace() {
            ThemeDocument theme = Samples.starter();
            assertThat(Trace.of(ThemeGraph.of(theme, theme.defaults()), TokenPath.of("no.such"))
                            .hops())
                    .isEmpty();
        }
    }
}
