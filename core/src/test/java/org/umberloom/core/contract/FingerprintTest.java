package org.umberloom.core.contract;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

class FingerprintTest {
    /** Prints it, in a program of its own. */
    static final class Printing {
        public static void main(String[] arguments) {
            System.out.print(Contract.standard().fingerprint());
        }
    }

    /** Collections without an order have another in each run of a program; what stands in kits must not. */
    @Test
    void everyRunOfAProgramFindsTheSame() throws IOException {
        String here = Contract.standard().fingerprint();
        assertThat(here).matches("[0-9a-f]{12}");
        for (int i = 0; i < 4; i++) {
            Process run = new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "java")
                                    .toString(),
                            "-XX:TieredStopAtLevel=1",
                            "-cp",
                            System.getProperty("java.class.path"),
                            Printing.class.getName())
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            assertThat(new String(run.getInputStream().readAllBytes(), StandardCharsets.UTF_8))
                    .isEqualTo(here);
        }
    }
}
