package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.color.Color;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.space.PageWidths;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/**
 * The compiled stylesheet, loaded in Chromium, against the core's own results: every surface role, text style, length
 * and width, at five viewports, in both schemes, chosen by the system and forced by the page.
 */
class ComputedStyleTest {
    private static final List<Integer> VIEWPORTS = List.of(320, 390, 768, 1280, 1920);
    /** Lengths are written with four decimals of a rem and five of a vw; layout rounds to 1/64 px. */
    private static final double PX_TOLERANCE = 0.05;

    @Test
    void chromiumComputesWhatTheCoreComputes() throws IOException {
        Path folder = Loom.HOME.resolve("demo/themes/tern-passage");
        ThemeDocument demo = ThemeJson.read(Files.readString(folder.resolve("theme.resolver.json")), file -> {
            try {
                return Files.readString(folder.resolve(file));
            } catch (IOException e) {
                throw new java.io.UncheckedIOException(e);
            }
        });
        int checks = 0;
        for (ThemeDocument theme : List.of(demo, Starter.ALL.get(3).theme("Satin")))
            for (ColorScheme system : List.of(ColorScheme.LIGHT, ColorScheme.DARK))
                for (String forced : List.of("", "light", "dark")) checks += compare(theme, system, forced);
        assertThat(checks).isGreaterThan(5_000);
    }

    private int compare(ThemeDocument theme, ColorScheme system, String forced) {
        String scheme = !forced.isEmpty() ? forced : system == ColorScheme.DARK ? "dark" : "light";
        Resolution resolution = Resolution.of(theme, theme.defaults().with("scheme", scheme));
        int checks = 0;
        try (BrowserContext context = Browsers.context(system)) {
            Page page = context.newPage();
            Map<String, TokenValue> expected = new LinkedHashMap<>();
            page.setContent(html(theme, resolution, forced, expected));
            for (int viewport : VIEWPORTS) {
                page.setViewportSize(viewport, 900);
                @SuppressWarnings("unchecked")
                Map<String, Object> actual = (Map<String, Object>) page.evaluate("""
                        () => Object.fromEntries([...document.querySelectorAll('[data-probe]')].map((e) =>
                          [e.dataset.probe, getComputedStyle(e)[e.dataset.property]]))""");
                assertThat(actual.keySet()).isEqualTo(expected.keySet());
                for (Map.Entry<String, TokenValue> entry : expected.entrySet()) {
                    String where = entry.getKey() + " of " + theme.name() + " at " + viewport + " in " + scheme;
                    compare(where, entry.getKey(), entry.getValue(), (String) actual.get(entry.getKey()), resolution, viewport);
                    checks++;
                }
                checks += compareWidths(page, resolution, viewport);
            }
        }
        return checks;
    }

    /** A page with one element for each property that the base layer reads, on every surface, and real elements. */
    private static String html(ThemeDocument theme, Resolution resolution, String forced, Map<String, TokenValue> expected) {
        StringBuilder probes = new StringBuilder();
        for (String role : Stylesheet.roles(Usage.ALL)) {
            String property = CustomProperties.nameOf(role);
            if (role.startsWith("surface.")) {
                for (String surface : Surfaces.names(resolution)) {
                    TokenValue value = resolution.find(Surfaces.path(surface, role.substring(8))).orElseThrow().value();
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
                TypographyValue style = resolution.value(role.substring(0, role.lastIndexOf('.')), TypographyValue.class)
                        .orElseThrow();
                expected.put(role, member(style, member));
                probe(probes, role, cssProperty(member), property);
                continue;
            }
            expected.put(role, resolution.find(role).orElseThrow().value());
            probe(probes, role, "width", property);
        }
        for (String tag : List.of("h1", "h2", "h3", "h4", "h5", "h6", "small", "blockquote", "code", "p")) {
            String role = switch (tag) {
                case "blockquote" -> "quote";
                case "p" -> "body";
                default -> tag;
            };
            TypographyValue style = resolution.value("type." + role, TypographyValue.class).orElseThrow();
            for (String member : List.of("size", "weight", "family")) {
                String key = "<" + tag + "> " + member;
                probes.append("<").append(tag).append(" data-probe=\"").append(key.replace("<", "&lt;")).append("\" data-property=\"")
                        .append(camel(cssProperty(member))).append("\">x</").append(tag).append(">");
                expected.put(key, member(style, member));
            }
        }
        return "<!doctype html><html lang=\"en\"" + (forced.isEmpty() ? "" : " data-scheme=\"" + forced + "\"")
                + "><head><title>t</title><style>" + Stylesheet.compile(theme, Usage.ALL, List.of())
                + "</style></head><body><main><p id=\"text\">" + "word ".repeat(200)
                + "</p><div id=\"content\">x</div><div id=\"wide\" data-width=\"wide\">x</div><div id=\"full\" data-width=\"full\">"
                + "<p>x</p></div></main>" + probes + "</body></html>";
    }

    private static void probe(StringBuilder html, String key, String cssProperty, String property) {
        html.append("<i data-probe=\"").append(key).append("\" data-property=\"").append(camel(cssProperty))
                .append("\" style=\"display:block;font-size:10px;").append(cssProperty).append(":var(").append(property)
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
        return dash < 0 ? css : css.substring(0, dash) + Character.toUpperCase(css.charAt(dash + 1)) + css.substring(dash + 2);
    }

    private static void compare(String where, String key, TokenValue expected, String actual, Resolution resolution,
                                int viewport) {
        if (expected instanceof ColorValue color) {
            Color rgb = color.color().toSrgb8();
            assertThat(actual).as(where).isEqualTo("rgb(" + Math.round(rgb.c1() * 255) + ", " + Math.round(rgb.c2() * 255)
                    + ", " + Math.round(rgb.c3() * 255) + ")");
        } else if (expected instanceof FontFamilyValue families) {
            assertThat(actual.replace("\"", "")).as(where).isEqualTo(String.join(", ", families.families()));
        } else if (expected instanceof FontWeightValue weight) {
            assertThat(actual).as(where).isEqualTo(Integer.toString(weight.weight()));
        } else if (expected instanceof NumberValue number) {
            // A line height without a unit is multiplied with the probe's own 10 px.
            assertThat(pixels(actual)).as(where).isCloseTo(number.number() * 10, within(PX_TOLERANCE));
        } else {
            double px = expected instanceof FluidValue fluid ? fluid.pxAt(viewport) : ((DimensionValue) expected).toPx();
            assertThat(pixels(actual)).as(where).isCloseTo(px, within(PX_TOLERANCE));
        }
    }

    private static double pixels(String css) {
        return css.equals("normal") ? 0 : Double.parseDouble(css.replace("px", ""));
    }

    private static int compareWidths(Page page, Resolution resolution, int viewport) {
        PageWidths.Bands bands = new PageWidths(px(resolution, "text"), px(resolution, "content"), px(resolution, "wide"),
                resolution.find("width.gutter").orElseThrow().value()).at(clientWidth(page));
        assertThat(width(page, "#content")).as("content at %d", viewport).isCloseTo(bands.content(), within(0.2));
        assertThat(width(page, "#wide")).as("wide at %d", viewport).isCloseTo(bands.wide(), within(0.2));
        assertThat(width(page, "#text")).as("text at %d", viewport).isCloseTo(bands.text(), within(0.2));
        assertThat(width(page, "#full")).as("full at %d", viewport).isCloseTo(bands.viewport(), within(0.2));
        assertThat(width(page, "#full > p")).as("text inside full at %d", viewport).isCloseTo(bands.text(), within(0.2));
        return 5;
    }

    private static double px(Resolution resolution, String name) {
        return resolution.value("width." + name, DimensionValue.class).orElseThrow().toPx();
    }

    private static double clientWidth(Page page) {
        return ((Number) page.evaluate("() => document.documentElement.clientWidth")).doubleValue();
    }

    private static double width(Page page, String selector) {
        return ((Number) page.evaluate("s => document.querySelector(s).getBoundingClientRect().width", selector)).doubleValue();
    }
}
