package org.umberloom.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.umberloom.core.color.Ciede2000;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Deficiency;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.References;

/** Colors that are too alike: written twice with hardly a difference, or states that some people cannot tell apart. */
public final class Likeness {
    /** ΔE00 below which two colors are one to the eye. */
    private static final double HARDLY_DIFFERENT = 2;
    /** ΔE00 that two states need at a glance; twice what is told apart side by side in comfort. Common practice. */
    private static final double APART = 8;

    private Likeness() {}

    /** Colors of their own, not grown by a recipe, that differ by less than ΔE00 2; equal ones are duplicates, not this. */
    public static List<Finding> nearDuplicates(ThemeDocument theme, Resolution resolution) {
        List<Resolved> own = new ArrayList<>();
        for (Resolved token : resolution.tokens().values())
            if (token.written().value() instanceof ColorValue
                    && Recipes.computing(theme.at(token.winner()), token.path()).isEmpty()) own.add(token);
        List<Finding> findings = new ArrayList<>();
        for (int i = 0; i < own.size(); i++)
            for (int j = 0; j < i; j++) {
                Color one = ((ColorValue) own.get(j).value()).color();
                Color other = ((ColorValue) own.get(i).value()).color();
                double difference = Ciede2000.between(one, other);
                if (difference >= HARDLY_DIFFERENT || one.equals(other) || one.alpha() != other.alpha()) continue;
                Resolved kept = own.get(j);
                Resolved merged = own.get(i);
                boolean circular = refersTo(kept, merged);
                findings.add(new Finding(
                        "near-duplicate",
                        Finding.Weight.NOTE,
                        merged.path().dotted(),
                        String.format(
                                Locale.ROOT,
                                "%s and %s can hardly be told apart (a difference of %.1f; 2 is where it begins).",
                                merged.path(),
                                kept.path(),
                                difference),
                        "Merge them, or move them apart.",
                        circular
                                ? List.of()
                                : List.of(new Finding.Fix(
                                        "Merge into " + kept.path(),
                                        new Edit.SetValue(merged.winner(), merged.path(), new Alias(kept.path()))))));
                break;
            }
        return findings;
    }

    private static boolean refersTo(Resolved token, Resolved target) {
        boolean[] refers = {false};
        References.forEach(token.written().value(), path -> refers[0] |= path.equals(target.path()));
        return refers[0];
    }

    /** States on one surface that come too near each other without one kind of cone. */
    public static List<Finding> statesThatMeet(Resolution resolution) {
        List<Finding> findings = new ArrayList<>();
        for (String surface : Surfaces.names(resolution))
            for (int i = 0; i < Surfaces.STATES.size(); i++)
                for (int j = 0; j < i; j++) {
                    Optional<Color> one = color(resolution, surface, Surfaces.STATES.get(j));
                    Optional<Color> other = color(resolution, surface, Surfaces.STATES.get(i));
                    if (one.isEmpty() || other.isEmpty()) continue;
                    for (Deficiency deficiency : Deficiency.values()) {
                        double difference = Ciede2000.between(deficiency.seen(one.get()), deficiency.seen(other.get()));
                        if (difference < APART)
                            findings.add(new Finding(
                                    "states-meet",
                                    Finding.Weight.SHOULD,
                                    Surfaces.path(surface, Surfaces.STATES.get(i)),
                                    String.format(
                                            Locale.ROOT,
                                            "%s, %s and %s on the %s surface look nearly the same (a difference of %.1f; %.0f tells "
                                                    + "them apart at a glance).",
                                            deficiency.words(),
                                            Surfaces.STATES.get(j),
                                            Surfaces.STATES.get(i),
                                            surface,
                                            difference,
                                            APART),
                                    "Move one of them in depth, and never let color alone say it."));
                    }
                }
        return findings;
    }

    private static Optional<Color> color(Resolution resolution, String surface, String role) {
        return resolution.value(Surfaces.path(surface, role), ColorValue.class).map(ColorValue::color);
    }
}
