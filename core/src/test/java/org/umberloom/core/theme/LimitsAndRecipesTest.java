package org.umberloom.core.theme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.format.TokensJson;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

class LimitsAndRecipesTest {
    private static ThemeDocument hue(String seed, String recipe) {
        return Samples.of(TokensJson.read(
                "sample",
                "{\"color\":{\"sea\":{\"$type\":\"color\"," + seed
                        + "\"60\":{\"$value\":{\"colorSpace\":\"srgb\",\"components\":[0,0.3,0.4]}},"
                        + "\"$extensions\":{\"org.umberloom\":{\"recipe\":"
                        + recipe + "}}}}}"));
    }

    private static final String RAMP =
            "{\"kind\":\"ramp\",\"stops\":[60],\"hueLight\":0,\"hueDark\":0,\"chromaLight\":1,\"chromaDark\":1}";

    /** A ramp without a color to grow from, and a recipe of a kind that is not known, once took the library down. */
    @ParameterizedTest
    @ValueSource(
            strings = {"", "\"seed\":{\"$value\":\"{color.sea.60}\"},", "\"seed\":{\"$type\":\"number\",\"$value\":3},"
            })
    void aRampWithoutASeedIsAFindingWithARemedy(String seed) {
        ThemeDocument theme = hue(seed, RAMP);
        assertThat(Recipes.findings(theme)).singleElement().satisfies(finding -> {
            assertThat(finding.message()).contains("color.sea", "keep their values");
            ThemeDocument mended = finding.fixes().get(0).edit().applyTo(theme).theme();
            assertThat(Recipes.findings(mended)).isEmpty();
            assertThat(mended.at(Place.set("base")).token(TokenPath.of("color.sea.60")))
                    .isPresent();
        });
        ThemeDocument edited = new Edit.SetValue(Place.set("base"), TokenPath.of("color.sea.60"), Alias.to("other"))
                .applyTo(theme)
                .theme();
        assertThat(edited.at(Place.set("base"))
                        .token(TokenPath.of("color.sea.60"))
                        .orElseThrow()
                        .value())
                .isEqualTo(Alias.to("other"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"{\"kind\":\"spiral\"}", "7", "null", "[]", "{}", "{\"kind\":\"ramp\",\"stops\":[999]}"})
    void aRecipeThatCannotBeReadIsKeptAndSaid(String recipe) {
        ThemeDocument theme = hue("", recipe);
        if (recipe.equals("null")) return;
        assertThat(Recipes.findings(theme)).hasSize(1);
        new Edit.SetValue(Place.set("base"), TokenPath.of("color.sea.60"), Alias.to("other")).applyTo(theme);
    }

    @Test
    void theSeedOfARampCannotBecomeAnAlias() {
        assertThatThrownBy(() -> new Edit.SetValue(
                                Place.set("base"), TokenPath.of("color.brand.seed"), Alias.to("color.ink.60"))
                        .applyTo(Samples.starter()))
                .hasMessageContaining("a color of its own");
    }

    @Test
    void aSeedThatIsTakenAwayComesBackByUndo() {
        ThemeDocument theme = Samples.starter();
        Edit.Applied gone = new Edit.Remove(Place.set("base"), TokenPath.of("color.brand.seed")).applyTo(theme);
        assertThat(Recipes.findings(gone.theme())).hasSize(1);
        assertThat(gone.inverse().applyTo(gone.theme()).theme()).isEqualTo(theme);
    }

    @Test
    void moreTokensThanOneThemeMayHoldAreRefusedWithTheLimit() {
        Map<String, Node> many = new LinkedHashMap<>();
        for (int i = 0; i <= Limits.MOST_TOKENS; i++) many.put("t" + i, Token.of(DimensionValue.px(1)));
        assertThatThrownBy(() -> Limits.checked(Samples.of(new Group(many, Meta.NONE))))
                .hasMessageContaining("60000 tokens")
                .hasMessageContaining("60001");
        assertThat(Limits.checked(Samples.starter())).isEqualTo(Samples.starter());
    }

    @ParameterizedTest
    @ValueSource(strings = {"a\nb", "a\u0000", "\ud800", "x\udfff", "\u2028"})
    void namesThatNothingCanKeepAreRefusedEverywhere(String name) {
        assertThatThrownBy(() -> TokenPath.of(name))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("name");
        assertThatThrownBy(() -> Samples.starter().withName(name)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aPathBeyondTheLimitIsRefusedWithIt() {
        assertThatThrownBy(() -> TokenPath.of("a.".repeat(70) + "b")).hasMessageContaining("64 are kept");
        assertThatThrownBy(() -> TokenPath.of("m".repeat(60_000)))
                .hasMessageContaining("1000 are kept")
                .message()
                .hasSizeLessThan(300);
        assertThatThrownBy(() -> TokenPath.of("m".repeat(201))).hasMessageContaining("1 to 200");
    }
}
