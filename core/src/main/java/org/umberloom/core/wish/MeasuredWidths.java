package org.umberloom.core.wish;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.font.Cut;
import org.umberloom.core.font.Families;
import org.umberloom.core.font.Measure;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TypographyValue;

/**
 * Widths that were said in characters of running text. What they come to stands in their values; when the text changes they
 * are said anew in the same edit, and one that is set by hand is said in characters no more.
 */
public final class MeasuredWidths {
    private static final String MEASURE = "measure";
    private static final TokenPath WIDTHS = TokenPath.of("width");
    private static final String TEXT = "type.body";

    private MeasuredWidths() {}

    /** A theme with what one of its sites says laid over it; widths that the site says in characters follow the text that there is. */
    public static ThemeDocument worn(ThemeDocument theme, Map<Place.InScope, Group> written, Families families) {
        return followed(theme.worn(written), written.keySet(), families);
    }

    /** How many characters a width is said to hold; none for one that is said in px or rem. */
    public static OptionalDouble of(Token width) {
        return width.meta().own(MEASURE).orElse(null) instanceof Number number
                ? OptionalDouble.of(number.doubleValue())
                : OptionalDouble.empty();
    }

    static Meta saying(Meta meta, double characters) {
        return meta.withOwn(MEASURE, Optional.of(characters));
    }

    /** Whether a theme has such a width anywhere. */
    static boolean any(ThemeDocument theme) {
        boolean[] found = {false};
        for (Place place : theme.places())
            theme.at(place)
                    .group(WIDTHS)
                    .ifPresent(widths -> widths.forEachToken(
                            (below, width, type) -> found[0] |= of(width).isPresent()));
        return found[0];
    }

    /** What follows from an edit for such widths. @param families whose letters are known */
    static List<Edit> after(ThemeDocument before, ThemeDocument after, Families families) {
        return after.places().stream()
                .flatMap(place -> at(place, before, after, families).stream())
                .toList();
    }

    private static List<Edit> at(Place place, ThemeDocument before, ThemeDocument after, Families families) {
        List<Edit> edits = new ArrayList<>();
        after.at(place)
                .group(WIDTHS)
                .ifPresent(widths -> widths.forEachToken((below, width, type) -> {
                    OptionalDouble characters = of(width);
                    if (characters.isEmpty()) return;
                    TokenPath path = TokenPath.of(WIDTHS.dotted() + "." + below.dotted());
                    if (setByHand(place, path, width, before))
                        edits.add(new Edit.SetMeta(place, path, width.meta().withOwn(MEASURE, Optional.empty())));
                    else
                        width(characters.getAsDouble(), Resolution.of(after, combination(place, after)), families)
                                .filter(value -> !value.equals(width.value()))
                                .ifPresent(value -> edits.add(new Edit.SetValue(place, path, value)));
                }));
        return edits;
    }

    /** A theme in which such widths at some places hold as many characters as they say. @param families whose letters are known */
    public static ThemeDocument followed(ThemeDocument theme, Collection<? extends Place> places, Families families) {
        ThemeDocument followed = theme;
        for (Place place : places)
            for (Edit edit : at(place, theme, theme, families))
                followed = edit.applyTo(followed).theme();
        return followed;
    }

    private static boolean setByHand(Place place, TokenPath path, Token now, ThemeDocument before) {
        if (!before.places().contains(place)) return false;
        Optional<Token> then = before.at(place).token(path);
        return then.isPresent()
                && of(then.get()).equals(of(now))
                && !then.get().value().equals(now.value());
    }

    static Combination combination(Place place, ThemeDocument theme) {
        if (place instanceof Place.InContext in) return theme.defaults().with(in.modifier(), in.context());
        return place instanceof Place.InScope in ? theme.defaults().at(in.scope()) : theme.defaults();
    }

    /** In whole px, as rem; none where the letters are not known. */
    private static Optional<DimensionValue> width(double characters, Resolution resolution, Families families) {
        TypographyValue text =
                (TypographyValue) Worn.of(resolution).find(TEXT).orElseThrow().value();
        OptionalDouble mean = Cut.of(text).map(families::mean).orElse(OptionalDouble.empty());
        if (mean.isEmpty()) return Optional.empty();
        double px = Measure.width(
                characters,
                mean.getAsDouble(),
                FluidValue.wide(text.fontSize()),
                FluidValue.wide(text.letterSpacing()));
        return Optional.of(DimensionValue.rem(Math.round(px) / DimensionValue.PX_PER_REM));
    }
}
