package org.umberloom.core.font;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.umberloom.core.json.Json;

/** The fonts that ship, where the front end lays them, and what another library reads in them. */
final class ShippedFonts {
    private static final Path FOLDER = Path.of("../ui/static/fonts");
    private static final Map<String, FontFile> READ = new ConcurrentHashMap<>();

    private ShippedFonts() {}

    static byte[] bytes(String file) {
        try {
            return Files.readAllBytes(FOLDER.resolve(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static FontFile font(String file) {
        return READ.computeIfAbsent(file, one -> FontFile.read(bytes(one)));
    }

    /** By file names: see {@code reference.py} for what it says of each. */
    static Map<String, Object> reference() {
        try (var in = ShippedFonts.class.getResourceAsStream("/fonts/reference.json")) {
            return Json.object(
                    "fonts",
                    Json.readObject("reference", new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8))
                            .get("fonts"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
