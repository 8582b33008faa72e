package org.umberloom.app.site;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.theme.Commits;
import org.umberloom.app.theme.LogLabel;
import org.umberloom.app.web.ApplicationClock;
import org.umberloom.app.web.Conflict;
import org.umberloom.app.web.Unreadable;
import org.umberloom.core.format.SiteJson;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdit;
import org.umberloom.core.site.SiteEdits;
import org.umberloom.core.site.SitePart;
import org.umberloom.core.site.ThemeSwitch;
import org.umberloom.core.token.Names;

/** Sites as documents: read, edit, undo and redo. What an edit leads to is read again before it is stored. */
@Service
public class SiteDrafts {
    private static final Logger LOG = LoggerFactory.getLogger(SiteDrafts.class);
    private static final String START = "start";
    private static final String EDIT = "edit";
    private static final String UNDO = "undo";
    private static final String REDO = "redo";
    /** Letters of all sites that are kept at hand. */
    private static final long AT_HAND = 24L << 20;

    private static final int MOST_IDS = 10_000;

    /** What undo and redo would do; empty where there is nothing. */
    public record Stacks(int revision, String undo, String redo) {}

    private record Step(SiteDocument site, SiteEdit edit, SiteMapper.EntryRow entry) {}

    private final SiteMapper sites;
    private final Commits commits;
    private final Clock clock;
    private final Cache<Long, SiteDraft> newest = Caffeine.newBuilder()
            .maximumWeight(AT_HAND)
            .weigher((Long id, SiteDraft draft) -> draft.weight())
            .build();

    private final Cache<String, Long> ids =
            Caffeine.newBuilder().maximumSize(MOST_IDS).build();

    SiteDrafts(SiteMapper sites, Commits commits, Clock clock) {
        this.sites = sites;
        this.commits = commits;
        this.clock = clock;
    }

    /** @throws NoSuchElementException when there is no such site */
    public SiteDraft newest(String slug) {
        return newest(row(slug));
    }

    /** A site by its row alone, whatever is in it. @throws NoSuchElementException when there is no such site */
    Site row(String slug) {
        return sites.bySlug(slug)
                .orElseThrow(() -> new NoSuchElementException("There is no site “" + Names.shown(slug) + "”."));
    }

    /** A state that is at hand, which need not be the newest; while a pointer moves, nothing is asked of the database. */
    SiteDraft known(String slug) {
        Long id = ids.getIfPresent(slug);
        SiteDraft draft = id == null ? null : newest.getIfPresent(id);
        return draft != null ? draft : newest(slug);
    }

    SiteDraft newest(Site site) {
        ids.put(site.slug(), site.id());
        int revision = sites.revisionOf(site.id())
                .orElseThrow(() -> new NoSuchElementException("There is no site “" + site.name() + "” any more."));
        SiteDraft known = newest.getIfPresent(site.id());
        if (known != null && known.revision() == revision && known.themeId() == site.themeId()) return known;
        Map<String, String> parts = new LinkedHashMap<>();
        for (SiteMapper.PartRow part : sites.parts(site.id())) parts.put(part.name(), part.content());
        SiteDraft read = new SiteDraft(site.id(), site.themeId(), revision, document(site, parts));
        Commits.afterwards(() -> newest.put(site.id(), read));
        return read;
    }

    private static SiteDocument document(Site site, Map<String, String> parts) {
        try {
            return SiteJson.read(site.slug(), parts);
        } catch (RuntimeException e) {
            throw new Unreadable("The site “" + site.name() + "”", e);
        }
    }

    /** The newest state of a site; none where what is stored cannot be read, which keeps no other site from being shown. */
    Optional<SiteDraft> find(Site site) {
        try {
            return Optional.of(newest(site));
        } catch (Unreadable e) {
            LOG.warn("a site is passed over: {}", e.getMessage());
            return Optional.empty();
        }
    }

    /**
     * Stores a new site and gives it the log's first entry.
     *
     * @throws org.springframework.dao.DuplicateKeyException where somebody was faster with that address: what chose it is done again
     */
    SiteDraft create(SiteDocument site, long theme, String label, Account by) {
        Map<String, String> parts = readAgain(site);
        return commits.store(() -> {
            sites.addSite(site.slug(), site.name(), theme);
            Site row = sites.bySlug(site.slug()).orElseThrow();
            parts.forEach((name, content) -> sites.putPart(row.id(), name, content));
            SiteCounts counts = SiteCounts.of(site);
            sites.keepFacts(row.id(), 0, counts.facts().write(), counts.uses().write());
            sites.log(new SiteMapper.EntryRow(
                    row.id(), 0, START, label, null, null, null, null, null, null, by.id(), now()));
            return new SiteDraft(row.id(), theme, 0, site);
        });
    }

    /**
     * Applies an edit to the newest state.
     *
     * @param base the revision the person saw when they made the edit; none for an edit that is made from the newest state
     * @throws Conflict when a part that it changes was changed since then
     */
    public SiteDraft edit(String slug, Optional<Integer> base, Function<SiteDraft, SiteEdit> asked, Account by) {
        return edit(slug, base, asked, by.id());
    }

    SiteDraft edit(String slug, Optional<Integer> base, Function<SiteDraft, SiteEdit> asked, long by) {
        return store(slug, draft -> {
            SiteEdit edit = SiteEdits.settled(draft.site(), asked.apply(draft));
            if (base.isPresent() && base.get() < draft.revision())
                for (SiteMapper.EntryRow since : sites.since(draft.id(), base.get()))
                    if (logged(draft.id(), since).meets(edit))
                        throw new Conflict("This changed since you read it (" + since.label()
                                + "). Your change was not saved; look at what is there now and decide again.");
            int number = draft.revision() + 1;
            SiteEdit.Applied applied = edit.applyTo(draft.site());
            if (applied.site().equals(draft.site())) return Optional.empty();
            return Optional.of(new Step(
                    applied.site(),
                    edit,
                    new SiteMapper.EntryRow(
                            draft.id(),
                            number,
                            EDIT,
                            LogLabel.shortened(edit.label()),
                            null,
                            number,
                            null,
                            head(draft).undoTop(),
                            SiteJson.write(edit),
                            SiteJson.write(applied.inverse()),
                            by,
                            now())));
        });
    }

    /** Takes back the newest edit that stands. @throws IllegalArgumentException when there is nothing to undo */
    public SiteDraft undo(String slug, Account by) {
        return store(slug, draft -> {
            SiteMapper.EntryRow head = head(draft);
            if (head.undoTop() == null) throw new IllegalArgumentException("There is nothing left to undo.");
            SiteMapper.EntryRow undone = sites.entry(draft.id(), head.undoTop()).orElseThrow();
            SiteEdit back = SiteJson.readEdit(undone.inverse());
            int number = draft.revision() + 1;
            return Optional.of(new Step(
                    back.applyTo(draft.site()).site(),
                    back,
                    new SiteMapper.EntryRow(
                            draft.id(),
                            number,
                            UNDO,
                            undone.label(),
                            undone.number(),
                            undone.below(),
                            number,
                            head.redoTop(),
                            null,
                            null,
                            by.id(),
                            now())));
        });
    }

    /** Makes the newest undone edit again. @throws IllegalArgumentException when there is nothing to redo */
    public SiteDraft redo(String slug, Account by) {
        return store(slug, draft -> {
            SiteMapper.EntryRow head = head(draft);
            if (head.redoTop() == null) throw new IllegalArgumentException("There is nothing to redo.");
            SiteMapper.EntryRow undo = sites.entry(draft.id(), head.redoTop()).orElseThrow();
            SiteMapper.EntryRow made = sites.entry(draft.id(), undo.target()).orElseThrow();
            SiteEdit again = SiteJson.readEdit(made.edit());
            return Optional.of(new Step(
                    again.applyTo(draft.site()).site(),
                    again,
                    new SiteMapper.EntryRow(
                            draft.id(),
                            draft.revision() + 1,
                            REDO,
                            made.label(),
                            made.number(),
                            made.number(),
                            undo.below(),
                            null,
                            null,
                            null,
                            by.id(),
                            now())));
        });
    }

    /** What is kept at hand of a site is read anew once this is stored: something beside its document changed. */
    void forget(long id) {
        Commits.afterwards(() -> newest.invalidate(id));
    }

    Stacks rail(SiteDraft draft) {
        SiteMapper.EntryRow head = head(draft);
        return new Stacks(
                draft.revision(),
                label(draft, head.undoTop()),
                head.redoTop() == null
                        ? ""
                        : label(
                                draft,
                                sites.entry(draft.id(), head.redoTop())
                                        .orElseThrow()
                                        .target()));
    }

    private String label(SiteDraft draft, Integer number) {
        return number == null
                ? ""
                : sites.entry(draft.id(), number)
                        .map(SiteMapper.EntryRow::label)
                        .orElse("");
    }

    /** How a site came to its theme; none where the switch changed nothing of the site itself. */
    Optional<ThemeSwitch.Arrival> arrival(SiteDraft draft) {
        return sites.arrivedWith(draft.id())
                .flatMap(number -> sites.entry(draft.id(), number))
                .filter(entry -> entry.kind().equals(EDIT))
                .map(entry ->
                        new ThemeSwitch.Arrival(SiteJson.readEdit(entry.edit()), SiteJson.readEdit(entry.inverse())));
    }

    private SiteMapper.EntryRow head(SiteDraft draft) {
        return sites.entry(draft.id(), draft.revision()).orElseThrow();
    }

    /** A site as it stood at an earlier revision: what was done since is taken back, the latest first. */
    SiteDocument before(SiteDraft draft, int revision) {
        SiteDocument site = draft.site();
        List<SiteMapper.EntryRow> since = sites.since(draft.id(), revision);
        for (int i = since.size() - 1; i >= 0; i--)
            site = back(draft.id(), since.get(i)).applyTo(site).site();
        return site;
    }

    /** The edit that takes back what an entry did. */
    private SiteEdit back(long site, SiteMapper.EntryRow entry) {
        SiteMapper.EntryRow made = made(site, entry);
        return SiteJson.readEdit(entry.kind().equals(UNDO) ? made.edit() : made.inverse());
    }

    private SiteEdit logged(long site, SiteMapper.EntryRow entry) {
        return SiteJson.readEdit(made(site, entry).edit());
    }

    /** The entry that holds the edit which an entry made, took back or made again. */
    private SiteMapper.EntryRow made(long site, SiteMapper.EntryRow entry) {
        return entry.kind().equals(EDIT)
                ? entry
                : sites.entry(site, entry.target()).orElseThrow();
    }

    private SiteDraft store(String slug, Function<SiteDraft, Optional<Step>> plan) {
        Site row = row(slug);
        SiteDraft stored = commits.inTurn(-row.id(), () -> sites.lock(row.id()), () -> {
            SiteDraft draft = newest(row);
            Optional<Step> step = plan.apply(draft);
            return step.isEmpty() ? draft : advance(draft, step.get());
        });
        Commits.afterwards(() -> newest.put(row.id(), stored));
        return stored;
    }

    /** The parts of a site, which were read again. @throws IllegalArgumentException when they would not give the same site */
    private static Map<String, String> readAgain(SiteDocument site) {
        Map<String, String> parts = SiteJson.write(site);
        if (!SiteJson.read(site.slug(), parts).equals(site))
            throw new IllegalArgumentException("The site would not read the same again, so it was not stored.");
        return parts;
    }

    /** Whether what a log keeps of an edit can be read, so that it can be taken back. */
    private static void readAgain(String edit) {
        try {
            SiteJson.readEdit(edit);
        } catch (FormatException e) {
            throw new IllegalArgumentException(
                    "This changes too much in one step to be taken back later: " + e.getMessage()
                            + " Nothing was changed; do it in several steps.",
                    e);
        }
    }

    /** What changed is stored part by part; it was read again from its text first. */
    private SiteDraft advance(SiteDraft before, Step step) {
        SiteDocument after = step.site;
        readAgain(after);
        if (step.entry.edit() != null) {
            readAgain(step.entry.edit());
            readAgain(step.entry.inverse());
        }
        SiteDraft next = new SiteDraft(before.id(), before.themeId(), step.entry.number(), after);
        SiteCounts counts = SiteCounts.of(after);
        return commits.once(() -> {
            if (sites.advance(
                            before.id(),
                            after.name(),
                            counts.facts().write(),
                            counts.uses().write(),
                            step.entry.number(),
                            step.entry.madeAt())
                    == 0) throw new Commits.Overtaken();
            for (SitePart part : withOrder(step, before.site())) {
                SitePart now = part.from(after);
                SiteJson.write(now)
                        .ifPresentOrElse(
                                content -> sites.putPart(before.id(), part.key(), content),
                                () -> sites.removePart(before.id(), part.key()));
            }
            sites.log(step.entry);
            return next;
        });
    }

    /** Pages that come or go change the order too. */
    private static List<SitePart> withOrder(Step step, SiteDocument before) {
        SitePart order = new SitePart.Order(List.of());
        return order.from(before).equals(order.from(step.site))
                ? step.edit.parts()
                : java.util.stream.Stream.concat(step.edit.parts().stream(), java.util.stream.Stream.of(order))
                        .toList();
    }

    private LocalDateTime now() {
        return ApplicationClock.now(clock);
    }
}
