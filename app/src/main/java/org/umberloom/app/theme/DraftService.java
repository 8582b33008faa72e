package org.umberloom.app.theme;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.web.ApplicationClock;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Clash;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.SharedPiece;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ValueText;
import org.umberloom.core.wish.EditWords;

/**
 * Drafts: read, edit, undo and redo. Whatever is stored was proven to be readable and showable first ({@link Proof}), with its
 * inverse, and what the caller wants to show of it was computed; only then is it committed. So an answer and its effect agree.
 */
@Service
public class DraftService {
    private static final int KEEP_WHOLE_EVERY = 64;
    private static final String START = "start";
    private static final String EDIT = "edit";
    private static final String UNDO = "undo";
    private static final String REDO = "redo";

    private record Key(long theme, int revision) {}

    /** A state that is to follow another, with its entry in the log. */
    private record Step(ThemeDocument theme, RevisionRow entry) {}

    /** A state that is stored, and what the caller is answered. */
    private record Stored<T>(Draft draft, T answer) {}

    private final ThemeMapper themes;
    private final Clock clock;
    private final ApplicationEventPublisher changes;
    private final Commits commits;
    private final Proof proof;
    private final PictureStore pictures;
    /** The newest known draft of each theme that is worked on: one for a theme, so that it is not pushed out by its own history. */
    private final Cache<Long, Draft> newest = Caffeine.newBuilder()
            .maximumWeight(AtHand.documentTokens())
            .weigher((Long theme, Draft draft) -> 50 + draft.tokens())
            .build();
    /** Earlier states that somebody still looks at. */
    private final Cache<Key, Draft> earlier = Caffeine.newBuilder()
            .maximumWeight(AtHand.documentTokens() / 4)
            .weigher((Key key, Draft draft) -> 50 + draft.tokens())
            .build();

    DraftService(
            ThemeMapper themes,
            Clock clock,
            ApplicationEventPublisher changes,
            Commits commits,
            Proof proof,
            PictureStore pictures) {
        this.themes = themes;
        this.clock = clock;
        this.changes = changes;
        this.commits = commits;
        this.proof = proof;
        this.pictures = pictures;
    }

    /** The newest state. @throws NoSuchElementException when there is no such theme */
    public Draft newest(long id) {
        int revision = themes.revisionOf(id).orElseThrow(() -> missing(id));
        return at(id, revision);
    }

    /** The state at a revision that the caller has seen; the newest one where it is no longer at hand. */
    public Draft seen(long id, int revision) {
        Draft known = newest.getIfPresent(id);
        if (known != null && known.revision() == revision) return known;
        Draft before = earlier.getIfPresent(new Key(id, revision));
        return before != null ? before : newest(id);
    }

    /** Stores a new theme and gives it the log's first entry. */
    public long create(ThemeDocument theme, String label, Account by) {
        Proof.Proven proven = proof.of(new Draft(0, 0, theme));
        return commits.store(() -> {
            LocalDateTime now = now();
            ThemeMapper.NewTheme row = new ThemeMapper.NewTheme(theme.name(), proven.document(), proven.card(), now);
            themes.add(row);
            themes.log(new RevisionRow(
                    row.id(),
                    0,
                    START,
                    LogLabel.shortened(label),
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    by.id(),
                    now,
                    proven.document()));
            pictures.use(row.id(), theme);
            return row.id();
        });
    }

    /** Applies an edit to the newest state, as {@link #edit(long, int, Function, Function, Account)}. */
    public Draft edit(long id, int base, Edit edit, Account by) {
        return edit(id, base, newest -> edit, draft -> () -> draft, by);
    }

    /** Undoes the newest edit. @throws Conflict when it is not the newest any more */
    public void takeBack(Draft seen, Account by) {
        undo(seen.id(), seen.revision(), draft -> () -> draft, by);
    }

    /** Applies an edit that is made from the newest state itself, so that nothing can have changed since. */
    public Draft amend(long id, Function<ThemeDocument, Edit> asked, Account by) {
        return store(id, newest -> made(newest, asked.apply(newest.theme()), by), draft -> () -> draft);
    }

    /**
     * Applies an edit to the newest state.
     *
     * @param base the revision the person saw when they made the edit
     * @param asked the edit, for the state it is applied to
     * @param view what the caller is answered: computed before anything is stored, and finished with what only the log knows
     * @throws Conflict when what the edit changes was changed since then
     * @throws IllegalArgumentException when the edit does not fit, or what it leads to could not be shown
     */
    <T> T edit(long id, int base, Function<Draft, Edit> asked, Function<Draft, Supplier<T>> view, Account by) {
        return store(
                id,
                newest -> {
                    checkBase(base, newest);
                    Edit edit = asked.apply(newest);
                    if (base < newest.revision())
                        for (RevisionRow since : themes.since(id, base)) refuseOverlap(since, edit, newest.theme());
                    return made(newest, edit, by);
                },
                view);
    }

    /** The step that an edit makes; none where it changes nothing. */
    private Optional<Step> made(Draft newest, Edit edit, Account by) {
        Edit.Applied applied = edit.applyTo(newest.theme());
        if (applied.theme().equals(newest.theme())) return Optional.empty();
        Integer below =
                themes.revision(newest.id(), newest.revision()).orElseThrow().undoTop();
        int number = newest.revision() + 1;
        return Optional.of(new Step(
                applied.theme(),
                new RevisionRow(
                        newest.id(),
                        number,
                        EDIT,
                        LogLabel.shortened(EditWords.of(edit, newest.theme())),
                        null,
                        number,
                        null,
                        below,
                        EditJson.write(edit),
                        EditJson.write(applied.inverse()),
                        by.id(),
                        now(),
                        null)));
    }

    /**
     * Takes back the newest edit that stands.
     *
     * @param base the revision the person saw: what undo would take back there must still be what it takes back now
     * @throws Conflict when it no longer is
     * @throws IllegalArgumentException when there is nothing to undo
     */
    <T> T undo(long id, int base, Function<Draft, Supplier<T>> view, Account by) {
        return store(
                id,
                newest -> {
                    checkBase(base, newest);
                    RevisionRow head = themes.revision(id, newest.revision()).orElseThrow();
                    refuseUnseen(id, base, head, RevisionRow::undoTop, "undo");
                    if (head.undoTop() == null) throw new IllegalArgumentException("There is nothing left to undo.");
                    RevisionRow undone = themes.revision(id, head.undoTop()).orElseThrow();
                    ThemeDocument before = EditJson.read(undone.inverse())
                            .applyTo(newest.theme())
                            .theme();
                    int number = newest.revision() + 1;
                    return Optional.of(new Step(
                            before,
                            new RevisionRow(
                                    id,
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
                                    now(),
                                    null)));
                },
                view);
    }

    /** Makes the newest undone edit again; as {@link #undo}. */
    <T> T redo(long id, int base, Function<Draft, Supplier<T>> view, Account by) {
        return store(
                id,
                newest -> {
                    checkBase(base, newest);
                    RevisionRow head = themes.revision(id, newest.revision()).orElseThrow();
                    refuseUnseen(id, base, head, RevisionRow::redoTop, "redo");
                    if (head.redoTop() == null) throw new IllegalArgumentException("There is nothing to redo.");
                    RevisionRow undo = themes.revision(id, head.redoTop()).orElseThrow();
                    RevisionRow edit = themes.revision(id, undo.target()).orElseThrow();
                    ThemeDocument after =
                            EditJson.read(edit.edit()).applyTo(newest.theme()).theme();
                    return Optional.of(new Step(
                            after,
                            new RevisionRow(
                                    id,
                                    newest.revision() + 1,
                                    REDO,
                                    edit.label(),
                                    edit.number(),
                                    edit.number(),
                                    undo.below(),
                                    null,
                                    null,
                                    null,
                                    by.id(),
                                    now(),
                                    null)));
                },
                view);
    }

    private static void checkBase(int base, Draft newest) {
        if (base < 0 || base > newest.revision())
            throw new IllegalArgumentException(
                    "This was made on revision " + base + ", which the theme does not have: its newest is "
                            + newest.revision() + ". Nothing was changed; load the theme again.");
    }

    /** What would be taken back or made again has to be what the person saw there. */
    private void refuseUnseen(long id, int base, RevisionRow head, Function<RevisionRow, Integer> top, String what) {
        if (base == head.number()) return;
        Integer seen = themes.revision(id, base).map(top).orElse(null);
        if (Objects.equals(seen, top.apply(head))) return;
        throw new Conflict("The theme changed since you looked: " + what + " would now meet “" + head.label()
                + "”. Nothing was changed; look at what is new and decide again.");
    }

    private <T> T store(long id, Function<Draft, Optional<Step>> plan, Function<Draft, Supplier<T>> view) {
        try {
            Stored<T> stored = commits.inTurn(id, () -> themes.lock(id), () -> attempt(id, plan, view));
            Commits.afterwards(() -> remember(stored.draft));
            return stored.answer;
        } catch (RuntimeException e) {
            if (!(e instanceof IllegalArgumentException)) newest.invalidate(id);
            throw e;
        }
    }

    private <T> Stored<T> attempt(long id, Function<Draft, Optional<Step>> plan, Function<Draft, Supplier<T>> view) {
        Draft newest = newest(id);
        Optional<Step> planned = plan.apply(newest);
        if (planned.isEmpty()) return new Stored<>(newest, view.apply(newest).get());
        Step step = planned.get();
        Draft next = new Draft(id, step.entry.number(), step.theme);
        Proof.Proven proven = proof.of(next);
        Supplier<T> answer = view.apply(next);
        return new Stored<>(next, commits.once(() -> {
            advance(newest, step, proven);
            return answer.get();
        }));
    }

    private void advance(Draft before, Step step, Proof.Proven proven) {
        RevisionRow entry = step.entry;
        int rows = themes.advance(
                entry.themeId(), step.theme.name(), proven.document(), proven.card(), entry.number(), entry.madeAt());
        if (rows == 0) throw new Commits.Overtaken();
        themes.log(entry.number() % KEEP_WHOLE_EVERY == 0 ? entry.whole(proven.document()) : entry);
        if (!Picture.of(before.theme()).equals(Picture.of(step.theme))) pictures.use(entry.themeId(), step.theme);
        Map<String, SharedPiece> pieces = SharedPiece.of(step.theme);
        if (!SharedPiece.of(before.theme()).equals(pieces))
            changes.publishEvent(new PiecesChanged(entry.themeId(), pieces, entry.accountId()));
        changes.publishEvent(new ThemeChanged(entry.themeId(), entry.number()));
    }

    /** What the rail says: the newest entry, and what undo and redo would do; empty texts where there is nothing. */
    public ThemeViews.Rail rail(long id, int revision) {
        RevisionRow head = themes.revision(id, revision).orElseThrow();
        ThemeMapper.HistoryRow newest = themes.history(id, revision + 1, 1).get(0);
        String undo = Optional.ofNullable(head.undoTop())
                .flatMap(n -> themes.revision(id, n))
                .map(RevisionRow::label)
                .orElse("");
        String redo = Optional.ofNullable(head.redoTop())
                .flatMap(n -> themes.revision(id, n))
                .map(RevisionRow::label)
                .orElse("");
        return new ThemeViews.Rail(
                newest.kind(),
                newest.label(),
                newest.person(),
                newest.madeAt().toString() + "Z",
                undo,
                redo,
                moved(head));
    }

    private List<ThemeViews.Moved> moved(RevisionRow entry) {
        if (entry.kind().equals(START) || !(logged(entry) instanceof Edit.Move move)) return List.of();
        boolean back = entry.kind().equals(UNDO);
        return List.of(new ThemeViews.Moved(
                (back ? move.to() : move.from()).dotted(), (back ? move.from() : move.to()).dotted()));
    }

    private Draft at(long id, int revision) {
        Draft known = newest.getIfPresent(id);
        if (known != null && known.revision() == revision) return known;
        ThemeRow row = themes.find(id).orElseThrow(() -> missing(id));
        Draft read = new Draft(id, row.revision(), ThemeJson.readInline(row.document()));
        Commits.afterwards(() -> remember(read));
        return read;
    }

    /** As the newest, unless a newer one is known by now. */
    private void remember(Draft draft) {
        newest.asMap().compute(draft.id(), (id, known) -> {
            if (known != null && known.revision() > draft.revision()) return known;
            if (known != null && known.revision() < draft.revision()) earlier.put(new Key(id, known.revision()), known);
            return draft;
        });
    }

    private void refuseOverlap(RevisionRow since, Edit edit, ThemeDocument newest) {
        if (!Clash.between(logged(since), edit, newest)) return;
        String path = edit instanceof Edit.SetValue set ? set.path().dotted() : "";
        String yours = edit instanceof Edit.SetValue set ? ValueText.write(set.value()) : EditWords.of(edit, newest);
        String now = edit instanceof Edit.SetValue set && newest.places().contains(set.place())
                ? newest.at(set.place())
                        .token(set.path())
                        .map(token -> ValueText.write(token.value()))
                        .orElse("")
                : since.label();
        throw new Conflict(
                "This value changed since you read it (" + since.label()
                        + "). Your change was not saved; look at the new value and decide again.",
                path,
                yours,
                now);
    }

    /** The edit that an entry made, took back or made again. */
    private Edit logged(RevisionRow entry) {
        return EditJson.read(
                entry.kind().equals(EDIT)
                        ? entry.edit()
                        : themes.revision(entry.themeId(), entry.target())
                                .orElseThrow()
                                .edit());
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
            throw new NoSuchElementException(
                    "The theme has no revision " + number + "; the newest is " + newest.revision() + ".");
        Draft before = earlier.getIfPresent(new Key(id, number));
        if (before != null) return before.theme();
        int from = themes.nearestWhole(id, number).orElse(newest.revision());
        ThemeDocument theme = from == newest.revision()
                ? newest.theme()
                : ThemeJson.readInline(themes.revision(id, from).orElseThrow().document());
        for (int entry = from; entry > number; entry--)
            theme = before(themes.revision(id, entry).orElseThrow(), theme);
        earlier.put(new Key(id, number), new Draft(id, number, theme));
        return theme;
    }

    private ThemeDocument before(RevisionRow entry, ThemeDocument after) {
        RevisionRow made = entry.kind().equals(EDIT)
                ? entry
                : themes.revision(entry.themeId(), entry.target()).orElseThrow();
        String way = entry.kind().equals(UNDO) ? made.edit() : made.inverse();
        return EditJson.read(way).applyTo(after).theme();
    }

    private LocalDateTime now() {
        return ApplicationClock.now(clock);
    }

    /** What is thrown for a theme that is not there. */
    public static NoSuchElementException missing(long id) {
        return new NoSuchElementException("There is no theme with the number " + id + ".");
    }
}
