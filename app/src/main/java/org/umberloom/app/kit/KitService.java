package org.umberloom.app.kit;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.function.Supplier;
import java.util.zip.GZIPOutputStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.umberloom.app.account.Account;
import org.umberloom.app.ground.GroundPictures;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.format.FormatException;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.format.ThemeJson;

/** Kits: what goes in, the archive, and the way back. */
@Service
class KitService {
    private static final String KEPT = "Nothing was imported and nothing was changed.";
    private static final byte[] ZIP_START = {'P', 'K'};

    /** A file of a kit with its size as it is, and as a web server would send it compressed. */
    record FileView(String name, long bytes, long compressed, boolean readable) {
    }

    record KitView(String theme, String site, List<String> sites, List<FileView> files, long bytes, long archive) {
    }

    /** @param notes a sentence for each kind of thing that was converted while it was read */
    record Imported(long id, List<String> notes) {
    }

    private final DraftService drafts;
    private final SiteService sites;
    private final KitFiles kits;
    private final GroundPictures grounds;

    KitService(DraftService drafts, SiteService sites, KitFiles kits, GroundPictures grounds) {
        this.grounds = grounds;
        this.drafts = drafts;
        this.sites = sites;
        this.kits = kits;
    }

    /** @param site slug of the site whose pages travel along; empty for none */
    KitView contents(long theme, String site) {
        Draft draft = drafts.newest(theme);
        Map<String, byte[]> files = kits.of(theme, draft.theme(), shown(site));
        List<String> readable = KitFiles.readable(files);
        List<FileView> views = new ArrayList<>();
        files.forEach((name, content) ->
                views.add(new FileView(name, content.length, compressed(content), readable.contains(name))));
        return new KitView(draft.theme().name(), site, sites.all().stream().map(Site::slug).toList(), views,
                views.stream().mapToLong(FileView::bytes).sum(), KitArchive.write(files).length);
    }

    /** The text of one file. */
    String text(long theme, String site, String name) {
        Map<String, byte[]> files = kits.of(theme, drafts.newest(theme).theme(), shown(site));
        if (!KitFiles.readable(files).contains(name))
            throw new NoSuchElementException("The kit has no file “" + name + "” that can be shown as text.");
        return new String(files.get(name), StandardCharsets.UTF_8);
    }

    byte[] archive(long theme, String site) {
        return KitArchive.write(kits.of(theme, drafts.newest(theme).theme(), shown(site)));
    }

    String fileName(long theme) {
        String name = drafts.newest(theme).theme().name().toLowerCase(java.util.Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return (name.isEmpty() ? "theme" : name) + ".kit.zip";
    }

    /** Reads a kit archive, a resolver document or a token file, and keeps it as a new theme. */
    @Transactional
    public Imported take(String fileName, byte[] content, Account by) {
        Map<String, byte[]> files = files(content);
        ThemeJson.Reading reading = theme(fileName, content, files);
        long id = drafts.create(reading.theme(), "imported from " + fileName, by);
        List<String> notes = new ArrayList<>(reading.notes());
        for (KitManifest.Picture picture : KitManifest.pictures(files)) {
            try {
                grounds.add(id, picture.file(), picture.license(), files.get(picture.file()));
            } catch (IllegalArgumentException refused) {
                notes.add("The picture “" + picture.file() + "” was left out: " + refused.getMessage());
            }
        }
        return new Imported(id, notes);
    }

    /** The files of an archive; none when it is no archive. */
    private static Map<String, byte[]> files(byte[] content) {
        boolean archive = content.length >= 2 && content[0] == ZIP_START[0] && content[1] == ZIP_START[1];
        return archive ? refusing(() -> KitArchive.read(content)) : Map.of();
    }

    private static ThemeJson.Reading theme(String fileName, byte[] content, Map<String, byte[]> files) {
        return refusing(() -> files.isEmpty() ? document(fileName, content) : KitManifest.reading(files));
    }

    /** Every refusal ends with what became of the file. */
    private static <T> T refusing(Supplier<T> read) {
        try {
            return read.get();
        } catch (FormatException e) {
            if (e.getMessage().contains(KEPT)) throw e;
            throw new FormatException(e.getMessage() + " " + KEPT, e);
        }
    }

    private static ThemeJson.Reading document(String fileName, byte[] content) {
        String text;
        try {
            text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(content)).toString();
        } catch (CharacterCodingException e) {
            throw new IllegalArgumentException("“" + fileName + "” is neither a kit archive nor a text file, or it is "
                    + "damaged. " + KEPT + " Export it again, or choose another file.", e);
        }
        return ThemeJson.reading(fileName, text, file -> {
            throw new FormatException("“" + fileName + "” refers to the file “" + file
                    + "”, which was not given with it; put both into one ZIP archive.");
        });
    }

    private List<Site> shown(String site) {
        return site.isEmpty() ? List.of() : List.of(sites.get(site));
    }

    private static long compressed(byte[] content) {
        try {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            try (GZIPOutputStream gzip = new GZIPOutputStream(bytes)) {
                gzip.write(content);
            }
            return bytes.size();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
