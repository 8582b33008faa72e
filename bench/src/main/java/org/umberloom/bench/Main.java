package org.umberloom.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Runs all benchmarks and writes their figures, with the machine they came from. Arguments: home folder, jar. */
public final class Main {
    /** Nothing but drags: those of these names, with commas between, or {@code all}; also {@code CHOICE} and {@code FONTS}. */
    private static final Optional<String> DRAGS = Optional.ofNullable(System.getenv("LOOM_BENCH_DRAGS"));

    private static final int STARTS = DRAGS.isEmpty() ? 3 : 1;
    private static final int HUE_ROUNDS = 5;

    private Main() {}

    public static void main(String[] arguments) throws RunnerException, IOException, InterruptedException {
        Path home = Path.of(arguments[0]);
        Path jar = Path.of(arguments[1]);
        StringBuilder report = new StringBuilder(
                "# Benchmarks\n\nWritten by `./loom bench`. Goals: pointer to paint within 50 ms at the "
                        + "95th percentile with a 1,000-token theme and four bays on two cores; a probe under 5 ms on the server; "
                        + "application start under 8 s; under 512 MiB of heap.\n\n");
        report.append("Measured on ")
                .append(LocalDate.now())
                .append(": ")
                .append(machine())
                .append("\n\n");
        report.append("## Application\n\n| what | median | 95th percentile | samples |\n| --- | --- | --- | --- |\n");
        double[] starts = new double[STARTS];
        List<Double> pictures = List.of();
        for (int i = 0; i < STARTS; i++) {
            try (Application application = Application.start(jar, home.resolve("demo"))) {
                starts[i] = application.secondsToStart();
                if (i < STARTS - 1) continue;
                if (System.getenv("LOOM_BENCH_SITES") != null) {
                    sites(report, application.address());
                    System.out.println(report);
                    return;
                }
                if (DRAGS.isPresent()) {
                    pointerToPaint(report, application.address());
                    report.append("\n").append(Undisturbed.told()).append("\n");
                    System.out.println(report);
                    return;
                }
                ProbeTime.Result probe = ProbeTime.measure(application.address());
                pointerToPaint(report, application.address());
                row(report, "probe, message to answer in the browser, 1,000 tokens (ms)", probe.roundTrip());
                ExplorerScroll.Result scroll = ExplorerScroll.measure(application.address());
                row(
                        report,
                        "token explorer, 10,000 tokens: time between frames while it scrolls (ms)",
                        scroll.frames());
                report.append(String.format(
                        Locale.ROOT,
                        "| token explorer: frames later than 1.5 of the display's interval (%%) | %.1f | | %d |%n",
                        scroll.lateShare() * 100,
                        scroll.frames().size()));
                pictures = PictureTime.measure(application.address());
                fonts(report, application.address());
                sites(report, application.address());
                row(report, "the server's share of a probe: edit, resolve, compare (ms)", probe.server());
                report.append(String.format(
                        Locale.ROOT,
                        "| live heap after the run, of at most 512 MiB (MiB) | %.0f | | 1 |%n",
                        application.liveHeap()));
            }
        }
        row(report, "main colors of a picture of 12 megapixels, request to answer; goal 1 (s)", pictures);
        row(
                report,
                "start to first answer, database running (s)",
                java.util.Arrays.stream(starts).boxed().toList());
        report.append(
                "\nPointer to paint holds the probe, and then the browser's own work: restyling and painting the four pages and the "
                        + "bench, and for spacing, widths and type their layout too. On a machine without a graphics "
                        + "processor, as where Chromium runs headless, that work is most of it. "
                        + Undisturbed.told() + "\n");
        report.append(
                "\n## Core\n\nAverage time of one call in microseconds.\n\n| what | 100 tokens | 1,000 tokens | 10,000 tokens |\n"
                        + "| --- | --- | --- | --- |\n");
        if (System.getenv("LOOM_BENCH_LIVE") != null) {
            System.out.println(report);
            return;
        }
        Collection<RunResult> results = run(CoreBenchmark.class);
        for (String name : List.of("resolve", "compile", "read", "seed")) {
            report.append("| ").append(name).append(" |");
            for (String size : List.of("100", "1000", "10000"))
                results.stream()
                        .filter(result -> result.getParams().getBenchmark().endsWith("." + name)
                                && result.getParams().getParam("tokens").equals(size))
                        .forEach(result -> report.append(String.format(
                                Locale.ROOT,
                                " %.0f |",
                                result.getPrimaryResult().getScore())));
            report.append("\n");
        }
        report.append(
                "\n`resolve`: one combination. `compile`: both schemes and the whole base layer. `read`: the stored document. "
                        + "`seed`: an edit that grows a ramp of 14 shades again. `difference`: two states told apart, a seed moved; "
                        + "goal 50 ms for 10,000.\n");
        graphs(report);
        colors(report, home);
        Files.writeString(home.resolve("docs/benchmarks.md"), report);
        System.out.println(report);
    }

    private static void sites(StringBuilder report, String address) throws IOException {
        for (ManySites.Row row : ManySites.measure(address)) row(report, row.what(), row.samples());
    }

    private static void fonts(StringBuilder report, String address) throws IOException {
        FontTimes.Result fonts = FontTimes.measure(address);
        if (!fonts.brought().isEmpty())
            row(report, "a font of 742 kB, brought in until its specimen is seen; goal 1,000 (ms)", fonts.brought());
        row(report, "specimens of all families: time between frames while they scroll (ms)", fonts.frames());
        row(report, "characters per line of all text of 29 pages at four widths; goal 200 (ms)", fonts.reading());
    }

    /** All drags, or those that are named. */
    private static void pointerToPaint(StringBuilder report, String address) throws IOException {
        String named = DRAGS.orElse("all");
        if (!named.equals("all")) {
            for (String name : named.split(","))
                switch (name) {
                    case "CHOICE" -> choice(report, address);
                    case "FONTS" -> fonts(report, address);
                    default -> drag(report, address, PointerToPaint.Drag.valueOf(name));
                }
            return;
        }
        List<List<Double>> rounds = PointerToPaint.measure(address, PointerToPaint.Drag.HUE, HUE_ROUNDS);
        row(
                report,
                "pointer to paint, four bays, 1,000 tokens: the hue of a seed (ms)",
                rounds.stream().flatMap(List::stream).toList());
        row(
                report,
                "the slowest of its " + HUE_ROUNDS + " rounds (ms)",
                rounds.stream()
                        .max(Comparator.comparing(
                                round -> at(round.stream().sorted().toList(), 0.95)))
                        .orElseThrow());
        for (PointerToPaint.Drag drag : PointerToPaint.Drag.values())
            if (drag != PointerToPaint.Drag.HUE) drag(report, address, drag);
        choice(report, address);
    }

    private static void choice(StringBuilder report, String address) {
        ChoiceTime.Result choice = ChoiceTime.measure(address);
        row(report, "a value of a choice pointed at, to paint in four bays; goal 100 (ms)", choice.pointed());
        row(report, "a value of a choice taken and stored, to paint in four bays; goal 100 (ms)", choice.taken());
    }

    private static void drag(StringBuilder report, String address, PointerToPaint.Drag drag) {
        row(
                report,
                "pointer to paint: " + drag.words() + " (ms)",
                PointerToPaint.measure(address, drag, 1).get(0));
    }

    private static void colors(StringBuilder report, Path home)
            throws RunnerException, IOException, InterruptedException {
        report.append("\n## Color\n\nThe same colors, one after the other in one run; the libraries in Node.\n\n")
                .append(ColorSpeed.table(home));
        for (RunResult result : run(DragBenchmark.class))
            report.append(String.format(
                    Locale.ROOT,
                    "%nA drag of all five seeds at once, to 5 ramps, 5 surfaces and their pairs in light, dark and more contrast: "
                            + "%.2f ms on average; the live path leaves the server 5 ms.%n",
                    result.getPrimaryResult().getScore() / 1_000));
    }

    private static Collection<RunResult> run(Class<?> benchmark) throws RunnerException {
        return new Runner(new OptionsBuilder()
                        .include(benchmark.getSimpleName())
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run();
    }

    private static void graphs(StringBuilder report) throws RunnerException {
        report.append("\n## Resolving 10,000 tokens\n\n| what | goal (ms) | average (ms) |\n| --- | --- | --- |\n");
        Collection<RunResult> results = run(GraphBenchmark.class);
        graph(report, results, "twelveCombinations", "12 combinations, each from nothing", "150");
        graph(report, results, "rootEdit", "after an edit at a root with 1,000 dependents, one combination", "5");
        graph(report, results, "leafEdit", "after an edit at a leaf, one combination", "0.5");
    }

    private static void graph(
            StringBuilder report, Collection<RunResult> results, String name, String what, String goal) {
        results.stream()
                .filter(result -> result.getParams().getBenchmark().endsWith("." + name))
                .forEach(result -> report.append(String.format(
                        Locale.ROOT,
                        "| %s | %s | %.3f |%n",
                        what,
                        goal,
                        result.getPrimaryResult().getScore() / 1_000)));
    }

    private static void row(StringBuilder report, String what, List<Double> samples) {
        List<Double> sorted = samples.stream().sorted().toList();
        report.append(String.format(
                Locale.ROOT, "| %s | %.1f | %.1f | %d |%n", what, at(sorted, 0.5), at(sorted, 0.95), sorted.size()));
    }

    private static double at(List<Double> sorted, double share) {
        return sorted.get(Math.min(sorted.size() - 1, (int) Math.ceil(share * sorted.size()) - 1));
    }

    private static String machine() throws IOException {
        String model = Files.readString(Path.of("/proc/cpuinfo"))
                .lines()
                .filter(line -> line.startsWith("model name"))
                .findFirst()
                .map(line -> line.substring(line.indexOf(':') + 2))
                .orElse("unknown processor");
        return Runtime.getRuntime().availableProcessors() + " cores (" + model + "), Java "
                + System.getProperty("java.version") + ", " + System.getProperty("os.name");
    }
}
