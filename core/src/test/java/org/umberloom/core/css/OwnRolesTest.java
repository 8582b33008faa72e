package org.umberloom.core.css;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/** An interface with rules of its own may read roles that are in no contract. */
class OwnRolesTest {
    @Test
    void areWrittenOnEverySurfaceThatHasThem() {
        ThemeDocument theme = Starter.ALL.get(0).theme("Own");
        for (String surface : List.of("page", "deep"))
            theme = new Edit.Put(
                            Place.set("roles"),
                            TokenPath.of("surface." + surface + ".lifted"),
                            new Token(
                                    Alias.to("color.ink." + (surface.equals("page") ? 2 : 100)),
                                    Meta.typed(TokenType.COLOR)),
                            -1)
                    .applyTo(theme)
                    .theme();
        assertThat(Stylesheet.properties(theme, List.of("surface.lifted"), List.of()))
                .containsPattern(":root \\{[^}]*--surface-lifted: var\\(--color-ink-2\\)")
                .containsPattern("data-surface=\"deep\"] \\{\\s*--surface-lifted: var\\(--color-ink-100\\)");
    }
}
