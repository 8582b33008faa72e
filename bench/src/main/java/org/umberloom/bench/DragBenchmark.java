package org.umberloom.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.css.LiveProperties;
import org.umberloom.core.propose.ContrastProposal;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;

/**
 * A drag that moves the seeds of all five hues at once: 5 ramps of 14 shades are grown, then light, dark and more contrast
 * resolved, their properties written for 5 surfaces and all their pairs measured.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 8, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class DragBenchmark {
    private static final List<String> HUES = List.of("brand", "ink", "good", "warning", "bad");
    private ThemeDocument theme;
    private List<ThemeGraph> graphs;
    private int turn;

    @Setup
    public void weave() {
        ThemeDocument starter = Starter.ALL.get(0).theme("Drag");
        theme = ContrastProposal.of(starter).applyTo(starter).theme();
        Combination light = theme.defaults();
        graphs = List.of(
                ThemeGraph.of(theme, light),
                ThemeGraph.of(theme, light.with("scheme", "dark")),
                ThemeGraph.of(theme, light.with("contrast", "more")));
    }

    @Benchmark
    public List<Object> drag() {
        turn = (turn + 1) % 360;
        List<Edit> edits = new ArrayList<>();
        for (int i = 0; i < HUES.size(); i++)
            edits.add(new Edit.SetValue(
                    Place.set(Starter.BASE),
                    TokenPath.of("color." + HUES.get(i) + ".seed"),
                    new ColorValue(CssColor.parse("oklch(0.5 0.12 " + (turn + i * 72) % 360 + ")"))));
        ThemeDocument dragged = new Edit.Batch("drag", edits).applyTo(theme).theme();
        List<Object> shown = new ArrayList<>();
        for (ThemeGraph graph : graphs) {
            Resolution resolution = graph.after(dragged).resolution();
            List<Finding> findings = Contrasts.findings(theme, resolution);
            shown.add(LiveProperties.of(resolution).on(Map.of()));
            shown.add(findings);
        }
        return shown;
    }
}
