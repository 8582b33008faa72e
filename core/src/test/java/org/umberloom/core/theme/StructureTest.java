package org.umberloom.core.theme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

class StructureTest {
    private static final ThemeDocument THEME = withDensity(Samples.starter());

    private static ThemeDocument withDensity(ThemeDocument theme) {
        Map<String, Group> contexts = new LinkedHashMap<>();
        contexts.put("roomy", Group.EMPTY);
        contexts.put("compact", Group.EMPTY);
        return new Structure.AddModifier("density", new Modifier("", contexts, "roomy"), -1, 3)
                .applyTo(theme)
                .theme();
    }

    private static ThemeDocument applied(Edit edit) {
        return edit.applyTo(THEME).theme();
    }

    @Nested
    class Refusals {
        @Test
        void theDefaultContextStaysUntilAnotherIsTheDefault() {
            assertThatThrownBy(() -> applied(new Structure.RemoveContext("density", "roomy")))
                    .hasMessageContaining("another context the default first");
            ThemeDocument changed = applied(new Structure.SetDefault("density", "compact"));
            assertThat(new Structure.RemoveContext("density", "roomy")
                            .applyTo(changed)
                            .theme()
                            .modifiers()
                            .get("density")
                            .contexts())
                    .containsOnlyKeys("compact");
        }

        @Test
        void whatIsThereAlreadyIsNotAddedAgain() {
            assertThatThrownBy(() ->
                            applied(new Structure.AddSet("base", new ThemeDocument.TokenSet("", Group.EMPTY), 0, 0)))
                    .hasMessageContaining("already is a set");
            assertThatThrownBy(() -> applied(new Structure.AddContext("density", "compact", Group.EMPTY, 0)))
                    .hasMessageContaining("already has a context");
            assertThatThrownBy(() -> applied(new Structure.RenamePlace(Place.set("base"), "roles")))
                    .hasMessageContaining("there already");
        }

        @Test
        void whatIsNotThereIsNamed() {
            assertThatThrownBy(() -> applied(new Structure.RemoveSet("none"))).hasMessageContaining("no set “none”");
            assertThatThrownBy(() -> applied(new Structure.RemoveModifier("none")))
                    .hasMessageContaining("no modifier “none”");
            assertThatThrownBy(() -> applied(new Structure.SetDefault("density", "none")))
                    .hasMessageContaining("is not among");
            assertThatThrownBy(() -> applied(new Structure.Reorder(List.of(ThemeDocument.OrderEntry.set("none")))))
                    .hasMessageContaining("not there");
        }

        @Test
        void anOrderOfNamesMustNameExactlyWhatIsThere() {
            assertThatThrownBy(() -> applied(new Structure.Arrange("sets", "", List.of("base"))))
                    .hasMessageContaining("exactly");
        }

        @ParameterizedTest
        @ValueSource(strings = {"", " ", "a/b", "#a", "$a", "a\nb", "a\u2028b", "\ud800", "\udc00x", "a\u0000"})
        void namesThatNoReferenceCouldHoldOrNoStoreKeepAreRefused(String name) {
            assertThatThrownBy(() ->
                            applied(new Structure.AddSet(name, new ThemeDocument.TokenSet("", Group.EMPTY), 0, 0)))
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("name");
        }
    }

    @Test
    void aSetOutsideTheOrderIsKeptAndNotSeen() {
        ThemeDocument changed = applied(new Structure.Reorder(List.of(ThemeDocument.OrderEntry.set("base"))));
        assertThat(changed.sets()).containsKey("roles");
        assertThat(Resolution.of(changed, changed.defaults()).find("surface.page.text"))
                .isEmpty();
    }

    @Test
    void aRenamedModifierKeepsItsPlaceInTheOrder() {
        ThemeDocument changed = applied(new Structure.RenameModifier("density", "air"));
        assertThat(changed.order())
                .extracting(ThemeDocument.OrderEntry::name)
                .containsExactly("base", "roles", "scheme", "air");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "scheme=dark|scheme=dark",
                "scheme=dark,look=freight|scheme=dark,look=freight",
                "''|''",
                "a~2c~b=c~3d~d|a~2c~b=c~3d~d",
                "a=~1f6a2~ é|a=~1f6a2~~20~é"
            })
    void aCombinationReadsWhatItWrites(String key, String written) {
        assertThat(Combination.parse(key).key()).isEqualTo(written);
    }

    @Test
    void aCombinationIsCompletedInTheThemesOrder() {
        assertThat(Combination.parse("density=compact,gone=x")
                        .completedFor(THEME)
                        .key())
                .isEqualTo("scheme=light,density=compact");
        assertThatThrownBy(() -> Combination.parse("dark")).hasMessageContaining("scheme=dark");
        assertThat(THEME.combinations(100)).hasSize(4).first().isEqualTo(THEME.defaults());
        assertThat(THEME.combinations(3)).hasSize(3);
    }

    @Nested
    class Moving {
        private final Place base = Place.set("base");

        @Test
        void nothingMovesOntoWhatIsThereNorIntoItself() {
            assertThatThrownBy(() -> applied(new Edit.Move(TokenPath.of("color.ink"), TokenPath.of("color.brand"))))
                    .hasMessageContaining("already is");
            assertThatThrownBy(() -> applied(new Edit.Move(TokenPath.of("color"), TokenPath.of("color.ink.x"))))
                    .hasMessageContaining("into itself");
            assertThatThrownBy(() -> applied(new Edit.Move(TokenPath.of("none"), TokenPath.of("some"))))
                    .hasMessageContaining("no “none”");
        }

        @Test
        void aRenamedTokenKeepsItsPlaceAmongItsNeighbors() {
            ThemeDocument changed = applied(new Edit.Move(TokenPath.of("shape.radius"), TokenPath.of("shape.corner")));
            assertThat(changed.at(base)
                            .group(TokenPath.of("shape"))
                            .orElseThrow()
                            .children()
                            .keySet())
                    .startsWith("corner");
        }

        @Test
        void aTokenThatLeavesItsGroupTakesItsTypeAlong() {
            ThemeDocument changed =
                    applied(new Edit.Move(TokenPath.of("shape.radius"), TokenPath.of("elsewhere.radius")));
            assertThat(changed.at(base)
                            .token(TokenPath.of("elsewhere.radius"))
                            .orElseThrow()
                            .meta()
                            .type())
                    .contains(TokenType.DIMENSION);
            assertThat(Resolution.of(changed, changed.defaults()).findings()).isEmpty();
        }

        @Test
        void whatExtendsTheGroupFollowsIt() {
            Group tokens = Samples.with(Group.EMPTY, "one.n", new NumberValue(1))
                    .with(
                            TokenPath.of("two"),
                            new Group(Map.of(), Meta.NONE.withExtended(java.util.Optional.of(TokenPath.of("one")))));
            ThemeDocument theme = Samples.of(tokens);
            ThemeDocument moved = new Edit.Move(TokenPath.of("one"), TokenPath.of("first"))
                    .applyTo(theme)
                    .theme();
            assertThat(Resolution.of(moved, moved.defaults()).value("two.n", NumberValue.class))
                    .contains(new NumberValue(1));
        }
    }

    @Test
    void aDifferenceSaysWhatCameWentAndChanged() {
        Place base = Place.set("base");
        ThemeDocument changed = new Edit.Batch(
                        "",
                        List.of(
                                new Edit.SetValue(base, TokenPath.of("shape.radius"), DimensionValue.px(77)),
                                new Edit.Remove(base, TokenPath.of("shape.line")),
                                new Edit.SetValue(base, TokenPath.of("shape.new"), Alias.to("shape.radius"))))
                .applyTo(THEME)
                .theme();
        assertThat(Difference.entries(THEME, changed))
                .extracting(entry -> entry.path() + " " + entry.before().isPresent() + " "
                        + entry.after().isPresent())
                .containsExactly("shape.radius true true", "shape.line true false", "shape.new false true");
        assertThat(Difference.entries(changed, changed)).isEmpty();
    }

    @Test
    void aValueOfAnotherTypeThanItsGroupSaysItself() {
        ThemeDocument changed =
                applied(new Edit.SetValue(Place.set("base"), TokenPath.of("color.ink.odd"), new NumberValue(4)));
        Token token = changed.at(Place.set("base"))
                .token(TokenPath.of("color.ink.odd"))
                .orElseThrow();
        assertThat(token.meta().type()).contains(TokenType.NUMBER);
    }
}
