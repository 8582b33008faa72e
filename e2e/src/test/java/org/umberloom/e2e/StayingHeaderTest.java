package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.check.ShapeChecks;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;

/** What a header takes of a phone while it stays, against Chromium. */
class StayingHeaderTest {
    private static final String SEEN =
            """
            () => {
              window.scrollTo(0, 900);
              const box = document.querySelector('body > header').getBoundingClientRect();
              return box.bottom;
            }""";

    @ParameterizedTest
    @CsvSource({"stays, below", "shrinks, below", "stays, centered", "shrinks, beside"})
    void itIsWhatTheCheckSaysAndMoreWhereTheMenuWraps(String stays, String menu) {
        for (Starter starter : Starter.ALL) {
            ThemeDocument theme = starter.theme("Staying");
            for (Map.Entry<String, String> one : Map.of(
                            "header-stays", stays, "menu-place", menu, "header-edge", "none")
                    .entrySet())
                theme = Choices.choose(theme, Place.set(Starter.ROLES), one.getKey(), Optional.of(one.getValue()))
                        .applyTo(theme)
                        .theme();
            Map<String, String> chosen = Choices.of(theme, theme.defaults());
            double said = ShapeChecks.header(Worn.of(Resolution.of(theme, theme.defaults())), chosen);
            String css = Stylesheet.compile(theme, Usage.ALL, List.of());
            try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
                page.setViewportSize(375, (int) ShapeChecks.PHONE_HIGH);
                page.setContent(page(css, 1));
                double seen = ((Number) page.evaluate(SEEN)).doubleValue();
                if (!menu.equals("beside")) assertThat(seen).as(starter.name()).isCloseTo(said, within(1.0));
                page.setContent(page(css, 30));
                assertThat(((Number) page.evaluate(SEEN)).doubleValue())
                        .as("%s, with a long menu", starter.name())
                        .isGreaterThan(said + 20);
            }
        }
    }

    private static String page(String css, int entries) {
        return "<!doctype html><html lang=\"en\"><head><title>t</title><style>" + css + "</style></head><body>"
                + "<header><a href=\"#\">Quay</a><nav aria-label=\"Pages\"><ul>"
                + "<li><a href=\"#\">Fares</a></li>".repeat(entries)
                + "</ul></nav></header><main><h1>Quay</h1>" + "<p>Rope</p>".repeat(80) + "</main></body></html>";
    }
}
