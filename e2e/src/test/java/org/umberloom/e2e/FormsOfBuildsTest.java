package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.format.form.Form;
import org.umberloom.core.theme.ThemeDocument;

/** Forms of the demo's theme, read by the Sass compiler, by Tailwind 4, by Node and by the TypeScript compiler. */
class FormsOfBuildsTest {
    private static final long LONGEST_S = 120;

    /** The command line, given a kit of the application, makes that archive again, byte by byte; of a release and of a draft. */
    @Test
    void kitsOfTheCommandLineAreThoseOfTheApplication(@TempDir Path folder) throws Exception {
        Client client = new Client(Loom.withDemo().address()).signedIn();
        Released released = Released.called(client, "To the byte");
        for (String[] one : new String[][] {{"1", "draft", ""}, {released.theme(), "1.0.0", "1.0.0"}}) {
            byte[] made = client.download(
                    "/api/themes/" + one[0] + "/kit.zip?fonts=false&forms=css&forms=module&state=" + one[1]);
            Path kit = Files.write(folder.resolve(one[0] + ".zip"), made);
            Path again = folder.resolve(one[0] + ".again.zip");
            Process line = new ProcessBuilder(
                            "java",
                            "-jar",
                            Loom.HOME.resolve("cli/target/umber-loom-cli.jar").toString(),
                            "compile",
                            kit.toString(),
                            "--kit=" + again,
                            "--form=css",
                            "--form=module",
                            "--release=" + one[2])
                    .redirectErrorStream(true)
                    .redirectOutput(folder.resolve("said.txt").toFile())
                    .start();
            assertThat(line.waitFor(LONGEST_S, TimeUnit.SECONDS)).isTrue();
            assertThat(line.exitValue())
                    .as(Files.readString(folder.resolve("said.txt")))
                    .isZero();
            assertThat(KitArchive.read(made)).containsKeys("theme.css", "kit.json", "forms/css/variables.css");
            assertThat(Files.readAllBytes(again)).isEqualTo(made);
        }
    }

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
