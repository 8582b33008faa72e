package org.umberloom.app.type;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import org.umberloom.app.looking.Combos;
import org.umberloom.core.check.LineLength;
import org.umberloom.core.check.TypeChecks;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Member;
import org.umberloom.core.contract.Part;
import org.umberloom.core.contract.PartRule;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.font.Cut;
import org.umberloom.core.font.Families;
import org.umberloom.core.font.Measure;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;
import org.umberloom.core.type.TextCurve;
import org.umberloom.core.type.TypeScale;
import org.umberloom.core.wish.TextCurves;

/** The Type instrument: families and weights, the scale with its steps, and the text styles. */
public record TypeView(
        List<ValueView> families,
        List<ValueView> weights,
        List<TypeScaleView> scales,
        List<StyleView> styles,
        List<CurveView> curves) {
    /** A single token: its path, where it is written, its value as written, and what that comes to. */
    public record ValueView(String path, String name, String place, String written, String value) {}

    /** A step; sizes in px at and below the narrow, and at and above the wide viewport. */
    public record StepView(String path, String name, double narrowPx, double widePx, boolean detached) {}

    /** A type scale. Viewports, bases and sizes in px. */
    public record TypeScaleView(
            String path,
            String place,
            double narrowBase,
            double narrowRatio,
            double wideBase,
            double wideRatio,
            double narrowViewport,
            double wideViewport,
            int smallest,
            int largest,
            List<StepView> steps) {}

    /** A size in px at a window of that width in px. */
    public record SizeView(double viewport, double px) {}

    /**
     * What text styles say by their sizes.
     *
     * @param part  {@code lineHeight} as a multiple of the size, or {@code letterSpacing} in em
     * @param place where it is written, or would be
     * @param set   whether styles follow it; else it is what would fit them
     * @param gridPx line heights are whole multiples of it; 0 for any height
     */
    public record CurveView(
            String part,
            String place,
            boolean set,
            double smallPx,
            double small,
            double largePx,
            double large,
            double gridPx) {}

    /** How many characters of running English a line holds at a viewport width in px. */
    public record LineView(double viewport, double characters) {}

    /**
     * How much a line of a style holds, and how much it should.
     *
     * @param fewest of the aim, characters
     * @param ideal  characters
     * @param aim    the most of the aim, characters
     * @param most   characters before lines are hard to follow
     * @param column the width of a text column that holds the ideal where the text is largest
     */
    public record MeasureView(List<LineView> lines, int fewest, int ideal, int aim, int most, String column) {
        private static final MeasureView NONE = of(List.of(), "");

        private static MeasureView of(List<LineView> lines, String column) {
            return new MeasureView(lines, Measure.FEWEST, Measure.IDEAL, Measure.AIM, Measure.MOST, column);
        }
    }

    /**
     * A text style: its members as written, and what they come to.
     *
     * @param place   where it is written; empty for one that is not set
     * @param follows path of the style that one that is not set stands on; empty for one that is set
     * @param manner  what it says besides the format’s five members, by the names of the parts
     * @param read    what pages read of it, by the names of the parts; nothing for one that no page reads
     * @param left    what it says by itself though there is a curve for it, by the names of the parts
     * @param measure empty where the font is not known, or the style is not for running text
     */
    public record StyleView(
            String role,
            String path,
            String place,
            String family,
            String size,
            String weight,
            String line,
            String spacing,
            String familyName,
            double narrowPx,
            double widePx,
            int weightValue,
            double lineValue,
            double spacingPx,
            List<SizeView> sizes,
            String follows,
            Map<String, String> manner,
            Set<String> read,
            Set<String> left,
            MeasureView measure) {}

    private static final Map<String, Set<String>> READ = read();
    /** The contract’s, running text first, then in the order in which parts are shown. */
    private static final List<Role> STYLES = Contract.standard().parts().stream()
            .sorted(Comparator.comparing((Part part) -> !part.name().equals("page"))
                    .thenComparing(Part::shown))
            .flatMap(part -> part.roles().stream())
            .filter(role -> role.type() == TokenType.TYPOGRAPHY)
            .toList();

    /** A phone, a tablet and a desk; common practice. */
    private static final List<Double> WINDOWS = List.of(360.0, 800.0, 1280.0);

    private static final double NARROWEST = 320;
    private static final double WIDEST = 1920;
    private static final double STEP = 80;

    public static TypeView of(Combos combos) {
        Resolution standard = combos.standard();
        // A place that grows a scale itself shows in place of a wider one.
        Map<TokenPath, TypeScaleView> scales = new LinkedHashMap<>();
        for (Place place : combos.applying())
            combos.theme().at(place).forEachGroup((path, group) -> {
                if (Recipes.of(group).orElse(null) instanceof Recipe.TypeSteps steps)
                    scales.put(path, scale(standard, place, path, steps.scale()));
            });
        Worn worn = Worn.of(standard);
        LineLength column = LineLength.of(worn);
        List<StyleView> styles = new ArrayList<>();
        for (Role role : STYLES) styles.add(style(worn, role, combos.families(), column));
        for (Resolved token : standard.tokens().values())
            if (token.value() instanceof TypographyValue value
                    && Contract.standard().filledBy(token.path().dotted()).isEmpty())
                styles.add(style(token, value, combos.families(), column));
        return new TypeView(
                values(standard, TokenType.FONT_FAMILY),
                values(standard, TokenType.FONT_WEIGHT),
                List.copyOf(scales.values()),
                styles,
                curves(combos, styles));
    }

    private static List<ValueView> values(Resolution resolution, TokenType type) {
        return resolution.tokens().values().stream()
                .filter(token -> token.type() == type)
                .map(token -> new ValueView(
                        token.path().dotted(),
                        token.path().name(),
                        token.winner().toString(),
                        ValueText.write(token.written().value()),
                        ValueText.write(token.value())))
                .toList();
    }

    private static TypeScaleView scale(Resolution resolution, Place place, TokenPath path, TypeScale scale) {
        List<StepView> steps = new ArrayList<>();
        for (int step = scale.smallest(); step <= scale.largest(); step++) {
            String name = TypeScale.stepName(step);
            resolution
                    .find(path.child(name).dotted())
                    .ifPresent(token -> steps.add(new StepView(
                            token.path().dotted(),
                            name,
                            FluidValue.narrow(token.value()),
                            FluidValue.wide(token.value()),
                            token.written().detached())));
        }
        return new TypeScaleView(
                path.dotted(),
                place.toString(),
                scale.narrow().base(),
                scale.narrow().ratio(),
                scale.wide().base(),
                scale.wide().ratio(),
                scale.narrowViewport(),
                scale.wideViewport(),
                scale.smallest(),
                scale.largest(),
                steps);
    }

    private static MeasureView measure(
            String role, Map<String, TokenValue> members, Families families, LineLength column) {
        if (!TypeChecks.RUNNING.contains(role)) return MeasureView.NONE;
        OptionalDouble known = Cut.of(members).map(families::mean).orElse(OptionalDouble.empty());
        if (known.isEmpty()) return MeasureView.NONE;
        double mean = known.getAsDouble();
        TokenValue size = members.get("fontSize");
        TokenValue spacing = members.get("letterSpacing");
        List<LineView> lines = new ArrayList<>();
        for (double viewport = NARROWEST; viewport <= WIDEST; viewport += STEP)
            lines.add(new LineView(viewport, Math.round(10 * column.characters(viewport, mean, size, spacing)) / 10.0));
        double ideal = Measure.width(Measure.IDEAL, mean, FluidValue.wide(size), FluidValue.wide(spacing))
                / DimensionValue.PX_PER_REM;
        return MeasureView.of(lines, ValueText.write(DimensionValue.rem(Math.round(ideal * 4) / 4.0)));
    }

    private static int weight(Map<String, TokenValue> members) {
        return (int) Math.round(Double.parseDouble(CustomProperties.text(members.get("fontWeight"))));
    }

    private static StyleView style(Worn worn, Role role, Families families, LineLength column) {
        Worn.Standing at = worn.at(role, Surfaces.PAGE);
        return style(
                role.path(),
                at.token().map(token -> token.winner().toString()).orElse(""),
                at.unset() ? at.on().orElse("") : "",
                worn.asWritten(role),
                (TypographyValue) at.value(),
                at.token().map(TypeView::left).orElse(Set.of()),
                families,
                column);
    }

    private static StyleView style(Resolved token, TypographyValue value, Families families, LineLength column) {
        return style(
                token.path().dotted(),
                token.winner().toString(),
                "",
                token.written().value() instanceof TypographyValue own ? own : value,
                value,
                left(token),
                families,
                column);
    }

    private static StyleView style(
            String path,
            String place,
            String follows,
            TypographyValue written,
            TypographyValue value,
            Set<String> left,
            Families families,
            LineLength column) {
        String role = path.substring(path.lastIndexOf('.') + 1);
        Map<String, TokenValue> resolved = value.parts();
        Map<String, String> manner = new LinkedHashMap<>();
        value.manner().values().forEach(said -> manner.put(said.manner().part(), said.text()));
        return new StyleView(
                role,
                path,
                place,
                ValueText.write(written.fontFamily()),
                ValueText.write(written.fontSize()),
                ValueText.write(written.fontWeight()),
                ValueText.write(written.lineHeight()),
                ValueText.write(written.letterSpacing()),
                CustomProperties.text(value.fontFamily()),
                FluidValue.narrow(value.fontSize()),
                FluidValue.wide(value.fontSize()),
                weight(resolved),
                Double.parseDouble(CustomProperties.text(value.lineHeight())),
                FluidValue.wide(value.letterSpacing()),
                sizes(value.fontSize()),
                follows,
                manner,
                READ.getOrDefault(path, Set.of()),
                left,
                measure(role, resolved, families, column));
    }

    private static Set<String> left(Resolved style) {
        Set<String> left = new TreeSet<>();
        for (TextCurves.Kind kind : TextCurves.Kind.values())
            if (TextCurves.left(style.written(), kind)) left.add(kind.part());
        return left;
    }

    /** Those that are set; else what fits running text and the largest heading. */
    private static List<CurveView> curves(Combos combos, List<StyleView> styles) {
        List<CurveView> curves = new ArrayList<>();
        for (TextCurves.Kind kind : TextCurves.Kind.values()) {
            CurveView set = null;
            for (Place place : combos.applying()) {
                Optional<TextCurve> curve =
                        combos.theme().at(place).group(TextCurves.STYLES).flatMap(group -> TextCurves.of(group, kind));
                if (curve.isPresent()) set = view(kind, place.toString(), true, curve.get());
            }
            if (set != null) curves.add(set);
            else fitting(kind, styles).ifPresent(curves::add);
        }
        return curves;
    }

    private static Optional<CurveView> fitting(TextCurves.Kind kind, List<StyleView> styles) {
        Optional<StyleView> text = named(styles, "type.body");
        Optional<StyleView> title = named(styles, "type.h1");
        if (text.isEmpty() || title.isEmpty() || title.get().widePx <= text.get().widePx) return Optional.empty();
        return Optional.of(view(
                kind,
                text.get().place,
                false,
                new TextCurve(text.get().widePx, said(kind, text.get()), title.get().widePx, said(kind, title.get()))));
    }

    private static Optional<StyleView> named(List<StyleView> styles, String path) {
        return styles.stream()
                .filter(style -> style.path.equals(path) && style.follows.isEmpty())
                .findFirst();
    }

    private static double said(TextCurves.Kind kind, StyleView style) {
        return kind == TextCurves.Kind.LINE ? style.lineValue : style.spacingPx / style.widePx;
    }

    private static CurveView view(TextCurves.Kind kind, String place, boolean set, TextCurve curve) {
        return new CurveView(
                kind.part(),
                place,
                set,
                curve.smallPx(),
                curve.small(),
                curve.largePx(),
                curve.large(),
                curve.gridPx());
    }

    /** What the rules of the parts read of each style. */
    private static Map<String, Set<String>> read() {
        Map<String, Set<String>> read = new HashMap<>();
        for (PartRule rule : Contract.standard().rules())
            for (String reading : rule.readings())
                if (reading.startsWith("type."))
                    read.computeIfAbsent(reading.substring(0, reading.lastIndexOf('.')), key -> new TreeSet<>())
                            .add(Member.of(reading).part());
        return read;
    }

    private static List<SizeView> sizes(TokenValue size) {
        return WINDOWS.stream()
                .map(window -> new SizeView(window, FluidValue.pxAt(size, window)))
                .toList();
    }
}
