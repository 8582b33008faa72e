package org.umberloom.core.color;

import java.util.ArrayList;
import java.util.List;

/** Colors that stand in a fixed relation of hue to a seed, by degrees in OKLCH. Common practice of color theory. */
public enum Harmony {
    COMPLEMENTARY("complementary", 180),
    SPLIT("split complementary", 150, 210),
    ANALOGOUS("analogous", -30, 30),
    TRIAD("triad", 120, 240),
    TETRAD("tetrad", 90, 180, 270);

    private final String words;
    private final int[] turns;

    Harmony(String words, int... turns) {
        this.words = words;
        this.turns = turns;
    }

    public String words() {
        return words;
    }

    /** The partners of a seed: its depth, and as much of its chroma as their hue can have at that depth. */
    public List<Color> partners(Color seed) {
        double depth = Depth.of(seed).value();
        List<Color> partners = new ArrayList<>();
        for (int turn : turns) partners.add(Adjust.toDepth(Adjust.rotate(seed, turn), depth));
        return partners;
    }
}
