package org.umberloom.app.library;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.umberloom.app.account.Account;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.theme.Shown;
import org.umberloom.app.theme.ShownAgain;
import org.umberloom.app.theme.ThemeViews;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.token.Names;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * The library: every theme by what is kept of it, a page at a time. What is kept was computed when the theme was stored; where
 * it is missing it is computed when it is met, and a theme that cannot be shown says so without hiding the others.
 */
@Service
class LibraryService {
    private static final Logger LOG = LoggerFactory.getLogger(LibraryService.class);
    private static final int MOST = 48;
    private static final int LONGEST_SEARCH = 100;
    private static final ThemeViews.Weave NO_CLOTH = new ThemeViews.Weave(List.of(), List.of());

    /**
     * A theme in the library; {@code pairs} were measured for its findings; {@code fault} says why it cannot be shown,
     * and is empty for all that can.
     */
    record Card(
            long id,
            String name,
            String description,
            int revision,
            String changedAt,
            ThemeViews.Weave weave,
            List<String> families,
            int findings,
            int pairs,
            long combinations,
            String fault) {}

    /**
     * @param cards   from the number that was asked for on
     * @param count   how many there are in all for this search
     * @param putAway how many were put away, whatever was searched for
     */
    record Page(List<Card> cards, int count, int putAway) {}

    /** What is lost for good with a theme; {@code sites} wear it, and as long as there are any it cannot go. */
    record Losses(String name, int revisions, int checkpoints, List<String> sites) {}

    private final LibraryMapper library;
    private final DraftService drafts;
    private final ShownAgain shown;
    private final SiteService sites;
    private final PictureStore pictures;
    private final JsonMapper json;
    private final Clock clock;

    LibraryService(
            LibraryMapper library,
            DraftService drafts,
            ShownAgain shown,
            SiteService sites,
            PictureStore pictures,
            JsonMapper json,
            Clock clock) {
        this.library = library;
        this.drafts = drafts;
        this.shown = shown;
        this.sites = sites;
        this.pictures = pictures;
        this.json = json;
        this.clock = clock;
    }

    /** @param search part of a name; empty for all */
    Page page(boolean putAway, String search, int from) {
        String like = search.isBlank() ? "" : "%" + literally(search.strip()) + "%";
        List<Card> cards = library.page(putAway, like, Math.max(0, from), MOST).stream()
                .map(this::card)
                .toList();
        return new Page(cards, library.count(putAway, like), library.count(true, ""));
    }

    /** The pattern letters of SQL stand for themselves. */
    private static String literally(String search) {
        return search.substring(0, Math.min(search.length(), LONGEST_SEARCH))
                .replace("\\", "\\\\")
                .replace("%", "\\%")
                .replace("_", "\\_");
    }

    Card card(long id) {
        return card(library.find(id).orElseThrow(() -> DraftService.missing(id)));
    }

    private Card card(LibraryMapper.Row row) {
        try {
            Shown known = row.card() == null ? computed(row) : json.readValue(row.card(), Shown.class);
            return card(row, known, "");
        } catch (RuntimeException e) {
            LOG.warn("theme {} cannot be shown: {}", row.id(), e.toString());
            return card(
                    row,
                    new Shown("", NO_CLOTH, List.of(), 0, 0, 1),
                    "This theme cannot be shown. Its document is kept as it is, and can be exported.");
        }
    }

    private static Card card(LibraryMapper.Row row, Shown known, String fault) {
        return new Card(
                row.id(),
                row.name(),
                known.description(),
                row.revision(),
                row.changedAt() + "Z",
                known.weave(),
                known.families(),
                known.findings(),
                known.pairs(),
                known.combinations(),
                fault);
    }

    private Shown computed(LibraryMapper.Row row) throws JacksonException {
        Draft draft = drafts.newest(row.id());
        Shown fresh = shown.card(draft);
        library.keepCard(draft.id(), draft.revision(), json.writeValueAsString(fresh));
        return fresh;
    }

    /** A theme of its own that begins as another is now; the history stays with the other. */
    long copy(long id, String name, Account by) {
        Draft draft = drafts.newest(id);
        String wanted = name.isBlank() ? "Copy of " + draft.theme().name() : name.strip();
        String fitting =
                wanted.length() <= Names.LONGEST ? wanted : draft.theme().name();
        return drafts.create(
                new Edit.SetName(fitting).applyTo(draft.theme()).theme(),
                "copied from " + draft.theme().name(),
                by);
    }

    /** @param away whether it is put away, or brought back */
    void putAway(long id, boolean away) {
        if (library.putAway(id, away ? LocalDateTime.now(clock) : null) == 0
                && library.find(id).isEmpty()) throw DraftService.missing(id);
    }

    Losses losses(long id) {
        LibraryMapper.Lost lost = library.lost(id).orElseThrow(() -> DraftService.missing(id));
        List<String> wearing = sites.all().stream()
                .filter(site -> site.themeId() == id)
                .map(Site::name)
                .toList();
        return new Losses(lost.name(), lost.revisions(), lost.checkpoints(), wearing);
    }

    /** For good. @throws Conflict while a site wears it, or when it was not put away first */
    @Transactional
    public void delete(long id) {
        Losses losses = losses(id);
        if (!losses.sites().isEmpty())
            throw new Conflict("“" + losses.name() + "” is worn by " + String.join(", ", losses.sites())
                    + ", so it was not deleted. Give them another theme first.");
        if (!library.find(id).orElseThrow(() -> DraftService.missing(id)).putAway())
            throw new Conflict(
                    "“" + losses.name() + "” was not deleted: put it away first, so that nothing goes by mistake.");
        pictures.release(id);
        library.removeCheckpoints(id);
        library.removeLog(id);
        library.remove(id);
    }

    /** The document as it is stored, whether or not it can be read. */
    String document(long id) {
        return library.document(id).orElseThrow(() -> DraftService.missing(id));
    }

    /** What a theme is called, whether or not it can be read. */
    String name(long id) {
        return library.find(id).orElseThrow(() -> DraftService.missing(id)).name();
    }

    /** The numbers of all themes. */
    List<Long> all() {
        return library.all();
    }
}
