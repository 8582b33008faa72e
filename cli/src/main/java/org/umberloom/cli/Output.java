package org.umberloom.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import picocli.CommandLine.Option;

/** The folder that a command writes files into. */
final class Output {
    @Option(
            names = {"-o", "--output"},
            paramLabel = "FOLDER",
            defaultValue = ".",
            description = "Where to write; the folder is made. Default: here.")
    private Path folder;

    /** Writes files by their names, and says where each is. */
    void write(Map<String, String> files, PrintWriter out) throws IOException {
        for (Map.Entry<String, String> file : files.entrySet()) {
            Path to = folder.resolve(file.getKey());
            Files.createDirectories(to.toAbsolutePath().getParent());
            Files.writeString(to, file.getValue());
            out.println(to);
        }
    }
}
