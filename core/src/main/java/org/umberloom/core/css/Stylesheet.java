package org.umberloom.core.css;

import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.PartRule;
import org.umberloom.core.font.StandIn;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.limit.Recent;
import org.umberloom.core.page.PageCleaning;
import org.umberloom.core.page.Pieces;
import org.umberloom.core.page.Spots;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.OwnStyle;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ValueText;

/**
 * A theme as a stylesheet. Cascade layers in order: tokens, base, parts, site, own. Equal input gives equal bytes.
 *
 * <p>Light and dark follow the reader's system through {@code color-scheme}; the attribute {@code data-scheme} forces
 * one. Every other modifier is chosen by an attribute of its own on the root element. Colors that differ between light
 * and dark are written once, as {@code light-dark()} (CSS Color 5, section 6). A page says its kind by {@code data-kind} on
 * the root; what the theme writes for that kind stands in the layer {@code site}.
 */
public final class Stylesheet {
    /** Where pictures that surfaces stand on lie, beside the stylesheet. */
    public static final String GROUND_FOLDER = "ground/";
    /** Who asks for less motion gets none. Source: Media Queries 5, prefers-reduced-motion; WCAG 2.2, 2.3.3 with technique C39. */
    private static final String STILL = "@media (prefers-reduced-motion: reduce) {\n*, ::before, ::after {\n"
            + "  transition: none !important;\n}\n}\n";

    private static final String DATA = "data-";
    /** The attribute that names a section or an element, so that something can be written for it alone. */
    public static final String SPOT = "data-spot";
    /** What pages say of themselves in such attributes, because rules ask for it. */
    private static final Set<String> OF_PAGES = Stream.concat(
                    Arrays.stream(Scope.Level.values())
                            .map(level -> attribute(level).substring(DATA.length())),
                    Contract.standard().rules().stream()
                            .flatMap(rule -> rule.rule().selectors().stream())
                            .flatMap(selector -> selector.needs().stream())
                            .filter(need -> need.startsWith("[" + DATA))
                            .map(need -> need.substring(1 + DATA.length()).split("[=\\]]")[0]))
            .collect(Collectors.toUnmodifiableSet());

    /** Own style sheets as they are written, by what is kept. */
    private static final Recent<String> OWN = new Recent<>();

    private static final String LAYERS = "@layer tokens, base, parts, site, own;\n";

    private Stylesheet() {}

    /** The whole stylesheet for pages of that usage, of a theme whose grounds show no pictures. */
    public static String compile(ThemeDocument theme, Usage usage, List<FontFace> fonts) {
        return compile(theme, usage, fonts, Pictures.NONE);
    }

    /** The whole stylesheet for pages of that usage; pictures lie in the folder {@code ground} beside it. */
    public static String compile(ThemeDocument theme, Usage pages, List<FontFace> fonts, Pictures pictures) {
        return compile(theme, pages, fonts, pictures, combination -> Resolution.of(theme, combination));
    }

    /** The same with the theme's resolutions from wherever they are at hand, by combinations that name every modifier. */
    public static String compile(
            ThemeDocument theme,
            Usage pages,
            List<FontFace> fonts,
            Pictures pictures,
            Function<Combination, Resolution> resolutions) {
        Rules rules = Rules.of(theme, pages);
        StringBuilder css = new StringBuilder(LAYERS);
        css.append(faces(fonts));
        Stacks stacks = new Stacks(fonts.stream()
                .filter(font -> !font.standIns().isEmpty())
                .map(FontFace::family)
                .toList());
        TokenBlocks.Layers blocks = TokenBlocks.of(theme, rules.readings(), pages, pictures, stacks, resolutions);
        css.append(layer("tokens", schemes(theme) + blocks.tokens()));
        for (PartRule.Layer layer : PartRule.Layer.values()) css.append(layer(layer.css(), rules.text(layer)));
        css.append(layer("site", site(blocks)));
        css.append(ownOf(theme));
        if (rules.moves()) css.append(STILL);
        return css.toString();
    }

    /** A site's own style sheet as it follows a theme's: in the last layer, where it wins over all others. */
    public static String own(String css) {
        return layer("own", css);
    }

    /** A theme's own style sheet, also in the last layer, where a site's own wins over it (CSS Cascade 5, section 6.4.3). */
    public static String ownOf(ThemeDocument theme) {
        String css = OwnStyle.of(theme);
        return css.isEmpty() ? "" : OWN.get(css, one -> ownOfTheme(harmless(one)));
    }

    public static String ownOfTheme(String harmless) {
        return layer("own.theme", harmless);
    }

    /** What cannot be read at all, in a theme from elsewhere, is as good as none. */
    private static String harmless(String css) {
        try {
            return PageCleaning.sheet(css).text();
        } catch (IllegalArgumentException unreadable) {
            return "";
        }
    }

    /** Only the custom properties, for an interface that has rules of its own; roles as {@code surface.text}. */
    public static String properties(ThemeDocument theme, Collection<String> roles, List<FontFace> fonts) {
        StringBuilder css = new StringBuilder();
        css.append(faces(fonts));
        TokenBlocks.Layers blocks = TokenBlocks.of(
                theme,
                roles,
                Usage.ALL,
                Pictures.NONE,
                new Stacks(List.of()),
                combination -> Resolution.of(theme, combination));
        return css.append(layer("tokens", schemes(theme) + blocks.tokens()))
                .append(layer("site", site(blocks)))
                .toString();
    }

    /**
     * What elements that are put on other surfaces say comes after what those surfaces say on whole pages, and what spots say after
     * that, however much their selectors ask.
     */
    private static String site(TokenBlocks.Layers blocks) {
        TokenBlocks.PutOnLayers putOn = blocks.putOn();
        if (putOn.isEmpty()
                && blocks.within().isEmpty()
                && (blocks.site().isEmpty() || blocks.spots().isEmpty())) return blocks.site() + blocks.spots();
        return layer("pages", blocks.site())
                + layer("within", blocks.within())
                + layer("standing", layer("all", putOn.tokens()) + layer("pages", putOn.site()))
                + layer("spots", blocks.spots());
    }

    static List<String> furtherSurfaces(Resolution resolution) {
        return Surfaces.names(resolution).stream()
                .filter(surface -> !surface.equals(Surfaces.PAGE))
                .toList();
    }

    /** Which schemes a page can be seen in, and which one it is forced to. */
    private static String schemes(ThemeDocument theme) {
        return Meaning.scheme(theme)
                .map(scheme -> {
                    String attribute = attribute(scheme.modifier());
                    return ":root { color-scheme: light dark; }\n"
                            + "[" + attribute + "=" + CssEscape.string(scheme.light()) + "] { color-scheme: light; }\n"
                            + "[" + attribute + "=" + CssEscape.string(scheme.dark()) + "] { color-scheme: dark; }\n";
                })
                .orElse("");
    }

    /** The attribute that says at which scope a page stands, on its root, or which spot an element is. */
    public static String attribute(Scope.Level level) {
        return switch (level) {
            case KIND, SITE_KIND -> DATA + "kind";
            case SITE -> DATA + "site";
            case PAGE -> DATA + "page";
            case SECTION, ELEMENT -> SPOT;
        };
    }

    /** What selects a root, or a spot, at a scope; of a piece as a whole, those placements that say nothing for themselves alone. */
    public static String selector(Scope scope) {
        Optional<String> piece = scope.level().isSpot() ? Spots.wholePiece(scope.name()) : Optional.empty();
        if (piece.isPresent())
            return "[" + Pieces.PLACED + "=" + CssEscape.string(piece.get()) + "]:not([" + SPOT + "])";
        return "[" + attribute(scope.level()) + "=" + CssEscape.string(scope.name()) + "]";
    }

    /** What selects a section that names a surface. */
    static String surface(String name) {
        return "[data-surface=" + CssEscape.string(name) + "]";
    }

    /** The same as pages are asked for what they use. */
    static String need(Scope scope) {
        return "[" + attribute(scope.level()) + "=" + scope.name() + "]";
    }

    /**
     * The attribute of the root element that chooses a modifier's context: {@code data-look}. Two modifiers never have the
     * same: HTML knows no capitals in attributes, so they are written by their codes, and so is what pages use themselves.
     */
    public static String attribute(String modifier) {
        boolean taken = OF_PAGES.contains(modifier) || modifier.startsWith("choice-");
        StringBuilder name = new StringBuilder(taken ? DATA + "_" : DATA);
        modifier.codePoints().forEach(c -> {
            if (c >= 'a' && c <= 'z' || c >= '0' && c <= '9' || c == '-') name.appendCodePoint(c);
            else name.append('_').append(Integer.toHexString(c)).append('_');
        });
        return name.toString();
    }

    /** The attribute by which a live page's root, and all that lies in a spot, says what is chosen: {@code data-choice-links}. */
    public static String choiceAttribute(String choice) {
        return DATA + "choice-" + choice;
    }

    /** What is chosen other than around it, by the attributes that say it. */
    public static Map<String, String> choosing(Map<String, String> chosen, Map<String, String> around) {
        Map<String, String> attributes = new LinkedHashMap<>();
        chosen.forEach((choice, value) -> {
            if (!value.equals(around.get(choice))) attributes.put(choiceAttribute(choice), value);
        });
        return attributes;
    }

    private static String layer(String name, String content) {
        return content.isEmpty() ? "" : "@layer " + name + " {\n" + content + "}\n";
    }

    /** Only the font faces. */
    public static String faces(List<FontFace> fonts) {
        return fonts.stream().map(Stylesheet::fontFace).collect(Collectors.joining());
    }

    private static String fontFace(FontFace font) {
        StringBuilder css = new StringBuilder("@font-face {\n  font-family: " + CssText.family(font.family())
                + ";\n  font-style: " + font.style() + ";\n  font-weight: " + font.weights()
                + ";\n  font-display: swap;\n  src: url(\"" + font.url() + "\") format(\"woff2\");\n");
        if (!font.stretch().isEmpty())
            css.append("  font-stretch: ").append(font.stretch()).append(";\n");
        if (!font.characters().isEmpty())
            css.append("  unicode-range: ").append(font.characters()).append(";\n");
        css.append("}\n");
        for (StandIn standIn : font.standIns()) css.append(fontFace(font, standIn));
        return css.toString();
    }

    /** A font of the device in the room of the one that loads. Source: CSS Fonts 5, section 2. */
    private static String fontFace(FontFace font, StandIn standIn) {
        return "@font-face {\n  font-family: " + CssText.family(FontFace.standIn(font.family())) + ";\n  font-weight: "
                + standIn.weights() + ";\n  src: "
                + standIn.local().stream()
                        .map(name -> "local(" + CssEscape.string(name) + ")")
                        .collect(Collectors.joining(", "))
                + ";\n  size-adjust: " + percent(standIn.size()) + ";\n  ascent-override: " + percent(standIn.ascent())
                + ";\n  descent-override: " + percent(standIn.descent()) + ";\n  line-gap-override: "
                + percent(standIn.gap()) + ";\n}\n";
    }

    private static String percent(double number) {
        return ValueText.number(number, 2) + "%";
    }
}
