package org.umberloom.core.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/** Which edits of two people can both stand. */
class ClashTest {
    private static final ThemeDocument THEME = Samples.starter();
    private static final Place BASE = Place.set("base");
    private static final Place DARK = Place.context("scheme", "dark");

    private static Edit set(Place place, String path, TokenValue value) {
        return new Edit.SetValue(place, TokenPath.of(path), value);
    }

    private static boolean clash(Edit theirs, Edit mine) {
        return Clash.between(theirs, mine, THEME);
    }

    @Test
    void differentTokensAndDifferentSetsStand() {
        assertThat(clash(set(BASE, "a", DimensionValue.px(1)), set(BASE, "b", DimensionValue.px(1))))
                .isFalse();
        assertThat(clash(set(BASE, "a", DimensionValue.px(1)), set(DARK, "a", DimensionValue.px(1))))
                .isFalse();
        assertThat(clash(added("one"), added("two"))).isFalse();
    }

    private static Edit added(String name) {
        return new Structure.AddSet(name, new ThemeDocument.TokenSet("", Group.EMPTY), -1, 0);
    }

    @Test
    void theSameTokenAndTheSameNameClash() {
        assertThat(clash(set(BASE, "a", DimensionValue.px(1)), set(BASE, "a", DimensionValue.px(2))))
                .isTrue();
        assertThat(clash(added("one"), added("one"))).isTrue();
    }

    @Test
    void anOrderThatDoesNotKnowOfANewSetClashesWithIt() {
        assertThat(clash(added("one"), new Structure.Reorder(THEME.order()))).isTrue();
        assertThat(clash(new Structure.Describe("set", "base", "x"), new Structure.Reorder(THEME.order())))
                .isFalse();
    }

    @Test
    void whatGoesClashesWithWhatWasWrittenIntoItAndWhatRefersToIt() {
        assertThat(clash(set(BASE, "x", DimensionValue.px(1)), new Structure.RemoveSet("base")))
                .isTrue();
        assertThat(clash(set(DARK, "x", DimensionValue.px(1)), new Structure.RemoveModifier("scheme")))
                .isTrue();
        assertThat(clash(set(DARK, "x", DimensionValue.px(1)), new Structure.RemoveContext("scheme", "light")))
                .isFalse();
        Edit refers = set(Place.set("roles"), "x", Alias.to("shape.radius"));
        assertThat(clash(refers, new Edit.Remove(BASE, TokenPath.of("shape.radius"))))
                .isTrue();
        assertThat(clash(refers, new Edit.Remove(BASE, TokenPath.of("shape")))).isTrue();
        assertThat(clash(refers, new Edit.Remove(BASE, TokenPath.of("gap")))).isFalse();
        assertThat(clash(
                        refers,
                        new Edit.Batch("several", List.of(new Edit.Remove(BASE, TokenPath.of("shape.radius"))))))
                .isTrue();
    }

    @Test
    void picturesOfDifferentNamesStand() {
        Edit one = new Edit.SetPicture("a.png", Optional.of(new Picture("a.png", "0".repeat(64), "image/png", "", 1)));
        Edit other =
                new Edit.SetPicture("b.png", Optional.of(new Picture("b.png", "0".repeat(64), "image/png", "", 1)));
        assertThat(clash(one, other)).isFalse();
        assertThat(clash(one, new Edit.SetPicture("a.png", Optional.empty()))).isTrue();
    }

    @Test
    void takingAPictureAwayIsUndoneInItsPlace() {
        ThemeDocument three = THEME;
        for (String name : List.of("a.png", "b.png", "c.png"))
            three = new Edit.SetPicture(name, Optional.of(new Picture(name, "0".repeat(64), "image/png", "", 1)))
                    .applyTo(three)
                    .theme();
        Edit.Applied gone = new Edit.SetPicture("a.png", Optional.empty()).applyTo(three);
        assertThat(gone.inverse().applyTo(gone.theme()).theme()).isEqualTo(three);
        Map<String, Picture> back = Picture.of(Difference.edit("back", gone.theme(), three)
                .applyTo(gone.theme())
                .theme());
        assertThat(back.keySet()).containsExactly("a.png", "b.png", "c.png");
    }
}
