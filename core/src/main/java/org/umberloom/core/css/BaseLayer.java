package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.theme.Surfaces;

/**
 * The rules that dress plain semantic HTML from roles alone. A role stands in brackets: {@code [surface.text]},
 * {@code [type.h1.size]}, {@code [gap.flow]}.
 */
public final class BaseLayer {
    /** Cascade layers a rule can be in. */
    enum Layer { BASE, PARTS }

    /**
     * One rule.
     *
     * @param needs element or attribute without which the rule is left out; empty for always
     */
    record Rule(Layer layer, String needs, String selector, String declarations) {
        Set<String> roles() {
            Set<String> roles = new LinkedHashSet<>();
            Matcher matcher = ROLE.matcher(declarations);
            while (matcher.find()) roles.add(matcher.group(1));
            return roles;
        }
    }

    static final Pattern ROLE = Pattern.compile("\\[([a-z]+(?:\\.[a-z0-9-]+)+)]");
    private static final String COLUMNS = "grid-template-columns: [full-start] minmax([width.gutter], 1fr) [wide-start] "
            + "minmax(0, calc(([width.wide] - [width.content]) / 2)) [content-start] "
            + "min([width.content], calc(100% - 2 * [width.gutter])) [content-end] "
            + "minmax(0, calc(([width.wide] - [width.content]) / 2)) [wide-end] minmax([width.gutter], 1fr) [full-end]";
    private static final String BAND = "padding-inline: max([width.gutter], calc((100% - [width.wide]) / 2))";
    private static final List<String> ELEMENTS = List.of("body", "header", "main", "footer", "nav", "section", "h1", "h2",
            "h3", "h4", "h5", "h6", "p", "ul", "ol", "li", "dl", "dt", "dd", "a", "small", "strong", "em", "code", "pre",
            "hr", "blockquote", "cite", "img", "figure", "figcaption", "table", "caption", "th", "td", "button", "label",
            "input", "select", "textarea", "fieldset", "legend");
    /** What the rule needs that shows grounds: a theme that has one. */
    static final String GROUND = "[ground]";
    private static final List<String> WIDE_BANDS = List.of("header", "footer", "nav");
    private static final List<String> TEXT_BLOCKS = List.of("p", "ul", "ol", "li", "blockquote");
    static final List<Rule> RULES = rules();

    private BaseLayer() {
    }

    /** The roles that govern elements of plain HTML, by selector and by color, type, space and width; later wins. */
    public static Map<String, Map<String, String>> rolesByElement() {
        Map<String, Map<String, String>> roles = new LinkedHashMap<>();
        for (String element : ELEMENTS) {
            Map<String, String> ofElement = new LinkedHashMap<>();
            ofElement.put("color", colorRole(element));
            ofElement.put("type", typeRole(element));
            ofElement.put("space", spaceRole(element));
            ofElement.put("width", WIDE_BANDS.contains(element) ? "width.wide"
                    : TEXT_BLOCKS.contains(element) ? "width.text" : "width.content");
            roles.put(element, ofElement);
        }
        roles.put("nav a", Map.of("color", "surface.text", "type", "type.menu", "space", "gap.inset", "width", "width.wide"));
        roles.put("body > header > a:first-child",
                Map.of("color", "surface.heading", "type", "type.wordmark", "space", "gap.flow", "width", "width.wide"));
        roles.put("[data-part=lead]",
                Map.of("color", "surface.muted", "type", "type.lead", "space", "gap.flow", "width", "width.text"));
        roles.put("[data-part=button]",
                Map.of("color", "surface.accent", "type", "type.label", "space", "gap.inset", "width", "width.content"));
        roles.put("[data-part=card]",
                Map.of("color", "surface.border", "type", "type.body", "space", "gap.flow", "width", "width.content"));
        for (String state : Surfaces.STATES) {
            roles.put("[data-state=" + state + "]",
                    Map.of("color", "surface." + state, "type", "type.body", "space", "gap.flow", "width", "width.text"));
            roles.put("[data-part=notice][data-state=" + state + "]",
                    Map.of("color", "surface." + state, "type", "type.label", "space", "gap.inset", "width", "width.content"));
        }
        return roles;
    }

    private static String typeRole(String element) {
        return switch (element) {
            case "h1", "h2", "h3", "h4", "h5", "h6" -> "type." + element;
            case "small", "figcaption", "caption", "cite" -> "type.small";
            case "blockquote" -> "type.quote";
            case "button", "label", "th", "dt", "legend" -> "type.label";
            case "nav" -> "type.menu";
            case "code", "pre" -> "type.code";
            default -> "type.body";
        };
    }

    private static String colorRole(String element) {
        return switch (element) {
            case "h1", "h2", "h3", "h4", "h5", "h6", "blockquote" -> "surface.heading";
            case "a" -> "surface.link";
            case "small", "figcaption", "caption", "cite", "th", "dt" -> "surface.muted";
            case "button" -> "surface.accent";
            case "input", "select", "textarea" -> "surface.field-text";
            case "hr" -> "surface.border";
            case "body", "header", "footer", "main", "section" -> "surface.ground";
            default -> "surface.text";
        };
    }

    private static String spaceRole(String element) {
        return switch (element) {
            case "h1", "h2", "h3", "h4", "h5", "h6", "blockquote", "figure", "hr" -> "gap.block";
            case "main", "section" -> "gap.section";
            case "button", "input", "select", "textarea", "td", "th", "label" -> "gap.inset";
            default -> "gap.flow";
        };
    }

    private static List<Rule> rules() {
        List<Rule> rules = new ArrayList<>();
        base(rules, "", "*, ::before, ::after", "box-sizing: border-box");
        base(rules, "", ":root", "-webkit-text-size-adjust: 100%; text-size-adjust: 100%");
        base(rules, "", "body", "margin: 0; min-height: 100vh; background: [surface.ground]; color: [surface.text]; "
                + type("body") + "; -webkit-font-smoothing: antialiased; overflow-wrap: break-word");
        base(rules, "[data-surface]", "[data-surface]", "background: [surface.ground]; color: [surface.text]");
        base(rules, GROUND, "body, [data-surface]", GroundProperties.declarations());
        base(rules, "main", "main", "display: grid; " + COLUMNS + "; align-content: start; padding-block: [gap.section]");
        base(rules, "main", "main > *", "grid-column: content");
        base(rules, "[data-width]", "main > [data-width=\"wide\"]", "grid-column: wide");
        base(rules, "[data-width]", "main > [data-width=\"full\"]",
                "grid-column: full; display: grid; " + COLUMNS + "; padding-block: [gap.section]");
        base(rules, "[data-width]", "main > [data-width=\"full\"] > *", "grid-column: content");
        base(rules, "[data-width]", "main > [data-width=\"full\"] > [data-width=\"wide\"]", "grid-column: wide");
        base(rules, "[data-width]", "main > [data-width=\"full\"]:first-child", "margin-block-start: calc(-1 * [gap.section])");
        base(rules, "[data-width]", "main > [data-width=\"full\"]:last-child", "margin-block-end: calc(-1 * [gap.section])");
        base(rules, "[data-width]", "main > :not([data-width=\"full\"]) + [data-width=\"full\"]", "margin-block-start: [gap.block]");
        base(rules, "header", "body > header", "display: flex; flex-wrap: wrap; align-items: center; "
                + "justify-content: space-between; gap: [gap.inset] [gap.block]; padding-block: [gap.flow]; " + BAND
                + "; border-block-end: [shape.line] solid [surface.border]");
        base(rules, "header", "body > header > a:first-child", type("wordmark")
                + "; color: [surface.heading]; text-decoration: none");
        base(rules, "footer", "body > footer", "padding-block: [gap.block]; " + BAND
                + "; border-block-start: [shape.line] solid [surface.border]");
        base(rules, "nav", "nav", type("menu"));
        base(rules, "nav", "nav ul", "display: flex; flex-wrap: wrap; gap: [gap.inset] [gap.flow]; margin: 0; padding: 0; "
                + "list-style: none");
        base(rules, "nav", "nav a", "color: [surface.text]; text-decoration: none; padding-block: [gap.inset]");
        base(rules, "nav", "nav a:hover, nav a[aria-current]", "color: [surface.link]; text-decoration: underline; "
                + "text-decoration-thickness: 2px; text-underline-offset: 0.4em");
        for (int level = 1; level <= 6; level++) {
            String tag = "h" + level;
            base(rules, tag, tag, type(tag) + "; color: [surface.heading]; margin: [gap.block] 0 [gap.inset]; "
                    + "text-wrap: balance; max-inline-size: [width.content]");
        }
        base(rules, "", ":first-child", "margin-block-start: 0");
        base(rules, "p", "p", "margin: 0 0 [gap.flow]; max-inline-size: [width.text]; text-wrap: pretty");
        base(rules, "[data-part=lead]", "[data-part=\"lead\"]", type("lead") + "; color: [surface.muted]");
        base(rules, "ul", "main ul", "margin: 0 0 [gap.flow]; padding-inline-start: 1.25em; max-inline-size: [width.text]");
        base(rules, "ol", "main ol", "margin: 0 0 [gap.flow]; padding-inline-start: 1.5em; max-inline-size: [width.text]");
        base(rules, "dl", "dl", "margin: 0 0 [gap.flow]");
        base(rules, "dl", "dd", "margin: 0 0 [gap.inset]");
        base(rules, "dl", "dt", type("label") + "; color: [surface.muted]");
        base(rules, "a", "a", "color: [surface.link]; text-underline-offset: 0.15em; transition: color [motion.hover]");
        base(rules, "a", "a:where(:visited)", "color: [surface.link-visited]");
        base(rules, "a", "a:hover", "color: [surface.link-hover]");
        base(rules, "", "::selection", "background: [surface.selection]; color: [surface.on-selection]");
        base(rules, "", ":focus-visible", "outline: 2px solid [surface.focus]; outline-offset: 2px");
        base(rules, "small", "small", type("small") + "; color: [surface.muted]");
        base(rules, "strong", "strong, b", "font-weight: [type.label.weight]");
        base(rules, "code", "code", type("code"));
        base(rules, "pre", "pre", type("code") + "; overflow-x: auto; padding: [gap.flow]; border: [shape.line] solid "
                + "[surface.border]; border-radius: [shape.radius]");
        base(rules, "hr", "hr", "inline-size: 100%; margin: [gap.block] 0; border: 0; border-block-start: [shape.line] solid "
                + "[surface.border]");
        base(rules, "blockquote", "blockquote", type("quote") + "; color: [surface.heading]; margin: [gap.block] 0; "
                + "padding-inline-start: [gap.flow]; border-inline-start: 3px solid [surface.accent]; "
                + "max-inline-size: [width.text]");
        base(rules, "cite", "cite", type("small") + "; color: [surface.muted]; font-style: normal");
        base(rules, "img", "img, svg", "max-inline-size: 100%; block-size: auto; vertical-align: middle");
        base(rules, "figure", "figure", "margin: [gap.block] 0");
        base(rules, "figure", "figure img", "inline-size: 100%; border-radius: [shape.radius]");
        base(rules, "figcaption", "figcaption", type("small") + "; color: [surface.muted]; margin-block-start: [gap.inset]");

        parts(rules, "table", "table", "inline-size: 100%; border-collapse: collapse; margin: [gap.flow] 0 [gap.block]; "
                + "font-variant-numeric: tabular-nums");
        parts(rules, "caption", "caption", type("small") + "; color: [surface.muted]; text-align: start; "
                + "padding-block-end: [gap.inset]");
        parts(rules, "table", "th", type("label") + "; color: [surface.muted]; text-align: start; padding: [gap.inset]; "
                + "border-block-end: [shape.line] solid [surface.field-border]");
        parts(rules, "table", "td", "padding: [gap.inset]; border-block-end: [shape.line] solid [surface.border]; "
                + "vertical-align: baseline");
        parts(rules, "button", "button", button());
        parts(rules, "button", "button:hover", "background: [surface.accent-hover]");
        parts(rules, "[data-part=button]", "[data-part=\"button\"]", button() + "; display: inline-block; "
                + "text-decoration: none");
        parts(rules, "[data-part=button]", "[data-part=\"button\"]:hover",
                "background: [surface.accent-hover]; color: [surface.on-accent]");
        parts(rules, "label", "label", type("label") + "; display: block; margin-block-end: [gap.inset]");
        for (String field : List.of("input", "select", "textarea"))
            parts(rules, field, field, type("body") + "; color: [surface.field-text]; background: [surface.field-ground]; "
                    + "border: [shape.line] solid [surface.field-border]; border-radius: [shape.radius]; "
                    + "padding: [gap.inset]; inline-size: 100%; max-inline-size: [width.text]; accent-color: [surface.accent]");
        parts(rules, "input", "input:is([type=\"checkbox\"], [type=\"radio\"])", "inline-size: auto; margin-inline-end: "
                + "[gap.inset]");
        parts(rules, "fieldset", "fieldset", "margin: 0 0 [gap.flow]; padding: [gap.flow]; border: [shape.line] solid "
                + "[surface.border]; border-radius: [shape.radius]; max-inline-size: [width.text]");
        parts(rules, "fieldset", "legend", type("label"));
        parts(rules, "[aria-invalid]", "[aria-invalid=\"true\"]", "border-color: [surface.bad]");
        for (String state : Surfaces.STATES) {
            String selector = "[data-state=\"" + state + "\"]";
            parts(rules, "[data-state]", selector, "color: [surface." + state + "]");
            parts(rules, "[data-part=notice]", "[data-part=\"notice\"]" + selector,
                    "color: [surface.on-" + state + "]; background: [surface." + state + "]");
            parts(rules, "[data-part=notice]", "[data-part=\"notice\"]" + selector + " :focus-visible", "outline-color: [surface.on-" + state + "]");
        }
        parts(rules, "[data-part=notice]", "[data-part=\"notice\"]", type("label") + "; padding: [gap.inset] [gap.flow]; "
                + "border: [shape.line] solid transparent; border-radius: [shape.radius]; max-inline-size: none");
        parts(rules, "[data-part=notice]", "[data-part=\"notice\"] a", "color: inherit");
        parts(rules, "[data-part=band]", "body > [data-part=\"band\"]", type("small") + "; padding-block: [gap.inset]; " + BAND);
        parts(rules, "[data-part=cards]", "[data-part=\"cards\"]", "display: grid; gap: [gap.flow]; padding: 0; "
                + "list-style: none; max-inline-size: none; "
                + "grid-template-columns: repeat(auto-fit, minmax(min(100%, 15rem), 1fr))");
        parts(rules, "[data-part=card]", "[data-part=\"card\"]", "padding: [gap.flow]; border: [shape.line] solid "
                + "[surface.border]; border-radius: [shape.radius]; box-shadow: [shadow.card]");
        parts(rules, "[data-part=card]", "[data-part=\"card\"] > :last-child", "margin-block-end: 0");
        return List.copyOf(rules);
    }

    /** Its border is seen only where the reader's own colors replace the page's (CSS Color Adjust 1, forced colors). */
    private static String button() {
        return type("label") + "; color: [surface.on-accent]; background: [surface.accent]; border: [shape.line] solid transparent; "
                + "border-radius: [shape.radius]; padding: [gap.inset] [gap.flow]; cursor: pointer; "
                + "transition: background-color [motion.hover]";
    }

    private static String type(String role) {
        return "font-family: [type." + role + ".family]; font-size: [type." + role + ".size]; font-weight: [type." + role
                + ".weight]; line-height: [type." + role + ".line]; letter-spacing: [type." + role + ".spacing]";
    }

    private static void base(List<Rule> rules, String needs, String selector, String declarations) {
        rules.add(new Rule(Layer.BASE, needs, selector, declarations));
    }

    private static void parts(List<Rule> rules, String needs, String selector, String declarations) {
        rules.add(new Rule(Layer.PARTS, needs, selector, declarations));
    }
}
