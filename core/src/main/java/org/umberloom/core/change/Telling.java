package org.umberloom.core.change;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/** Changes in sentences: why a number is what it is, and what a site’s editors are told. */
public final class Telling {
    /** From how many on changes of one group are told together. */
    private static final int MANY = 3;

    /** What follows is named by so many things that it shows in. */
    private static final int MOST_PURPOSES = 3;

    private static final double SEEN = 1;
    private static final double PLAIN = 5;
    private static final double LARGE = 15;

    private Telling() {}

    static List<Reason> reasons(List<Change> changes) {
        Map<List<String>, List<Change>> alike = new LinkedHashMap<>();
        for (Change change : changes)
            alike.computeIfAbsent(
                            List.of(change.kind().name(), group(change.was().orElse(change.path()))),
                            key -> new ArrayList<>())
                    .add(change);
        List<Reason> reasons = new ArrayList<>();
        alike.values().forEach(same -> {
            if (same.size() < MANY) same.forEach(one -> reasons.add(new Reason(one.step(), sentence(one))));
            else reasons.add(new Reason(same.get(0).step(), together(same)));
        });
        return reasons;
    }

    private static String group(TokenPath path) {
        return path.parent().map(TokenPath::dotted).orElse(path.dotted());
    }

    private static String together(List<Change> same) {
        Change first = same.get(0);
        String group = group(first.was().orElse(first.path()));
        return same.size() + " tokens of " + group
                + switch (first.kind()) {
                    case ADDED -> " are new.";
                    case REMOVED -> " are gone.";
                    case RENAMED ->
                        " have other names now, such as " + first.path() + ", and their old ones lead nowhere.";
                    case RENAMED_KEPT ->
                        " have other names now, such as " + first.path() + "; the old ones still lead to them.";
                    case RETYPED -> " are of another type.";
                    case CHANGED -> " have other values.";
                    case PLACED -> " are said at other places.";
                    case DESCRIBED -> " are described otherwise.";
                    case RECIPE -> " are computed otherwise.";
                };
    }

    /** One change in a sentence. */
    public static String sentence(Change change) {
        String path = change.path().dotted();
        return switch (change.kind()) {
            case ADDED -> path + " is new.";
            case REMOVED -> path + " is gone.";
            case RENAMED -> change.before() + " is " + path + " now, and its old name leads nowhere.";
            case RENAMED_KEPT -> change.before() + " is " + path + " now; its old name still leads to it.";
            case RETYPED -> path + " is a " + change.type().map(TokenType::id).orElse("value") + " now.";
            case CHANGED -> path + " " + how(change) + follow(change) + ".";
            case PLACED ->
                path + (change.after().isEmpty() ? " is no longer said" : " is also said") + " for "
                        + change.places().get(0) + follow(change) + ".";
            case DESCRIBED -> path + " is described otherwise.";
            case RECIPE -> path + " is computed otherwise" + follow(change) + ".";
        };
    }

    private static String how(Change change) {
        String size = change.size().words();
        String felt = felt(change.size());
        return size.isEmpty() ? felt : felt + " (" + size + ")";
    }

    /** Common practice: about ΔE00 1 is just seen, and differences of other kinds are put on its scale. */
    private static String felt(Size size) {
        if (size.measure() == Size.Measure.OTHER) return "is another";
        double felt = size.felt();
        if (felt < SEEN) return "changed hardly at all";
        return felt < PLAIN ? "changed a little" : felt < LARGE ? "changed plainly" : "changed much";
    }

    private static String follow(Change change) {
        if (change.follow().isEmpty()) return "";
        int roles = 0;
        for (TokenPath path : change.follow()) if (isRole(path)) roles++;
        int others = change.follow().size() - roles;
        List<String> parts = new ArrayList<>();
        if (others > 0) parts.add(counted(others, shades(change) ? "shade" : "token"));
        if (roles > 0) parts.add(counted(roles, "role"));
        return "; " + String.join(" and ", parts) + (change.follow().size() == 1 ? " follows" : " follow");
    }

    private static boolean shades(Change change) {
        Optional<TokenPath> group = change.path().parent();
        return change.path().name().equals(Recipe.HueRamp.SEED)
                && change.follow().stream().filter(path -> !isRole(path)).allMatch(path -> path.parent()
                        .equals(group));
    }

    private static boolean isRole(TokenPath path) {
        return Contract.standard().filledBy(path.dotted()).isPresent();
    }

    private static String counted(int count, String what) {
        return count + " " + what + (count == 1 ? "" : "s");
    }

    /**
     * Notes to begin with, in words of pages rather than of tokens: a line for each thing, the heaviest first.
     *
     * @param most lines
     */
    public static String notes(Changes changes, int most) {
        Set<String> lines = new LinkedHashSet<>();
        for (Change change : changes.changes()) if (change.kind() != Change.Kind.DESCRIBED) lines.add(note(change));
        changes.shifts().forEach(shift -> lines.add(shift.sentence()));
        StringBuilder notes = new StringBuilder();
        lines.stream()
                .limit(most)
                .forEach(line -> notes.append("- ").append(line).append("\n"));
        if (lines.size() > most)
            notes.append("- And ").append(counted(lines.size() - most, "thing")).append(" more.\n");
        return notes.toString();
    }

    private static String note(Change change) {
        if (change.kind() != Change.Kind.CHANGED && change.kind() != Change.Kind.RECIPE) return sentence(change);
        boolean seed = change.path().name().equals(Recipe.HueRamp.SEED);
        String what = seed
                ? "The color “" + change.path().parent().map(TokenPath::name).orElse("") + "”"
                : purpose(change.path()).orElse(change.path().dotted());
        String shows = shows(change);
        return what + ": " + how(change).replaceFirst("^changed", "changes") + "."
                + (shows.isEmpty() ? "" : " It shows in: " + shows + ".");
    }

    /** What a role is for, with its surface where that is not the page. */
    private static Optional<String> purpose(TokenPath path) {
        return Contract.standard().filledBy(path.dotted()).map(role -> {
            String surface = role.ofSurfaces() ? path.segments().get(1) : Surfaces.PAGE;
            return role.purpose() + (surface.equals(Surfaces.PAGE) ? "" : " (on the " + surface + " surface)");
        });
    }

    private static String shows(Change change) {
        List<String> purposes = change.follow().stream()
                .flatMap(path -> Contract.standard().filledBy(path.dotted()).stream())
                .map(role -> role.purpose().substring(0, 1).toLowerCase(Locale.ROOT)
                        + role.purpose().substring(1))
                .distinct()
                .toList();
        String first = String.join("; ", purposes.subList(0, Math.min(MOST_PURPOSES, purposes.size())));
        return purposes.size() > MOST_PURPOSES ? first + "; and more" : first;
    }
}
