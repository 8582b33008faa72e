package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.umberloom.core.color.Color;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenValue;

/** Values as Chromium says that it computed them. */
final class Computed {
    private Computed() {}

    /** @param viewport width in px, at which fluid lengths are read */
    static void assertIs(String actual, TokenValue expected, int viewport, String as) {
        if (expected instanceof ColorValue color) assertThat(actual).as(as).isEqualTo(css(color.color()));
        else
            assertThat(Double.parseDouble(actual.replace("px", "")))
                    .as(as)
                    .isCloseTo(
                            expected instanceof FluidValue fluid
                                    ? fluid.pxAt(viewport)
                                    : ((DimensionValue) expected).toPx(),
                            within(0.05));
    }

    private static String css(Color color) {
        Color rgb = color.toSrgb8();
        return "rgb(" + Math.round(rgb.c1() * 255) + ", " + Math.round(rgb.c2() * 255) + ", "
                + Math.round(rgb.c3() * 255) + ")";
    }
}
