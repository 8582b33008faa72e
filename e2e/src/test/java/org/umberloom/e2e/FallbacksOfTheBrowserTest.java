package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.dress.ElsewhereTest;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.page.Specimen;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenPath;

/** A theme that lacks roles still dresses every page: no browser meets a declaration that comes to nothing. */
class FallbacksOfTheBrowserTest {
    private static final List<String> PAGES = List.of(Specimen.page("page", Map.of()), Specimen.page("deep", Map.of()));
    /** Every declaration with a variable, with the values that hold on each surface, asked of the browser's own grammar. */
    private static final String UNDEFINED =
            """
            (css) => {
              document.querySelector('style').textContent = css;
              const wrong = [];
              const read = (text, of) =>
                text.replace(/var\\((--[\\w-]+)(?:,\\s*([^()]*))?\\)/g, (all, name, other) =>
                  of.getPropertyValue(name).trim() || other || '');
              const stands = [document.documentElement, ...document.querySelectorAll('[data-surface]')]
                .map((element) => getComputedStyle(element));
              const visit = (rules) => {
                for (const rule of rules) {
                  if (rule.cssRules?.length) visit(rule.cssRules);
                  if (!rule.style) continue;
                  for (const line of rule.cssText.slice(rule.cssText.indexOf('{') + 1, -1).split(';')) {
                    const [property, ...rest] = line.split(':');
                    if (!line.includes('var(') || property.trim().startsWith('--')) continue;
                    for (const style of stands)
                      if (!CSS.supports(property.trim(), read(rest.join(':').trim(), style))) wrong.push(line.trim());
                  }
                }
              };
              visit(document.styleSheets[0].cssRules);
              return wrong;
            }""";

    private static ThemeDocument without(ThemeDocument theme, Predicate<String> gone) {
        return without(theme, theme.places(), gone);
    }

    private static ThemeDocument without(ThemeDocument theme, List<Place> places, Predicate<String> gone) {
        ThemeDocument changed = theme;
        for (Place place : places) {
            List<TokenPath> paths = new ArrayList<>();
            theme.at(place).forEachToken((path, token, type) -> {
                if (gone.test(path.dotted())) paths.add(path);
            });
            Group tokens = theme.at(place);
            for (TokenPath path : paths) tokens = tokens.without(path);
            changed = changed.with(place, tokens);
        }
        return changed;
    }

    /** Themes from open packages, dressed by the proposal alone. */
    @Test
    void noDeclarationComesToNothingInAThemeFromElsewhere() {
        PageUse use = PageUse.of(PAGES);
        try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
            page.setContent(PAGES.get(1).replace("<link rel=\"stylesheet\" href=\"theme.css\">", "<style></style>"));
            for (String file : ElsewhereTest.FILES)
                for (Usage usage : List.of(Usage.LIVE, Usage.of(use)))
                    assertThat((List<?>) page.evaluate(
                                    UNDEFINED, Stylesheet.compile(ElsewhereTest.dressed(file), usage, List.of())))
                            .as("%s, %s", file, usage.everything() ? "live" : "as a kit")
                            .isEmpty();
        }
    }

    @Test
    void noDeclarationComesToNothingWhicheverRoleIsMissing() {
        ThemeDocument whole = Starter.ALL.get(1).theme("Whole");
        Map<String, ThemeDocument> themes = new LinkedHashMap<>();
        themes.put(
                "all roles",
                without(whole, path -> Contract.standard().filledBy(path).isPresent()));
        themes.put("none", whole);
        // What only the dark sets falls back in the light.
        themes.put(
                "what the sets say",
                without(
                        whole,
                        whole.places().stream()
                                .filter(Place.InSet.class::isInstance)
                                .toList(),
                        path -> Contract.standard().filledBy(path).isPresent()));
        for (Role role : Contract.standard().roles().values())
            themes.put(
                    role.path(),
                    without(whole, path -> Contract.standard().filledBy(path).equals(java.util.Optional.of(role))));
        PageUse use = PageUse.of(PAGES);
        try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
            page.setContent(PAGES.get(1).replace("<link rel=\"stylesheet\" href=\"theme.css\">", "<style></style>"));
            themes.forEach((missing, theme) -> {
                for (Usage usage : List.of(Usage.ALL, Usage.of(use)))
                    assertThat((List<?>) page.evaluate(UNDEFINED, Stylesheet.compile(theme, usage, List.of())))
                            .as("without %s, %s", missing, usage.everything() ? "live" : "as a kit")
                            .isEmpty();
            });
        }
        assertThat(themes).hasSizeGreaterThan(50);
    }
}
