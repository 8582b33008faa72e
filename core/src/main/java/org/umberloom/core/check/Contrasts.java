package org.umberloom.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.color.Depth;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.Meeting;
import org.umberloom.core.page.Specimen;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DerivedValue;
import org.umberloom.core.token.Operation;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/** Every declared pair of every surface against the ratio it must reach (WCAG 2.2, 1.4.3 and 1.4.11). */
public final class Contrasts {
    private Contrasts() {}

    /** Which role stands on which on every surface, as the rules of the parts bring them together; the surface's name is left empty. */
    public static List<Pair> declared() {
        return declared(Map.of());
    }

    /** The same for choices by their names; those not named stand at their standard. */
    public static List<Pair> declared(Map<String, String> choices) {
        return Specimen.touching(choices).stream()
                .map(touching -> new Pair(
                        "",
                        touching.role(),
                        touching.ground(),
                        touching.kind() == Meeting.Kind.TEXT ? Contrast.TEXT : Contrast.SHAPE))
                .toList();
    }

    /** All pairs of which the theme sets at least one role itself. */
    public static List<Pair.Measured> measure(Resolution resolution) {
        return measure(resolution, Map.of());
    }

    /** The same where a theme chooses otherwise than the standard. */
    public static List<Pair.Measured> measure(Resolution resolution, Map<String, String> choices) {
        Worn worn = Worn.of(resolution);
        List<Pair> declared = declared(choices);
        List<Pair.Measured> measured = new ArrayList<>();
        for (String surface : Surfaces.names(resolution))
            for (Pair pair : declared) {
                Optional<Worn.Standing> role = worn.find(Surfaces.path(surface, pair.role()));
                Optional<Worn.Standing> ground = worn.find(Surfaces.path(surface, pair.ground()));
                if (role.isPresent()
                        && ground.isPresent()
                        && !(role.get().unset() && ground.get().unset()))
                    measured.add(Pair.Measured.of(
                            new Pair(surface, pair.role(), pair.ground(), pair.needed()),
                            color(role.get()),
                            color(ground.get())));
            }
        return measured;
    }

    /** One finding for each pair that fails. */
    public static List<Finding> findings(ThemeDocument theme, Resolution resolution) {
        return findings(theme, resolution, measure(resolution));
    }

    /** The same for pairs that are measured already. */
    public static List<Finding> findings(ThemeDocument theme, Resolution resolution, List<Pair.Measured> measured) {
        List<String> holding =
                new ArrayList<>(resolution.combination().contexts().values());
        resolution.combination().scope().map(Scope::words).ifPresent(holding::add);
        String where = holding.isEmpty() ? "" : " (" + String.join(", ", holding) + ")";
        return measured.stream()
                .filter(pair -> !pair.passes())
                .map(pair -> finding(theme, resolution, pair, where))
                .toList();
    }

    private static Finding finding(ThemeDocument theme, Resolution resolution, Pair.Measured pair, String where) {
        OptionalDouble opacity = pair.opacity();
        if (opacity.isPresent()) return onPictures(theme, resolution, pair, where, opacity.getAsDouble());
        String path = Surfaces.path(pair.pair().surface(), pair.pair().role());
        Finding finding = new Finding(
                        "contrast",
                        Finding.Weight.MUST,
                        path,
                        String.format(
                                Locale.ROOT,
                                "%s on %s reaches %.2f:1 on the %s surface%s; it needs %.1f:1.",
                                pair.pair().role(),
                                pair.pair().ground(),
                                Math.floor(pair.ratio() * 100) / 100,
                                pair.pair().surface(),
                                where,
                                pair.pair().needed()),
                        pair.remedy(),
                        nearestShade(theme, resolution, pair))
                .in(resolution.combination());
        return resolution.find(path).map(token -> finding.at(token.winner())).orElse(finding);
    }

    /** It is the ground that lets too much of a picture through. */
    private static Finding onPictures(
            ThemeDocument theme, Resolution resolution, Pair.Measured pair, String where, double opacity) {
        String path = Surfaces.path(pair.pair().surface(), pair.pair().ground());
        String percent = Math.round(opacity * 100) + " %";
        Optional<Resolved> ground = resolution.find(path);
        Optional<Place> place =
                ground.map(token -> FixPlace.of(theme, resolution, token, sources(resolution, pair.pair())));
        Finding finding = new Finding(
                        "contrast",
                        Finding.Weight.MUST,
                        path,
                        String.format(
                                Locale.ROOT,
                                "On a picture %s under %s can reach as little as %.2f:1 on the %s surface%s; it needs %.1f:1.",
                                pair.pair().ground(),
                                pair.pair().role(),
                                Math.floor(pair.ratio() * 100) / 100,
                                pair.pair().surface(),
                                where,
                                pair.pair().needed()),
                        "At an opacity of " + percent + " or more it passes on every picture.",
                        ground
                                .map(token -> new Finding.Fix(
                                        "Make it " + percent + " opaque"
                                                + place.get().words("on"),
                                        new Edit.SetValue(
                                                place.get(),
                                                token.path(),
                                                new ColorValue(
                                                        pair.groundColor().withAlpha(opacity)))))
                                .stream()
                                .toList())
                .in(resolution.combination());
        return ground.map(token -> finding.at(token.winner())).orElse(finding);
    }

    /** The tokens from which both roles of a pair take their colors: their own, or those of the roles that they fall back to. */
    private static List<TokenPath> sources(Resolution resolution, Pair pair) {
        Worn worn = Worn.of(resolution);
        return Stream.of(pair.role(), pair.ground())
                .flatMap(role -> source(worn, Surfaces.path(pair.surface(), role)).stream())
                .toList();
    }

    private static Optional<TokenPath> source(Worn worn, String path) {
        Optional<Worn.Standing> standing = worn.find(path);
        while (standing.isPresent() && standing.get().unset())
            standing = standing.get().on().flatMap(worn::find);
        return standing.map(found -> TokenPath.of(found.path()));
    }

    /** The shade of the same hue that passes and lies nearest, as an edit of the role where the pair fails. */
    private static List<Finding.Fix> nearestShade(ThemeDocument theme, Resolution resolution, Pair.Measured pair) {
        Resolved role = resolution
                .find(Surfaces.path(pair.pair().surface(), pair.pair().role()))
                .orElse(null);
        if (role == null
                || !(role.written().value() instanceof Alias alias)
                || alias.target().parent().isEmpty()) return List.of();
        TokenPath hue = alias.target().parent().get();
        Place place = FixPlace.of(theme, resolution, role, sources(resolution, pair.pair()));
        double now = Depth.of(pair.foreground()).value();
        return resolution.tokens().values().stream()
                .filter(token -> token.path().parent().equals(Optional.of(hue))
                        && token.value() instanceof ColorValue
                        && !token.path().name().equals(Recipe.HueRamp.SEED))
                .filter(token -> Contrast.ratio(((ColorValue) token.value()).color(), pair.groundColor())
                        >= pair.pair().needed())
                .min(Comparator.comparingDouble(token ->
                        Math.abs(Depth.of(((ColorValue) token.value()).color()).value() - now)))
                .map(token -> List.of(
                        new Finding.Fix(
                                "Use " + token.path() + place.words("on"),
                                new Edit.SetValue(place, role.path(), new Alias(token.path()))),
                        new Finding.Fix(
                                "Keep it readable" + place.words("on"),
                                new Edit.SetValue(place, role.path(), solved(alias, hue, pair)))))
                .orElse(List.of());
    }

    /** The pair as a derivation, which finds its shade again whenever hue or ground change. */
    private static TokenValue solved(Alias wanted, TokenPath hue, Pair.Measured pair) {
        return new DerivedValue(Operation.REACH.withTexts(
                wanted,
                List.of(
                        "{" + hue + "}",
                        "{" + Surfaces.path(pair.pair().surface(), pair.pair().ground()) + "}",
                        ValueText.number(pair.pair().needed(), 2))));
    }

    private static Color color(Worn.Standing standing) {
        return ((ColorValue) standing.value()).color();
    }
}
