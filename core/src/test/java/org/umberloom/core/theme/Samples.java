package org.umberloom.core.theme;

import java.util.List;
import java.util.Map;
import org.umberloom.core.color.Color;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/** Themes for tests. */
public final class Samples {
    private Samples() {}

    /** A whole theme from a starter. */
    public static ThemeDocument starter() {
        return Starter.ALL.get(0).withSeed(Color.rgb(0x7a, 0x4a, 0x2b)).theme("Sample");
    }

    /** A theme of one set. */
    public static ThemeDocument of(Group tokens) {
        return new ThemeDocument(
                "Small",
                "",
                Map.of("base", new ThemeDocument.TokenSet("", tokens)),
                Map.of(),
                List.of(ThemeDocument.OrderEntry.set("base")),
                Map.of());
    }

    public static Group with(Group group, String path, TokenValue value) {
        return group.with(TokenPath.of(path), Token.of(value));
    }

    public static Group alias(Group group, String path, String target) {
        return group.with(TokenPath.of(path), Token.of(Alias.to(target)));
    }
}
