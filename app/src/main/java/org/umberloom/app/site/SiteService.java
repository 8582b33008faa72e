package org.umberloom.app.site;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.umberloom.app.account.Account;
import org.umberloom.app.theme.PageKinds;
import org.umberloom.app.web.Unreadable;
import org.umberloom.core.format.SiteArchive;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.kit.SitePicture;

/** Sites with their pages and pictures. */
@Service
public class SiteService implements PageKinds {
    private final SiteMapper sites;
    private final SiteDrafts drafts;

    SiteService(SiteMapper sites, SiteDrafts drafts) {
        this.sites = sites;
        this.drafts = drafts;
    }

    public List<Site> all() {
        return sites.all();
    }

    @Override
    public List<String> of(long theme) {
        List<SiteMapper.CountedRow> all = sites.counted();
        List<SiteMapper.CountedRow> wearing =
                all.stream().filter(row -> row.themeId() == theme).toList();
        Set<String> kinds = new TreeSet<>();
        for (SiteMapper.CountedRow row : wearing.isEmpty() ? all : wearing)
            kinds.addAll(counted(row).facts.kinds());
        return List.copyOf(kinds);
    }

    /** @param fault why the site cannot be shown; empty for all that can */
    record Counted(SiteMapper.CountedRow row, SiteFacts facts, String fault) {}

    /** Every site with what was counted of it. */
    List<Counted> counted() {
        return sites.counted().stream().map(this::counted).toList();
    }

    /** What another version counted, or nobody yet, is counted now. */
    private Counted counted(SiteMapper.CountedRow row) {
        SiteFacts facts = row.facts().isEmpty() ? null : SiteFacts.read(row.facts());
        if (facts == null || facts.form() != SiteFacts.FORM) {
            SiteCounts counts;
            try {
                counts = SiteCounts.of(drafts.newest(row.slug()).site());
            } catch (Unreadable e) {
                return new Counted(row, SiteFacts.NONE, e.getMessage());
            }
            facts = counts.facts();
            sites.keepFacts(
                    row.id(), row.revision(), facts.write(), counts.uses().write());
        }
        return new Counted(row, facts, "");
    }

    /** The sites that wear a theme, the oldest first. */
    public List<Site> wearing(long theme) {
        return sites.all().stream().filter(site -> site.themeId() == theme).toList();
    }

    /** A site’s document; none where what is stored cannot be shown. */
    public Optional<SiteDocument> find(Site site) {
        return drafts.find(site).map(SiteDraft::site);
    }

    public Site get(String slug) {
        return drafts.row(slug);
    }

    public SiteDocument document(Site site) {
        return drafts.newest(site).site();
    }

    public List<Page> pages(Site site) {
        return document(site).pages().stream().map(Page::of).toList();
    }

    public List<SitePicture> pictures(Site site) {
        return sites.pictures(site.id());
    }

    public Page page(String site, String page) {
        return Page.of(drafts.newest(site).site().page(page));
    }

    public SitePicture picture(String site, String name) {
        return sites.picture(site, name)
                .orElseThrow(
                        () -> new NoSuchElementException("The site “" + site + "” has no picture “" + name + "”."));
    }

    /** A site as the files that it goes out as. */
    public Map<String, byte[]> files(Site site) {
        Map<String, SiteArchive.Picture> pictures = new LinkedHashMap<>();
        for (SitePicture picture : pictures(site))
            pictures.put(picture.name(), new SiteArchive.Picture(picture.content(), picture.facts()));
        return SiteArchive.write(document(site), pictures);
    }

    /** A site as the rows that are stored of it: its parts, each as it is, and its pictures. Asks nothing of what is in them. */
    public Map<String, byte[]> stored(Site site) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (SiteMapper.PartRow part : sites.parts(site.id()))
            files.put(
                    "stored/" + part.name().replace('/', '.') + ".json",
                    part.content().getBytes(StandardCharsets.UTF_8));
        for (SitePicture picture : pictures(site)) files.put("pictures/" + picture.name(), picture.content());
        return files;
    }

    /** Adds a whole site. */
    @Transactional
    public void add(SiteDocument site, long themeId, List<SitePicture> pictures, Account by) {
        long id = drafts.create(site, themeId, "brought in", by).id();
        for (SitePicture picture : pictures) sites.addPicture(id, picture);
    }
}
