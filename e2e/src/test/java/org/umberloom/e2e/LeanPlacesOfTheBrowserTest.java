package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.SiteJson;
import org.umberloom.core.json.Json;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.page.Spots;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdit;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.SitePart;
import org.umberloom.core.site.Strays;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/**
 * What the places of the demo's sites add to a style sheet holds nothing that could be left out. What a person writes where
 * nothing reads it is not looked for: the demo has no such place.
 */
class LeanPlacesOfTheBrowserTest {
    private static final Path DEMO = Loom.HOME.resolve("demo");
    /**
     * Takes each declaration of the layer away, one at a time, and says which of them make a difference to some element; those of
     * which that is known are left alone.
     */
    private static final String MATTERING =
            """
            (known) => {
              const seen = new Set(known);
              const PROPERTIES = ['color', 'background-color', 'background-image',
                'background-position', 'background-size', 'background-repeat', 'background-blend-mode',
                'border-top-color', 'border-inline-start-color',
                'outline-color', 'font-family', 'font-size', 'font-weight', 'line-height', 'letter-spacing', 'margin-top', 'margin-bottom',
                'margin-inline-start', 'padding-top', 'padding-inline-start', 'row-gap', 'column-gap', 'width', 'height',
                'max-inline-size', 'border-radius', 'border-top-width', 'box-shadow', 'text-decoration-line', 'transition-duration'];
              const elements = [...document.querySelectorAll('*')];
              const look = (e) => {
                const style = getComputedStyle(e);
                return PROPERTIES.map((p) => style.getPropertyValue(p)).join();
              };
              const before = elements.map(look);
              const found = [];
              const walk = (rules, path) => [...rules].forEach((rule, i) => {
                const at = path + '/' + i;
                if (rule.cssRules?.length) walk(rule.cssRules, at);
                if (!rule.style) return;
                for (const name of [...rule.style]) {
                  const said = at + ' ' + rule.selectorText + ' ' + name;
                  if (seen.has(said)) continue;
                  const value = rule.style.getPropertyValue(name);
                  rule.style.removeProperty(name);
                  found.push([said, elements.some((e, i) => look(e) !== before[i])]);
                  rule.style.setProperty(name, value);
                }
              });
              for (const sheet of document.styleSheets)
                for (const rule of sheet.cssRules)
                  if (rule instanceof CSSLayerBlockRule && rule.name === 'site') walk(rule.cssRules, '');
              return found.map(([name, matters]) => (matters ? '+' : '-') + name);
            }""";

    /** Custom properties that rules read for states. */
    private static final Set<String> IN_STATES = Contract.standard().rules().stream()
            .filter(rule -> rule.rule().selectors().stream()
                    .anyMatch(selector -> !selector.states().isEmpty()))
            .flatMap(rule -> rule.readings().stream())
            .map(CustomProperties::nameOf)
            .collect(Collectors.toSet());

    /** What eases from one value to another shows no difference at first. */
    private static final String STILL = "<style>* { transition: none !important; }</style>";

    /** A site of the demo with what it writes, and two spots of its front page with something of their own. */
    private static SiteDocument site(String slug) {
        Map<String, Object> plan = Json.readObject("demo", Demo.read(DEMO.resolve("demo.json")));
        Map<String, Object> said = Json.list(
                        "sites",
                        Json.object(
                                        "theme",
                                        Json.list("themes", plan.get("themes")).get(0))
                                .get("sites"))
                .stream()
                .map(one -> Json.object("site", one))
                .filter(one -> one.get("slug").equals(slug))
                .findFirst()
                .orElseThrow();
        List<SitePage> pages = new ArrayList<>();
        for (Object one : Json.list("pages", said.get("pages"))) {
            Map<String, Object> page = Json.object("page", one);
            String name = (String) page.get("slug");
            pages.add(new SitePage(
                    name,
                    (String) page.get("title"),
                    (String) page.get("kind"),
                    Demo.read(DEMO.resolve("sites").resolve(slug).resolve(name + ".html"))));
        }
        Map<String, String> parts = new LinkedHashMap<>(SiteJson.write(SiteDocument.of(slug, slug, pages)));
        if (said.containsKey("written"))
            Json.object("written", said.get("written"))
                    .forEach((place, tokens) -> parts.put("at/" + place, Json.writeCompact(tokens)));
        SiteDocument strayed = SiteJson.read(slug, parts);
        // A value written by hand hides what a place says.
        SiteDocument site =
                Strays.returned(strayed, Strays.in(strayed)).applyTo(strayed).site();
        SitePage front = site.page("index");
        String section = Spots.nameAt(front.html(), "index", place(front, "section"));
        String heading = Spots.nameAt(front.html(), "index", place(front, "h2"));
        String named = Spots.named(Spots.named(front.html(), section), heading);
        return new SiteEdit(
                        "spots",
                        List.of(
                                new SitePart.Page("index", java.util.Optional.of(front.withHtml(named))),
                                new SitePart.Written(
                                        Place.scope(Scope.spot(slug, section, true)),
                                        Group.EMPTY
                                                .with(
                                                        TokenPath.of("width.text"),
                                                        new Token(
                                                                DimensionValue.px(300),
                                                                Meta.typed(TokenType.DIMENSION)))
                                                .with(
                                                        TokenPath.of("surface.deep.heading"),
                                                        new Token(
                                                                new Alias(TokenPath.of("color.sand.60")),
                                                                Meta.typed(TokenType.COLOR)))),
                                new SitePart.Written(
                                        Place.scope(Scope.spot(slug, heading, false)),
                                        Group.EMPTY.with(
                                                TokenPath.of("surface.page.heading"),
                                                new Token(
                                                        new Alias(TokenPath.of("color.lantern.80")),
                                                        Meta.typed(TokenType.COLOR))))))
                .applyTo(site)
                .site();
    }

    private static int place(SitePage page, String tag) {
        List<org.jsoup.nodes.Element> all =
                org.jsoup.Jsoup.parse(page.html()).body().getAllElements();
        for (int i = 0; i < all.size(); i++) if (all.get(i).normalName().equals(tag)) return i;
        throw new IllegalStateException(page.slug() + " has no <" + tag + ">");
    }

    @ParameterizedTest
    @ValueSource(strings = {"freight", "galley", "trust", "winter", "crew"})
    void everyDeclarationChangesSomething(String slug) {
        ThemeDocument theme = Demo.theme();
        SiteDocument site = site(slug);
        SitePlaces places = site.places();
        List<String> markup = site.pages().stream()
                .map(page -> page.html()
                        .replace(
                                "<html ", "<html data-kind=\"" + page.kind() + "\" data-page=\"" + page.slug() + "\" "))
                .toList();
        PageUse use = PageUse.of(markup);
        String css =
                Stylesheet.compile(theme.worn(site.written()), Usage.of(use).in(places), List.of());
        TreeSet<String> idle = new TreeSet<>();
        TreeSet<String> mattering = new TreeSet<>();
        try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
            page.setViewportSize(1280, 800);
            for (String html : markup)
                for (Combination look : theme.combinations(12)) {
                    StringBuilder root = new StringBuilder();
                    look.contexts()
                            .forEach((modifier, context) ->
                                    root.append(Stylesheet.attribute(modifier) + "=\"" + context + "\" "));
                    // A page that says its look and leaves light and dark to the reader.
                    String open = root.toString().replaceAll("data-scheme=\"[^\"]*\" ", "");
                    for (String attributes : List.of(root.toString(), "", open))
                        for (ColorScheme scheme : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
                            if (attributes.isEmpty() != look.equals(theme.defaults())) continue;
                            if (attributes.equals(open) && !root.toString().contains("data-scheme=\"dark\"")) continue;
                            page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
                            page.setContent(html.replace("<html ", "<html " + attributes)
                                    .replace(
                                            "<link rel=\"stylesheet\" href=\"theme.css\">",
                                            STILL + "<style>" + css + "</style>"));
                            @SuppressWarnings("unchecked")
                            List<String> found = (List<String>) page.evaluate(MATTERING, List.copyOf(mattering));
                            found.forEach(one -> (one.startsWith("+") ? mattering : idle).add(one.substring(1)));
                        }
                }
        }
        idle.removeAll(mattering);
        // A ground says all of its lists, those among them that are as usual.
        idle.removeIf(one -> one.endsWith("--ground-blend") || one.endsWith("--ground-repeat"));
        // What is seen only where something is pointed at, reached or chosen is not looked for.
        idle.removeIf(one -> IN_STATES.contains(one.substring(one.lastIndexOf(' ') + 1)));
        assertThat(mattering).isNotEmpty();
        assertThat(idle)
                .as("what could be left out of\n%s", css.substring(css.indexOf("@layer site {")))
                .isEmpty();
    }
}
