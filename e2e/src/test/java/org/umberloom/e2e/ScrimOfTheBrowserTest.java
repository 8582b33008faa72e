package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.ColorScheme;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.IntBinaryOperator;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.umberloom.core.color.Blend;
import org.umberloom.core.color.Tones;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.ground.Ground;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;

/**
 * The scrim as Chromium paints it: on the pixels of a screenshot every text role reaches 4.5:1 on at least 99 % of the
 * area, and with 0.02 less alpha it does not. Ratios are computed here, after WCAG 2.2, from the screenshot's own levels.
 */
class ScrimOfTheBrowserTest {
    private static final int WIDTH = 400;
    private static final int HEIGHT = 300;
    private static final List<String> TEXTS = List.of("text", "heading", "muted", "link", "link-hover", "link-visited");

    private static BufferedImage picture(IntBinaryOperator pixel) {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < HEIGHT; y++) for (int x = 0; x < WIDTH; x++) image.setRGB(x, y, pixel.applyAsInt(x, y));
        return image;
    }

    private static int gray(int level) {
        int fitted = Math.max(0, Math.min(255, level));
        return fitted << 16 | fitted << 8 | fitted;
    }

    static Stream<Arguments> grounds() {
        Random random = new Random(11);
        BufferedImage gradient = picture((x, y) -> gray(x * 255 / (WIDTH - 1)));
        BufferedImage chessboard = picture((x, y) -> (x / 20 + y / 20) % 2 == 0 ? 0xf4efe2 : 0x202830);
        BufferedImage photograph = picture((x, y) -> {
            int sky = 210 - y / 3 + (int) (random.nextGaussian() * 28);
            return Math.max(0, Math.min(255, sky)) << 16
                    | Math.max(0, Math.min(255, sky - 20 + random.nextInt(30))) << 8
                    | Math.max(0, Math.min(255, 90 + x / 4 + (int) (random.nextGaussian() * 20)));
        });
        return Stream.of("deep", "page")
                .flatMap(surface -> Stream.of(
                        Arguments.of("gradient", gradient, surface, Blend.NORMAL),
                                Arguments.of("chessboard", chessboard, surface, Blend.NORMAL),
                        Arguments.of("photograph", photograph, surface, Blend.NORMAL),
                                Arguments.of(
                                        "photograph",
                                        photograph,
                                        surface,
                                        surface.equals("page") ? Blend.MULTIPLY : Blend.SOFT_LIGHT)));
    }

    @ParameterizedTest(name = "{0} on {2}, {3}")
    @MethodSource("grounds")
    void isJustEnough(String name, BufferedImage picture, String surface, Blend blend) throws IOException {
        Pictures pictures = asked -> Optional.of(Tones.ofPixels(picture.getRGB(0, 0, WIDTH, HEIGHT, null, 0, WIDTH)));
        ThemeDocument theme = standing(surface, blend);
        Resolution resolution = Resolution.of(theme, theme.defaults());
        double alpha = Grounds.of(theme, resolution, pictures).get(surface).alpha();
        assertThat(alpha)
                .as("the picture needs a scrim, else nothing is proved")
                .isBetween(0.03, 0.999);
        String css = Stylesheet.compile(theme, Usage.ALL, List.of(), pictures);
        String written = " / " + shortest(alpha) + ")";
        assertThat(css).contains(written);
        assertThat(worst(resolution, surface, painted(css, surface, picture)))
                .as("share that is readable")
                .isGreaterThanOrEqualTo(0.99);
        String less = css.replace(written, " / " + shortest(alpha - 0.02) + ")");
        assertThat(worst(resolution, surface, painted(less, surface, picture)))
                .as("share with 0.02 less")
                .isLessThan(0.99);
    }

    private static String shortest(double alpha) {
        return java.math.BigDecimal.valueOf(alpha)
                .setScale(3, java.math.RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    private static ThemeDocument standing(String surface, Blend blend) {
        ThemeDocument theme = Starter.ALL.get(0).theme("Standing");
        Place roles = Place.set("roles");
        TokenPath path = TokenPath.of("surface").child(surface);
        Ground ground =
                new Ground(Ground.Kind.PICTURE, "test.png", "left top", "no-repeat", "auto", blend, 0, "border", true);
        return new Edit.SetMeta(
                        roles,
                        path,
                        Ground.with(theme.at(roles).group(path).orElseThrow().meta(), Optional.of(ground)))
                .applyTo(theme)
                .theme();
    }

    /** The surface's area as a screen shows it, without its text. */
    private static BufferedImage painted(String css, String surface, BufferedImage picture) throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", png);
        try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
            page.route("http://ground.test/**", route -> {
                String url = route.request().url();
                if (url.endsWith(".png"))
                    route.fulfill(new Route.FulfillOptions()
                            .setContentType("image/png")
                            .setBodyBytes(png.toByteArray()));
                else if (url.endsWith(".css"))
                    route.fulfill(new Route.FulfillOptions()
                            .setContentType("text/css")
                            .setBody(css));
                else
                    route.fulfill(new Route.FulfillOptions()
                            .setContentType("text/html")
                            .setBody("<!doctype html><html><link rel=stylesheet href=theme.css>"
                                    + "<body style='margin:0'><div id=area data-surface=" + surface + " style='width:"
                                    + WIDTH + "px;height:" + HEIGHT + "px'></div></body></html>"));
            });
            page.navigate("http://ground.test/page.html");
            return ImageIO.read(new ByteArrayInputStream(page.locator("#area").screenshot()));
        }
    }

    /** The smallest share, over all roles, of pixels that reach the ratio. */
    private static double worst(Resolution resolution, String surface, BufferedImage painted) {
        double worst = 1;
        int[] pixels = painted.getRGB(0, 0, painted.getWidth(), painted.getHeight(), null, 0, painted.getWidth());
        double[] ground = new double[pixels.length];
        for (int i = 0; i < pixels.length; i++) ground[i] = luminance(pixels[i]);
        for (String role : TEXTS) {
            String hex = CustomProperties.text(resolution
                    .find("surface." + surface + "." + role)
                    .orElseThrow()
                    .value());
            double text = luminance(Integer.parseInt(hex.substring(1), 16));
            int reached = 0;
            for (double y : ground) if ((Math.max(y, text) + 0.05) / (Math.min(y, text) + 0.05) >= 4.5) reached++;
            worst = Math.min(worst, (double) reached / pixels.length);
        }
        return worst;
    }

    /** Source: WCAG 2.2, "relative luminance". */
    private static double luminance(int rgb) {
        return 0.2126 * linear(rgb >> 16 & 0xff) + 0.7152 * linear(rgb >> 8 & 0xff) + 0.0722 * linear(rgb & 0xff);
    }

    private static double linear(int level) {
        double c = level / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }
}
