package org.umberloom.app.theme;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.ground.GroundPictures;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TypographyValue;

/** The library and the bench. */
@Service
public class ThemeService {
    private final ThemeMapper themes;
    private final DraftService drafts;
    private final ThemeGraphs graphs;
    private final GroundPictures pictures;
    private final AtomicReference<Computed> lastComputed = new AtomicReference<>();

    /** What a bench looks at: its working combination and those of its bays, as keys. */
    record Looking(String combo, List<String> bays) {
        static Looking at(EditRequest request) {
            return new Looking(request.comboOrDefault(), request.baysOrNone());
        }

        Combination working() {
            return Combination.parse(combo);
        }

        List<Combination> combinations() {
            return bays.stream().map(Combination::parse).toList();
        }
    }

    private record Computed(long id, int revision, int pictures, Looking looking, Combos combos, ThemeViews.Instruments instruments) {
    }

    ThemeService(ThemeMapper themes, DraftService drafts, ThemeGraphs graphs, GroundPictures pictures) {
        this.pictures = pictures;
        this.themes = themes;
        this.drafts = drafts;
        this.graphs = graphs;
    }

    List<ThemeViews.Card> library() {
        return themes.all().stream().map(row -> card(row, ThemeJson.readInline(row.document()))).toList();
    }

    /** The theme that was changed last, by its number. */
    Optional<Long> lastChanged() {
        return themes.lastChanged();
    }

    private static ThemeViews.Card card(ThemeRow row, ThemeDocument theme) {
        ThemeViews.Instruments instruments = ThemeViews.Instruments.of(theme);
        return new ThemeViews.Card(row.id(), row.name(), theme.description(), row.revision(), row.changedAt() + "Z",
                ThemeViews.Weave.of(theme),
                instruments.type().families().stream().map(family -> family.written().split(",")[0]).distinct().toList(),
                instruments.findings().size(), theme.combinationCount());
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

    ThemeViews.Bench bench(long id, Looking looking) {
        return bench(drafts.newest(id), looking);
    }

    ThemeViews.Bench edit(long id, EditRequest request, Account by) {
        Draft newest = drafts.newest(id);
        Looking looking = Looking.at(request);
        Edit edit = request.toEdit(newest.theme(), computed(newest, looking).combos.standard());
        return bench(drafts.edit(id, request.base(), edit, by), looking);
    }

    ThemeViews.Bench undo(long id, Looking looking, Account by) {
        return bench(drafts.undo(id, by), looking);
    }

    ThemeViews.Bench redo(long id, Looking looking, Account by) {
        return bench(drafts.redo(id, by), looking);
    }

    /** What an edit would do; nothing is stored. */
    ThemeViews.Probe probe(long id, EditRequest request) {
        Draft draft = drafts.seen(id, request.base());
        Looking looking = Looking.at(request);
        Computed base = computed(draft, looking);
        ThemeDocument probed = request.toEdit(draft.theme(), base.combos.standard()).applyTo(draft.theme()).theme();
        Combos combos = Combos.of(probed, looking.working(), looking.combinations(), pictures.of(id), graphs.probing(draft, probed));
        ThemeViews.Instruments probedInstruments = Boolean.TRUE.equals(request.lean())
                ? ThemeViews.Instruments.lean(combos, base.combos, base.instruments)
                : ThemeViews.Instruments.of(combos, base.combos, base.instruments);
        return ThemeViews.Probe.between(base.instruments, probedInstruments, result(combos, request));
    }

    /** What the token that an edit names comes to: in the scheme whose context it is written into, if it is one. */
    private static String result(Combos combos, EditRequest request) {
        if (request.path() == null || !request.op().equals("value")) return "";
        return combos.byScheme().values().stream()
                .filter(resolution -> resolution.find(request.path()).filter(token -> token.winner().toString().equals(request.place())).isPresent())
                .findFirst().or(() -> Optional.of(combos.standard())).flatMap(resolution -> resolution.find(request.path()))
                .map(Resolved::value).filter(value -> !(value instanceof TypographyValue)).map(CustomProperties::text).orElse("");
    }

    private ThemeViews.Bench bench(Draft draft, Looking looking) {
        Computed computed = computed(draft, looking);
        return new ThemeViews.Bench(draft.id(), draft.theme().name(), draft.theme().description(), draft.revision(),
                computed.combos.working().key(), drafts.rail(draft.id(), draft.revision()),
                ThemeViews.StructureView.of(draft.theme()), computed.instruments);
    }

    /** Instruments depend on the revision and what is looked at, and a probe asks for the same many times a second. */
    private Computed computed(Draft draft, Looking looking) {
        Computed last = lastComputed.get();
        boolean sameView = last != null && last.id == draft.id() && last.looking.equals(looking) && last.pictures == pictures.version();
        if (sameView && last.revision == draft.revision()) return last;
        Combos combos = Combos.of(draft.theme(), looking.working(), looking.combinations(),
                pictures.of(draft.id()), combination -> graphs.of(draft, combination));
        ThemeViews.Instruments instruments = sameView ? ThemeViews.Instruments.of(combos, last.combos, last.instruments)
                : ThemeViews.Instruments.of(combos);
        Computed fresh = new Computed(draft.id(), draft.revision(), pictures.version(), looking, combos, instruments);
        lastComputed.set(fresh);
        return fresh;
    }
}
