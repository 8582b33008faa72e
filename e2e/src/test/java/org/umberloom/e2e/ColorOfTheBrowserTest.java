package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Adjust;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.CssColor;

/** The core's colors against Chromium's own: color-mix(), and every function and space of CSS Color 4, in sRGB. */
class ColorOfTheBrowserTest {
    private static final double TOLERANCE = 0.0006;

    @SuppressWarnings("unchecked")
    private static List<List<Double>> computed(List<String> colors) {
        Page page = Browsers.context(ColorScheme.LIGHT).newPage();
        page.setContent("<i id=probe></i>");
        List<List<Double>> found = (List<List<Double>>) page.evaluate(
                """
                (colors) => colors.map((color) => {
                  const style = document.getElementById('probe').style;
                  style.color = '';
                  style.color = `color(from ${color} srgb r g b / alpha)`;
                  const text = getComputedStyle(document.getElementById('probe')).color;
                  const numbers = text.replace('color(srgb', '').match(/-?[\\d.]+(e-?\\d+)?/g).map(Number);
                  return [...numbers, 1].slice(0, 4).map((x) => x + 1e-12);
                })""",
                colors);
        page.context().close();
        return found;
    }

    private static void compare(List<String> css, List<Color> ours) {
        List<List<Double>> theirs = computed(css);
        for (int i = 0; i < css.size(); i++) {
            Color rgb = ours.get(i).to(ColorSpace.SRGB);
            double[] mine = {rgb.c1(), rgb.c2(), rgb.c3(), rgb.alpha()};
            for (int c = 0; c < 4; c++)
                assertThat(mine[c])
                        .as("component %d of %s", c, css.get(i))
                        .isCloseTo(theirs.get(i).get(c), within(TOLERANCE));
        }
    }

    @Test
    void mixingAgrees() {
        Random random = new Random(8);
        List<String> css = new ArrayList<>();
        List<Color> ours = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            Color one = Color.rgb(random.nextInt(256), random.nextInt(256), random.nextInt(256))
                    .withAlpha(i % 3 == 0 ? 0.4 : 1);
            Color other = Color.rgb(random.nextInt(256), random.nextInt(256), random.nextInt(256))
                    .withAlpha(i % 5 == 0 ? 0.2 : 1);
            double share = random.nextInt(101) / 100.0;
            String space = i % 2 == 0 ? "oklab" : "srgb";
            css.add(String.format(
                    Locale.ROOT, "color-mix(in %s, %s, %s %.0f%%)", space, text(one), text(other), share * 100));
            ours.add(i % 2 == 0 ? Adjust.mix(one, other, share) : Adjust.mixInSrgb(one, other, share));
        }
        compare(css, ours);
    }

    private static String text(Color color) {
        return String.format(
                Locale.ROOT,
                "rgb(%d %d %d / %.2f)",
                Math.round(color.c1() * 255),
                Math.round(color.c2() * 255),
                Math.round(color.c3() * 255),
                color.alpha());
    }

    /**
     * All but rec2020, for which Chromium still applies the camera's curve of earlier drafts; CSS Color 4 now has the
     * display's, gamma 2.4, as the reference library has.
     */
    @Test
    void everySpaceAgrees() {
        List<String> css = List.of(
                "hsl(210 60% 40%)",
                "hwb(30 20% 10%)",
                "lab(50 30 -20)",
                "lch(60 40 120)",
                "oklab(0.6 0.1 0.05)",
                "oklch(0.7 0.1 200)",
                "color(srgb 0.2 0.4 0.6)",
                "color(srgb-linear 0.2 0.4 0.6)",
                "color(display-p3 0.9 0.3 0.2)",
                "color(a98-rgb 0.3 0.5 0.7)",
                "color(prophoto-rgb 0.4 0.5 0.3)",
                "color(xyz-d50 0.3 0.3 0.2)",
                "color(xyz-d65 0.3 0.3 0.2)",
                "oklch(0.5 0.1 40 / 0.3)",
                "rebeccapurple",
                "#7a4a2b80");
        compare(css, css.stream().map(CssColor::parse).toList());
    }
}
