package org.umberloom.app.theme;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.umberloom.app.color.ColorView;
import org.umberloom.app.looking.Combos;
import org.umberloom.app.shape.ShapeView;
import org.umberloom.app.space.SpaceView;
import org.umberloom.app.type.TypeView;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Homes;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.css.LiveProperties;
import org.umberloom.core.css.SpotProperties;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.finding.AllFindings;
import org.umberloom.core.font.Families;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.OwnStyle;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenType;

/** What the front end is told of a theme. */
public final class ThemeViews {
    private ThemeViews() {}

    /** The newest entry of the log, what undo and redo would do, and the token or group that it moved, if it did. */
    public record Rail(
            String kind, String label, String person, String at, String undo, String redo, List<Moved> moved) {}

    /** A token or group that has another path now; what lies below it has, too. */
    public record Moved(String from, String to) {}

    /** A remedy with the edit that applies it, to be sent back as it is. */
    public record FixView(String label, Map<String, Object> edit) {}

    /**
     * @param contexts of the combination in which it holds; none where it holds in all
     * @param scope    at which it holds; empty for the theme itself
     * @param place    where what it is about is written; empty where that is no one place
     */
    public record FindingView(
            String code,
            String weight,
            String path,
            String message,
            String remedy,
            List<FixView> fixes,
            Map<String, String> contexts,
            String scope,
            String place) {
        public static FindingView of(Finding finding) {
            return new FindingView(
                    finding.code(),
                    finding.weight().name().toLowerCase(Locale.ROOT),
                    finding.path(),
                    finding.message(),
                    finding.remedy(),
                    finding.fixes().stream()
                            .map(fix -> new FixView(fix.label(), EditJson.data(fix.edit())))
                            .toList(),
                    finding.combination().contexts(),
                    finding.combination().scope().map(Scope::toString).orElse(""),
                    finding.place().map(Place::toString).orElse(""));
        }
    }

    /**
     * A choice as it is made in the working combination.
     *
     * @param place   where it is written; empty where nobody chose
     * @param written every place of the theme that writes it, with what it says there
     */
    public record ChosenView(String name, String value, String place, List<TokenService.PlaceView> written) {
        static ChosenView of(ThemeDocument theme, Choices.Chosen chosen) {
            return new ChosenView(
                    chosen.choice().name(),
                    chosen.value(),
                    chosen.place().map(Place::toString).orElse(""),
                    Choices.writing(theme, chosen.choice()).stream()
                            .map(place -> new TokenService.PlaceView(
                                    place.toString(),
                                    Choices.at(theme, place, chosen.choice()).orElseThrow()))
                            .toList());
        }
    }

    /** Everything that is computed from a document, without its log. */
    public record Instruments(
            Map<String, Map<String, Map<String, String>>> live,
            ColorView color,
            TypeView type,
            SpaceView space,
            ShapeView shape,
            List<ChosenView> choices,
            int pairs,
            List<FindingView> findings) {
        public static Instruments of(ThemeDocument theme, Families families) {
            return of(Combos.of(theme, families));
        }

        static Instruments of(Combos combos) {
            return new Instruments(
                    live(combos, combos::properties),
                    ColorView.of(combos),
                    TypeView.of(combos),
                    SpaceView.of(combos),
                    ShapeView.of(combos),
                    choices(combos),
                    pairs(combos),
                    findings(combos));
        }

        /** The same for an edited theme, taking over what an edit of colors alone leaves as it was. */
        static Instruments of(Combos combos, Combos before, Instruments known) {
            return following(
                    combos, before, known, ColorView.of(combos, before.theme(), known.color), findings(combos));
        }

        /** What follows a pointer: pages, hues, type and space; surfaces and findings stay as they were known. */
        static Instruments lean(Combos combos, Combos before, Instruments known) {
            return following(
                    combos, before, known, ColorView.lean(combos, before.theme(), known.color), known.findings);
        }

        private static Instruments following(
                Combos combos, Combos before, Instruments known, ColorView color, List<FindingView> findings) {
            boolean chosenAsBefore = combos.takeChoices(before);
            Resolution.Changes changes = combos.standard().since(before.standard());
            boolean onlyColors = changes.only(TokenType.COLOR, before.standard());
            return new Instruments(
                    live(combos, resolution -> combos.properties(resolution, before)),
                    color,
                    onlyColors ? known.type : TypeView.of(combos),
                    onlyColors ? known.space : SpaceView.of(combos),
                    // A light can be moved without a shadow that changes: where nothing changed, it is looked at again.
                    onlyColors && !changes.changed().isEmpty() ? known.shape : ShapeView.of(combos),
                    chosenAsBefore && combos.working().equals(before.working()) ? known.choices : choices(combos),
                    known.pairs,
                    findings);
        }

        /** How many pairs of colors the findings come from. */
        private static int pairs(Combos combos) {
            return combos.byScheme().values().stream()
                    .mapToInt(resolution -> combos.pairs(resolution).size())
                    .sum();
        }

        private static List<ChosenView> choices(Combos combos) {
            return combos.choices(combos.working()).stream()
                    .map(chosen -> ChosenView.of(combos.theme(), chosen))
                    .toList();
        }

        private static Map<String, Map<String, Map<String, String>>> live(
                Combos combos, Function<Resolution, LiveProperties> properties) {
            Map<String, Map<String, Map<String, String>>> live = new LinkedHashMap<>();
            Function<Resolution, Map<String, Map<String, String>>> blocks = resolution ->
                    properties.apply(resolution).on(combos.grounds(resolution)).blocks();
            combos.live().forEach((key, resolution) -> {
                Map<String, Map<String, String>> all = withChoices(combos, resolution, blocks.apply(resolution));
                for (Combos.SpotLook look : combos.spots().getOrDefault(key, List.of()))
                    all.putAll(SpotProperties.of(
                            look.spot(),
                            blocks.apply(look.own()),
                            blocks.apply(look.around()),
                            Choices.values(combos.choices(look.own().combination())),
                            Choices.values(combos.choices(look.around().combination()))));
                live.put(key, all);
            });
            return live;
        }

        /** What is chosen stands among the properties of the root, as the attributes that a live page says it with. */
        private static Map<String, Map<String, String>> withChoices(
                Combos combos, Resolution resolution, Map<String, Map<String, String>> blocks) {
            Map<String, Map<String, String>> all = new LinkedHashMap<>(blocks);
            Map<String, String> root = new LinkedHashMap<>(blocks.get(CustomProperties.ROOT));
            root.putAll(Stylesheet.choosing(Choices.values(combos.choices(resolution.combination())), Map.of()));
            all.put(CustomProperties.ROOT, root);
            return all;
        }

        private static List<FindingView> findings(Combos combos) {
            return found(combos).stream().map(FindingView::of).toList();
        }
    }

    /** What is wrong with a theme in the combinations that are looked at, and at its own scopes. */
    public static Set<Finding> found(Combos combos) {
        Set<Finding> all = new LinkedHashSet<>(AllFindings.ofDocument(combos.theme()));
        combos.byScheme().values().forEach(resolution -> collect(combos, resolution, all));
        combos.live().values().forEach(resolution -> {
            if (!combos.byScheme().containsValue(resolution)) collect(combos, resolution, all);
        });
        combos.scoped().forEach(resolution -> collect(combos, resolution, all));
        return all;
    }

    private static void collect(Combos combos, Resolution resolution, Set<Finding> all) {
        all.addAll(AllFindings.of(
                combos.theme(),
                resolution,
                combos.families(),
                Choices.values(combos.choices(resolution.combination())),
                combos.pairs(resolution)));
        if (!combos.grounds().isEmpty())
            all.addAll(Grounds.findings(combos.theme(), resolution, combos.grounds(resolution)));
    }

    /**
     * A context with how many tokens it holds itself; the code is what stands for it in a combination's key.
     *
     * @param part which part of the modifier's meaning it has: light, dark or more; empty for none
     */
    public record ContextView(String name, String place, String code, int tokens, String part) {}

    /** A set or a modifier; a set has no contexts. {@code applies} says whether the resolution order names it. */
    public record LayerView(
            String kind,
            String name,
            String place,
            String code,
            String description,
            int tokens,
            boolean applies,
            String standard,
            String meaning,
            List<ContextView> contexts) {}

    /**
     * What a theme consists of, in resolution order; what does not apply comes last.
     *
     * @param writable every place that values can be written into
     * @param homes where something new of a kind goes; empty where a person has to choose
     */
    public record StructureView(List<LayerView> layers, List<Writable> writable, Map<String, String> homes) {
        static StructureView of(ThemeDocument theme, List<WornSites.Named> scopes) {
            List<LayerView> layers = new ArrayList<>();
            theme.order()
                    .forEach(entry -> layers.add(
                            entry.modifier() ? modifier(theme, entry.name(), true) : set(theme, entry.name(), true)));
            theme.sets().keySet().forEach(name -> {
                if (!theme.order().contains(ThemeDocument.OrderEntry.set(name))) layers.add(set(theme, name, false));
            });
            theme.modifiers().keySet().forEach(name -> {
                if (!theme.order().contains(ThemeDocument.OrderEntry.modifier(name)))
                    layers.add(modifier(theme, name, false));
            });
            return new StructureView(layers, Writable.of(theme, scopes), Homes.of(theme));
        }

        private static LayerView set(ThemeDocument theme, String name, boolean applies) {
            ThemeDocument.TokenSet set = theme.sets().get(name);
            return new LayerView(
                    "set",
                    name,
                    Place.set(name).toString(),
                    "",
                    set.description(),
                    set.tokens().tokenCount(),
                    applies,
                    "",
                    "",
                    List.of());
        }

        private static LayerView modifier(ThemeDocument theme, String name, boolean applies) {
            List<ContextView> contexts = new ArrayList<>();
            Meaning meaning = Meaning.of(name, theme.modifiers().get(name));
            theme.modifiers()
                    .get(name)
                    .contexts()
                    .forEach((context, tokens) -> contexts.add(new ContextView(
                            context,
                            Place.context(name, context).toString(),
                            Combination.code(context),
                            tokens.tokenCount(),
                            meaning.partOf(context))));
            return new LayerView(
                    "modifier",
                    name,
                    "",
                    Combination.code(name),
                    theme.modifiers().get(name).description(),
                    contexts.stream().mapToInt(ContextView::tokens).sum(),
                    applies,
                    theme.modifiers().get(name).defaultContext(),
                    meaning.kind().id(),
                    contexts);
        }
    }

    /** The whole bench. @param sites what undo and redo would do in those that are looked at */
    public record Bench(
            long id,
            String name,
            String description,
            int revision,
            String combo,
            Rail rail,
            List<WornSites.SiteRail> sites,
            StructureView structure,
            OwnStyleView own,
            Instruments instruments) {}

    /**
     * An own style sheet.
     *
     * @param css     as it is kept
     * @param layered as pages are given it
     */
    public record OwnStyleView(String css, String layered) {
        static OwnStyleView of(ThemeDocument theme) {
            return new OwnStyleView(OwnStyle.of(theme), Stylesheet.ownOf(theme));
        }
    }

    /**
     * What a probe changes: only properties and instruments that differ from the revision the probe started from.
     *
     * @param result what the token that the edit names comes to, as CSS text; empty when that has no single form
     */
    public record Probe(
            Map<String, Map<String, Map<String, String>>> live,
            List<ColorView.HueView> hues,
            List<ColorView.SurfaceView> surfaces,
            List<TypeView> type,
            List<SpaceView> space,
            List<ShapeView> shape,
            List<FindingView> findings,
            String result) {
        static Probe between(Instruments before, Instruments after, String result) {
            Map<String, Map<String, Map<String, String>>> live = new LinkedHashMap<>();
            after.live.forEach((key, blocks) -> {
                Map<String, Map<String, String>> changed = new CustomProperties(blocks)
                        .changedFrom(new CustomProperties(before.live.getOrDefault(key, Map.of())));
                if (!changed.isEmpty()) live.put(key, changed);
            });
            return new Probe(
                    live,
                    changed(before.color.hues(), after.color.hues()),
                    changed(before.color.surfaces(), after.color.surfaces()),
                    before.type.equals(after.type) ? List.of() : List.of(after.type),
                    before.space.equals(after.space) ? List.of() : List.of(after.space),
                    before.shape.equals(after.shape) ? List.of() : List.of(after.shape),
                    after.findings,
                    result);
        }

        private static <T> List<T> changed(List<T> before, List<T> after) {
            List<T> changed = new ArrayList<>(after);
            changed.removeAll(before);
            return changed;
        }
    }

    /** A theme's plaid: the colors of its warp and of its weft, as hex. Hues that only tell states say nothing of a brand. */
    public record Weave(List<String> warp, List<String> weft) {
        private static final int MOST_THREADS = 6;

        public static Weave of(ThemeDocument theme) {
            return of(ColorView.of(Combos.of(theme, Families.NONE)));
        }

        public static Weave of(ColorView color) {
            List<String> warp = color.hues().stream()
                    .filter(hue -> !Surfaces.STATES.contains(hue.name())
                            || color.hues().size() <= 2)
                    .map(ColorView.HueView::seedHex)
                    .limit(MOST_THREADS)
                    .toList();
            List<String> weft = color.surfaces().stream()
                    .flatMap(surface -> surface.roles().stream())
                    .filter(role -> role.role().equals("ground") || role.role().equals("accent"))
                    .map(role -> role.cells().get(0).hex())
                    .limit(MOST_THREADS)
                    .toList();
            return new Weave(warp, weft);
        }
    }
}
