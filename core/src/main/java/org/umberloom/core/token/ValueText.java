package org.umberloom.core.token;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.color.CssColor;

/**
 * Values as people type and read them: {@code #7a4a2b}, {@code 1.125rem}, {@code 16px to 32px}, {@code {size.2}},
 * {@code lighten({color.sea.60}, 8)}. Composite values are in {@link CompositeText}.
 */
public final class ValueText {
    private static final Pattern LENGTH =
            Pattern.compile("([+-]?(?:\\d+\\.?\\d*|\\.\\d+))\\s*(px|rem)?", Pattern.CASE_INSENSITIVE);
    private static final Pattern FLUID =
            Pattern.compile("(.+?)\\s+to\\s+(.+?)(?:\\s+between\\s+(.+?)\\s+and\\s+(.+))?", Pattern.CASE_INSENSITIVE);
    private static final Pattern DURATION =
            Pattern.compile("([+-]?(?:\\d+\\.?\\d*|\\.\\d+))\\s*(ms|s)", Pattern.CASE_INSENSITIVE);
    private static final Pattern CURVE = Pattern.compile("cubic-bezier\\(([^()]*)\\)", Pattern.CASE_INSENSITIVE);
    /** The viewports a fluid size moves between when none are said: a small phone and a desk. Common practice. */
    public static final double NARROW_VIEWPORT = 360;

    public static final double WIDE_VIEWPORT = 1280;

    /** UTF-16 units of a typed value; a length is short. */
    private static final int LONGEST = 10_000;

    private static final int LONGEST_LENGTH = 200;

    private ValueText() {}

    /**
     * Reads what a person typed for a token of a type.
     *
     * @throws IllegalArgumentException with a sentence for people that says what is allowed
     */
    public static TokenValue parse(TokenType type, String text) {
        String trimmed = Names.safe("The value", text).trim();
        if (trimmed.length() > (type == TokenType.DIMENSION ? LONGEST_LENGTH : LONGEST))
            throw new IllegalArgumentException("“" + Names.shown(trimmed) + "” is too long for a " + type.id() + ".");
        if (Alias.isAlias(trimmed) && trimmed.indexOf('}') == trimmed.length() - 1) return Alias.parse(trimmed);
        if (PropertyReference.isPointer(trimmed) && !CompositeText.isList(type, trimmed))
            return PropertyReference.parse(trimmed);
        Optional<DerivedValue> derived = derivation(trimmed);
        if (derived.isPresent()) return derived.get();
        return switch (type) {
            case COLOR -> new ColorValue(CssColor.parse(trimmed));
            case DIMENSION -> dimension(trimmed);
            case NUMBER -> new NumberValue(number(trimmed));
            case FONT_WEIGHT -> fontWeight(trimmed);
            case FONT_FAMILY -> fontFamily(trimmed);
            case DURATION -> duration(trimmed);
            case CUBIC_BEZIER -> curve(trimmed);
            case STROKE_STYLE -> CompositeText.stroke(trimmed);
            case BORDER -> CompositeText.border(trimmed);
            case TRANSITION -> CompositeText.transition(trimmed);
            case SHADOW -> CompositeText.shadow(trimmed);
            case GRADIENT -> CompositeText.gradient(trimmed);
            case TYPOGRAPHY -> CompositeText.typography(trimmed);
        };
    }

    /** The same value as text, in the form it was written in. Parsing it gives an equal value, save for templates. */
    public static String write(TokenValue value) {
        if (value instanceof DerivedValue derived) return derived.derivation().toString();
        if (value instanceof ColorValue color) return CssColor.write(color.color());
        if (value instanceof DimensionValue length) return length(length);
        if (value instanceof FluidValue fluid) return fluid(fluid);
        if (value instanceof FontFamilyValue families) return String.join(", ", families.families());
        if (value instanceof FontWeightValue weight) return number(weight.weight(), 4);
        if (value instanceof NumberValue number) return number(number.number(), 4);
        if (value instanceof DurationValue duration)
            return number(duration.amount(), 4) + duration.unit().css();
        if (value instanceof CubicBezierValue c)
            return "cubic-bezier(" + number(c.x1(), 4) + ", " + number(c.y1(), 4) + ", " + number(c.x2(), 4) + ", "
                    + number(c.y2(), 4) + ")";
        if (value instanceof CompositeValue composite) return CompositeText.write(composite);
        if (value instanceof TemplateValue template)
            return template.valueType() == TokenType.GRADIENT
                    ? CompositeText.stops((List<?>) template.data())
                    : data(template.data());
        if (value instanceof MannerValue said) return said.text();
        return value instanceof ForeignValue foreign ? data(foreign.data()) : value.toString();
    }

    private static String data(Object data) {
        if (data instanceof java.util.Map<?, ?> map) {
            List<String> items = new ArrayList<>();
            map.forEach((key, item) -> items.add(key + ": " + data(item)));
            return "{" + String.join(", ", items) + "}";
        }
        if (data instanceof List<?> list)
            return list.stream().map(ValueText::data).toList().toString();
        return data instanceof Double number ? number(number, 4) : String.valueOf(data);
    }

    private static Optional<DerivedValue> derivation(String text) {
        int open = text.indexOf('(');
        if (open <= 0 || !text.endsWith(")")) return Optional.empty();
        Optional<Operation> operation = Operation.find(text.substring(0, open).trim());
        if (operation.isEmpty()) return Optional.empty();
        List<String> texts = CompositeText.split(text.substring(open + 1, text.length() - 1), ',');
        List<String> names = operation.get().parameterNames();
        if (texts.size() != names.size())
            throw new IllegalArgumentException("Write " + operation.get().id() + "(" + String.join(", ", names) + ").");
        java.util.Map<String, TokenValue> arguments = new java.util.LinkedHashMap<>();
        for (int i = 0; i < names.size(); i++)
            arguments.put(names.get(i), operation.get().parameter(names.get(i)).parse(texts.get(i)));
        return Optional.of(new DerivedValue(new Derivation(operation.get(), arguments)));
    }

    private static DurationValue duration(String text) {
        Matcher duration = DURATION.matcher(text);
        if (!duration.matches())
            throw new IllegalArgumentException(
                    "“" + text + "” is not a duration: write a number with ms or s, such as 200ms.");
        boolean seconds = "s".equalsIgnoreCase(duration.group(2));
        return new DurationValue(
                Double.parseDouble(duration.group(1)), seconds ? DurationValue.Unit.S : DurationValue.Unit.MS);
    }

    /** Source of the keywords: CSS Easing Functions 1, section 2.2. */
    private static CubicBezierValue curve(String text) {
        switch (text.toLowerCase(Locale.ROOT)) {
            case "linear":
                return new CubicBezierValue(0, 0, 1, 1);
            case "ease":
                return new CubicBezierValue(0.25, 0.1, 0.25, 1);
            case "ease-in":
                return new CubicBezierValue(0.42, 0, 1, 1);
            case "ease-out":
                return new CubicBezierValue(0, 0, 0.58, 1);
            case "ease-in-out":
                return new CubicBezierValue(0.42, 0, 0.58, 1);
            default:
        }
        Matcher curve = CURVE.matcher(text);
        String[] numbers = curve.matches() ? curve.group(1).split(",") : new String[0];
        if (numbers.length != 4)
            throw new IllegalArgumentException(
                    "“" + text
                            + "” is not an easing curve: write cubic-bezier(0.2, 0, 0, 1), or ease, ease-in, ease-out, linear.");
        return new CubicBezierValue(
                number(numbers[0].trim()),
                number(numbers[1].trim()),
                number(numbers[2].trim()),
                number(numbers[3].trim()));
    }

    /** A number with at most so many decimals and no trailing zeros. */
    public static String number(double value, int places) {
        BigDecimal rounded =
                BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP).stripTrailingZeros();
        return rounded.signum() == 0 ? "0" : rounded.toPlainString();
    }

    private static TokenValue dimension(String text) {
        Matcher fluid = FLUID.matcher(text);
        if (!fluid.matches()) return length(text);
        boolean hasViewports = fluid.group(3) != null;
        return new FluidValue(
                length(fluid.group(1)),
                length(fluid.group(2)),
                hasViewports ? length(fluid.group(3)).toPx() : NARROW_VIEWPORT,
                hasViewports ? length(fluid.group(4)).toPx() : WIDE_VIEWPORT);
    }

    private static DimensionValue length(String text) {
        Matcher length = LENGTH.matcher(text.trim());
        if (!length.matches())
            throw new IllegalArgumentException(
                    "“" + text.trim() + "” is not a length: write a number with px or rem, such as 18px or 1.125rem.");
        double amount = Double.parseDouble(length.group(1));
        boolean rem = length.group(2) != null
                && length.group(2).toLowerCase(Locale.ROOT).equals("rem");
        return rem ? DimensionValue.rem(amount) : DimensionValue.px(amount);
    }

    private static String length(DimensionValue length) {
        return number(length.amount(), 4) + length.unit().css();
    }

    private static String fluid(FluidValue fluid) {
        String sizes = length(fluid.narrow()) + " to " + length(fluid.wide());
        boolean usual = fluid.narrowViewport() == NARROW_VIEWPORT && fluid.wideViewport() == WIDE_VIEWPORT;
        return usual
                ? sizes
                : sizes + " between " + number(fluid.narrowViewport(), 2) + "px and " + number(fluid.wideViewport(), 2)
                        + "px";
    }

    private static double number(String text) {
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“" + text + "” is not a number.", e);
        }
    }

    private static FontWeightValue fontWeight(String text) {
        return FontWeightValue.ofKeyword(text.toLowerCase(Locale.ROOT)).orElseGet(() -> {
            if (!text.matches("\\d{1,4}(\\.\\d{1,4})?"))
                throw new IllegalArgumentException(
                        "“" + text + "” is not a font weight: write a number from 1 to 1000, or a word such as bold.");
            return new FontWeightValue(Double.parseDouble(text));
        });
    }

    private static FontFamilyValue fontFamily(String text) {
        List<String> names = new ArrayList<>();
        for (String name : text.split(",")) names.add(name.trim().replaceAll("^[\"']|[\"']$", ""));
        return new FontFamilyValue(names);
    }
}
