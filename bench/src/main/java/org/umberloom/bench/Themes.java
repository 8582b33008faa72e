package org.umberloom.bench;

import org.umberloom.core.color.Color;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/** Themes of a given size: a starter, then further hues with their ramps, then tokens that refer to shades. */
final class Themes {
    private static final int HUE_TOKENS = 15;
    private static final Place BASE = Place.set(Starter.BASE);

    private Themes() {}

    static ThemeDocument ofSize(int tokens) {
        ThemeDocument theme = Starter.ALL.get(0).theme("Bench " + tokens);
        Group base = theme.at(BASE);
        int missing = tokens - count(theme);
        int hues = missing / 2 / HUE_TOKENS;
        for (int i = 0; i < hues; i++) {
            Color seed = Color.oklch(0.5, 0.1, i * 360.0 / hues).toSrgb8();
            base = base.with(TokenPath.of("color.extra-" + i), Starter.hue(seed));
        }
        Group parts = Group.EMPTY;
        int aliases = Math.max(0, missing - hues * HUE_TOKENS);
        for (int i = 0; i < aliases; i++) {
            String target = hues == 0 ? "color.brand.60" : "color.extra-" + i % hues + ".60";
            parts = parts.with(TokenPath.of("group-" + i / 25 + ".part-" + i % 25), Token.untyped(Alias.to(target)));
        }
        return new Edit.Put(BASE, TokenPath.of("part"), parts, -1)
                .applyTo(theme.with(BASE, base))
                .theme();
    }

    static int count(ThemeDocument theme) {
        int[] count = {0};
        theme.sets().values().forEach(set -> set.tokens().forEachToken((path, token, type) -> count[0]++));
        theme.modifiers().values().forEach(modifier -> modifier.contexts()
                .values()
                .forEach(context -> context.forEachToken((path, token, type) -> count[0]++)));
        return count[0];
    }
}
