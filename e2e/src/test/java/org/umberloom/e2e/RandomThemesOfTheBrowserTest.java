package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Supplier;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.color.Color;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.RandomThemes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;

/**
 * Random themes: roles that are set in some places only, redirected and taken away, in sets, contexts and scopes. What Chromium
 * makes of the compiled stylesheet is what the resolver says, for every color and length, in every look, whether the page
 * or the reader's system chooses the scheme.
 */
class RandomThemesOfTheBrowserTest {
    private static final int VIEWPORT = 1280;
    private static final int EDITS = 90;
    private static final int MOST_LOOKS = 40;
    private static final String READ =
            """
            (attributes) => {
              const root = document.documentElement;
              for (const name of root.getAttributeNames()) if (name.startsWith('data-')) root.removeAttribute(name);
              for (const [name, value] of Object.entries(attributes)) root.setAttribute(name, value);
              return Object.fromEntries([...document.querySelectorAll('[data-probe]')].map((e) =>
                [e.dataset.probe, getComputedStyle(e)[e.dataset.property]]));
            }""";

    private final Map<String, Role> probed = new LinkedHashMap<>();

    @ParameterizedTest
    @ValueSource(longs = {3, 14, 15, 92, 65, 35, 89, 79})
    void chromiumComputesWhatTheResolverSays(long seed) {
        Random random = new Random(seed);
        ThemeDocument theme = theme(random, seed);
        List<String> surfaces = Worn.of(Resolution.of(theme, theme.defaults())).surfaces();
        int checks = 0;
        try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
            page.setViewportSize(VIEWPORT, 800);
            page.setContent(html(theme, surfaces));
            for (Combination look : theme.looks(MOST_LOOKS)) {
                Worn worn = Worn.of(Resolution.of(theme, look));
                if (!worn.surfaces().containsAll(surfaces)) continue;
                checks += compare(page, attributes(look), worn, "seed " + seed + " in " + look.key());
                Meaning.Scheme scheme = Meaning.scheme(theme).orElse(null);
                if (scheme == null) continue;
                String context = look.contexts().get(scheme.modifier());
                if (!context.equals(scheme.light()) && !context.equals(scheme.dark())) continue;
                Map<String, String> unsaid = attributes(look);
                unsaid.remove(Stylesheet.attribute(scheme.modifier()));
                page.emulateMedia(new Page.EmulateMediaOptions()
                        .setColorScheme(context.equals(scheme.dark()) ? ColorScheme.DARK : ColorScheme.LIGHT));
                checks += compare(page, unsaid, worn, "seed " + seed + " in " + look.key() + " by the system");
                page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
            }
        }
        assertThat(checks).isGreaterThan(1_500);
    }

    /** Edits of every kind, and as many that set and take away roles at random places. */
    private static ThemeDocument theme(Random random, long seed) {
        RandomThemes themes = new RandomThemes(seed);
        ThemeDocument theme = themes.theme();
        List<Role> roles = Contract.standard().roles().values().stream()
                .filter(role -> role.type() == TokenType.COLOR || role.type() == TokenType.DIMENSION)
                .toList();
        for (int i = 0; i < EDITS; i++) {
            List<Place> places = new ArrayList<>(theme.places());
            places.add(Place.scope(Scope.kind("article")));
            theme.modifiers().forEach((name, modifier) -> modifier.contexts()
                    .keySet()
                    .forEach(context -> places.add(Place.scope(Scope.kind("article"), name, context))));
            Place place = places.get(random.nextInt(places.size()));
            Role role = roles.get(random.nextInt(roles.size()));
            TokenPath path = TokenPath.of(
                    role.on(List.of("page", "tint", "deep", "accent").get(random.nextInt(4))));
            TokenValue value = role.type() == TokenType.DIMENSION
                    ? DimensionValue.px(random.nextInt(400))
                    : random.nextBoolean()
                            ? new Alias(TokenPath.of(
                                    "color.brand." + List.of("20", "60", "90").get(random.nextInt(3))))
                            : new ColorValue(Color.rgb(random.nextInt(256), random.nextInt(256), random.nextInt(256)));
            Edit edit = random.nextInt(3) == 0 ? new Edit.Remove(place, path) : new Edit.SetValue(place, path, value);
            ThemeDocument before = theme;
            theme = applied(before, () -> edit);
            ThemeDocument after = theme;
            if (i % 3 == 0) theme = applied(after, () -> themes.edit(after));
        }
        return theme;
    }

    private static ThemeDocument applied(ThemeDocument theme, Supplier<Edit> edit) {
        try {
            return edit.get().applyTo(theme).theme();
        } catch (IllegalArgumentException refused) {
            return theme;
        }
    }

    private static Map<String, String> attributes(Combination look) {
        Map<String, String> attributes = new LinkedHashMap<>();
        look.contexts().forEach((modifier, context) -> attributes.put(Stylesheet.attribute(modifier), context));
        look.scope().ifPresent(scope -> attributes.put(Stylesheet.attribute(scope.level()), scope.name()));
        return attributes;
    }

    private String html(ThemeDocument theme, List<String> surfaces) {
        StringBuilder html = new StringBuilder("<!doctype html><html lang=\"en\"><head><title>t</title><style>"
                + Stylesheet.compile(theme, Usage.ALL, List.of()) + "</style></head><body>");
        for (Role role : Contract.standard().roles().values()) {
            if (role.type() != TokenType.COLOR && role.type() != TokenType.DIMENSION) continue;
            String property = role.type() == TokenType.COLOR ? "color" : "width";
            for (String surface : role.ofSurfaces() ? surfaces : List.of("page")) {
                String path = role.on(surface);
                probed.put(path, role);
                html.append("<div")
                        .append(surface.equals("page") ? "" : " data-surface=\"" + surface + "\"")
                        .append("><i data-probe=\"")
                        .append(path)
                        .append("\" data-property=\"")
                        .append(property)
                        .append("\" style=\"display:block;")
                        .append(property)
                        .append(":var(")
                        .append(CustomProperties.nameOf(role.general()))
                        .append(")\">x</i></div>");
            }
        }
        return html.append("</body></html>").toString();
    }

    private int compare(Page page, Map<String, String> attributes, Worn worn, String where) {
        @SuppressWarnings("unchecked")
        Map<String, String> actual = (Map<String, String>) page.evaluate(READ, attributes);
        int checks = 0;
        for (String path : probed.keySet()) {
            TokenValue expected = worn.find(path).orElseThrow().value();
            Computed.assertIs(actual.get(path), expected, VIEWPORT, path + " " + where);
            checks++;
        }
        return checks;
    }
}
