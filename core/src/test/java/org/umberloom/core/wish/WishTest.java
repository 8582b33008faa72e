package org.umberloom.core.wish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.ground.Ground;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Asked;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.WholeTheme;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TypographyValue;

class WishTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("T");

    private static Seen seen(ThemeDocument theme) {
        return new Seen(theme, Resolution.of(theme, theme.defaults()));
    }

    private static ThemeDocument applied(ThemeDocument theme, Asked... wishes) {
        for (Asked wish : wishes) theme = wish.in(seen(theme)).applyTo(theme).theme();
        return theme;
    }

    /** As it would be sent: what is empty is left out. */
    private static Asked asked(String op, String place, String path, String member, String text) {
        Map<String, Object> data = new LinkedHashMap<>(Map.of("op", op));
        if (place != null) data.put("place", place);
        if (path != null) data.put("path", path);
        if (member != null) data.put("member", member);
        if (text != null) data.put("text", text);
        return EditJson.asked(data);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "value|set:base|color.brand.seed||#nope|hex digits",
                "value|set:base|color.none||#fff|no token",
                "value||color.none||#fff|no token",
                "value|set:roles|surface.page.text||{size.1}|a color is needed",
                "value|set:roles|surface.page.text||{color.none}|no token",
                "member|set:roles|type.h1|fontSize|huge|not a length",
                "member|set:roles|type.h1|fontColor|red|no part",
                "member|set:base|color.brand.seed|fontSize|1px|not a text style",
                "hue|set:base|color.brand||#fff|already is a hue",
                "role||color.brand||#fff|no role that pages read",
                "newToken|set:base|color.ink||#fff|already is a “color.ink”",
                "newToken|set:base|x..y||1|cannot be a name",
                "about|set:base|x.y||1|There is no “x.y”"
            })
    void whatMakesNoSenseIsRefusedWithAReason(
            String op, String place, String path, String member, String text, String why) {
        assertThatThrownBy(() -> asked(op, place, path, member, text).in(seen(THEME)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(why);
    }

    @Test
    void aNewHueBringsItsRamp() {
        ThemeDocument changed = applied(THEME, asked("hue", "set:base", "color.moss", null, "seagreen"));
        assertThat(changed.at(Place.set("base"))
                        .group(TokenPath.of("color.moss"))
                        .orElseThrow()
                        .children())
                .hasSize(15);
    }

    @Test
    void setsModifiersAndContextsAreMadeCopiedRenamedAndOrdered() {
        ThemeDocument theme = applied(
                THEME,
                new PlaceWish.NewModifier("density", List.of("roomy ", "", "compact")),
                new Structure.AddContext("density", "dense", org.umberloom.core.token.Group.EMPTY, -1),
                new PlaceWish.CopyPlace(Place.context("scheme", "dark"), "dusk"),
                new PlaceWish.CopyPlace(Place.set("base"), "base two"),
                new Structure.RenamePlace(Place.set("base two"), "spare"),
                new Structure.RenameModifier("density", "air"),
                new Structure.SetDefault("air", "compact"),
                new PlaceWish.NewSet("late"));
        assertThat(theme.sets()).containsOnlyKeys("base", "spare", "roles", "late");
        assertThat(theme.modifiers().get("air").contexts()).containsOnlyKeys("roomy", "compact", "dense");
        assertThat(theme.modifiers().get("air").defaultContext()).isEqualTo("compact");
        assertThat(theme.modifiers().get("scheme").contexts().get("dusk"))
                .isEqualTo(theme.modifiers().get("scheme").contexts().get("dark"));
        assertThat(theme.order())
                .extracting(ThemeDocument.OrderEntry::toString)
                .containsExactly("set:base", "set:spare", "set:roles", "set:late", "modifier:scheme", "modifier:air");
        assertThat(applied(
                                theme,
                                new PlaceWish.RemovePlace(Place.set("late")),
                                new PlaceWish.RemovePlace(Place.context("scheme", "dusk")))
                        .places())
                .hasSize(theme.places().size() - 2);
    }

    @Test
    void aModifierNeedsAContext() {
        assertThatThrownBy(() -> applied(THEME, new PlaceWish.NewModifier("m", List.of(" "))))
                .hasMessageContaining("at least one context");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "width.huge|dimension|90rem",
                "shadow.low|shadow|0px 1px 2px 0px {color.ink.100}",
                "x.y|color|lighten({color.brand.60}, 5)"
            })
    void aNewTokenHasItsType(String path, String type, String text) {
        ThemeDocument changed =
                applied(THEME, new ValueWish.NewToken(Place.set("base"), TokenPath.of(path), Optional.of(type), text));
        assertThat(Resolution.of(changed, changed.defaults())
                        .find(path)
                        .orElseThrow()
                        .type()
                        .id())
                .isEqualTo(type);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"knitting|1|not a type of token", "color|lighten({color.none}, 5)|no token “color.none”"})
    void aNewTokenOfNoTypeOrValueIsRefused(String type, String text, String why) {
        assertThatThrownBy(() -> applied(
                        THEME, new ValueWish.NewToken(Place.set("base"), TokenPath.of("x.y"), Optional.of(type), text)))
                .hasMessageContaining(why);
    }

    @Test
    void withoutAPlaceAValueIsWrittenWhereItStands() {
        Edit edit =
                asked("value", "", "surface.page.text", null, "{color.ink.90}").in(seen(THEME));
        assertThat(edit).isInstanceOfSatisfying(Edit.SetValue.class, set -> assertThat(set.place())
                .isEqualTo(Place.set("roles")));
    }

    @Test
    void aStyleWrittenAtAScopeStartsFromWhatHoldsThere() {
        Place articles = Place.scope(Scope.kind("article"));
        ThemeDocument changed = applied(
                THEME, new ValueWish.Member(Optional.of(articles), TokenPath.of("type.body"), "lineHeight", "1.8"));
        TypographyValue before = Resolution.of(THEME, THEME.defaults())
                .value("type.body", TypographyValue.class)
                .orElseThrow();
        TypographyValue after = Resolution.of(changed, changed.defaults().at(Scope.kind("article")))
                .value("type.body", TypographyValue.class)
                .orElseThrow();
        assertThat(after)
                .isEqualTo(before.withPart("lineHeight", after.lineHeight()))
                .isNotEqualTo(before);
    }

    @Test
    void recipesHaveAsManyStepsAsCanBeShown() {
        assertThatThrownBy(() -> new ScaleWish.SpaceSteps(
                        Place.set("base"), TokenPath.of("space"), 4, java.util.Collections.nCopies(61, 1.0)))
                .hasMessageContaining("up to 60 steps");
        ThemeDocument changed = applied(
                THEME, new ScaleWish.SpaceSteps(Place.set("base"), TokenPath.of("space"), 4, List.of(1.0, 2.0)));
        assertThat(Recipes.of(changed.at(Place.set("base"))
                        .group(TokenPath.of("space"))
                        .orElseThrow()))
                .containsInstanceOf(Recipe.SpaceSteps.class);
    }

    @Test
    void aSurfaceIsAddedWithEveryRoleAndTakenAwayAgain() {
        ThemeDocument changed = applied(THEME, new SurfaceWish.AddSurface(TokenPath.of("surface.deep"), "quay"));
        assertThat(changed.at(Place.context("scheme", "dark")).find(TokenPath.of("surface.quay")))
                .isEqualTo(THEME.at(Place.context("scheme", "dark")).find(TokenPath.of("surface.deep")));
        assertThat(applied(changed, new SurfaceWish.RemoveSurface(TokenPath.of("surface.quay"))))
                .isEqualTo(THEME);
        assertThatThrownBy(() -> applied(THEME, new SurfaceWish.RemoveSurface(TokenPath.of("surface.page"))))
                .hasMessageContaining("every page stands on it");
    }

    @Test
    void whatStandsAloneHasASurfaceOfItsOwnUnderTheNameOfItsPart() {
        Place roles = Place.set("base");
        SurfaceWish alone = new SurfaceWish.StandAlone(roles, "header-surface", TokenPath.of("surface.deep"));
        ThemeDocument changed = applied(THEME, alone);
        assertThat(changed.at(Place.context("scheme", "dark")).find(TokenPath.of("surface.header")))
                .isEqualTo(THEME.at(Place.context("scheme", "dark")).find(TokenPath.of("surface.deep")));
        assertThat(Choices.of(changed, changed.defaults())).containsEntry("header-surface", "surface.header");
        // Once it is there, it is only chosen; with it the choice goes.
        ThemeDocument other = Choices.choose(changed, roles, "header-surface", Optional.of("surface.deep"))
                .applyTo(changed)
                .theme();
        assertThat(applied(other, alone)).isEqualTo(changed);
        ThemeDocument gone = applied(changed, new SurfaceWish.RemoveSurface(TokenPath.of("surface.header")));
        assertThat(Choices.of(gone, gone.defaults())).containsEntry("header-surface", "own");
        assertThat(gone).isEqualTo(THEME);
        assertThatThrownBy(() ->
                        applied(THEME, new SurfaceWish.StandAlone(roles, "buttons", TokenPath.of("surface.deep"))))
                .hasMessageContaining("no choice of what something stands on");
    }

    @Test
    void anUnsetRoleIsWrittenWhereRolesStand() {
        ThemeDocument bare = applied(THEME, new ValueWish.Delete(Place.set("base"), TokenPath.of("width.text")));
        ThemeDocument changed =
                applied(bare, new ValueWish.Role(Optional.empty(), TokenPath.of("width.text"), "44rem"));
        assertThat(Resolution.of(changed, changed.defaults())
                        .find("width.text")
                        .orElseThrow()
                        .value())
                .isEqualTo(DimensionValue.rem(44));
    }

    @Test
    void whatIsDeprecatedSaysWhatReplacesIt() {
        ThemeDocument changed = applied(
                THEME,
                new ValueWish.About(
                        Place.set("base"),
                        TokenPath.of("color.brand.seed"),
                        Optional.of(" the first "),
                        Optional.of(true),
                        Optional.of("ink")));
        assertThat(changed.at(Place.set("base"))
                        .token(TokenPath.of("color.brand.seed"))
                        .orElseThrow()
                        .meta())
                .satisfies(meta -> {
                    assertThat(meta.description()).contains("the first");
                    assertThat(meta.deprecated()).contains("ink");
                });
    }

    private static Asked step(String end, double px, boolean alone) {
        return EditJson.asked(Map.of(
                "op",
                "stepTo",
                "place",
                "set:base",
                "path",
                "size",
                "step",
                "4",
                "end",
                end,
                "px",
                px,
                "alone",
                alone));
    }

    private static double wide(ThemeDocument theme, String step) {
        return ((FluidValue) Resolution.of(theme, theme.defaults())
                        .find("size." + step)
                        .orElseThrow()
                        .value())
                .wide()
                .toPx();
    }

    @Test
    void aStepMovesItsScaleOrLeavesItAlone() {
        ThemeDocument moved = applied(THEME, step("wide", 60, false));
        assertThat(wide(moved, "4")).isCloseTo(60, within(0.01));
        assertThat(wide(moved, "3")).isGreaterThan(wide(THEME, "3"));
        ThemeDocument kinked = applied(THEME, step("wide", 60, true));
        assertThat(wide(kinked, "4")).isCloseTo(60, within(0.01));
        assertThat(wide(kinked, "3")).isEqualTo(wide(THEME, "3"));
        // The whole scale through the kink: the step is one of its own again.
        ThemeDocument through = applied(kinked, step("wide", 60, false));
        assertThat(wide(through, "3")).isCloseTo(wide(moved, "3"), within(0.01));
        assertThat(through.at(Place.set("base"))
                        .token(TokenPath.of("size.4"))
                        .orElseThrow()
                        .detached())
                .isFalse();
        assertThatThrownBy(() -> applied(THEME, step("middle", 60, false)))
                .hasMessageContaining("a narrow and a wide end");
    }

    private static Asked ground(Map<String, Object> ground) {
        return EditJson.asked(Map.of("op", "onGround", "place", "set:roles", "path", "surface.page", "ground", ground));
    }

    private static Ground lying(ThemeDocument theme) {
        return Ground.of(theme.at(Place.set("roles"))
                        .group(TokenPath.of("surface.page"))
                        .orElseThrow())
                .orElseThrow();
    }

    @Test
    void ofAGroundOnlyWhatChangesIsSaid() {
        ThemeDocument dotted = applied(THEME, ground(Map.of("kind", "pattern", "source", "dots")));
        assertThat(lying(dotted)).isEqualTo(Ground.usual(Ground.Kind.PATTERN, "dots"));
        ThemeDocument drawn = applied(dotted, ground(Map.of("role", "accent", "scrim", false)));
        assertThat(lying(drawn).source()).isEqualTo("dots");
        assertThat(lying(drawn).role()).isEqualTo("accent");
        assertThat(lying(applied(drawn, ground(Map.of("source", "waves")))).scrim())
                .as("the same kind stays as it is")
                .isFalse();
        assertThat(lying(applied(drawn, ground(Map.of("kind", "gradient", "source", "gradient.fog"))))
                        .scrim())
                .as("another begins anew")
                .isTrue();
    }

    @Test
    void aNarrowerPlaceStandsOnPlainColorWhereTheThemeLaysAGround() {
        ThemeDocument dotted = applied(THEME, ground(Map.of("kind", "pattern", "source", "dots")));
        Asked plain = asked("onGround", "scope:kind=article", "surface.page", null, null);
        Combination there = dotted.defaults().at(List.of(Scope.kind("article")));
        ThemeDocument apart = plain.in(new Seen(dotted, Resolution.of(dotted, there)))
                .applyTo(dotted)
                .theme();
        assertThat(Grounds.of(apart, Resolution.of(apart, apart.defaults()), Pictures.NONE))
                .containsKey("page");
        assertThat(Grounds.of(apart, Resolution.of(apart, there), Pictures.NONE))
                .isEmpty();
    }

    @Test
    void aGroundHasToBeSaidOnce() {
        assertThatThrownBy(() -> applied(THEME, ground(Map.of("scrim", true))))
                .hasMessageContaining("say what kind of ground it is");
        assertThatThrownBy(() -> applied(THEME, ground(Map.of("kind", "picture"))))
                .hasMessageContaining("Say which picture");
        assertThatThrownBy(() -> applied(THEME, ground(Map.of("kind", "marble", "source", "x"))))
                .hasMessageContaining("picture, gradient or pattern");
    }

    /** At a scope the light and the dark are written apart; everywhere else a value goes to the place that was named. */
    @Test
    void aValueSeenInOneSchemeIsWrittenForThatOneAtAScope() {
        TokenPath link = TokenPath.of("surface.page.link");
        Place articles = Place.scope(Scope.kind("article"));
        Place light = Place.scope(Scope.kind("article"), "scheme", "light");
        ThemeDocument after = applied(
                THEME, new ValueWish.Value(Optional.of(articles), link, "{color.brand.80}", Optional.of("light")));
        assertThat(WholeTheme.changes(THEME, after)).containsExactly(light + " " + link);
        ThemeDocument base = applied(
                THEME,
                new ValueWish.Value(Optional.of(Place.set("roles")), link, "{color.brand.80}", Optional.of("light")));
        assertThat(WholeTheme.changes(THEME, base)).containsExactly("set:roles " + link);
    }
}
