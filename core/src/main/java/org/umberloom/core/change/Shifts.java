package org.umberloom.core.change;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.OwnStyle;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.SharedPiece;
import org.umberloom.core.theme.ThemeDocument;

/** What differs besides tokens: modifiers and their contexts, pieces, pictures, the own style sheet, names and the order. */
final class Shifts {
    private Shifts() {}

    static List<Reason> between(ThemeDocument before, ThemeDocument after) {
        List<Reason> reasons = new ArrayList<>();
        modifiers(before, after, reasons);
        named("piece", SharedPiece.of(before), SharedPiece.of(after), Step.MAJOR, Step.MINOR, reasons);
        named("picture", Picture.of(before), Picture.of(after), Step.PATCH, Step.PATCH, reasons);
        if (!OwnStyle.of(before).equals(OwnStyle.of(after)))
            reasons.add(new Reason(Step.PATCH, "The theme’s own style sheet is another."));
        if (!before.order().equals(after.order()) && sameMembers(before, after))
            reasons.add(new Reason(Step.PATCH, "Sets and modifiers apply in another order."));
        if (!before.name().equals(after.name()))
            reasons.add(new Reason(
                    Step.PATCH, "The theme is called “" + after.name() + "”; it was “" + before.name() + "”."));
        if (!before.description().equals(after.description()))
            reasons.add(new Reason(Step.PATCH, "The theme’s description is another."));
        return reasons;
    }

    private static boolean sameMembers(ThemeDocument before, ThemeDocument after) {
        return Set.copyOf(before.order()).equals(Set.copyOf(after.order()));
    }

    private static void modifiers(ThemeDocument before, ThemeDocument after, List<Reason> reasons) {
        Set<String> names = new LinkedHashSet<>(before.modifiers().keySet());
        names.addAll(after.modifiers().keySet());
        for (String name : names) {
            Modifier was = before.modifiers().get(name);
            Modifier is = after.modifiers().get(name);
            if (is == null)
                reasons.add(new Reason(
                        Step.MAJOR,
                        "The modifier “" + name + "” is gone, with "
                                + quoted(was.contexts().keySet()) + "."));
            else if (was == null)
                reasons.add(new Reason(
                        Step.MINOR,
                        "The modifier “" + name + "” is new, with "
                                + quoted(is.contexts().keySet()) + "."));
            else contexts(name, was, is, reasons);
        }
    }

    private static void contexts(String modifier, Modifier was, Modifier is, List<Reason> reasons) {
        for (String context : was.contexts().keySet())
            if (!is.contexts().containsKey(context))
                reasons.add(new Reason(
                        Step.MAJOR,
                        "“" + context + "” of " + modifier + " is gone; who stands in it falls back to “"
                                + is.defaultContext() + "”."));
        for (String context : is.contexts().keySet())
            if (!was.contexts().containsKey(context))
                reasons.add(new Reason(Step.MINOR, "“" + context + "” of " + modifier + " is new."));
        if (!was.defaultContext().equals(is.defaultContext()))
            reasons.add(new Reason(
                    Step.PATCH,
                    "Where no " + modifier + " is chosen, “" + is.defaultContext() + "” holds; it was “"
                            + was.defaultContext() + "”."));
    }

    private static <T> void named(
            String what, Map<String, T> before, Map<String, T> after, Step gone, Step come, List<Reason> reasons) {
        before.forEach((name, one) -> {
            if (!after.containsKey(name)) reasons.add(new Reason(gone, "The " + what + " “" + name + "” is gone."));
            else if (!one.equals(after.get(name)))
                reasons.add(new Reason(Step.PATCH, "The " + what + " “" + name + "” is another."));
        });
        after.keySet().forEach(name -> {
            if (!before.containsKey(name)) reasons.add(new Reason(come, "The " + what + " “" + name + "” is new."));
        });
    }

    private static String quoted(Set<String> names) {
        return String.join(", ", names.stream().map(name -> "“" + name + "”").toList());
    }
}
