package org.umberloom.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.format.ThemeFiles;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.ThemeDocument;

/**
 * A theme as it stands on the disk: a kit or another archive, a folder of token files, a resolver document with the files beside
 * it, or a single file in any open form.
 *
 * @param notes  a sentence for each kind of thing that was converted or passed over
 * @param faults what of a kit is not as its manifest says
 * @param files  of an archive or a folder, by their names; none of a single file
 */
record Source(ThemeDocument theme, List<String> notes, List<String> faults, Map<String, byte[]> files) {
    /** @throws IOException with a sentence, when it cannot be read */
    static Source read(Path path) throws IOException {
        if (Files.isDirectory(path)) return kit(folder(path));
        if (!Files.isReadable(path)) throw new IOException("“" + path + "” is not there, or may not be read.");
        byte[] content = Files.readAllBytes(path);
        if (content.length > 1 && content[0] == 'P' && content[1] == 'K') return kit(KitArchive.read(content));
        String name = path.getFileName().toString();
        String text = new String(content, StandardCharsets.UTF_8);
        ThemeJson.Reading reading = name.endsWith(".resolver.json")
                ? ThemeJson.reading(name, text, file -> beside(path, file))
                : ThemeFiles.reading(Map.of(name, text));
        return new Source(reading.theme(), reading.notes(), List.of(), Map.of());
    }

    private static Source kit(Map<String, byte[]> files) {
        ThemeJson.Reading reading = KitManifest.reading(files);
        return new Source(reading.theme(), reading.notes(), KitManifest.faults(files), files);
    }

    private static Map<String, byte[]> folder(Path folder) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path file : all.filter(Files::isRegularFile).sorted().toList())
                files.put(folder.relativize(file).toString().replace('\\', '/'), Files.readAllBytes(file));
        }
        return files;
    }

    /** A file that a resolver document names; none outside of its folder is read. */
    private static String beside(Path document, String file) {
        Path folder = document.toAbsolutePath().normalize().getParent();
        Path named = folder.resolve(file).normalize();
        if (!named.startsWith(folder))
            throw new IllegalArgumentException("“" + file + "” lies outside of the folder of “" + document.getFileName()
                    + "”, so it is not read.");
        try {
            return Files.readString(named);
        } catch (IOException e) {
            throw new IllegalArgumentException(
                    "“" + document.getFileName() + "” refers to “" + file + "”, which is not there.", e);
        }
    }
}
