package org.umberloom.core.finding;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.check.Pair;
import org.umberloom.core.check.ShapeChecks;
import org.umberloom.core.check.Tidiness;
import org.umberloom.core.check.TypeChecks;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.dress.Dressing;
import org.umberloom.core.font.Families;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;

/** Every check of a theme itself, gathered. */
public final class AllFindings {
    private AllFindings() {}

    /**
     * In every combination, up to a number of them, each also at every scope that the theme writes at.
     *
     * @param pictures that surfaces stand on; of those that are {@link Pictures#UNREAD} nothing is found
     */
    public static List<Finding> everywhere(ThemeDocument theme, Families families, Pictures pictures, int most) {
        Set<Finding> all = new LinkedHashSet<>(ofDocument(theme));
        for (Combination combination : theme.combinations(most)) {
            List<Combination> looks = new ArrayList<>(List.of(combination));
            for (Scope scope : theme.scopesWritten()) looks.add(combination.at(scope));
            for (Combination look : looks) {
                Resolution resolution = Resolution.of(theme, look);
                Map<String, String> chosen = Choices.of(theme, look);
                all.addAll(of(theme, resolution, families, chosen, Contrasts.measure(resolution, chosen)));
                if (Grounds.any(theme)) {
                    Map<String, Grounds.Placed> placed = new LinkedHashMap<>(Grounds.of(theme, resolution, pictures));
                    if (pictures == Pictures.UNREAD) placed.values().removeIf(Grounds.Placed::missing);
                    all.addAll(Grounds.findings(theme, resolution, placed));
                }
            }
        }
        all.addAll(Tidiness.findings(theme));
        return List.copyOf(all);
    }

    /** What holds in all combinations. */
    public static List<Finding> ofDocument(ThemeDocument theme) {
        List<Finding> all = new ArrayList<>(Recipes.findings(theme));
        all.addAll(Choices.findings(theme));
        Dressing.finding(theme).ifPresent(all::add);
        return all;
    }

    /**
     * What holds in one combination.
     *
     * @param chosen values by the names of choices
     * @param pairs  measured there
     */
    public static List<Finding> of(
            ThemeDocument theme,
            Resolution resolution,
            Families families,
            Map<String, String> chosen,
            List<Pair.Measured> pairs) {
        List<Finding> all = new ArrayList<>(resolution.findings());
        all.addAll(TypeChecks.findings(theme, resolution, families));
        all.addAll(ShapeChecks.findings(theme, resolution, chosen));
        all.addAll(Contrasts.findings(theme, resolution, pairs));
        return all;
    }
}
