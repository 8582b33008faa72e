package org.umberloom.core.wish;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.umberloom.core.site.RoleGroups;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenPath;

/** What recipes grow, changed at one section alone: there it grows anew, and everywhere else it stays. */
class BroughtTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("Brought");
    private static final Scope SECTION = Scope.spot("quay", "fares.3", true);
    private static final Place.InScope THERE = Place.scope(SECTION);
    private static final TokenPath SEED = TokenPath.of("color.brand.seed");
    private static final TokenPath SHADE = TokenPath.of("color.brand.60");

    private static Edit.Applied applied(ThemeDocument theme, Wish wish) {
        Seen seen = new Seen(theme, Resolution.of(theme, here(theme)));
        return wish.in(seen).applyTo(theme);
    }

    private static Combination here(ThemeDocument theme) {
        return theme.defaults().at(List.of(SECTION));
    }

    private static <V> V value(ThemeDocument theme, Combination at, TokenPath path, Class<V> type) {
        return type.cast(
                Resolution.of(theme, at).find(path.dotted()).orElseThrow().value());
    }

    @Test
    void theShadesOfASeedThatIsWrittenAtASectionGrowThere() {
        Edit.Applied made = applied(THEME, new ValueWish.Value(Optional.of(THERE), SEED, "#0a7d3c"));
        ThemeDocument theme = made.theme();
        ColorValue before = value(THEME, THEME.defaults(), SHADE, ColorValue.class);
        assertThat(value(theme, theme.defaults(), SHADE, ColorValue.class)).isEqualTo(before);
        assertThat(value(theme, here(theme), SHADE, ColorValue.class))
                .isNotEqualTo(before)
                // The same as if the theme itself had that seed.
                .isEqualTo(value(
                        applied(THEME, new ValueWish.Value(Optional.empty(), SEED, "#0a7d3c"))
                                .theme(),
                        THEME.defaults(),
                        SHADE,
                        ColorValue.class));
        assertThat(RoleGroups.in(theme.at(THERE)))
                .as("one value of its own")
                .containsExactly(java.util.Map.entry("color", 1));
        assertThat(made.inverse().applyTo(theme).theme()).isEqualTo(THEME);
        ThemeDocument back = applied(theme, new ValueWish.Delete(THERE, SEED)).theme();
        assertThat(back.writesAt(SECTION)).isFalse();
    }

    @Test
    void whatWasWrittenThereByHandStays() {
        ThemeDocument one = applied(THEME, new ValueWish.Value(Optional.of(THERE), SHADE, "#123456"))
                .theme();
        ThemeDocument theme = applied(one, new ValueWish.Value(Optional.of(THERE), SEED, "#0a7d3c"))
                .theme();
        assertThat(value(theme, here(theme), SHADE, ColorValue.class).color().hex())
                .isEqualTo("#123456");
        assertThat(RoleGroups.in(theme.at(THERE))).containsEntry("color", 2);
    }

    @Test
    void aScaleIsOtherAtASection() {
        Place.InScope dark = Place.scope(SECTION, Starter.SCHEME, "dark");
        TokenPath space = spaces();
        ThemeDocument theme = applied(THEME, new ScaleWish.SpaceSteps(dark, space, 6, List.of(1.0, 2.0)))
                .theme();
        assertThat(Recipes.of(theme.at(dark).group(space).orElseThrow())).isPresent();
        TokenPath first = space.child(theme.at(dark)
                .group(space)
                .orElseThrow()
                .children()
                .keySet()
                .iterator()
                .next());
        DimensionValue before = value(THEME, THEME.defaults(), first, DimensionValue.class);
        assertThat(value(theme, here(theme), first, DimensionValue.class)).isEqualTo(before);
        assertThat(value(theme, here(theme).with(Starter.SCHEME, "dark"), first, DimensionValue.class))
                .isNotEqualTo(before);
    }

    private static TokenPath spaces() {
        TokenPath[] found = {null};
        for (Place place : THEME.places()) {
            Group root = THEME.at(place);
            root.forEachGroup((path, group) -> {
                if (Recipes.of(group).orElse(null) instanceof org.umberloom.core.theme.Recipe.SpaceSteps)
                    found[0] = path;
            });
        }
        return found[0];
    }
}
