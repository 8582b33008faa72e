package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.color.Color;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.page.Spots;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.RandomThemes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;

/**
 * Values at random places of a site, from all its pages to one element, under random contexts: at every spot Chromium computes
 * what the resolver says, for every color and length, in every look; also for text that has no rule of its own.
 */
class PlacesOfTheBrowserTest {
    private static final String SITE = "quay";
    private static final int VIEWPORT = 1280;
    private static final int EDITS = 60;
    private static final int MOST_LOOKS = 16;
    private static final List<String> STANDING = List.of("header-surface", "card-surface");
    private static final List<String> SURFACES = List.of("page", "tint", "deep", "accent");
    private static final String READ =
            """
            (attributes) => {
              const root = document.documentElement;
              for (const name of root.getAttributeNames()) if (name.startsWith('data-')) root.removeAttribute(name);
              for (const [name, value] of Object.entries(attributes)) root.setAttribute(name, value);
              return Object.fromEntries([...document.querySelectorAll('[data-probe]')].map((e) =>
                [e.dataset.probe, getComputedStyle(e)[e.dataset.property]]));
            }""";

    /**
     * Where something is read: which spots lie around it, which surface it stands on by its markup, and by which choice it is put on
     * another.
     */
    private record Region(String id, List<String> spots, String surface, String choice) {
        String surface(ThemeDocument theme, Combination at) {
            return choice.isEmpty()
                    ? surface
                    : Contract.standard()
                            .choices()
                            .get(choice)
                            .surface(Choices.of(theme, at).get(choice))
                            .orElse(surface);
        }
    }

    private final List<Region> regions = new ArrayList<>();
    private final Map<String, Role> probed = new LinkedHashMap<>();

    @ParameterizedTest
    @ValueSource(longs = {2, 71, 82, 81, 84, 59, 45, 90})
    void chromiumComputesAtEverySpotWhatTheResolverSays(long seed) {
        Random random = new Random(seed);
        ThemeDocument bare = new RandomThemes(seed).theme();
        Map<String, String> kinds = Map.of("index", "landing", "fares", "article");
        Map<String, String> markup = new TreeMap<>();
        kinds.keySet().forEach(page -> markup.put(page, markup(page)));
        SitePlaces places = new SitePlaces(
                SITE,
                markup.entrySet().stream()
                        .map(page -> Spots.of(SITE, page.getKey(), kinds.get(page.getKey()), page.getValue()))
                        .toList());
        ThemeDocument theme = written(bare, random, places);
        String css = Stylesheet.compile(theme, Usage.ALL.in(places), List.of());
        int checks = 0;
        try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
            page.setViewportSize(VIEWPORT, 800);
            for (String slug : markup.keySet()) {
                page.setContent(markup.get(slug).replace("<head>", "<head><style>" + css + "</style>"));
                for (Combination look : theme.combinations(MOST_LOOKS))
                    checks += compare(page, slug, kinds.get(slug), look, theme, "seed " + seed + ", " + slug);
            }
        }
        assertThat(checks).isGreaterThan(2_000);
    }

    private static ThemeDocument written(ThemeDocument bare, Random random, SitePlaces places) {
        ThemeDocument theme = bare;
        List<Scope> scopes = new ArrayList<>(List.of(
                Scope.kind("landing"),
                Scope.kind("article"),
                Scope.site(SITE),
                Scope.kindIn(SITE, "article"),
                Scope.page(SITE, "fares")));
        places.pages().forEach(page -> page.spots().forEach(spot -> scopes.add(spot.scope())));
        assertThat(scopes).contains(Scope.spot(SITE, "~band.0", true));
        List<Role> roles = Contract.standard().roles().values().stream()
                .filter(role -> role.type() == TokenType.COLOR || role.type() == TokenType.DIMENSION)
                .toList();
        List<TokenPath> shades = new ArrayList<>();
        bare.places().forEach(place -> bare.at(place).forEachToken((path, token, type) -> {
            if (path.dotted().startsWith("color.brand.")) shades.add(path);
        }));
        for (int i = 0; i < EDITS; i++) {
            Scope scope = scopes.get(random.nextInt(scopes.size()));
            Place place = Place.scope(scope);
            if (random.nextInt(3) == 0) {
                String modifier = List.copyOf(theme.modifiers().keySet())
                        .get(random.nextInt(theme.modifiers().size()));
                List<String> contexts =
                        List.copyOf(theme.modifier(modifier).contexts().keySet());
                place = Place.scope(scope, modifier, contexts.get(random.nextInt(contexts.size())));
            }
            TokenValue color = new ColorValue(Color.rgb(random.nextInt(256), random.nextInt(256), random.nextInt(256)));
            Role role = roles.get(random.nextInt(roles.size()));
            TokenPath path = TokenPath.of(role.on(SURFACES.get(random.nextInt(SURFACES.size()))));
            TokenValue value = role.type() == TokenType.DIMENSION ? DimensionValue.px(random.nextInt(400)) : color;
            // A shade that roles refer to has another value here, and so have all of them.
            if (random.nextInt(4) == 0) {
                path = shades.get(random.nextInt(shades.size()));
                value = color;
            } else if (role.type() == TokenType.COLOR && random.nextBoolean())
                value = new Alias(shades.get(random.nextInt(shades.size())));
            theme = new Edit.SetValue(place, path, value).applyTo(theme).theme();
            if (i % 6 == 0 && !scope.level().isSpot()) theme = chosen(theme, place, random);
        }
        return chosen(theme, Place.scope(Scope.kind("article")), random);
    }

    /** Some part on some surface. */
    private static ThemeDocument chosen(ThemeDocument theme, Place place, Random random) {
        Choice choice = Contract.standard().choices().get(STANDING.get(random.nextInt(STANDING.size())));
        List<String> values = Choices.valuesOf(theme, choice);
        return Choices.choose(theme, place, choice.name(), Optional.of(values.get(random.nextInt(values.size()))))
                .applyTo(theme)
                .theme();
    }

    private String markup(String page) {
        regions.removeIf(region -> region.id.startsWith(page));
        StringBuilder html = new StringBuilder("<!doctype html><html lang=\"en\"><head><title>t</title></head><body>");
        region(html, page, List.of(), "page");
        html.append("<header data-surface=\"tint\">");
        region(html, page, List.of(), "tint", "header-surface");
        html.append(open(page, 6, "p", ""));
        region(html, page, List.of("6"), "tint", "header-surface");
        html.append("</p></header>");
        html.append(open(page, 1, "section", ""));
        region(html, page, List.of("1"), "page");
        html.append("<div data-surface=\"deep\">");
        region(html, page, List.of("1"), "deep");
        html.append(open(page, 2, "section", "tint"));
        region(html, page, List.of("1", "2"), "tint");
        html.append("<div data-part=\"card\">");
        region(html, page, List.of("1", "2"), "tint", "card-surface");
        html.append("</div>").append(open(page, 7, "div", "deep").replace(">", " data-part=\"card\">"));
        region(html, page, List.of("1", "2", "7"), "deep", "card-surface");
        html.append("</div>").append(open(page, 3, "p", ""));
        region(html, page, List.of("1", "2", "3"), "tint");
        html.append("<b data-surface=\"tint\">");
        region(html, page, List.of("1", "2", "3"), "tint");
        html.append("</b></p><div data-surface=\"accent\">");
        region(html, page, List.of("1", "2"), "accent");
        html.append(open(page, 4, "div", "deep"));
        region(html, page, List.of("1", "2", "4"), "deep");
        // A placement of a piece, on one page with a name of its own; those within are the same on every page.
        boolean own = page.equals("index");
        html.append("</div></div>")
                .append((own ? open(page, 5, "aside", "") : "<aside>").replace(">", " data-piece=\"band\">"));
        List<String> band = own ? List.of("1", "2", "~band.0", "5") : List.of("1", "2", "~band.0");
        region(html, page, band, "tint");
        html.append(open("~band", 1, "div", "tint"));
        region(html, page, and(band, "~band.1"), "tint");
        html.append(open("~band", 2, "div", ""));
        region(html, page, and(and(band, "~band.1"), "~band.2"), "tint");
        html.append("</div></div></aside><div><div>");
        return html.append("</div></div></section></div></section></body></html>")
                .toString();
    }

    private static List<String> and(List<String> spots, String narrower) {
        return Stream.concat(spots.stream(), Stream.of(narrower)).toList();
    }

    private static String open(String page, int spot, String tag, String surface) {
        return "<" + tag + " " + Spots.NAME + "=\"" + page + "." + spot + "\""
                + (surface.isEmpty() ? "" : " data-surface=\"" + surface + "\"") + ">";
    }

    private void region(StringBuilder html, String page, List<String> spots, String surface) {
        region(html, page, spots, surface, "");
    }

    private void region(StringBuilder html, String page, List<String> spots, String surface, String choice) {
        Region region = new Region(
                page + regions.size(),
                spots.stream()
                        .map(spot -> spot.contains(".") ? spot : page + "." + spot)
                        .toList(),
                surface,
                choice);
        regions.add(region);
        for (Role role : Contract.standard().roles().values()) {
            if (role.type() != TokenType.COLOR && role.type() != TokenType.DIMENSION) continue;
            String property = role.type() == TokenType.COLOR ? "color" : "width";
            String probe = region.id + " " + role.path();
            probed.put(probe, role);
            html.append("<i data-probe=\"" + probe + "\" data-property=\"" + property
                    + "\" style=\"display:block;flex:none;max-inline-size:none;" + property + ":var("
                    + CustomProperties.nameOf(role.general()) + ")\">x</i>");
        }
        String handed = region.id + " handed down";
        probed.put(handed, Contract.standard().ofReading("surface.text").orElseThrow());
        html.append("<i data-probe=\"" + handed + "\" data-property=\"color\">x</i>");
    }

    private static boolean isSection(String spot) {
        return spot.startsWith("~") ? !spot.endsWith(".2") : !spot.endsWith(".3") && !spot.endsWith(".6");
    }

    private int compare(Page page, String slug, String kind, Combination look, ThemeDocument theme, String where) {
        Map<String, String> attributes = new LinkedHashMap<>();
        look.contexts().forEach((modifier, context) -> attributes.put(Stylesheet.attribute(modifier), context));
        attributes.put(Stylesheet.attribute(Scope.Level.KIND), kind);
        attributes.put(Stylesheet.attribute(Scope.Level.PAGE), slug);
        @SuppressWarnings("unchecked")
        Map<String, String> actual = (Map<String, String>) page.evaluate(READ, attributes);
        int checks = 0;
        for (Region region : regions) {
            if (!region.id.startsWith(slug)) continue;
            List<Scope> chain = new ArrayList<>(SitePlaces.reaching(SITE, slug, kind));
            region.spots.forEach(spot -> chain.add(Scope.spot(SITE, spot, isSection(spot))));
            Combination at = look.at(chain).completedFor(theme);
            Worn worn = Worn.of(Resolution.of(theme, at));
            String surface = region.surface(theme, at);
            if (!worn.surfaces().contains(surface)) continue;
            for (Map.Entry<String, Role> probe : probed.entrySet()) {
                if (!probe.getKey().startsWith(region.id + " ")) continue;
                TokenValue expected =
                        worn.find(probe.getValue().on(surface)).orElseThrow().value();
                String as = probe.getKey() + " on " + surface + ", " + where + " in " + at.key();
                Computed.assertIs(actual.get(probe.getKey()), expected, VIEWPORT, as);
                checks++;
            }
        }
        return checks;
    }
}
