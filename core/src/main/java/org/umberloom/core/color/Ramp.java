package org.umberloom.core.color;

import java.util.List;
import java.util.stream.IntStream;

/** Grows the shades of a hue from its seed: one color for each depth asked for. */
public final class Ramp {
    /** The stops a ramp has when nobody chose others. */
    public static final List<Double> DEFAULT_STOPS =
            List.of(2.0, 5.0, 10.0, 20.0, 30.0, 40.0, 50.0, 60.0, 70.0, 80.0, 90.0, 100.0, 110.0, 115.0);

    private static final double DEPTH_TOLERANCE = 0.002;
    private static final int MOST_STEPS = 60;
    private static final int CURVE_STEPS = 24;
    /** OKLCH chroma outside sRGB at every lightness and hue. */
    private static final double MORE_THAN_ANY = 0.4;

    private static final double EDGE_TOLERANCE = 0.0005;
    private static final int LIGHTNESS_STEPS = 14;

    private Ramp() {}

    /** One shade: the depth that was asked for and the 8-bit sRGB color that has it. */
    public record Shade(double stop, Color color) {}

    /**
     * Solves OKLCH lightness for every stop so that the gamut-mapped color has the stop's depth; hue and chroma follow
     * the shape's curves through the seed. A gray seed stays gray.
     *
     * @param stops depths, each 0 to 120
     */
    public static List<Shade> grow(Color seed, List<Double> stops, RampShape shape) {
        double[] lch = seed.inSpace(ColorSpace.OKLCH);
        double hue = Double.isNaN(lch[2]) ? 0 : lch[2];
        double chroma = lch[1] < 0.0005 ? 0 : lch[1];
        double seedDepth = Depth.of(seed).value();
        return stops.stream()
                .map(stop -> {
                    double stopHue = shape.hueAt(stop, hue, seedDepth);
                    double stopChroma = shape.chromaAt(stop, chroma, seedDepth);
                    return new Shade(stop, atDepth(new Depth(stop), stopChroma, stopHue));
                })
                .toList();
    }

    /**
     * A ramp's curves at one depth.
     *
     * @param chroma OKLCH chroma that is asked for
     * @param hue    OKLCH hue in degrees
     * @param edge   the most chroma that sRGB holds at that depth and hue
     */
    public record Point(double depth, double chroma, double hue, double edge) {}

    /** The curves through a seed, from depth 0 to 120 in equal steps. */
    public static List<Point> curves(Color seed, RampShape shape) {
        double[] lch = seed.inSpace(ColorSpace.OKLCH);
        double hue = Double.isNaN(lch[2]) ? 0 : lch[2];
        double seedDepth = Depth.of(seed).value();
        return IntStream.rangeClosed(0, CURVE_STEPS)
                .mapToObj(step -> {
                    double depth = step * Depth.BLACK / CURVE_STEPS;
                    double at = shape.hueAt(depth, hue, seedDepth);
                    return new Point(depth, shape.chromaAt(depth, lch[1], seedDepth), at, edge(depth, at));
                })
                .toList();
    }

    /** The most chroma that sRGB holds at a depth and hue: of a color that is in the gamut and has the depth itself. */
    private static double edge(double depth, double hue) {
        double wanted = 1.05 / Math.pow(21, depth / Depth.BLACK) - 0.05;
        double inside = 0;
        double outside = MORE_THAN_ANY;
        while (outside - inside > EDGE_TOLERANCE) {
            double chroma = (inside + outside) / 2;
            if (Gamut.holdsLinear(withLuminance(wanted, chroma, hue))) inside = chroma;
            else outside = chroma;
        }
        return inside;
    }

    /** Linear sRGB components, in gamut or not, of the OKLCH color with that chroma and hue whose luminance is Y. */
    private static double[] withLuminance(double y, double chroma, double hue) {
        double low = 0;
        double high = 1;
        double[] xyz = {0, 0, 0};
        for (int step = 0; step < LIGHTNESS_STEPS; step++) {
            double lightness = (low + high) / 2;
            xyz = Oklch.toXyz(new double[] {lightness, chroma, hue});
            if (xyz[1] < y) low = lightness;
            else high = lightness;
        }
        return LinearSrgb.fromXyz(xyz);
    }

    /** The 8-bit sRGB color of that depth, with OKLCH chroma and hue (degrees) as near as the gamut allows. */
    public static Color atDepth(Depth depth, double chroma, double hue) {
        double[] rgb = Srgb.encode(solve(depth.value(), chroma, hue));
        return Color.of(ColorSpace.SRGB, rgb[0], rgb[1], rgb[2]).toSrgb8();
    }

    /** Linear sRGB, by false position on lightness (Illinois variant): depth falls as lightness rises. */
    private static double[] solve(double target, double chroma, double hue) {
        double low = 0;
        double high = 1;
        double lowError = Depth.BLACK - target;
        double highError = -target;
        double[] linear = mapped(target > Depth.BLACK / 2 ? low : high, chroma, hue);
        if (lowError <= DEPTH_TOLERANCE || -highError <= DEPTH_TOLERANCE) return linear;
        int side = 0;
        for (int step = 0; step < MOST_STEPS; step++) {
            double lightness = (low * highError - high * lowError) / (highError - lowError);
            linear = mapped(lightness, chroma, hue);
            double error = Depth.ofLuminance(Contrast.luminanceOfLinear(linear)).value() - target;
            if (Math.abs(error) < DEPTH_TOLERANCE || high - low < 1e-7) break;
            if (error > 0) {
                low = lightness;
                lowError = error;
                if (side == 1) highError /= 2;
                side = 1;
            } else {
                high = lightness;
                highError = error;
                if (side == -1) lowError /= 2;
                side = -1;
            }
        }
        return linear;
    }

    private static double[] mapped(double lightness, double chroma, double hue) {
        return GamutMapping.ofOklch(new double[] {lightness, chroma, hue}, Gamut.SRGB);
    }
}
