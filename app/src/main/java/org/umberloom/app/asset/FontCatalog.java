package org.umberloom.app.asset;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.springframework.core.io.Resource;
import org.springframework.core.io.ResourceLoader;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The font families that ship with the application. */
@Component
public class FontCatalog {
    private static final String FOLDER = "classpath:/static/fonts/";

    /**
     * One shipped family.
     *
     * @param generic the generic family to fall back to
     * @param file    name of its WOFF2 file, a variable font
     * @param weights the weights it covers, such as {@code 300 900}
     * @param license name of its license; the text is in {@code licenseFile}
     */
    public record Family(
            String name, String generic, String file, String weights, String license, String licenseFile) {}

    private final ResourceLoader resources;
    private final List<Family> families;

    FontCatalog(ResourceLoader resources, JsonMapper json) throws IOException {
        this.resources = resources;
        Resource catalog = resources.getResource(FOLDER + "catalog.json");
        families = catalog.exists()
                ? json.readValue(catalog.getContentAsString(StandardCharsets.UTF_8), new TypeReference<>() {})
                : List.of();
    }

    public List<Family> families() {
        return families;
    }

    public Optional<Family> find(String name) {
        return families.stream().filter(family -> family.name().equals(name)).findFirst();
    }

    /** The bytes of a family's font or license file. */
    public byte[] read(String file) {
        try {
            return resources.getResource(FOLDER + file).getContentAsByteArray();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
