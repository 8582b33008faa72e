package org.umberloom.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.umberloom.core.change.Changes;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;

/** Resolving, compiling, reading and editing themes of three sizes. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CoreBenchmark {
    @Param({"100", "1000", "10000"})
    public int tokens;

    private ThemeDocument theme;
    private String document;
    private int turn;

    @Setup
    public void weave() {
        theme = Themes.ofSize(tokens);
        document = ThemeJson.writeInline(theme);
    }

    /** One combination from nothing. */
    @Benchmark
    public Resolution resolve() {
        return Resolution.of(theme, theme.defaults());
    }

    @Benchmark
    public String compile() {
        return Stylesheet.compile(theme, Usage.ALL, List.of());
    }

    @Benchmark
    public ThemeDocument read() {
        return ThemeJson.readInline(document);
    }

    /** Two states told apart: a seed that moved, with all that follows from it, each state resolved for that. */
    @Benchmark
    public Changes difference() {
        return Changes.between(theme, seed());
    }

    /** A seed set to a new color: the whole ramp is solved again. */
    @Benchmark
    public ThemeDocument seed() {
        turn = (turn + 1) % 360;
        return new Edit.SetValue(
                        Place.set(Starter.BASE),
                        TokenPath.of("color.brand.seed"),
                        new ColorValue(CssColor.parse("oklch(0.5 0.12 " + turn + ")")))
                .applyTo(theme)
                .theme();
    }
}
