package org.umberloom.cli;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.color.Tones;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.format.SiteArchive;
import org.umberloom.core.format.form.Form;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.kit.Grounds;
import org.umberloom.kit.Kit;
import org.umberloom.kit.SharingPictures;
import org.umberloom.kit.SitePicture;
import org.umberloom.kit.SiteSquares;
import org.umberloom.kit.font.FontCatalog;
import org.umberloom.kit.font.FontFiles;
import org.umberloom.kit.picture.PictureReader;
import org.umberloom.kit.picture.SmallerPictures;

/** A kit taken apart, so that another can be made of its sites, fonts and pictures. */
final class Unpacked {
    private static final String FONTS = "fonts/";

    private final PictureReader reader = new PictureReader();
    private final Map<String, byte[]> files;
    private final List<String> notes = new ArrayList<>();
    private final List<Kit.OfSite> sites = new ArrayList<>();

    /** @param files of a kit, or of a folder that is none and has no sites then */
    Unpacked(Map<String, byte[]> files) {
        this.files = files;
        if (files.containsKey(KitManifest.FILE) && files.keySet().stream().anyMatch(name -> name.startsWith("pages/")))
            for (SiteArchive.Reading site : SiteArchive.readAll("", files)) {
                sites.add(new Kit.OfSite(
                        site.site(),
                        site.pictures().entrySet().stream()
                                .map(one -> picture(one.getKey(), one.getValue()))
                                .toList()));
                notes.addAll(site.notes());
            }
    }

    /** What was taken out of pages, or passed over; a sentence each. */
    List<String> notes() {
        return notes;
    }

    /**
     * Another kit of the same sites and fonts.
     *
     * @param pages whether its sites go in
     * @param fonts whether its fonts go in
     */
    Map<String, byte[]> again(ThemeDocument theme, boolean pages, boolean fonts, List<Form> forms, String release) {
        return new Kit(new Kit.Workshop(
                        fontFiles(),
                        grounds(),
                        new SmallerPictures(),
                        new SiteSquares(),
                        new SharingPictures(),
                        KitManifest.leftOut(files)))
                .of(theme, pages ? sites : List.of(), new Kit.Parts(release, fonts, true, forms));
    }

    private SitePicture picture(String name, SiteArchive.Picture one) {
        try {
            return SitePicture.of(name, reader.read(one.content()), one.facts());
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("“" + name + "”: " + e.getMessage(), e);
        }
    }

    private FontFiles fontFiles() {
        Map<String, List<KitManifest.Font>> byFamily = new LinkedHashMap<>();
        for (KitManifest.Font font : KitManifest.fonts(files))
            byFamily.computeIfAbsent(font.family(), family -> new ArrayList<>()).add(font);
        return FontFiles.of(byFamily.values().stream().map(Unpacked::family).toList(), file -> Optional.ofNullable(
                        files.get(FONTS + file))
                .orElseThrow(() -> new IllegalArgumentException(
                        "The kit names “" + FONTS + file + "”, which is not in it. Take it anew.")));
    }

    private static FontCatalog.Family family(List<KitManifest.Font> fonts) {
        KitManifest.Font first = fonts.get(0);
        return new FontCatalog.Family(
                first.family(),
                "",
                first.generic(),
                first.license(),
                inFolder(first.licenseFile()),
                "",
                true,
                fonts.stream()
                        .map(font -> new FontCatalog.FontPart(
                                inFolder(font.file()), font.style(), font.weights(), font.stretch(), font.characters()))
                        .toList());
    }

    private static String inFolder(String file) {
        return file.startsWith(FONTS) ? file.substring(FONTS.length()) : file;
    }

    private Grounds grounds() {
        Map<String, byte[]> contents = new LinkedHashMap<>();
        files.forEach((name, content) -> {
            if (name.startsWith(Stylesheet.GROUND_FOLDER)) contents.put(Fingerprint.of(content), content);
        });
        Map<String, Tones> tones = new LinkedHashMap<>();
        return new Grounds() {
            @Override
            public Pictures of(ThemeDocument theme) {
                Map<String, Picture> named = Picture.of(theme);
                return name -> Optional.ofNullable(named.get(name)).flatMap(picture -> content(picture.hash())
                        .map(content ->
                                tones.computeIfAbsent(picture.hash(), hash -> Tones.ofPixels(reader.pixels(content)))));
            }

            @Override
            public Optional<byte[]> content(String hash) {
                return Optional.ofNullable(contents.get(hash));
            }
        };
    }
}
