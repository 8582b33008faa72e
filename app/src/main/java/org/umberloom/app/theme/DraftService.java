package org.umberloom.app.theme;

import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.umberloom.app.account.Account;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ValueText;

/** Drafts: read, edit, undo and redo. Every accepted edit is stored with its inverse before it is acknowledged. */
@Service
public class DraftService {
    private static final int MOST_CACHED = 32;
    private static final int LONGEST_LABEL = 400;
    private static final int KEEP_WHOLE_EVERY = 64;
    private static final String START = "start";
    private static final String EDIT = "edit";
    private static final String UNDO = "undo";
    private static final String REDO = "redo";

    private record Key(long theme, int revision) {
    }

    private final ThemeMapper themes;
    private final Clock clock;
    private final ApplicationEventPublisher changes;
    private final Map<Key, Draft> cache = new LinkedHashMap<>(MOST_CACHED, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Draft> eldest) {
            return size() > MOST_CACHED;
        }
    };

    DraftService(ThemeMapper themes, Clock clock, ApplicationEventPublisher changes) {
        this.themes = themes;
        this.clock = clock;
        this.changes = changes;
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
        themes.log(new RevisionRow(row.id(), 0, START, shortened(label), null, null, null, null, null, null, by.id(), now,
                row.document()));
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
        for (RevisionRow since : themes.since(id, base)) refuseOverlap(since, edit, draft.theme());
        Edit.Applied applied = edit.applyTo(draft.theme());
        if (applied.theme().equals(draft.theme())) return draft;
        Integer below = themes.revision(id, draft.revision()).orElseThrow().undoTop();
        int number = draft.revision() + 1;
        return advance(applied.theme(), new RevisionRow(id, number, EDIT, shortened(edit.label()), null, number, null,
                below, EditJson.write(edit), EditJson.write(applied.inverse()), by.id(), now(), null));
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
                head.redoTop(), null, null, by.id(), now(), null));
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
                undo.below(), null, null, null, by.id(), now(), null));
    }

    /** What the rail says: the newest entry, and what undo and redo would do; empty texts where there is nothing. */
    ThemeViews.Rail rail(long id, int revision) {
        RevisionRow head = themes.revision(id, revision).orElseThrow();
        ThemeMapper.HistoryRow newest = themes.history(id, revision + 1, 1).get(0);
        String undo = Optional.ofNullable(head.undoTop()).flatMap(n -> themes.revision(id, n)).map(RevisionRow::label)
                .orElse("");
        String redo = Optional.ofNullable(head.redoTop()).flatMap(n -> themes.revision(id, n)).map(RevisionRow::label)
                .orElse("");
        return new ThemeViews.Rail(newest.kind(), newest.label(), newest.person(), newest.madeAt().toString() + "Z", undo,
                redo, moved(head));
    }

    private List<ThemeViews.Moved> moved(RevisionRow entry) {
        if (entry.kind().equals(START) || !(logged(entry) instanceof Edit.Move move)) return List.of();
        boolean back = entry.kind().equals(UNDO);
        return List.of(new ThemeViews.Moved((back ? move.to() : move.from()).dotted(), (back ? move.from() : move.to()).dotted()));
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
        String document = ThemeJson.writeInline(theme);
        int rows = themes.advance(entry.themeId(), theme.name(), document, entry.number(), entry.madeAt());
        if (rows == 0) throw new Conflict("Somebody changed this theme in the same moment. Nothing was lost; try again.");
        themes.log(entry.number() % KEEP_WHOLE_EVERY == 0 ? entry.whole(document) : entry);
        changes.publishEvent(new ThemeChanged(entry.themeId(), entry.number()));
        return new Draft(entry.themeId(), entry.number(), theme);
    }

    private void refuseOverlap(RevisionRow since, Edit edit, ThemeDocument newest) {
        Edit theirs = logged(since);
        if (!theirs.meets(edit)) return;
        String path = edit instanceof Edit.SetValue set ? set.path().dotted() : "";
        String yours = edit instanceof Edit.SetValue set ? ValueText.write(set.value()) : edit.label();
        String now = edit instanceof Edit.SetValue set
                ? newest.at(set.place()).token(set.path()).map(token -> ValueText.write(token.value())).orElse("") : since.label();
        throw new Conflict("This value changed since you read it (" + since.label()
                + "). Your change was not saved; look at the new value and decide again.", path, yours, now);
    }

    /** The edit that an entry made, took back or made again. */
    private Edit logged(RevisionRow entry) {
        return EditJson.read(entry.kind().equals(EDIT) ? entry.edit()
                : themes.revision(entry.themeId(), entry.target()).orElseThrow().edit());
    }

    /**
     * The state at any revision, from the nearest whole one after it backward.
     *
     * @throws NoSuchElementException when there is no such revision
     */
    public ThemeDocument stateAt(long id, int number) {
        Draft newest = newest(id);
        if (number == newest.revision()) return newest.theme();
        if (number < 0 || number > newest.revision())
            throw new NoSuchElementException("The theme has no revision " + number + "; the newest is " + newest.revision() + ".");
        synchronized (cache) {
            Draft cached = cache.get(new Key(id, number));
            if (cached != null) return cached.theme();
        }
        int from = themes.nearestWhole(id, number).orElse(newest.revision());
        ThemeDocument theme = from == newest.revision() ? newest.theme()
                : ThemeJson.readInline(themes.revision(id, from).orElseThrow().document());
        for (int entry = from; entry > number; entry--) theme = before(themes.revision(id, entry).orElseThrow(), theme);
        return remember(new Draft(id, number, theme)).theme();
    }

    private ThemeDocument before(RevisionRow entry, ThemeDocument after) {
        RevisionRow made = entry.kind().equals(EDIT) ? entry : themes.revision(entry.themeId(), entry.target()).orElseThrow();
        String way = entry.kind().equals(UNDO) ? made.edit() : made.inverse();
        return EditJson.read(way).applyTo(after).theme();
    }

    private LocalDateTime now() {
        return LocalDateTime.now(clock).truncatedTo(ChronoUnit.MILLIS);
    }

    private static String shortened(String label) {
        return label.length() <= LONGEST_LABEL ? label : label.substring(0, LONGEST_LABEL - 1) + "…";
    }

    private static NoSuchElementException missing(long id) {
        return new NoSuchElementException("There is no theme with the number " + id + ".");
    }

}
