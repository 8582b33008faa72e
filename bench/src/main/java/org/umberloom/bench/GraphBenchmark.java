package org.umberloom.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
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
import org.umberloom.core.color.Color;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/** A theme of 10,000 tokens in 12 combinations: resolved whole, and carried along after an edit at a root and at a leaf. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class GraphBenchmark {
    private static final int TOKENS = 10_000;
    private static final int USERS = 1_000;
    private static final Place BASE = Place.set(Starter.BASE);
    private static final TokenPath ROOT = TokenPath.of("root.color");
    private static final TokenPath LEAF = TokenPath.of("leaf.color");

    private ThemeDocument theme;
    private List<Combination> combinations;
    private ThemeGraph graph;
    private ThemeDocument rootEdited;
    private ThemeDocument leafEdited;

    @Setup
    public void weave() {
        Group users = Group.EMPTY;
        for (int i = 0; i < USERS; i++)
            users = users.with(TokenPath.of("group-" + i / 25 + ".u" + i % 25), Token.untyped(Alias.to(ROOT.dotted())));
        ThemeDocument woven = Themes.ofSize(TOKENS - USERS - 2);
        woven = new Edit.Put(BASE, TokenPath.of("user"), users, -1)
                .applyTo(woven)
                .theme();
        woven = color(woven, ROOT, 1);
        woven = color(woven, LEAF, 2);
        woven = new Structure.AddModifier("look", new Modifier("", contexts("a", "b", "c"), "a"), -1, 2)
                .applyTo(woven)
                .theme();
        theme = new Structure.AddModifier("density", new Modifier("", contexts("roomy", "compact"), "roomy"), -1, 3)
                .applyTo(woven)
                .theme();
        combinations = theme.combinations(12);
        graph = ThemeGraph.of(theme, theme.defaults());
        rootEdited = color(theme, ROOT, 3);
        leafEdited = color(theme, LEAF, 4);
    }

    private static Map<String, Group> contexts(String... names) {
        Map<String, Group> contexts = new LinkedHashMap<>();
        for (String name : names)
            contexts.put(
                    name,
                    Group.EMPTY.with(
                            TokenPath.of("surface.page.extra"),
                            Token.of(new ColorValue(Color.rgb(1, 2, name.length())))));
        return contexts;
    }

    private static ThemeDocument color(ThemeDocument theme, TokenPath path, int red) {
        return new Edit.SetValue(BASE, path, new ColorValue(Color.rgb(red, 0, 0)))
                .applyTo(theme)
                .theme();
    }

    @Benchmark
    public List<Resolution> twelveCombinations() {
        List<Resolution> all = new ArrayList<>();
        for (Combination combination : combinations) all.add(Resolution.of(theme, combination));
        return all;
    }

    @Benchmark
    public ThemeGraph rootEdit() {
        return graph.after(rootEdited);
    }

    @Benchmark
    public ThemeGraph leafEdit() {
        return graph.after(leafEdited);
    }
}
