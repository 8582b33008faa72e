package org.umberloom.app.site;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.umberloom.app.account.Account;
import org.umberloom.app.theme.PageKinds;
import org.umberloom.core.site.SiteDocument;

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
        Set<String> wearing = new TreeSet<>();
        Set<String> all = new LinkedHashSet<>();
        for (Counted site : counted()) {
            all.addAll(site.facts.kinds());
            if (site.row.themeId() == theme) wearing.addAll(site.facts.kinds());
        }
        return List.copyOf(wearing.isEmpty() ? new TreeSet<>(all) : wearing);
    }

    record Counted(SiteMapper.CountedRow row, SiteFacts facts) {}

    /** Every site with what was counted of it; what another version counted, or nobody yet, is counted now. */
    List<Counted> counted() {
        List<Counted> all = new ArrayList<>();
        for (SiteMapper.CountedRow row : sites.counted()) {
            SiteFacts facts = row.facts().isEmpty() ? null : SiteFacts.read(row.facts());
            if (facts == null || facts.form() != SiteFacts.FORM) {
                facts = SiteFacts.of(drafts.newest(row.slug()).site());
                sites.keepFacts(row.id(), row.revision(), facts.write());
            }
            all.add(new Counted(row, facts));
        }
        return all;
    }

    public Site get(String slug) {
        return sites.bySlug(slug).orElseThrow(() -> new NoSuchElementException("There is no site “" + slug + "”."));
    }

    public SiteDocument document(Site site) {
        return drafts.newest(site).site();
    }

    public List<Page> pages(Site site) {
        return document(site).pages().stream().map(Page::of).toList();
    }

    public List<Picture> pictures(Site site) {
        return sites.pictures(site.id());
    }

    public Page page(String site, String page) {
        return Page.of(drafts.newest(site).site().page(page));
    }

    public Picture picture(String site, String name) {
        return sites.picture(site, name)
                .orElseThrow(
                        () -> new NoSuchElementException("The site “" + site + "” has no picture “" + name + "”."));
    }

    /** Adds a whole site. */
    @Transactional
    public void add(SiteDocument site, long themeId, List<Picture> pictures, Account by) {
        long id = drafts.create(site, themeId, "brought in", by).id();
        for (Picture picture : pictures)
            sites.addPicture(id, picture.name(), picture.mediaType(), picture.license(), picture.content());
    }
}
