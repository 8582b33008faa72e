package org.umberloom.core.propose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.check.Pair;
import org.umberloom.core.color.Ciede2000;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.color.Depth;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/**
 * One scheme proposed from another: every role of every surface is mirrored in depth around its ground, grounds of large
 * areas lose their chroma, surfaces that were raised come nearer to the light, and every declared pair is solved to
 * reach the ratio it needs. What was set by hand in the target scheme stays, unless all is asked for anew.
 */
public final class SchemeProposal {
    /** Grounds of a dark page, and of a light one. Common practice: neither black nor blazing white. */
    private static final double DARK_GROUND = 110;

    private static final double LIGHT_GROUND = 2;
    private static final double MIDDLE = 60;
    /** How far a surface that differs from the page stands out from it in depth. */
    private static final double LEAST_STEP = 6;

    private static final double MOST_STEP = 20;
    private static final String GROUND = "ground";
    /** Roles that others stand on. */
    private static final Set<String> GROUNDS =
            Set.of("accent", "accent-hover", "accent-pressed", "selection", "good", "warning", "bad");

    private final ThemeDocument theme;
    private final Resolution from;
    private final Resolution now;
    private final Place target;
    private final boolean dark;
    private final boolean anew;
    private final List<Pair> declared;
    private final Map<TokenPath, List<Resolved>> shadesByHue = new HashMap<>();
    private final Map<String, Color> chosen = new LinkedHashMap<>();
    private final List<Edit> edits = new ArrayList<>();

    private SchemeProposal(ThemeDocument theme, Meaning.Scheme scheme, String to, boolean anew) {
        this.theme = theme;
        this.dark = to.equals(scheme.dark());
        this.anew = anew;
        this.target = Place.context(scheme.modifier(), to);
        Combination other = theme.defaults().with(scheme.modifier(), scheme.other(to));
        this.from = Resolution.of(theme, other);
        this.now = Resolution.of(theme, theme.defaults().with(scheme.modifier(), to));
        this.declared = Contrasts.declared(Choices.of(theme, other));
    }

    /**
     * @param to   the dark or the light context of the scheme
     * @param anew whether roles that were set by hand are proposed, too
     * @throws IllegalArgumentException when the theme has no such scheme, or there is nothing left to propose
     */
    public static Edit of(ThemeDocument theme, String to, boolean anew) {
        Meaning.Scheme scheme = Meaning.scheme(theme)
                .orElseThrow(() -> new IllegalArgumentException(
                        "No modifier of the theme stands for light and dark. Say of one that it is the "
                                + "scheme, and which of its contexts is which."));
        if (!to.equals(scheme.light()) && !to.equals(scheme.dark()))
            throw new IllegalArgumentException("Only " + scheme.light() + " and " + scheme.dark()
                    + " can be proposed from each other, not “" + to + "”.");
        return new SchemeProposal(theme, scheme, to, anew).edit(to);
    }

    private Edit edit(String to) {
        for (Resolved token : from.tokens().values())
            if (token.value() instanceof ColorValue && token.path().parent().isPresent())
                shadesByHue
                        .computeIfAbsent(token.path().parent().get(), key -> new ArrayList<>())
                        .add(token);
        for (String surface : Surfaces.names(from)) propose(surface);
        if (edits.isEmpty())
            throw new IllegalArgumentException("Every role of " + to
                    + " was set by hand, so there is nothing to propose. Propose all anew to replace them.");
        return new Edit.Batch("propose " + to + (anew ? ", all anew" : ""), edits);
    }

    private void propose(String surface) {
        Map<String, Resolved> roles = new LinkedHashMap<>();
        for (Resolved token : from.tokens().values())
            if (token.path().parent().equals(Optional.of(TokenPath.of(Surfaces.GROUP + "." + surface))))
                roles.put(token.path().name(), token);
        Resolved ground = roles.remove(GROUND);
        if (ground == null || !(ground.value() instanceof ColorValue)) return;
        choose(surface, GROUND, ground, groundDepth(surface, ground), List.of(), true);
        // Grounds of pairs come before what stands on them.
        List<String> order = new ArrayList<>(roles.keySet());
        order.sort(Comparator.comparingInt(role -> isGround(role) ? 0 : 1));
        double before = depth(ground);
        double now = Depth.of(chosen.get(key(surface, GROUND))).value();
        for (String role : order) {
            if (!(roles.get(role).value() instanceof ColorValue)) continue;
            double mirrored = now - (depth(roles.get(role)) - before);
            boolean sameSide = (before < MIDDLE) == (now < MIDDLE);
            double wanted = sameSide ? now + depth(roles.get(role)) - before : mirrored;
            choose(
                    surface,
                    role,
                    roles.get(role),
                    Math.max(0, Math.min(Depth.BLACK, wanted)),
                    pairs(surface, role),
                    false);
        }
    }

    /** The page lies at its end; what stood out from it stands out again, toward the light in the dark. */
    private double groundDepth(String surface, Resolved ground) {
        double depth = depth(ground);
        double page = from.find(Surfaces.path(Surfaces.PAGE, GROUND))
                .map(SchemeProposal::depth)
                .orElse(depth);
        double end = dark ? DARK_GROUND : LIGHT_GROUND;
        if ((depth < MIDDLE) != (page < MIDDLE))
            return dark ? Math.min(115, depth + 10) : Math.max(MIDDLE + 20, depth - 10);
        if (surface.equals(Surfaces.PAGE) || depth == page) return end;
        double step = Math.max(LEAST_STEP, Math.min(MOST_STEP, Math.abs(depth - page)));
        return dark ? end - step : end + step;
    }

    private static boolean isGround(String role) {
        return role.endsWith("-ground") || GROUNDS.contains(role);
    }

    private List<Pair> pairs(String surface, String role) {
        return declared.stream()
                .filter(pair -> pair.role().equals(role))
                .map(pair -> new Pair(surface, pair.role(), pair.ground(), pair.needed()))
                .toList();
    }

    private void choose(String surface, String role, Resolved source, double wanted, List<Pair> pairs, boolean large) {
        TokenPath path = TokenPath.of(Surfaces.path(surface, role));
        Optional<Token> before = theme.at(target).token(path);
        if (before.isPresent() && !anew && !before.get().proposed()) {
            standing(path).ifPresent(color -> chosen.put(key(surface, role), color));
            return;
        }
        Optional<Resolved> shade = shade(source, wanted, surface, pairs, large);
        Color color =
                shade.map(token -> ((ColorValue) token.value()).color()).orElse(((ColorValue) source.value()).color());
        chosen.put(key(surface, role), color);
        shade.ifPresent(token -> edits.add(
                new Edit.Put(target, path, new Token(new Alias(token.path()), Meta.NONE).withProposed(true), -1)));
    }

    /** What a role that was set by hand comes to in the target scheme. */
    private Optional<Color> standing(TokenPath path) {
        return now.value(path.dotted(), ColorValue.class).map(ColorValue::color);
    }

    /** The nearest shade of the role's own hue, or of the quietest one for a large area, that every pair allows. */
    private Optional<Resolved> shade(Resolved source, double wanted, String surface, List<Pair> pairs, boolean large) {
        Optional<TokenPath> hue = hueOf(source);
        if (hue.isEmpty()) return Optional.empty();
        boolean colored = large
                && dark
                && (Depth.of(((ColorValue) source.value()).color()).value() < MIDDLE);
        List<Resolved> shades = shadesByHue.get(colored ? quietest(hue.get()) : hue.get());
        Comparator<Resolved> nearest = Comparator.comparingDouble(token -> Math.abs(depth(token) - wanted));
        Optional<Resolved> fitting = shades.stream()
                .filter(token -> pairs.stream().allMatch(pair -> passes(token, surface, pair)))
                .min(nearest);
        return fitting.isPresent()
                ? fitting
                : shades.stream().max(Comparator.comparingDouble(token -> weakest(token, surface, pairs)));
    }

    /** The hue that a role refers to, or for a color of its own the one with the most similar shade. */
    private Optional<TokenPath> hueOf(Resolved source) {
        if (source.written().value() instanceof Alias alias)
            return alias.target().parent().filter(shadesByHue::containsKey);
        Color color = ((ColorValue) source.value()).color();
        return shadesByHue.entrySet().stream()
                .filter(entry -> !entry.getKey().isBelow(TokenPath.of(Surfaces.GROUP)))
                .min(Comparator.comparingDouble(entry -> entry.getValue().stream()
                        .mapToDouble(shade -> Ciede2000.between(color, ((ColorValue) shade.value()).color()))
                        .min()
                        .orElse(Double.MAX_VALUE)))
                .map(Map.Entry::getKey);
    }

    private boolean passes(Resolved token, String surface, Pair pair) {
        Color ground = chosen.get(key(surface, pair.ground()));
        return ground == null || Contrast.ratio(((ColorValue) token.value()).color(), ground) >= pair.needed();
    }

    private double weakest(Resolved token, String surface, List<Pair> pairs) {
        return pairs.stream()
                .filter(pair -> chosen.containsKey(key(surface, pair.ground())))
                .mapToDouble(pair ->
                        Contrast.ratio(((ColorValue) token.value()).color(), chosen.get(key(surface, pair.ground())))
                                / pair.needed())
                .min()
                .orElse(0);
    }

    /** The hue with the least chroma among those of the same family of groups. */
    private TokenPath quietest(TokenPath hue) {
        return shadesByHue.entrySet().stream()
                .filter(entry -> entry.getKey().parent().equals(hue.parent())
                        && entry.getValue().size() >= 5)
                .min(Comparator.comparingDouble(entry -> entry.getValue().stream()
                        .mapToDouble(SchemeProposal::chroma)
                        .average()
                        .orElse(1)))
                .map(Map.Entry::getKey)
                .orElse(hue);
    }

    private static double chroma(Resolved token) {
        return ((ColorValue) token.value())
                .color()
                .to(org.umberloom.core.color.ColorSpace.OKLCH)
                .c2();
    }

    private static double depth(Resolved token) {
        return Depth.of(((ColorValue) token.value()).color()).value();
    }

    private static String key(String surface, String role) {
        return surface + "." + role;
    }
}
