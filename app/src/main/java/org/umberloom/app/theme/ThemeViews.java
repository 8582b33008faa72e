package org.umberloom.app.theme;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.umberloom.app.color.ColorView;
import org.umberloom.app.space.SpaceView;
import org.umberloom.app.type.TypeView;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenType;

/** What the front end is told of a theme. */
public final class ThemeViews {
    private ThemeViews() {
    }

    /** The newest entry of the log, and what undo and redo would do. */
    public record Rail(String kind, String label, String person, String at, String undo, String redo) {
    }

    public record FindingView(String code, String weight, String path, String message, String remedy) {
        static FindingView of(Finding finding) {
            return new FindingView(finding.code(), finding.weight().name().toLowerCase(java.util.Locale.ROOT),
                    finding.path(), finding.message(), finding.remedy());
        }
    }

    /** Everything that is computed from a document, without its log. */
    public record Instruments(Map<String, Map<String, Map<String, String>>> live, ColorView color, TypeView type,
                              SpaceView space, List<FindingView> findings) {
        public static Instruments of(ThemeDocument theme) {
            Combos combos = Combos.of(theme);
            return new Instruments(live(combos), ColorView.of(combos), TypeView.of(combos), SpaceView.of(combos),
                    findings(combos));
        }

        /** The same for an edited theme, taking over what an edit of colors alone leaves as it was. */
        static Instruments of(ThemeDocument theme, Combos before, Instruments known) {
            Combos combos = Combos.of(theme);
            ColorView color = ColorView.of(combos, before.theme(), known.color);
            boolean onlyColors = combos.standard().equalsExcept(TokenType.COLOR, before.standard());
            return new Instruments(live(combos), color, onlyColors ? known.type : TypeView.of(combos),
                    onlyColors ? known.space : SpaceView.of(combos), findings(combos));
        }

        private static Map<String, Map<String, Map<String, String>>> live(Combos combos) {
            Map<String, Map<String, Map<String, String>>> live = new LinkedHashMap<>();
            combos.byScheme().forEach((scheme, resolution) ->
                    live.put(scheme, CustomProperties.live(resolution).blocks()));
            return live;
        }

        private static List<FindingView> findings(Combos combos) {
            Set<Finding> all = new LinkedHashSet<>();
            combos.byScheme().values().forEach(resolution -> {
                all.addAll(resolution.findings());
                all.addAll(Contrasts.findings(resolution));
            });
            return all.stream().map(FindingView::of).toList();
        }
    }

    /** The whole bench. */
    public record Bench(long id, String name, int revision, Rail rail, Instruments instruments) {
    }

    /** What a probe changes: only properties and instruments that differ from the revision the probe started from. */
    public record Probe(Map<String, Map<String, Map<String, String>>> live, List<ColorView.HueView> hues,
                        List<ColorView.SurfaceView> surfaces, List<TypeView> type, List<SpaceView> space,
                        List<FindingView> findings) {
        static Probe between(Instruments before, Instruments after) {
            Map<String, Map<String, Map<String, String>>> live = new LinkedHashMap<>();
            after.live.forEach((scheme, blocks) -> {
                Map<String, Map<String, String>> changed = new CustomProperties(blocks).changedFrom(
                        new CustomProperties(before.live.getOrDefault(scheme, Map.of())));
                if (!changed.isEmpty()) live.put(scheme, changed);
            });
            return new Probe(live, changed(before.color.hues(), after.color.hues()),
                    changed(before.color.surfaces(), after.color.surfaces()),
                    before.type.equals(after.type) ? List.of() : List.of(after.type),
                    before.space.equals(after.space) ? List.of() : List.of(after.space), after.findings);
        }

        private static <T> List<T> changed(List<T> before, List<T> after) {
            List<T> changed = new ArrayList<>(after);
            changed.removeAll(before);
            return changed;
        }
    }

    /** A theme's plaid: the colors of its warp and of its weft, as hex. */
    public record Weave(List<String> warp, List<String> weft) {
        private static final int MOST_THREADS = 6;

        static Weave of(ThemeDocument theme) {
            ColorView color = ColorView.of(Combos.of(theme));
            List<String> warp = color.hues().stream().map(ColorView.HueView::seedHex).limit(MOST_THREADS).toList();
            List<String> weft = color.surfaces().stream().flatMap(surface -> surface.roles().stream())
                    .filter(role -> role.role().equals("ground") || role.role().equals("accent"))
                    .map(role -> role.cells().get(0).hex()).limit(MOST_THREADS).toList();
            return new Weave(warp, weft);
        }
    }

    /** A theme in the library. */
    public record Card(long id, String name, String description, int revision, String changedAt, Weave weave,
                       List<String> families, int findings) {
    }
}
