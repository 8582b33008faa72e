package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.format.form.Form;
import org.umberloom.core.theme.ThemeDocument;

/** Forms of the demo's theme, read by the Sass compiler, by Tailwind 4, by Node and by the TypeScript compiler. */
class FormsOfBuildsTest {
    private static final long LONGEST_S = 120;

    @Test
    void everyFormSaysTheSameValues(@TempDir Path folder) throws Exception {
        Path demo = Loom.HOME.resolve("demo/themes/tern-passage");
        ThemeDocument theme = ThemeJson.read(Files.readString(demo.resolve("theme.resolver.json")), file -> {
            try {
                return Files.readString(demo.resolve(file));
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        for (Form form : Form.ALL)
            for (Map.Entry<String, String> file : form.write(theme).entrySet()) {
                Path to = folder.resolve(form.id()).resolve(file.getKey());
                Files.createDirectories(to.getParent());
                Files.writeString(to, file.getValue());
            }
        Path said = folder.resolve("said.txt");
        Process node = new ProcessBuilder(
                        "node",
                        Loom.HOME
                                .resolve("e2e/src/test/resources/forms/check.mjs")
                                .toString(),
                        folder.toString(),
                        Loom.HOME.resolve("ui").toString())
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start();
        assertThat(node.waitFor(LONGEST_S, TimeUnit.SECONDS)).isTrue();
        assertThat(node.exitValue()).as(Files.readString(said)).isZero();
        assertThat(Files.readString(said)).containsPattern("scss \\d{3}\n").containsPattern("tailwind \\d{2,3}\n");
    }
}
