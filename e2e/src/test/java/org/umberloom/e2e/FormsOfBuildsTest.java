package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.Method;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
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
    private static final Path JAR = Loom.HOME.resolve("cli/target/umber-loom-cli.jar");

    private static List<String> words(Path from, Path to, String... options) {
        List<String> words = new ArrayList<>(List.of("compile", from.toString(), "--kit=" + to));
        words.addAll(List.of(options));
        return words;
    }

    /** Runs the command line as people do. @return what it said */
    private static String compiled(Path from, Path to, String... options) throws Exception {
        Path said = Files.createTempFile("said", ".txt");
        List<String> words = new ArrayList<>(List.of("java", "-XX:TieredStopAtLevel=1", "-jar", JAR.toString()));
        words.addAll(words(from, to, options));
        Process line = new ProcessBuilder(words)
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start();
        assertThat(line.waitFor(LONGEST_S, TimeUnit.SECONDS)).isTrue();
        String told = Files.readString(said);
        Files.delete(said);
        assertThat(line.exitValue()).as(told).isZero();
        return told;
    }

    /** The command line, given a kit of the application, makes that archive again, byte by byte; of a release and of a draft. */
    @Test
    void kitsOfTheCommandLineAreThoseOfTheApplication(@TempDir Path folder) throws Exception {
        Client client = new Client(Loom.withDemo().address()).signedIn();
        Released released = Released.called(client, "To the byte");
        for (String[] one : new String[][] {{"1", "draft", ""}, {released.theme(), "1.0.0", "1.0.0"}})
            for (String fonts : List.of("true", "false")) {
                byte[] made = client.download("/api/themes/" + one[0] + "/kit.zip?fonts=" + fonts
                        + "&forms=css&forms=module&state=" + one[1]);
                Path kit = Files.write(folder.resolve(one[0] + fonts + ".zip"), made);
                Path again = folder.resolve(one[0] + fonts + ".again.zip");
                compiled(kit, again, "--form=css", "--form=module", "--release=" + one[2]);
                assertThat(KitArchive.read(made)).containsKeys("theme.css", "kit.json", "forms/css/variables.css");
                assertThat(Files.readAllBytes(again)).isEqualTo(made);
            }
    }

    /** The same with the pages of every site of the demo: their pictures in all sizes, icons, fonts and what is left out. */
    @Test
    void kitsWithPagesAreTheSameToo(@TempDir Path folder) throws Exception {
        Client client = new Client(Loom.withDemo().address()).signedIn();
        // The jar with its own classes alone, here, where they are loaded once for all six.
        try (URLClassLoader alone =
                new URLClassLoader(new URL[] {JAR.toUri().toURL()}, ClassLoader.getPlatformClassLoader())) {
            Method run = alone.loadClass("org.umberloom.cli.Main").getDeclaredMethod("run", String[].class);
            run.setAccessible(true);
            for (String site : List.of("crossings", "freight", "galley", "crew", "trust", "winter")) {
                byte[] made = client.download("/api/themes/1/kit.zip?site=" + site);
                Path kit = Files.write(folder.resolve(site + ".zip"), made);
                Path again = folder.resolve(site + ".again.zip");
                assertThat(run.invoke(null, (Object) words(kit, again).toArray(String[]::new)))
                        .isEqualTo(0);
                assertThat(KitArchive.read(made)).containsKeys("pages/" + site + "/index.html");
                assertThat(differing(made, Files.readAllBytes(again))).isEmpty();
                assertThat(Files.readAllBytes(again)).isEqualTo(made);
            }
        }
    }

    /** Token files that changed, with the pages of the kit before: what the application makes of the changed theme. */
    @Test
    void pagesOfAKitAreDressedByTokensAsTheyAreNow(@TempDir Path folder) throws Exception {
        Client client = new Client(Loom.withDemo().address()).signedIn();
        Released released = Released.called(client, "Pages again");
        Released.object(client.send(
                "POST", "/api/sites/" + released.site() + "/pictures/placeholders", "{\"width\":640,\"height\":480}"));
        String asked = "/api/themes/" + released.theme() + "/kit.zip?site=" + released.site() + "&forms=scss&state=";
        byte[] before = client.download(asked + "1.0.0");
        released.edit(0, "color.brand.seed", "#902040");
        byte[] after = client.download(asked + "draft");
        assertThat(differing(before, after)).contains("theme.css").doesNotContain("fonts");

        Map<String, byte[]> mixed = new LinkedHashMap<>(KitArchive.read(before));
        KitArchive.read(after).forEach((name, content) -> {
            if (name.startsWith("tokens/") || name.endsWith(".resolver.json")) mixed.put(name, content);
        });
        for (Map.Entry<String, byte[]> file : mixed.entrySet()) {
            Path to = folder.resolve("kit").resolve(file.getKey());
            Files.createDirectories(to.getParent());
            Files.write(to, file.getValue());
        }
        Path again = folder.resolve("again.zip");
        compiled(folder.resolve("kit"), again, "--form=scss");
        assertThat(differing(after, Files.readAllBytes(again))).isEmpty();
        assertThat(new String(KitArchive.read(after).get("kit.json"), StandardCharsets.UTF_8))
                .contains("\"leftOut\"")
                .contains("placeholder");

        Path bare = folder.resolve("bare.zip");
        compiled(folder.resolve("kit"), bare, "--form=scss", "--no-pages", "--no-fonts");
        assertThat(differing(
                        client.download(
                                "/api/themes/" + released.theme() + "/kit.zip?fonts=false&forms=scss&state=draft"),
                        Files.readAllBytes(bare)))
                .isEmpty();
    }

    /** Names of the files in which two archives differ. */
    private static List<String> differing(byte[] one, byte[] other) {
        Map<String, byte[]> first = KitArchive.read(one);
        Map<String, byte[]> second = KitArchive.read(other);
        Set<String> names = new TreeSet<>(first.keySet());
        names.addAll(second.keySet());
        return names.stream()
                .filter(name -> !Arrays.equals(first.get(name), second.get(name)))
                .toList();
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
