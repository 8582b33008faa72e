package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.page.Specimen;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;

/** What is chosen in a combination holds in the browser, in a kit as on a live page, whichever places decide it. */
class ChoicesOfTheBrowserTest {
    private static final Map<String, String> SEEN =
            Map.of("filled", "filled", "outlined", "outlined", "quiet", "quiet");
    private static final String BUTTON =
            """
            () => {
              const style = getComputedStyle(document.querySelector('main button'));
              if (style.backgroundColor !== 'rgba(0, 0, 0, 0)') return 'filled';
              return style.borderTopColor === 'rgba(0, 0, 0, 0)' ? 'quiet' : 'outlined';
            }""";

    private static ThemeDocument theme() {
        Map<String, Group> looks = new LinkedHashMap<>();
        for (String look : List.of("harbor", "market", "museum")) looks.put(look, Group.EMPTY);
        ThemeDocument theme = Starter.ALL.get(0).theme("Choosing");
        theme = new Structure.AddModifier(
                        "look",
                        new Modifier("", looks, "harbor"),
                        -1,
                        theme.order().size())
                .applyTo(theme)
                .theme();
        for (Map.Entry<Place, String> one : Map.of(
                        Place.set("roles"),
                        "filled",
                        Place.context("scheme", "dark"),
                        "outlined",
                        Place.context("look", "market"),
                        "quiet")
                .entrySet())
            theme = Choices.choose(theme, one.getKey(), "buttons", Optional.of(one.getValue()))
                    .applyTo(theme)
                    .theme();
        return theme;
    }

    @Test
    void everyCombinationShowsWhatIsChosenThere() {
        ThemeDocument theme = theme();
        String html = Specimen.page("page", Map.of());
        PageUse use = PageUse.of(List.of(html));
        String kit = Stylesheet.compile(theme, Usage.of(use.needs(), use.surfaces()), List.of());
        String live = Stylesheet.compile(theme, Usage.LIVE, List.of());
        int seen = 0;
        for (ColorScheme system : List.of(ColorScheme.LIGHT, ColorScheme.DARK))
            try (BrowserContext context = Browsers.context(system)) {
                Page page = context.newPage();
                for (String forced : List.of("", "light", "dark"))
                    for (String look : List.of("", "harbor", "market", "museum")) {
                        String scheme = forced.isEmpty() ? system == ColorScheme.DARK ? "dark" : "light" : forced;
                        Combination combination =
                                theme.defaults().with("scheme", scheme).with("look", look.isEmpty() ? "harbor" : look);
                        String expected =
                                SEEN.get(Choices.of(theme, combination).get("buttons"));
                        String root = (forced.isEmpty() ? "" : " data-scheme=" + forced)
                                + (look.isEmpty() ? "" : " data-look=" + look);
                        for (String css : List.of(kit, live)) {
                            String says = css.equals(live)
                                    ? " data-choice-buttons="
                                            + Choices.of(theme, combination).get("buttons")
                                    : "";
                            page.setContent(html.replace("<html lang", "<html" + root + says + " lang")
                                    .replace("</head>", "<style>" + css + "</style></head>"));
                            assertThat(page.evaluate(BUTTON))
                                    .as("%s, system %s, %s", root, system, css.equals(live) ? "live" : "kit")
                                    .isEqualTo(expected);
                            seen++;
                        }
                    }
            }
        assertThat(seen).isEqualTo(48);
    }
}
