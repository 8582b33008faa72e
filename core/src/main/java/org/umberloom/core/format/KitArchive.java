package org.umberloom.core.format;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.token.Names;

/** The archive of a kit: a ZIP file whose bytes depend on its files alone, read with limits and without trust. */
public final class KitArchive {
    private static final int MOST_FILES = 2_000;
    private static final int END_BYTES = 22;
    private static final long MOST_BYTES = 64L << 20;
    /** ZIP times start here; a fixed time keeps equal kits equal. */
    private static final LocalDateTime TIME = LocalDateTime.of(1980, 1, 1, 12, 0);

    /** Endings of files that are compressed in themselves; packing them again costs time and gives nothing. */
    private static final Set<String> PACKED = Set.of("woff2", "png", "jpg", "jpeg", "webp");

    private static final String KEPT = " Nothing was imported and nothing was changed.";

    private KitArchive() {}

    /** The files, in the given order, as a ZIP archive. */
    public static byte[] write(Map<String, byte[]> files) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) put(zip, file.getKey(), file.getValue());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** Adds a file whose bytes in the archive depend on nothing but itself. */
    public static void put(ZipOutputStream zip, String name, byte[] content) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTimeLocal(TIME);
        if (PACKED.contains(name.substring(name.lastIndexOf('.') + 1))) {
            CRC32 sum = new CRC32();
            sum.update(content);
            entry.setMethod(ZipEntry.STORED);
            entry.setSize(content.length);
            entry.setCrc(sum.getValue());
        }
        zip.putNextEntry(entry);
        zip.write(content);
        zip.closeEntry();
    }

    /** What an archive is taken for, in the words of its refusal. */
    public enum Of {
        KIT("a kit", "a file that was exported as a kit"),
        PAGES("an archive of pages", "a ZIP archive of a site’s pages");

        private final String what;
        private final String choose;

        Of(String what, String choose) {
            this.what = what;
            this.choose = choose;
        }

        private FormatException none(String why) {
            return new FormatException("This is not " + what + ": " + why + KEPT + " Choose " + choose + ".");
        }
    }

    /**
     * All files by name.
     *
     * @throws FormatException when it is no archive, is damaged or too large, or holds a path that leaves the archive
     */
    public static Map<String, byte[]> read(byte[] archive) {
        return read(archive, Of.KIT);
    }

    /** As {@link #read(byte[])}, of something else than a kit. */
    public static Map<String, byte[]> read(byte[] archive, Of of) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        long total = 0;
        if (archive.length == 0 || archive[0] != 'P') throw of.none("it is no ZIP archive.");
        if (!hasEnd(archive))
            throw new FormatException(
                    "The archive is damaged: its end is missing." + KEPT + " Export it again, or download it again.");
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                checkName(entry.getName());
                if (entry.isDirectory()) continue;
                if (files.size() == MOST_FILES)
                    throw new FormatException("The archive holds more than " + MOST_FILES + " files." + KEPT);
                byte[] content = zip.readNBytes((int) (MOST_BYTES - total) + 1);
                total += content.length;
                if (total > MOST_BYTES)
                    throw new FormatException(
                            "The archive unpacks to more than " + (MOST_BYTES >> 20) + " MiB." + KEPT);
                if (files.put(entry.getName(), content) != null)
                    throw new FormatException("The archive holds “" + Names.shown(entry.getName()) + "” twice." + KEPT);
            }
        } catch (IOException | IllegalArgumentException e) {
            if (e instanceof FormatException refused) throw refused;
            throw new FormatException(
                    "The archive is damaged and cannot be unpacked." + KEPT + " Export it again, or download it again.",
                    e);
        }
        if (files.isEmpty()) throw of.none("the archive holds no readable file.");
        return files;
    }

    /** Whether the record that ends a ZIP file is there. Source: ZIP application note, 4.3.16. */
    private static boolean hasEnd(byte[] archive) {
        for (int i = archive.length - END_BYTES; i >= 0 && i >= archive.length - END_BYTES - 0xffff; i--)
            if (archive[i] == 'P' && archive[i + 1] == 'K' && archive[i + 2] == 5 && archive[i + 3] == 6) return true;
        return false;
    }

    private static void checkName(String name) {
        boolean climbs = name.startsWith("/") || name.contains("\\") || name.contains(":") || name.contains("\0");
        for (String part : name.split("/")) climbs |= part.equals("..") || part.equals(".");
        if (climbs)
            throw new FormatException(
                    "The archive holds a path that leaves it (“" + Names.shown(name) + "”), so it was refused." + KEPT);
    }
}
