package org.umberloom.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;

/**
 * Samples that were taken while the processors were this machine's own. Where a host has several machines, the kernel counts the
 * time that its processors were given to others (“steal” of {@code /proc/stat}, proc(5)). A stretch of samples in which that was
 * more than a share is taken anew, whatever its samples are, so that slow ones are not left out for being slow.
 */
final class Undisturbed {
    /** The share of all processors' time that others may have had. */
    private static final double MOST = 0.01;

    /** How many times as many stretches are taken as wanted, at the most. */
    private static final int PATIENCE = 4;

    private static final Path COUNTS = Path.of("/proc/stat");
    private static final int STEAL = 8;

    private record Stretch(double taken, List<Double> samples) {}

    private static int kept;
    private static int leftOut;
    private static double worst;

    private Undisturbed() {}

    /**
     * As many stretches as wanted, after one another: the first that were undisturbed, or where there are not enough of them those
     * that were disturbed least.
     */
    static List<Double> samples(int wanted, Supplier<List<Double>> stretch) {
        List<Stretch> all = new ArrayList<>();
        for (int quiet = 0, i = 0; quiet < wanted && i < wanted * PATIENCE; i++) {
            long[] before = counts();
            List<Double> samples = stretch.get();
            double taken = taken(before, counts());
            all.add(new Stretch(taken, samples));
            if (taken <= MOST) quiet++;
        }
        List<Stretch> chosen = all.stream()
                .sorted(Comparator.comparingDouble(one -> Math.max(MOST, one.taken())))
                .limit(wanted)
                .toList();
        kept += wanted;
        leftOut += all.size() - wanted;
        worst = Math.max(
                worst, chosen.stream().mapToDouble(Stretch::taken).max().orElse(0));
        return chosen.stream().flatMap(one -> one.samples().stream()).toList();
    }

    /** How disturbed the samples so far were. */
    static String told() {
        return String.format(
                Locale.ROOT,
                "Of %d stretches of samples %d were taken anew because other machines of the same host had more than %.0f %% of the "
                        + "processors' time; in those that are told of here they had %.1f %% at the most.",
                kept + leftOut,
                leftOut,
                MOST * 100,
                worst * 100);
    }

    /** The time of all processors, and that of others in it; in ticks. */
    private static long[] counts() {
        if (!Files.isReadable(COUNTS)) return new long[2];
        try {
            String[] words = Files.readAllLines(COUNTS).get(0).trim().split("\\s+");
            long all = 0;
            // What guests had is counted in the first two already.
            for (int i = 1; i <= STEAL; i++) all += Long.parseLong(words[i]);
            return new long[] {all, Long.parseLong(words[STEAL])};
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static double taken(long[] before, long[] after) {
        return after[0] == before[0] ? 0 : (double) (after[1] - before[1]) / (after[0] - before[0]);
    }
}
