package org.umberloom.core.color;

import java.util.Arrays;
import java.util.stream.Collectors;

/**
 * How a layer mixes with what lies below it, channel by channel on gamma-encoded sRGB, as browsers do. Source:
 * Compositing and Blending Level 1, section 9.1.
 */
public enum Blend {
    NORMAL("normal") {
        @Override
        double channel(double below, double above) {
            return above;
        }
    },
    MULTIPLY("multiply") {
        @Override
        double channel(double below, double above) {
            return below * above;
        }
    },
    SCREEN("screen") {
        @Override
        double channel(double below, double above) {
            return below + above - below * above;
        }
    },
    OVERLAY("overlay") {
        @Override
        double channel(double below, double above) {
            return below <= 0.5 ? MULTIPLY.channel(2 * below, above) : SCREEN.channel(2 * below - 1, above);
        }
    },
    SOFT_LIGHT("soft-light") {
        @Override
        double channel(double below, double above) {
            if (above <= 0.5) return below - (1 - 2 * above) * below * (1 - below);
            double d = below <= 0.25 ? ((16 * below - 12) * below + 4) * below : Math.sqrt(below);
            return below + (2 * above - 1) * (d - below);
        }
    };

    private final String css;

    Blend(String css) {
        this.css = css;
    }

    /** Both from 0 to 1; the backdrop first. */
    abstract double channel(double below, double above);

    /** The keyword in CSS. */
    public String css() {
        return css;
    }

    /** @throws IllegalArgumentException that names what there is */
    public static Blend byCss(String keyword) {
        return Arrays.stream(values())
                .filter(blend -> blend.css.equals(keyword))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + keyword + "” is not a way to blend that is known here: it is one of "
                                + Arrays.stream(values()).map(Blend::css).collect(Collectors.joining(", ")) + "."));
    }
}
