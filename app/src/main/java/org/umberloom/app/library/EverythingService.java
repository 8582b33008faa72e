package org.umberloom.app.library;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipOutputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.umberloom.app.kit.KitFiles;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.web.Problems;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.theme.ThemeDocument;
import tools.jackson.databind.json.JsonMapper;

/**
 * All that is kept, in open formats: each theme as the files of its kit, each site as its pages and pictures with a page that
 * says what belongs together. What cannot be shown goes as the rows that are stored of it. What is in the archive, and what of
 * it went as it is stored, stands in {@code contents.json}.
 */
@Service
class EverythingService {
    private static final Logger LOG = LoggerFactory.getLogger(EverythingService.class);
    static final String CONTENTS = "contents.json";

    private final LibraryService library;
    private final DraftService drafts;
    private final KitFiles kits;
    private final SiteService sites;
    private final JsonMapper json;

    EverythingService(LibraryService library, DraftService drafts, KitFiles kits, SiteService sites, JsonMapper json) {
        this.library = library;
        this.drafts = drafts;
        this.kits = kits;
        this.sites = sites;
        this.json = json;
    }

    /**
     * A theme or site in the archive.
     *
     * @param asStored why it could not be written in its open format and is there as its rows; null for all that could
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Entry(String folder, String name, String asStored) {}

    /** One theme or site after the other, so that no more than one is held at a time. @return how many went as their rows */
    int write(OutputStream out) {
        List<Entry> themes = new ArrayList<>();
        List<Entry> all = new ArrayList<>();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (long id : library.all()) themes.add(theme(zip, id));
            for (Site site : sites.all()) all.add(site(zip, site));
            Map<String, Object> contents = new LinkedHashMap<>();
            contents.put("themes", themes);
            contents.put("sites", all);
            KitArchive.put(zip, CONTENTS, json.writerWithDefaultPrettyPrinter().writeValueAsBytes(contents));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return (int) Stream.concat(themes.stream(), all.stream())
                .filter(entry -> entry.asStored != null)
                .count();
    }

    private Entry theme(ZipOutputStream zip, long id) throws IOException {
        String folder = "themes/" + id + "/";
        Map<String, byte[]> files;
        String name = library.name(id);
        String fault = null;
        try {
            ThemeDocument theme = drafts.newest(id).theme();
            files = kits.of(theme, List.of());
        } catch (RuntimeException e) {
            fault = fault("theme " + id, e);
            files = Map.of("theme.resolver.json", library.document(id).getBytes(StandardCharsets.UTF_8));
        }
        put(zip, folder, files);
        return new Entry(folder, name, fault);
    }

    /** A site as it goes out by itself; which theme it wears stands beside it. */
    private Entry site(ZipOutputStream zip, Site site) throws IOException {
        String folder = "sites/" + site.slug() + "/";
        Map<String, byte[]> files;
        String fault = null;
        try {
            files = sites.files(site);
        } catch (RuntimeException e) {
            fault = fault("site " + site.slug(), e);
            files = sites.stored(site);
        }
        put(zip, folder, files);
        Map<String, Object> wears = ordered("name", site.name(), "theme", "themes/" + site.themeId());
        KitArchive.put(
                zip,
                folder + "wears.json",
                json.writerWithDefaultPrettyPrinter().writeValueAsBytes(wears));
        return new Entry(folder, site.name(), fault);
    }

    private static String fault(String what, RuntimeException e) {
        LOG.warn("{} is exported as it is stored: {}", what, e.toString());
        return String.valueOf(Problems.words(e));
    }

    private static void put(ZipOutputStream zip, String folder, Map<String, byte[]> files) throws IOException {
        for (Map.Entry<String, byte[]> file : files.entrySet())
            KitArchive.put(zip, folder + file.getKey(), file.getValue());
    }

    private static Map<String, Object> ordered(String... pairs) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) map.put(pairs[i], pairs[i + 1]);
        return map;
    }
}
