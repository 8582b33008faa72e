package org.umberloom.app.type;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.umberloom.app.looking.Combos;
import org.umberloom.core.check.LineLength;
import org.umberloom.core.check.TypeChecks;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.font.Families;
import org.umberloom.core.font.Measure;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;
import org.umberloom.core.type.TypeScale;

/** The Type instrument: families and weights, the scale with its steps, and the text styles. */
public record TypeView(
        List<ValueView> families, List<ValueView> weights, List<TypeScaleView> scales, List<StyleView> styles) {
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
            MeasureView measure) {}

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
        LineLength column = LineLength.of(Worn.of(standard));
        List<StyleView> styles = new ArrayList<>();
        for (Resolved token : standard.tokens().values())
            if (token.value() instanceof TypographyValue value)
                styles.add(style(token, value, combos.families(), column));
        return new TypeView(
                values(standard, TokenType.FONT_FAMILY),
                values(standard, TokenType.FONT_WEIGHT),
                List.copyOf(scales.values()),
                styles);
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
                            narrow(token.value()),
                            wide(token.value()),
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
        if (!TypeChecks.RUNNING.contains(role) || !(members.get("fontFamily") instanceof FontFamilyValue stack))
            return MeasureView.NONE;
        OptionalDouble known = families.mean(stack.families(), weight(members));
        if (known.isEmpty()) return MeasureView.NONE;
        double mean = known.getAsDouble();
        TokenValue size = members.get("fontSize");
        TokenValue spacing = members.get("letterSpacing");
        List<LineView> lines = new ArrayList<>();
        for (double viewport = NARROWEST; viewport <= WIDEST; viewport += STEP)
            lines.add(new LineView(viewport, Math.round(10 * column.characters(viewport, mean, size, spacing)) / 10.0));
        double ideal = Measure.width(Measure.IDEAL, mean, wide(size), wide(spacing)) / DimensionValue.PX_PER_REM;
        return MeasureView.of(lines, ValueText.write(DimensionValue.rem(Math.round(ideal * 4) / 4.0)));
    }

    private static int weight(Map<String, TokenValue> members) {
        return (int) Math.round(Double.parseDouble(CustomProperties.text(members.get("fontWeight"))));
    }

    private static StyleView style(Resolved token, TypographyValue value, Families families, LineLength column) {
        Token written = token.written();
        Map<String, TokenValue> members = written.value() instanceof TypographyValue own ? own.parts() : value.parts();
        Map<String, TokenValue> resolved = value.parts();
        return new StyleView(
                token.path().name(),
                token.path().dotted(),
                token.winner().toString(),
                ValueText.write(members.get("fontFamily")),
                ValueText.write(members.get("fontSize")),
                ValueText.write(members.get("fontWeight")),
                ValueText.write(members.get("lineHeight")),
                ValueText.write(members.get("letterSpacing")),
                CustomProperties.text(resolved.get("fontFamily")),
                narrow(resolved.get("fontSize")),
                wide(resolved.get("fontSize")),
                weight(resolved),
                Double.parseDouble(CustomProperties.text(resolved.get("lineHeight"))),
                wide(resolved.get("letterSpacing")),
                measure(token.path().name(), resolved, families, column));
    }

    private static double narrow(TokenValue size) {
        return size instanceof FluidValue fluid ? fluid.narrow().toPx() : ((DimensionValue) size).toPx();
    }

    private static double wide(TokenValue size) {
        return size instanceof FluidValue fluid ? fluid.wide().toPx() : ((DimensionValue) size).toPx();
    }
}
