package org.umberloom.core.wish;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.type.TextCurve;

/**
 * Line height and letter spacing of all text styles as curves over their sizes. A curve stands with the group of the styles; what
 * it comes to for each stands in the style, and is said anew in the same edit when a size or the curve changes. A style that is
 * set by hand leaves the curve, and can come back to it.
 */
public final class TextCurves {
    /** The group of the styles. */
    public static final TokenPath STYLES = TokenPath.of("type");

    private static final String CURVES = "curves";
    private static final String LEFT = "leftCurves";
    private static final double NEAR_LINE = 0.02;
    private static final double NEAR_SPACING_PX = 0.1;

    /** What can follow a curve. */
    public enum Kind {
        LINE("lineHeight") {
            @Override
            TokenValue value(TextCurve curve, double px) {
                double places = curve.gridPx() > 0 ? 1e4 : 100;
                return new NumberValue(Math.round(curve.lineAt(px) * places) / places);
            }
        },
        SPACING("letterSpacing") {
            @Override
            TokenValue value(TextCurve curve, double px) {
                return DimensionValue.px(Math.round(curve.at(px) * px * 100) / 100.0);
            }
        };

        private final String part;

        Kind(String part) {
            this.part = part;
        }

        public String part() {
            return part;
        }

        /** @param px size of the style at the wide end */
        abstract TokenValue value(TextCurve curve, double px);

        private boolean near(TokenValue one, TokenValue other) {
            if (one instanceof NumberValue a && other instanceof NumberValue b)
                return Math.abs(a.number() - b.number()) <= NEAR_LINE;
            return one instanceof DimensionValue a
                    && other instanceof DimensionValue b
                    && Math.abs(a.toPx() - b.toPx()) <= NEAR_SPACING_PX;
        }

        /** @throws IllegalArgumentException when there is none of that name */
        static Kind ofPart(String part) {
            for (Kind kind : values()) if (kind.part.equals(part)) return kind;
            throw new IllegalArgumentException(
                    "Line height and letter spacing can follow a curve, “" + part + "” cannot.");
        }
    }

    private TextCurves() {}

    /** The curve that a group of styles has for something. */
    public static Optional<TextCurve> of(Group styles, Kind kind) {
        return styles.meta().own(CURVES).orElse(null) instanceof Map<?, ?> map && map.containsKey(kind.part)
                ? Optional.of(TextCurve.read(map.get(kind.part)))
                : Optional.empty();
    }

    static Meta with(Meta styles, Kind kind, Optional<TextCurve> curve) {
        Map<String, Object> all = new LinkedHashMap<>();
        if (styles.own(CURVES).orElse(null) instanceof Map<?, ?> map) map.forEach((k, v) -> all.put((String) k, v));
        curve.ifPresentOrElse(one -> all.put(kind.part, one.data()), () -> all.remove(kind.part));
        return styles.withOwn(CURVES, all.isEmpty() ? Optional.empty() : Optional.of(all));
    }

    /** Whether a style has left the curve. */
    public static boolean left(Token style, Kind kind) {
        return style.meta().own(LEFT).orElse(null) instanceof List<?> parts && parts.contains(kind.part);
    }

    static Meta leaving(Meta style, Kind kind, boolean leaves) {
        TreeSet<String> parts = new TreeSet<>();
        if (style.own(LEFT).orElse(null) instanceof List<?> known) known.forEach(part -> parts.add((String) part));
        if (leaves) parts.add(kind.part);
        else parts.remove(kind.part);
        return style.withOwn(LEFT, parts.isEmpty() ? Optional.empty() : Optional.of(List.copyOf(parts)));
    }

    /** Styles that are not near a curve as they are now: they begin by having left it. */
    static List<Edit> farFrom(TextCurve curve, Kind kind, Place place, ThemeDocument theme) {
        List<Edit> edits = new ArrayList<>();
        Resolution resolution = Resolution.of(theme, MeasuredWidths.combination(place, theme));
        forEachStyle(place, theme, (path, token, written) -> {
            Optional<TypographyValue> style = resolution.value(path.dotted(), TypographyValue.class);
            Optional<Double> px = px(resolution, path);
            if (style.isPresent()
                    && px.isPresent()
                    && !left(token, kind)
                    && !kind.near(style.get().part(kind.part), kind.value(curve, px.get())))
                edits.add(new Edit.SetMeta(place, path, leaving(token.meta(), kind, true)));
        });
        return edits;
    }

    /** Whether a theme has a curve anywhere. */
    static boolean any(ThemeDocument theme) {
        return theme.places().stream().anyMatch(place -> theme.at(place)
                .group(STYLES)
                .flatMap(styles -> styles.meta().own(CURVES))
                .isPresent());
    }

    /** What follows from an edit for the styles on curves. */
    static List<Edit> after(ThemeDocument before, ThemeDocument after) {
        return after.places().stream()
                .flatMap(place -> at(place, before, after).stream())
                .toList();
    }

    private static List<Edit> at(Place place, ThemeDocument before, ThemeDocument after) {
        Map<Kind, TextCurve> curves = new LinkedHashMap<>();
        after.at(place).group(STYLES).ifPresent(styles -> {
            for (Kind kind : Kind.values()) of(styles, kind).ifPresent(curve -> curves.put(kind, curve));
        });
        List<Edit> edits = new ArrayList<>();
        if (curves.isEmpty()) return edits;
        Resolution resolution = Resolution.of(after, MeasuredWidths.combination(place, after));
        forEachStyle(place, after, (path, token, style) -> {
            Meta meta = token.meta();
            TypographyValue changed = style;
            for (Map.Entry<Kind, TextCurve> one : curves.entrySet()) {
                Kind kind = one.getKey();
                Optional<Double> px = px(resolution, path);
                if (left(token, kind) || px.isEmpty()) continue;
                if (setByHand(place, path, style, kind, before, after)) meta = leaving(meta, kind, true);
                else
                    changed = TypographyValue.of(changed.withPart(kind.part, kind.value(one.getValue(), px.get()))
                            .parts());
            }
            if (!meta.equals(token.meta())) edits.add(new Edit.SetMeta(place, path, meta));
            if (!changed.equals(style)) edits.add(new Edit.SetValue(place, path, changed));
        });
        return edits;
    }

    /** Whether an edit changed what a curve says for a style, and not the curve, nor that the style follows it. */
    private static boolean setByHand(
            Place place, TokenPath path, TypographyValue now, Kind kind, ThemeDocument before, ThemeDocument after) {
        if (!before.places().contains(place)) return false;
        Optional<Token> then = before.at(place).token(path);
        return then.isPresent()
                && !left(then.get(), kind)
                && before.at(place)
                        .group(STYLES)
                        .flatMap(group -> of(group, kind))
                        .equals(after.at(place).group(STYLES).flatMap(group -> of(group, kind)))
                && then.get().value() instanceof TypographyValue style
                && !style.part(kind.part).equals(now.part(kind.part));
    }

    private interface Visitor {
        void style(TokenPath path, Token token, TypographyValue style);
    }

    private static void forEachStyle(Place place, ThemeDocument theme, Visitor visitor) {
        theme.at(place)
                .group(STYLES)
                .ifPresent(styles -> styles.forEachToken((below, token, type) -> {
                    if (token.value() instanceof TypographyValue style)
                        visitor.style(TokenPath.of(STYLES.dotted() + "." + below.dotted()), token, style);
                }));
    }

    /** The size of a style at the wide end. */
    private static Optional<Double> px(Resolution resolution, TokenPath path) {
        return resolution
                .value(path.dotted(), TypographyValue.class)
                .map(TypographyValue::fontSize)
                .map(FluidValue::wide)
                .filter(px -> px > 0);
    }
}
