package org.umberloom.core.format;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.format.form.Form;
import org.umberloom.core.theme.ThemeDocument;

/** Kits from their parts. Equal input gives equal bytes, wherever it is made. */
public final class ThemeKit {
    public static final String STYLESHEET = "theme.css";
    private static final String LICENSES = "LICENSES.txt";
    /** How the list of licenses begins. */
    public static final String LICENSES_BEGIN = "Licenses of what is in this kit\n\n";

    private static final String FORMS = "forms/";

    private ThemeKit() {}

    /**
     * Any kit, its files in the order in which all kits have them.
     *
     * @param tokens the token files; none where it is pages alone
     * @param beside pages, pictures and fonts by their names
     * @param forms  by their names in a kit
     */
    public static Map<String, byte[]> of(
            KitManifest manifest,
            String stylesheet,
            Map<String, String> tokens,
            Map<String, byte[]> beside,
            String licenses,
            Map<String, byte[]> forms,
            String release) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put(KitManifest.FILE, bytes(manifest.write()));
        files.put(STYLESHEET, bytes(stylesheet));
        tokens.forEach((name, text) -> files.put(name, bytes(text)));
        files.putAll(beside);
        files.put(LICENSES, bytes(licenses));
        files.putAll(forms);
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
