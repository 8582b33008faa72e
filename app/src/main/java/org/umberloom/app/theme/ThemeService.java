package org.umberloom.app.theme;

import java.util.List;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.Trace;
import org.umberloom.core.token.TokenPath;

/** The library and the bench. */
@Service
public class ThemeService {
    private final ThemeMapper themes;
    private final DraftService drafts;
    private volatile Computed lastComputed;

    private record Computed(long id, int revision, Combos combos, ThemeViews.Instruments instruments) {
    }

    ThemeService(ThemeMapper themes, DraftService drafts) {
        this.themes = themes;
        this.drafts = drafts;
    }

    List<ThemeViews.Card> library() {
        return themes.all().stream().map(row -> card(row, ThemeJson.readInline(row.document()))).toList();
    }

    private static ThemeViews.Card card(ThemeRow row, ThemeDocument theme) {
        ThemeViews.Instruments instruments = ThemeViews.Instruments.of(theme);
        return new ThemeViews.Card(row.id(), row.name(), theme.description(), row.revision(), row.changedAt() + "Z",
                ThemeViews.Weave.of(theme),
                instruments.type().families().stream().map(family -> family.written().split(",")[0]).distinct().toList(),
                instruments.findings().size());
    }

    /** A new theme from a starter, in its own seed color or in another. */
    long create(String name, String starterId, String seed, Account by) {
        Starter starter = Starter.ALL.stream().filter(one -> one.id().equals(starterId)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no starter “" + starterId + "”."));
        if (seed != null && !seed.isBlank()) {
            Color color = CssColor.parse(seed);
            if (color.alpha() < 1) throw new IllegalArgumentException("A seed color must be opaque.");
            starter = starter.withSeed(color);
        }
        return drafts.create(starter.theme(name.trim()), "started from " + starter.name(), by);
    }

    ThemeViews.Bench bench(long id) {
        return bench(drafts.newest(id));
    }

    ThemeViews.Bench edit(long id, EditRequest request, Account by) {
        Draft newest = drafts.newest(id);
        Edit edit = request.toEdit(newest.theme(), computed(newest).combos.standard());
        return bench(drafts.edit(id, request.base(), edit, by));
    }

    ThemeViews.Bench undo(long id, Account by) {
        return bench(drafts.undo(id, by));
    }

    ThemeViews.Bench redo(long id, Account by) {
        return bench(drafts.redo(id, by));
    }

    /** What an edit would do; nothing is stored. */
    ThemeViews.Probe probe(long id, EditRequest request) {
        Draft draft = drafts.seen(id, request.base());
        Computed base = computed(draft);
        ThemeDocument probed = request.toEdit(draft.theme(), base.combos.standard()).applyTo(draft.theme()).theme();
        return ThemeViews.Probe.between(base.instruments, ThemeViews.Instruments.of(probed, base.combos, base.instruments));
    }

    List<ThemeMapper.HistoryRow> history(long id) {
        return drafts.history(id, 100);
    }

    /** Why a token has its value in a scheme. */
    Trace trace(long id, String scheme, String path) {
        ThemeDocument theme = drafts.newest(id).theme();
        Combination combination = theme.modifiers().containsKey("scheme")
                ? theme.defaults().with("scheme", scheme) : theme.defaults();
        return Trace.of(theme, combination, TokenPath.of(path));
    }

    private ThemeViews.Bench bench(Draft draft) {
        return new ThemeViews.Bench(draft.id(), draft.theme().name(), draft.revision(),
                drafts.rail(draft.id(), draft.revision()), computed(draft).instruments);
    }

    /** Instruments depend on the revision alone, and a probe asks for the same one many times a second. */
    private Computed computed(Draft draft) {
        Computed last = lastComputed;
        if (last != null && last.id == draft.id() && last.revision == draft.revision()) return last;
        Computed fresh = new Computed(draft.id(), draft.revision(), Combos.of(draft.theme()),
                ThemeViews.Instruments.of(draft.theme()));
        lastComputed = fresh;
        return fresh;
    }
}
