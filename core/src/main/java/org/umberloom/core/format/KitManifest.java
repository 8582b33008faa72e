package org.umberloom.core.format;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.core.token.Names;

/**
 * What a kit says of itself, in {@value #FILE}.
 *
 * @param name  the theme's name
 * @param theme name of the resolver document; empty where the kit is pages alone
 * @param stylesheet name of the compiled stylesheet
 * @param pages names of the pages
 * @param fonts one entry for each font file
 * @param pictures one entry for each picture that a surface stands on
 * @param leftOut what pages or styles name and the kit has not
 */
public record KitManifest(
        String name,
        String theme,
        String stylesheet,
        List<String> pages,
        List<Font> fonts,
        List<Picture> pictures,
        List<LeftOut> leftOut) {
    public static final String FILE = "kit.json";
    private static final String FILES = "files";
    private static final String FORMAT = "org.umberloom.kit";
    private static final double VERSION = 1;

    /**
     * A font file in the kit, as style sheets and lists of licenses tell of it.
     *
     * @param generic     family of CSS that the family falls back to
     * @param license     that it travels under, by name
     * @param licenseFile the text of that
     * @param style       {@code normal} or {@code italic}
     * @param weights     one, or a range such as {@code 300 900}
     * @param stretch     as CSS {@code font-stretch}; empty for the usual
     * @param characters  as CSS {@code unicode-range}; empty for all
     */
    public record Font(
            String family,
            String generic,
            String file,
            String license,
            String licenseFile,
            String style,
            String weights,
            String stretch,
            String characters) {
        private Map<String, Object> toMap() {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("family", family);
            entry.put("generic", generic);
            entry.put("file", file);
            entry.put("license", license);
            entry.put("licenseFile", licenseFile);
            entry.put("style", style);
            entry.put("weights", weights);
            if (!stretch.isEmpty()) entry.put("stretch", stretch);
            if (!characters.isEmpty()) entry.put("characters", characters);
            return entry;
        }

        private static Font of(Map<?, ?> entry) {
            return new Font(
                    said(entry, "family"),
                    said(entry, "generic"),
                    said(entry, "file"),
                    said(entry, "license"),
                    said(entry, "licenseFile"),
                    said(entry, "style"),
                    said(entry, "weights"),
                    said(entry, "stretch"),
                    said(entry, "characters"));
        }
    }

    /**
     * What stays out of a kit.
     *
     * @param kind {@code font}, {@code icon} or {@code placeholder}
     * @param of   the family, or the picture's name
     * @param site that the picture is of; empty for a family
     * @param said for people: why, and what is shown in its place
     */
    public record LeftOut(String kind, String of, String site, String said) {
        public static final String FONT = "font";
        public static final String ICON = "icon";
        public static final String PLACEHOLDER = "placeholder";

        private Map<String, Object> toMap() {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("kind", kind);
            entry.put("of", of);
            if (!site.isEmpty()) entry.put("site", site);
            entry.put("said", said);
            return entry;
        }
    }

    /** A picture in the kit: its file and the license it travels under. */
    public record Picture(String file, String license) {}

    public String write() {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("format", FORMAT);
        data.put("version", VERSION);
        data.put("name", name);
        data.put("theme", theme);
        data.put("stylesheet", stylesheet);
        data.put("pages", pages);
        data.put("fonts", fonts.stream().map(Font::toMap).toList());
        if (!pictures.isEmpty())
            data.put(
                    "pictures",
                    pictures.stream()
                            .map(picture -> {
                                Map<String, Object> entry = new LinkedHashMap<>();
                                entry.put("file", picture.file());
                                entry.put("license", picture.license());
                                return entry;
                            })
                            .toList());
        if (!leftOut.isEmpty())
            data.put("leftOut", leftOut.stream().map(LeftOut::toMap).toList());
        return Json.write(data);
    }

    /**
     * A kit's files with a manifest that says what each is to be, so that a copy can be checked against it.
     *
     * @param release that it was made of; empty for a draft
     */
    public static Map<String, byte[]> sealed(Map<String, byte[]> files, String release) {
        Map<String, Object> data = new LinkedHashMap<>(Json.readObject(FILE, text(files, FILE)));
        if (!release.isEmpty()) data.put("release", release);
        data.put("contract", Contract.standard().fingerprint());
        Map<String, Object> hashes = new LinkedHashMap<>();
        files.forEach((name, content) -> {
            if (!name.equals(FILE)) hashes.put(name, Fingerprint.of(content));
        });
        data.put(FILES, hashes);
        Map<String, byte[]> sealed = new LinkedHashMap<>(files);
        sealed.put(FILE, Json.write(data).getBytes(StandardCharsets.UTF_8));
        return sealed;
    }

    /** What a manifest says that the files are, by their names; none where it says nothing, or is none. */
    public static Map<String, String> hashes(byte[] manifest) {
        Map<String, String> found = new LinkedHashMap<>();
        try {
            Map<String, Object> data = Json.readObject(FILE, new String(manifest, StandardCharsets.UTF_8));
            if (data.get(FILES) instanceof Map<?, ?> hashes)
                hashes.forEach((name, hash) -> {
                    if (hash instanceof String text) found.put((String) name, text);
                });
        } catch (FormatException e) {
            return Map.of();
        }
        return found;
    }

    /** What of a kit is not as its manifest says, a sentence for each file; none where it says no hashes. */
    public static List<String> faults(Map<String, byte[]> files) {
        if (!files.containsKey(FILE)
                || !(Json.readObject(FILE, text(files, FILE)).get(FILES) instanceof Map<?, ?> hashes)) return List.of();
        List<String> faults = new ArrayList<>();
        hashes.forEach((name, hash) -> {
            byte[] content = files.get((String) name);
            if (content == null) faults.add("“" + Names.shown((String) name) + "” is missing from the kit.");
            else if (!Fingerprint.of(content).equals(hash))
                faults.add("“" + Names.shown((String) name) + "” is not the file that the kit was made with.");
        });
        for (String name : files.keySet())
            if (!name.equals(FILE) && !hashes.containsKey(name))
                faults.add("“" + Names.shown(name) + "” was added to the kit after it was made.");
        return faults;
    }

    /** The theme of a kit's files. @throws FormatException when the manifest or a file it needs is missing or wrong */
    public static ThemeDocument theme(Map<String, byte[]> files) {
        return reading(files).theme();
    }

    /** The same for any archive: one without a manifest is read by its only resolver document, or its only token file. */
    public static ThemeJson.Reading reading(Map<String, byte[]> files) {
        return read(files, ThemeFiles.Said.NOTHING).reading();
    }

    /** The same, with what was said of the files where there is no document that says how they belong together. */
    public static ThemeFiles.Read read(Map<String, byte[]> files, ThemeFiles.Said said) {
        Optional<String> theme = files.containsKey(FILE) ? Optional.of(named(files)) : only(files);
        if (theme.isPresent()) return new ThemeFiles.Read(reading(files, theme.get()), List.of(), Map.of());
        Map<String, String> texts = new LinkedHashMap<>();
        files.keySet().stream()
                .filter(ThemeFiles::mayHoldTokens)
                .sorted()
                .forEach(name -> texts.put(name, text(files, name)));
        if (texts.isEmpty())
            throw new FormatException(
                    "This is not a kit: the archive has no kit.json, and no file that could hold tokens (.json, .css or .scss).");
        return ThemeFiles.read(texts, said);
    }

    private static ThemeJson.Reading reading(Map<String, byte[]> files, String theme) {
        String folder = theme.substring(0, theme.lastIndexOf('/') + 1);
        return ThemeJson.reading(theme, text(files, theme), file -> text(files, normal(folder + file)));
    }

    /** The pictures that a kit's manifest names and that are in it; none where it has no manifest. */
    public static List<Picture> pictures(Map<String, byte[]> files) {
        List<Picture> pictures = new ArrayList<>();
        for (Map<?, ?> entry : entries(files, "pictures"))
            if (files.containsKey(said(entry, "file")))
                pictures.add(new Picture(
                        said(entry, "file"), entry.get("license") instanceof String license ? license : "not stated"));
        return pictures;
    }

    /** The font files that a kit's manifest describes and that are in it, as it is written now; none where it has no manifest. */
    public static List<Font> fonts(Map<String, byte[]> files) {
        List<Font> fonts = new ArrayList<>();
        for (Map<?, ?> entry : entries(files, "fonts"))
            if (files.containsKey(said(entry, "file"))
                    && !said(entry, "weights").isEmpty()) fonts.add(Font.of(entry));
        return fonts;
    }

    /** What a kit's manifest says that it has not. */
    public static List<LeftOut> leftOut(Map<String, byte[]> files) {
        List<LeftOut> all = new ArrayList<>();
        for (Map<?, ?> entry : entries(files, "leftOut"))
            all.add(new LeftOut(said(entry, "kind"), said(entry, "of"), said(entry, "site"), said(entry, "said")));
        return all;
    }

    private static List<Map<?, ?>> entries(Map<String, byte[]> files, String member) {
        List<Map<?, ?>> entries = new ArrayList<>();
        if (files.containsKey(FILE) && Json.readObject(FILE, text(files, FILE)).get(member) instanceof List<?> list)
            for (Object entry : list) if (entry instanceof Map<?, ?> map) entries.add(map);
        return entries;
    }

    private static String said(Map<?, ?> entry, String member) {
        return entry.get(member) instanceof String text ? text : "";
    }

    private static String named(Map<String, byte[]> files) {
        Map<String, Object> manifest = Json.readObject(FILE, text(files, FILE));
        if (!FORMAT.equals(manifest.get("format")))
            throw new FormatException(
                    "kit.json does not describe a kit: its format is “" + manifest.get("format") + "”.");
        if (!Double.valueOf(VERSION).equals(manifest.get("version")))
            throw new FormatException(
                    "The kit has version " + manifest.get("version") + "; version 1 is understood here.");
        String theme = Json.string("The kit's “theme”", manifest.get("theme"));
        if (theme.isEmpty())
            throw new FormatException(
                    "This kit is pages alone, without the tokens of their theme. Take one with its token files.");
        return theme;
    }

    private static Optional<String> only(Map<String, byte[]> files) {
        List<String> resolvers = files.keySet().stream()
                .filter(name -> name.endsWith(".resolver.json"))
                .toList();
        List<String> json =
                files.keySet().stream().filter(name -> name.endsWith(".json")).toList();
        if (resolvers.size() > 1)
            throw new FormatException(
                    "This is not a kit: the archive has no kit.json, and more than one resolver document.");
        if (resolvers.size() == 1) return Optional.of(resolvers.get(0));
        return json.size() == 1 && !json.get(0).endsWith("package.json") ? Optional.of(json.get(0)) : Optional.empty();
    }

    /** A path without steps up and in place. */
    private static String normal(String path) {
        List<String> parts = new ArrayList<>();
        for (String part : path.split("/")) {
            if (part.equals("..") && !parts.isEmpty()) parts.remove(parts.size() - 1);
            else if (!part.equals(".")) parts.add(part);
        }
        return String.join("/", parts);
    }

    private static String text(Map<String, byte[]> files, String name) {
        byte[] content = files.get(name);
        if (content == null) throw new FormatException("The kit has no file “" + name + "”.");
        return new String(content, StandardCharsets.UTF_8);
    }
}
