package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.page.Specimen;
import org.umberloom.core.page.Spots;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
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
        String kit = Stylesheet.compile(theme, Usage.of(use), List.of());
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

    private static final String SITE = "quay";
    /** The piece as a whole; on one of the pages its placement has a name of its own. */
    private static final Scope BAND = Scope.spot(SITE, "~band.0", true);

    private static final String BUTTONS =
            """
            () => Object.fromEntries([...document.querySelectorAll('main button')].map((button) => {
              const style = getComputedStyle(button);
              const filled = style.backgroundColor !== 'rgba(0, 0, 0, 0)';
              return [button.textContent,
                filled ? 'filled' : style.borderTopColor === 'rgba(0, 0, 0, 0)' ? 'quiet' : 'outlined'];
            }))""";

    /** A page with spots in one another: a section, an element in it that is the button itself, and a piece within a section. */
    private static String spots(String page) {
        return "<!doctype html><html lang=\"en\" data-page=\"%1$s\"><head><title>t</title></head><body><main>"
                        .formatted(page)
                + "<button>page</button><section data-spot=\"%1$s.1\"><button>1</button>".formatted(page)
                + "<p><button data-spot=\"%1$s.2\">1 2</button></p>".formatted(page)
                + "<section%s data-piece=\"band\"><button>1 3</button>"
                        .formatted(page.equals("fares") ? " data-spot=\"fares.3\"" : "")
                + "<div data-spot=\"~band.1\"><button>1 3 ~band.1</button></div></section></section></main></body></html>";
    }

    private static String name(String page, String spot) {
        return spot.startsWith("~") ? spot : page + "." + spot;
    }

    @ParameterizedTest
    @ValueSource(longs = {3, 14, 15, 92, 65})
    void everySpotShowsWhatIsChosenThere(long seed) {
        Random random = new Random(seed);
        Map<String, String> html = Map.of("fares", spots("fares"), "index", spots("index"));
        SitePlaces places = new SitePlaces(
                SITE,
                html.keySet().stream()
                        .map(page -> Spots.of(SITE, page, "page", html.get(page)))
                        .toList());
        List<Scope> scopes = new ArrayList<>(List.of(Scope.site(SITE), Scope.page(SITE, "fares")));
        places.pages().forEach(page -> page.spots().forEach(spot -> scopes.add(spot.scope())));
        assertThat(scopes).contains(BAND);
        ThemeDocument theme = theme();
        for (int i = 0; i < 9; i++) {
            Scope scope = scopes.get(random.nextInt(scopes.size()));
            theme = Choices.choose(
                            theme,
                            random.nextBoolean() ? Place.scope(scope, "scheme", "dark") : Place.scope(scope),
                            "buttons",
                            Optional.of(List.copyOf(SEEN.keySet()).get(random.nextInt(SEEN.size()))))
                    .applyTo(theme)
                    .theme();
        }
        String css = Stylesheet.compile(theme, Usage.ALL.in(places), List.of());
        try (BrowserContext context = Browsers.context(ColorScheme.LIGHT)) {
            Page page = context.newPage();
            for (SitePlaces.PagePlace one : places.pages())
                for (String scheme : List.of("light", "dark"))
                    for (String look : List.of("harbor", "market")) {
                        page.setContent(html.get(one.page())
                                .replace("<html", "<html data-scheme=" + scheme + " data-look=" + look)
                                .replace("</head>", "<style>" + css + "</style></head>"));
                        Combination seen =
                                theme.defaults().with("scheme", scheme).with("look", look);
                        Map<String, String> expected = new TreeMap<>();
                        for (String spots : List.of("page", "1", "1 2", "1 3", "1 3 ~band.1")) {
                            List<Scope> chain = new ArrayList<>(places.reaching(one));
                            if (!spots.equals("page"))
                                for (String spot : spots.split(" ")) {
                                    if (spot.equals("3")) chain.add(BAND);
                                    if (!spot.equals("3") || one.page().equals("fares"))
                                        chain.add(scope(one, name(one.page(), spot)));
                                }
                            expected.put(
                                    spots, Choices.of(theme, seen.at(chain)).get("buttons"));
                        }
                        assertThat(new TreeMap<>((Map<?, ?>) page.evaluate(BUTTONS)))
                                .as("seed %d, %s, %s, %s", seed, one.page(), scheme, look)
                                .isEqualTo(expected);
                    }
        }
    }

    private static Scope scope(SitePlaces.PagePlace page, String spot) {
        return page.spots().stream()
                .map(SitePlaces.Spot::scope)
                .filter(scope -> scope.name().equals(spot))
                .findFirst()
                .orElseThrow();
    }
}
