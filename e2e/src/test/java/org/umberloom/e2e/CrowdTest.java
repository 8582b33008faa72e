package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;

/** A small crowd for a few seconds: everybody is answered. How fast is measured elsewhere. */
class CrowdTest {
    @Test
    void everybodyIsAnswered() throws Exception {
        try (Crowd crowd = new Crowd(Loom.withDemo().address()).of(20)) {
            crowd.work(Duration.ofSeconds(8));
            assertThat(crowd.failures).isEmpty();
            assertThat(crowd.probes.size() + crowd.edits.size()).isGreaterThan(60);
        }
    }
}
