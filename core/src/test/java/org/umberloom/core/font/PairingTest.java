package org.umberloom.core.font;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.umberloom.core.font.Pairing.Candidate;

class PairingTest {
    private static final Candidate TEXT = new Candidate("Lora", "transitional", "serif", 0.5);

    @Test
    void anotherKindWithLettersAsHighGoesWithText() {
        List<Pairing> pairs = Pairing.with(
                TEXT,
                List.of(
                        TEXT,
                        new Candidate("Literata", "transitional", "serif", 0.5),
                        new Candidate("Bitter", "slab", "serif", 0.5),
                        new Candidate("Figtree", "geometric", "sans-serif", 0.52),
                        new Candidate("Jost", "geometric", "sans-serif", 0.44),
                        new Candidate("Cabin", "humanist", "sans-serif", 0.5),
                        new Candidate("Red Hat Mono", "mono", "monospace", 0.5)));
        assertThat(pairs).extracting(Pairing::name).containsExactly("Cabin", "Figtree", "Bitter");
        assertThat(pairs.get(0).why()).isEqualTo("humanist beside transitional, small letters as high");
        assertThat(pairs.get(1).why()).isEqualTo("geometric beside transitional, small letters 1.04 times as high");
    }
}
