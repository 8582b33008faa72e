package org.umberloom.app.library;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipOutputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.umberloom.app.kit.KitFiles;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.theme.ThemeDocument;
import tools.jackson.databind.json.JsonMapper;

/**
 * All that one has, in open formats: each theme as the files of its kit, each site as its pages and pictures with a page that
 * says what belongs together. A theme that cannot be shown goes as the document it is.
 */
@Service
class EverythingService {
    private static final Logger LOG = LoggerFactory.getLogger(EverythingService.class);

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

    /** One theme or site after the other, so that no more than one is held at a time. */
    void write(OutputStream out) {
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (long id : library.all()) theme(zip, id);
            for (Site site : sites.all()) site(zip, site);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void theme(ZipOutputStream zip, long id) throws IOException {
        String folder = "themes/" + id + "/";
        Map<String, byte[]> files;
        try {
            ThemeDocument theme = drafts.newest(id).theme();
            files = kits.of(theme, List.of());
        } catch (RuntimeException e) {
            LOG.warn("theme {} goes as its document: {}", id, e.toString());
            files = Map.of("theme.resolver.json", library.document(id).getBytes(StandardCharsets.UTF_8));
        }
        for (Map.Entry<String, byte[]> file : files.entrySet())
            KitArchive.put(zip, folder + file.getKey(), file.getValue());
    }

    /** A site as it goes out by itself; which theme it wears stands beside it. */
    private void site(ZipOutputStream zip, Site site) throws IOException {
        String folder = "sites/" + site.slug() + "/";
        for (Map.Entry<String, byte[]> file : sites.files(site).entrySet())
            KitArchive.put(zip, folder + file.getKey(), file.getValue());
        Map<String, Object> wears = ordered("name", site.name(), "theme", "themes/" + site.themeId());
        KitArchive.put(
                zip,
                folder + "wears.json",
                json.writerWithDefaultPrettyPrinter().writeValueAsBytes(wears));
    }

    private static Map<String, Object> ordered(String... pairs) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) map.put(pairs[i], pairs[i + 1]);
        return map;
    }
}
