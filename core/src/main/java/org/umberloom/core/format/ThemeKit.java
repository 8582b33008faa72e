package org.umberloom.core.format;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.form.Form;
import org.umberloom.core.theme.ThemeDocument;

/** The kit of a theme alone: manifest, token files, style sheet and forms, without pages, fonts and pictures. */
public final class ThemeKit {
    public static final String STYLESHEET = "theme.css";
    public static final String LICENSES = "LICENSES.txt";
    /** How the list of licenses begins. */
    public static final String LICENSES_BEGIN = "Licenses of what is in this kit\n\n";

    private static final String FORMS = "forms/";

    private ThemeKit() {}

    /**
     * Equal input gives equal bytes, wherever it is made.
     *
     * @param release that it is made of; empty for a draft
     */
    public static Map<String, byte[]> of(ThemeDocument theme, List<Form> forms, String release) {
        Map<String, String> themeFiles = ThemeJson.writeFiles(theme);
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put(
                KitManifest.FILE,
                bytes(new KitManifest(
                                theme.name(),
                                themeFiles.keySet().iterator().next(),
                                STYLESHEET,
                                List.of(),
                                List.of(),
                                List.of())
                        .write()));
        files.put(STYLESHEET, bytes(Stylesheet.compile(theme, Usage.ALL, List.of())));
        themeFiles.forEach((name, text) -> files.put(name, bytes(text)));
        files.put(LICENSES, bytes(LICENSES_BEGIN));
        files.putAll(forms(theme, forms));
        return KitManifest.sealed(files, release);
    }

    /** The files of forms, by their names in a kit. */
    public static Map<String, byte[]> forms(ThemeDocument theme, List<Form> forms) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (Form form : forms)
            form.write(theme).forEach((name, text) -> files.put(FORMS + form.id() + "/" + name, bytes(text)));
        return files;
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
