package org.umberloom.core.color;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import org.umberloom.core.limit.Patience;

/**
 * The main colors of a picture: its pixels in OKLab, gathered into clusters by k-means++ with a fixed seed, weighted by
 * area and chroma, near ones merged. Equal pictures give equal colors. Source: D. Arthur, S. Vassilvitskii, "k-means++",
 * 2007.
 */
public final class PictureColors {
    private static final long FIXED_SEED = 20_251;
    private static final int CLUSTERS = 10;
    private static final int MOST_ROUNDS = 24;
    private static final double STILL = 1e-4;
    /** Bits of each channel that are looked at: 32,768 kinds of color at the most, however many pixels. */
    private static final int KEPT_BITS = 5;
    /** ΔE OK under which two clusters are one color to people. */
    private static final double SAME = 0.09;

    private static final int OPAQUE_ENOUGH = 128;

    /** A color with its share of the picture's opaque area, 0 to 1, and its rank by area and chroma. */
    public record Found(Color color, double share, double weight) {}

    private PictureColors() {}

    private record Point(double[] lab, double area) {}

    /**
     * @param argb pixels as 0xAARRGGBB; those more than half transparent do not count
     * @param most how many colors at the most
     * @return the weightiest first; empty for a picture without opaque pixels
     */
    public static List<Found> of(int[] argb, int most) {
        List<Point> points = points(argb);
        if (points.isEmpty()) return List.of();
        List<double[]> centers = centers(points);
        double[] areas = settle(points, centers);
        List<Found> found = merged(centers, areas);
        found.sort(Comparator.comparingDouble(Found::weight).reversed());
        return List.copyOf(found.subList(0, Math.min(most, found.size())));
    }

    /** One point for each kind of color, at the mean of its pixels. */
    private static List<Point> points(int[] argb) {
        int kinds = 1 << (3 * KEPT_BITS);
        long[] red = new long[kinds];
        long[] green = new long[kinds];
        long[] blue = new long[kinds];
        int[] count = new int[kinds];
        int shift = 8 - KEPT_BITS;
        for (int pixel : argb) {
            if (pixel >>> 24 < OPAQUE_ENOUGH) continue;
            int r = pixel >> 16 & 0xff;
            int g = pixel >> 8 & 0xff;
            int b = pixel & 0xff;
            int kind = (r >> shift) << (2 * KEPT_BITS) | (g >> shift) << KEPT_BITS | b >> shift;
            red[kind] += r;
            green[kind] += g;
            blue[kind] += b;
            count[kind]++;
        }
        List<Point> points = new ArrayList<>();
        for (int kind = 0; kind < kinds; kind++) {
            if (count[kind] == 0) continue;
            double[] rgb = {
                red[kind] / 255.0 / count[kind], green[kind] / 255.0 / count[kind], blue[kind] / 255.0 / count[kind]
            };
            points.add(new Point(Oklab.fromXyz(Srgb.toXyz(rgb)), count[kind]));
        }
        return points;
    }

    /** k-means++: each next center is drawn with the chance of its area times its squared distance. */
    private static List<double[]> centers(List<Point> points) {
        SplittableRandom random = new SplittableRandom(FIXED_SEED);
        List<double[]> centers = new ArrayList<>();
        double[] distance = new double[points.size()];
        java.util.Arrays.fill(distance, 1);
        while (centers.size() < Math.min(CLUSTERS, points.size())) {
            double total = 0;
            for (int i = 0; i < distance.length; i++) total += distance[i] * points.get(i).area;
            if (total <= 0) break;
            double drawn = random.nextDouble() * total;
            int chosen = 0;
            for (double sum = distance[0] * points.get(0).area; sum < drawn && chosen < distance.length - 1; )
                sum += distance[++chosen] * points.get(chosen).area;
            double[] center = points.get(chosen).lab;
            for (int i = 0; i < distance.length; i++) {
                double d = Oklab.difference(center, points.get(i).lab);
                distance[i] = centers.isEmpty() ? d * d : Math.min(distance[i], d * d);
            }
            centers.add(center.clone());
        }
        return centers;
    }

    /** Moves the centers until they rest; the area of each cluster. */
    private static double[] settle(List<Point> points, List<double[]> centers) {
        double[] areas = new double[centers.size()];
        for (int round = 0; round < MOST_ROUNDS; round++) {
            Patience.ask();
            double[][] sums = new double[centers.size()][3];
            java.util.Arrays.fill(areas, 0);
            for (Point point : points) {
                int nearest = nearest(point.lab, centers);
                areas[nearest] += point.area;
                for (int i = 0; i < 3; i++) sums[nearest][i] += point.lab[i] * point.area;
            }
            double moved = 0;
            for (int c = 0; c < centers.size(); c++) {
                if (areas[c] == 0) continue;
                double[] mean = {sums[c][0] / areas[c], sums[c][1] / areas[c], sums[c][2] / areas[c]};
                moved = Math.max(moved, Oklab.difference(mean, centers.get(c)));
                centers.set(c, mean);
            }
            if (moved < STILL) break;
        }
        return areas;
    }

    private static int nearest(double[] lab, List<double[]> centers) {
        int nearest = 0;
        double least = Double.MAX_VALUE;
        for (int c = 0; c < centers.size(); c++) {
            double distance = Oklab.difference(lab, centers.get(c));
            if (distance < least) {
                least = distance;
                nearest = c;
            }
        }
        return nearest;
    }

    private static List<Found> merged(List<double[]> centers, double[] areas) {
        List<double[]> labs = new ArrayList<>();
        List<Double> sums = new ArrayList<>();
        List<Integer> order = new ArrayList<>();
        double whole = 0;
        for (int c = 0; c < areas.length; c++) {
            if (areas[c] > 0) order.add(c);
            whole += areas[c];
        }
        order.sort(Comparator.comparingDouble((Integer c) -> areas[c]).reversed());
        for (int c : order) {
            int near = -1;
            for (int i = 0; i < labs.size() && near < 0; i++)
                if (Oklab.difference(labs.get(i), centers.get(c)) < SAME) near = i;
            if (near < 0) {
                labs.add(centers.get(c));
                sums.add(areas[c]);
            } else sums.set(near, sums.get(near) + areas[c]);
        }
        List<Found> found = new ArrayList<>();
        for (int i = 0; i < labs.size(); i++) {
            double[] lab = labs.get(i);
            double share = sums.get(i) / whole;
            double chroma = Math.hypot(lab[1], lab[2]);
            found.add(new Found(
                    Color.of(ColorSpace.OKLAB, lab[0], lab[1], lab[2]).toSrgb8(),
                    share,
                    Math.sqrt(share) * (0.15 + chroma)));
        }
        return found;
    }
}
