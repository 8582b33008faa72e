package org.umberloom.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.ThemeDocument;

/** The demo's data as it lies in its files. */
final class Demo {
    static final Path SITES = Loom.HOME.resolve("demo/sites");
    private static final Path THEME = Loom.HOME.resolve("demo/themes/tern-passage");

    private Demo() {}

    static ThemeDocument theme() {
        return ThemeJson.read(read(THEME.resolve("theme.resolver.json")), file -> read(THEME.resolve(file)));
    }

    static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The pages below a folder, by their names. */
    static List<Path> pages(Path folder) {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(file -> file.toString().endsWith(".html"))
                    .sorted()
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
