package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ForcedColors;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;

/** What the compiled stylesheet gives on screens with more colors, and to readers who bring colors of their own. */
class ScreensOfReadersTest {
    private static final String BODY =
            """
            <body><a id=link href="#there">Link</a><button id=button>Button</button>
            <div data-surface=deep><p id=text>Text</p><b id=wide style="color: var(--surface-accent)">Wide</b></div>
            <p id=notice data-part=notice data-state=bad>Off</p></body>""";

    private static ThemeDocument wide() {
        return new Edit.SetValue(
                        Place.set("roles"),
                        TokenPath.of("surface.deep.accent"),
                        new ColorValue(CssColor.parse("color(display-p3 1 0.4 0)")))
                .applyTo(Starter.ALL.get(0).theme("Wide"))
                .theme();
    }

    private static Page page(String html) {
        Page page = Browsers.context(ColorScheme.LIGHT).newPage();
        page.setContent(html);
        return page;
    }

    private static String html(ThemeDocument theme) {
        return "<!doctype html><html><style>" + Stylesheet.compile(theme, Usage.ALL, List.of()) + "</style>" + BODY
                + "</html>";
    }

    private static String style(Page page, String id, String property) {
        return (String) page.evaluate(
                "([id, property]) => getComputedStyle(document.getElementById(id))[property]", List.of(id, property));
    }

    private static void gamut(Page page, String name) {
        CDPSession session = page.context().newCDPSession(page);
        JsonObject media = JsonParser.parseString(
                        "{\"features\": [{\"name\": \"color-gamut\", \"value\": \"" + name + "\"}]}")
                .getAsJsonObject();
        session.send("Emulation.setEmulatedMedia", media);
    }

    @Test
    void aWideColorIsShownAsItIsOnlyOnAWideScreen() {
        try (Page page = page(html(wide()))) {
            gamut(page, "srgb");
            String hex = CssColor.parse("color(display-p3 1 0.4 0)").hex();
            assertThat(CssColor.parse(style(page, "wide", "color")).hex()).isEqualTo(hex);
            gamut(page, "p3");
            assertThat(style(page, "wide", "color")).isEqualTo("color(display-p3 1 0.4 0)");
        }
    }

    /** Source: CSS Color Adjust 1, section 3.1; a border that is transparent else is drawn in the reader's colors. */
    @Test
    void theReadersOwnColorsWin() {
        try (Page page = page(html(wide()))) {
            page.emulateMedia(new Page.EmulateMediaOptions().setForcedColors(ForcedColors.ACTIVE));
            page.setContent(
                    html(wide())
                            + "<i id=canvas style='color: CanvasText; background: Canvas'></i><i id=own style='color: LinkText'></i>");
            assertThat(style(page, "text", "color")).isEqualTo(style(page, "canvas", "color"));
            assertThat(style(page, "text", "backgroundColor"))
                    .isIn("rgba(0, 0, 0, 0)", "rgba(255, 255, 255, 0)", style(page, "canvas", "backgroundColor"));
            assertThat(style(page, "link", "color")).isEqualTo(style(page, "own", "color"));
            for (String outlined : List.of("button", "notice")) {
                assertThat(style(page, outlined, "borderTopStyle")).as(outlined).isEqualTo("solid");
                assertThat(style(page, outlined, "borderTopColor")).as(outlined).doesNotStartWith("rgba(0, 0, 0, 0");
            }
        }
    }
}
