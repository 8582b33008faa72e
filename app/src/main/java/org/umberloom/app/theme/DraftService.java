package org.umberloom.app.theme;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.umberloom.app.account.Account;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.ThemeDocument;

/** Drafts: read, edit, undo and redo. Every accepted edit is stored with its inverse before it is acknowledged. */
@Service
public class DraftService {
    private static final int MOST_CACHED = 32;
    private static final int LONGEST_LABEL = 400;
    private static final String START = "start";
    private static final String EDIT = "edit";
    private static final String UNDO = "undo";
    private static final String REDO = "redo";

    private record Key(long theme, int revision) {
    }

    private final ThemeMapper themes;
    private final Clock clock;
    private final Map<Key, Draft> cache = new LinkedHashMap<>(MOST_CACHED, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Draft> eldest) {
            return size() > MOST_CACHED;
        }
    };

    DraftService(ThemeMapper themes, Clock clock) {
        this.themes = themes;
        this.clock = clock;
    }

    /** The newest state. @throws NoSuchElementException when there is no such theme */
    public Draft newest(long id) {
        int revision = themes.revisionOf(id).orElseThrow(() -> missing(id));
        return at(id, revision);
    }

    /** The state at a revision that the caller has seen; the newest one where it is no longer at hand. */
    public Draft seen(long id, int revision) {
        synchronized (cache) {
            Draft cached = cache.get(new Key(id, revision));
            if (cached != null) return cached;
        }
        return newest(id);
    }

    /** Stores a new theme and gives it the log's first entry. */
    @Transactional
    public long create(ThemeDocument theme, String label, Account by) {
        LocalDateTime now = now();
        ThemeMapper.NewTheme row = new ThemeMapper.NewTheme(theme.name(), ThemeJson.writeInline(theme), now);
        themes.add(row);
        themes.log(new RevisionRow(row.id(), 0, START, shortened(label), null, null, null, null, null, null, by.id(), now));
        return row.id();
    }

    /**
     * Applies an edit to the newest state.
     *
     * @param base the revision the person saw when they made the edit
     * @throws Conflict when the same token changed since then
     * @throws IllegalArgumentException when the edit does not fit
     */
    @Transactional
    public Draft edit(long id, int base, Edit edit, Account by) {
        Draft draft = newest(id);
        for (RevisionRow since : themes.since(id, base)) refuseOverlap(since, edit);
        Edit.Applied applied = edit.applyTo(draft.theme());
        if (applied.theme().equals(draft.theme())) return draft;
        Integer below = themes.revision(id, draft.revision()).orElseThrow().undoTop();
        int number = draft.revision() + 1;
        return advance(applied.theme(), new RevisionRow(id, number, EDIT, shortened(edit.label()), null, number, null,
                below, EditJson.write(edit), EditJson.write(applied.inverse()), by.id(), now()));
    }

    /** Takes back the newest edit that stands. @throws IllegalArgumentException when there is none */
    @Transactional
    public Draft undo(long id, Account by) {
        Draft draft = newest(id);
        RevisionRow head = themes.revision(id, draft.revision()).orElseThrow();
        if (head.undoTop() == null) throw new IllegalArgumentException("There is nothing left to undo.");
        RevisionRow undone = themes.revision(id, head.undoTop()).orElseThrow();
        ThemeDocument before = EditJson.read(undone.inverse()).applyTo(draft.theme()).theme();
        int number = draft.revision() + 1;
        return advance(before, new RevisionRow(id, number, UNDO, undone.label(), undone.number(), undone.below(), number,
                head.redoTop(), null, null, by.id(), now()));
    }

    /** Makes the newest undone edit again. @throws IllegalArgumentException when there is none */
    @Transactional
    public Draft redo(long id, Account by) {
        Draft draft = newest(id);
        RevisionRow head = themes.revision(id, draft.revision()).orElseThrow();
        if (head.redoTop() == null) throw new IllegalArgumentException("There is nothing to redo.");
        RevisionRow undo = themes.revision(id, head.redoTop()).orElseThrow();
        RevisionRow edit = themes.revision(id, undo.target()).orElseThrow();
        ThemeDocument after = EditJson.read(edit.edit()).applyTo(draft.theme()).theme();
        return advance(after, new RevisionRow(id, draft.revision() + 1, REDO, edit.label(), edit.number(), edit.number(),
                undo.below(), null, null, null, by.id(), now()));
    }

    /** What the rail says: the newest entry, and what undo and redo would do; empty texts where there is nothing. */
    ThemeViews.Rail rail(long id, int revision) {
        RevisionRow head = themes.revision(id, revision).orElseThrow();
        ThemeMapper.HistoryRow newest = themes.history(id, 1).get(0);
        String undo = Optional.ofNullable(head.undoTop()).flatMap(n -> themes.revision(id, n)).map(RevisionRow::label)
                .orElse("");
        String redo = Optional.ofNullable(head.redoTop()).flatMap(n -> themes.revision(id, n)).map(RevisionRow::label)
                .orElse("");
        return new ThemeViews.Rail(newest.kind(), newest.label(), newest.person(), newest.madeAt().toString() + "Z", undo,
                redo);
    }

    private Draft at(long id, int revision) {
        Key key = new Key(id, revision);
        synchronized (cache) {
            Draft cached = cache.get(key);
            if (cached != null) return cached;
        }
        ThemeRow row = themes.find(id).orElseThrow(() -> missing(id));
        return remember(new Draft(id, row.revision(), ThemeJson.readInline(row.document())));
    }

    private Draft remember(Draft draft) {
        synchronized (cache) {
            cache.put(new Key(draft.id(), draft.revision()), draft);
        }
        return draft;
    }

    private Draft advance(ThemeDocument theme, RevisionRow entry) {
        int rows = themes.advance(entry.themeId(), theme.name(), ThemeJson.writeInline(theme), entry.number(), entry.madeAt());
        if (rows == 0) throw new Conflict("Somebody changed this theme in the same moment. Nothing was lost; try again.");
        themes.log(entry);
        return new Draft(entry.themeId(), entry.number(), theme);
    }

    private void refuseOverlap(RevisionRow since, Edit edit) {
        String logged = since.kind().equals(EDIT) ? since.edit()
                : themes.revision(since.themeId(), since.target()).orElseThrow().edit();
        for (String theirs : EditJson.read(logged).touches())
            for (String mine : edit.touches())
                if (theirs.equals(mine) || theirs.startsWith(mine + ".") || mine.startsWith(theirs + "."))
                    throw new Conflict("This value changed since you read it (" + since.label()
                            + "). Your change was not saved; look at the new value and decide again.");
    }

    private LocalDateTime now() {
        return LocalDateTime.now(clock).truncatedTo(java.time.temporal.ChronoUnit.MILLIS);
    }

    private static String shortened(String label) {
        return label.length() <= LONGEST_LABEL ? label : label.substring(0, LONGEST_LABEL - 1) + "…";
    }

    private static NoSuchElementException missing(long id) {
        return new NoSuchElementException("There is no theme with the number " + id + ".");
    }

    List<ThemeMapper.HistoryRow> history(long id, int most) {
        return themes.history(id, most);
    }
}
