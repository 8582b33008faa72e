package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Color;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Member;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.space.PageWidths;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.CubicBezierValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.DurationValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.ShadowListValue;
import org.umberloom.core.token.ShadowValue;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TransitionValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;

/**
 * The compiled stylesheet, loaded in Chromium, against the core's own results: every surface role, text style, length
 * and width, at five viewports, in both schemes, chosen by the system and forced by the page, in every look and density.
 */
class ComputedStyleTest {
    private static final List<Integer> VIEWPORTS = List.of(320, 390, 768, 1280, 1920);
    /** Lengths are written with four decimals of a rem and five of a vw; layout rounds to 1/64 px. */
    private static final double PX_TOLERANCE = 0.05;

    @Test
    void chromiumComputesWhatTheCoreComputes() {
        ThemeDocument demo = Demo.theme();
        int checks = 0;
        for (ThemeDocument theme : List.of(demo, Starter.ALL.get(3).theme("Satin")))
            for (ColorScheme system : List.of(ColorScheme.LIGHT, ColorScheme.DARK))
                for (String forced : List.of("", "light", "dark"))
                    checks += compare(theme, system, forced, theme.defaults());
        for (String look : List.of("passage", "freight", "heritage"))
            for (String density : List.of("roomy", "compact")) {
                Combination combination = demo.defaults().with("look", look).with("density", density);
                checks += compare(demo, ColorScheme.DARK, "", combination)
                        + compare(demo, ColorScheme.LIGHT, "", combination)
                        + compare(demo, ColorScheme.LIGHT, "dark", combination);
            }
        assertThat(checks).isGreaterThan(15_000);
    }

    private int compare(ThemeDocument theme, ColorScheme system, String forced, Combination combination) {
        String scheme = !forced.isEmpty() ? forced : system == ColorScheme.DARK ? "dark" : "light";
        Resolution resolution = Resolution.of(theme, combination.with("scheme", scheme));
        int checks = 0;
        try (BrowserContext context = Browsers.context(system)) {
            Page page = context.newPage();
            Map<String, TokenValue> expected = new LinkedHashMap<>();
            page.setContent(html(theme, resolution, attributes(combination, forced), expected));
            for (int viewport : VIEWPORTS) {
                page.setViewportSize(viewport, 900);
                @SuppressWarnings("unchecked")
                Map<String, Object> actual = (Map<String, Object>)
                        page.evaluate(
                                """
                        () => Object.fromEntries([...document.querySelectorAll('[data-probe]')].map((e) =>
                          [e.dataset.probe, getComputedStyle(e)[e.dataset.property]]))""");
                assertThat(actual.keySet()).isEqualTo(expected.keySet());
                for (Map.Entry<String, TokenValue> entry : expected.entrySet()) {
                    String where = entry.getKey() + " of " + theme.name() + " at " + viewport + " in " + scheme;
                    compare(
                            where,
                            entry.getKey(),
                            entry.getValue(),
                            (String) actual.get(entry.getKey()),
                            resolution,
                            viewport);
                    checks++;
                }
                checks += compareWidths(page, resolution, viewport);
            }
        }
        return checks;
    }

    /** The contexts of the root element; the scheme only where the page forces one. */
    private static String attributes(Combination combination, String forced) {
        StringBuilder attributes = new StringBuilder();
        combination.contexts().forEach((modifier, context) -> {
            if (!modifier.equals("scheme"))
                attributes
                        .append(" data-")
                        .append(modifier)
                        .append("=\"")
                        .append(context)
                        .append('"');
        });
        return forced.isEmpty() ? attributes.toString() : attributes + " data-scheme=\"" + forced + "\"";
    }

    /** A page with one element for each property that the base layer reads, on every surface, and real elements. */
    private static String html(
            ThemeDocument theme, Resolution resolution, String attributes, Map<String, TokenValue> expected) {
        StringBuilder probes = new StringBuilder();
        Worn worn = Worn.of(resolution);
        for (String role : Contract.standard().readings()) {
            // What a style need not say has a test of its own.
            if (Member.isManner(role)) continue;
            String property = CustomProperties.nameOf(role);
            if (role.startsWith("surface.")) {
                for (String surface : worn.surfaces()) {
                    TokenValue value = worn.find(Surfaces.path(surface, role.substring(8)))
                            .orElseThrow()
                            .value();
                    String in = surface.equals("page") ? "" : " data-surface=\"" + surface + "\"";
                    probes.append("<div").append(in).append(">");
                    probe(probes, surface + " " + role, "color", property);
                    probes.append("</div>");
                    expected.put(surface + " " + role, value);
                }
                continue;
            }
            if (role.startsWith("type.")) {
                String member = role.substring(role.lastIndexOf('.') + 1);
                TypographyValue style = style(worn, role.substring(0, role.lastIndexOf('.')));
                expected.put(role, member(style, member));
                probe(probes, role, cssProperty(member), property);
                continue;
            }
            expected.put(role, worn.find(role).orElseThrow().value());
            probe(
                    probes,
                    role,
                    role.startsWith("shadow.") ? "box-shadow" : role.startsWith("motion.") ? "transition" : "width",
                    property);
        }
        for (String tag : List.of("h1", "h2", "h3", "h4", "h5", "h6", "small", "blockquote", "code", "p")) {
            String role =
                    switch (tag) {
                        case "blockquote" -> "quote";
                        case "p" -> "body";
                        default -> tag;
                    };
            TypographyValue style = style(worn, "type." + role);
            for (String member : List.of("size", "weight", "family")) {
                String key = "<" + tag + "> " + member;
                probes.append("<")
                        .append(tag)
                        .append(" data-probe=\"")
                        .append(key.replace("<", "&lt;"))
                        .append("\" data-property=\"")
                        .append(camel(cssProperty(member)))
                        .append("\">x</")
                        .append(tag)
                        .append(">");
                expected.put(key, member(style, member));
            }
        }
        return "<!doctype html><html lang=\"en\"" + attributes
                + "><head><title>t</title><style>" + Stylesheet.compile(theme, Usage.ALL, List.of())
                + "</style></head><body><main><p id=\"text\">" + "word ".repeat(200)
                + "</p><div id=\"content\">x</div><div id=\"wide\" data-width=\"wide\">x</div><div id=\"full\" data-width=\"full\">"
                + "<p>x</p></div></main>" + probes + "</body></html>";
    }

    private static TypographyValue style(Worn worn, String role) {
        return (TypographyValue) worn.find(role).orElseThrow().value();
    }

    private static void probe(StringBuilder html, String key, String cssProperty, String property) {
        html.append("<i data-probe=\"")
                .append(key)
                .append("\" data-property=\"")
                .append(camel(cssProperty))
                .append("\" style=\"display:block;font-size:10px;")
                .append(cssProperty)
                .append(":")
                .append(cssProperty.equals("transition") ? "color " : "")
                .append("var(")
                .append(property)
                .append(")\">x</i>");
    }

    private static TokenValue member(TypographyValue style, String member) {
        return switch (member) {
            case "family" -> style.fontFamily();
            case "size" -> style.fontSize();
            case "weight" -> style.fontWeight();
            case "spacing" -> style.letterSpacing();
            default -> style.lineHeight();
        };
    }

    private static String cssProperty(String member) {
        return switch (member) {
            case "family" -> "font-family";
            case "size" -> "font-size";
            case "weight" -> "font-weight";
            case "spacing" -> "letter-spacing";
            default -> "line-height";
        };
    }

    private static String camel(String css) {
        int dash = css.indexOf('-');
        return dash < 0
                ? css
                : css.substring(0, dash) + Character.toUpperCase(css.charAt(dash + 1)) + css.substring(dash + 2);
    }

    private static void compare(
            String where, String key, TokenValue expected, String actual, Resolution resolution, int viewport) {
        if (expected instanceof ShadowValue || expected instanceof ShadowListValue) {
            assertThat(actual).as(where).isEqualTo(shadow(expected));
        } else if (expected instanceof TransitionValue change) {
            double seconds = seconds((DurationValue) change.duration());
            CubicBezierValue curve = (CubicBezierValue) change.timingFunction();
            // Chromium leaves a duration of nothing out.
            assertThat(actual)
                    .as(where)
                    .startsWith(seconds > 0 ? "color " + number(seconds) + "s" : "color")
                    .doesNotContain("all");
            if (seconds > 0)
                assertThat(actual)
                        .as(where)
                        .contains("cubic-bezier(" + number(curve.x1()) + ", " + number(curve.y1()) + ", "
                                + number(curve.x2()) + ", " + number(curve.y2()) + ")");
        } else if (expected instanceof ColorValue color) {
            Color rgb = color.color().toSrgb8();
            assertThat(actual)
                    .as(where)
                    .isEqualTo("rgb(" + Math.round(rgb.c1() * 255) + ", " + Math.round(rgb.c2() * 255) + ", "
                            + Math.round(rgb.c3() * 255) + ")");
        } else if (expected instanceof FontFamilyValue families) {
            assertThat(actual.replace("\"", "")).as(where).isEqualTo(String.join(", ", families.families()));
        } else if (expected instanceof FontWeightValue weight) {
            assertThat(Double.parseDouble(actual)).as(where).isEqualTo(weight.weight());
        } else if (expected instanceof NumberValue number) {
            // A line height without a unit is multiplied with the probe's own 10 px.
            assertThat(pixels(actual)).as(where).isCloseTo(number.number() * 10, within(PX_TOLERANCE));
        } else {
            double px =
                    expected instanceof FluidValue fluid ? fluid.pxAt(viewport) : ((DimensionValue) expected).toPx();
            assertThat(pixels(actual)).as(where).isCloseTo(px, within(PX_TOLERANCE));
        }
    }

    private static double pixels(String css) {
        return css.equals("normal") ? 0 : Double.parseDouble(css.replace("px", ""));
    }

    private static int compareWidths(Page page, Resolution resolution, int viewport) {
        PageWidths.Bands bands = new PageWidths(
                        px(resolution, "text"),
                        px(resolution, "content"),
                        px(resolution, "wide"),
                        resolution.find("width.gutter").orElseThrow().value())
                .at(clientWidth(page));
        assertThat(width(page, "#content")).as("content at %d", viewport).isCloseTo(bands.content(), within(0.2));
        assertThat(width(page, "#wide")).as("wide at %d", viewport).isCloseTo(bands.wide(), within(0.2));
        assertThat(width(page, "#text")).as("text at %d", viewport).isCloseTo(bands.text(), within(0.2));
        assertThat(width(page, "#full")).as("full at %d", viewport).isCloseTo(bands.viewport(), within(0.2));
        assertThat(width(page, "#full > p"))
                .as("text inside full at %d", viewport)
                .isCloseTo(bands.text(), within(0.2));
        return 5;
    }

    /** As Chromium writes it: color first, then four lengths; alpha from its 8-bit level with as few digits as tell it apart. */
    private static String shadow(TokenValue value) {
        if (value instanceof ShadowListValue list)
            return String.join(
                    ", ", list.shadows().stream().map(ComputedStyleTest::shadow).toList());
        ShadowValue shadow = (ShadowValue) value;
        Color color = ((ColorValue) shadow.color()).color();
        Color rgb = color.toSrgb8();
        long level = Math.round(color.alpha() * 255);
        double alpha = Math.rint(level / 2.55) / 100;
        if (Math.round(alpha * 255) != level) alpha = Math.rint(level / 0.255) / 1000;
        String lengths = java.util.stream.Stream.of(shadow.offsetX(), shadow.offsetY(), shadow.blur(), shadow.spread())
                .map(length -> number(((DimensionValue) length).toPx()) + "px")
                .collect(java.util.stream.Collectors.joining(" "));
        return "rgba(" + Math.round(rgb.c1() * 255) + ", " + Math.round(rgb.c2() * 255) + ", "
                + Math.round(rgb.c3() * 255) + ", " + number(alpha) + ") " + lengths + (shadow.inset() ? " inset" : "");
    }

    private static double seconds(DurationValue duration) {
        return duration.unit() == DurationValue.Unit.S ? duration.amount() : duration.amount() / 1000;
    }

    private static String number(double value) {
        return ValueText.number(value, 4);
    }

    private static double px(Resolution resolution, String name) {
        return resolution
                .value("width." + name, DimensionValue.class)
                .orElseThrow()
                .toPx();
    }

    private static double clientWidth(Page page) {
        return ((Number) page.evaluate("() => document.documentElement.clientWidth")).doubleValue();
    }

    private static double width(Page page, String selector) {
        return ((Number) page.evaluate("s => document.querySelector(s).getBoundingClientRect().width", selector))
                .doubleValue();
    }
}
