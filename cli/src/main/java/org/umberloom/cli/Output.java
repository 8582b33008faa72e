package org.umberloom.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;

/** Files that a command writes into a folder. */
final class Output {
    private Output() {}

    static void write(Path folder, Map<String, String> files) throws IOException {
        for (Map.Entry<String, String> file : files.entrySet()) {
            Path to = folder.resolve(file.getKey());
            Files.createDirectories(to.toAbsolutePath().getParent());
            Files.writeString(to, file.getValue());
        }
    }
}
