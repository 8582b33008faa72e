package org.umberloom.core.token;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.color.CssColor;

/** Values as people type and read them: {@code #7a4a2b}, {@code 1.125rem}, {@code 16px to 32px}, {@code {size.2}}. */
public final class ValueText {
    private static final Pattern LENGTH =
            Pattern.compile("([+-]?(?:\\d+\\.?\\d*|\\.\\d+))\\s*(px|rem)?", Pattern.CASE_INSENSITIVE);
    private static final Pattern FLUID = Pattern.compile(
            "(.+?)\\s+to\\s+(.+?)(?:\\s+between\\s+(.+?)\\s+and\\s+(.+))?", Pattern.CASE_INSENSITIVE);
    /** The viewports a fluid size moves between when none are said: a small phone and a desk. Common practice. */
    public static final double NARROW_VIEWPORT = 360;
    public static final double WIDE_VIEWPORT = 1280;

    private ValueText() {
    }

    /**
     * Reads what a person typed for a token of a type.
     *
     * @throws IllegalArgumentException with a sentence for people that says what is allowed
     */
    public static TokenValue parse(TokenType type, String text) {
        String trimmed = text.trim();
        if (Alias.isAlias(trimmed)) return Alias.parse(trimmed);
        return switch (type) {
            case COLOR -> new ColorValue(CssColor.parse(trimmed));
            case DIMENSION -> dimension(trimmed);
            case NUMBER -> new NumberValue(number(trimmed));
            case FONT_WEIGHT -> fontWeight(trimmed);
            case FONT_FAMILY -> fontFamily(trimmed);
            case TYPOGRAPHY -> throw new IllegalArgumentException(
                    "A text style is set member by member: size, weight, line height, letter spacing, family.");
        };
    }

    /** The same value as text, in the form it was written in. */
    public static String write(TokenValue value) {
        if (value instanceof ColorValue color) return CssColor.write(color.color());
        if (value instanceof DimensionValue length) return length(length);
        if (value instanceof FluidValue fluid) return fluid(fluid);
        if (value instanceof FontFamilyValue families) return String.join(", ", families.families());
        if (value instanceof FontWeightValue weight) return Integer.toString(weight.weight());
        if (value instanceof NumberValue number) return number(number.number(), 4);
        if (value instanceof TypographyValue typography) {
            List<String> members = new ArrayList<>();
            typography.members().forEach((name, member) -> members.add(write(member)));
            return String.join(" / ", members);
        }
        return value instanceof ForeignValue foreign ? String.valueOf(foreign.data()) : value.toString();
    }

    /** A number with at most so many decimals and no trailing zeros. */
    public static String number(double value, int places) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP).stripTrailingZeros();
        return rounded.signum() == 0 ? "0" : rounded.toPlainString();
    }

    private static TokenValue dimension(String text) {
        Matcher fluid = FLUID.matcher(text);
        if (!fluid.matches()) return length(text);
        boolean hasViewports = fluid.group(3) != null;
        return new FluidValue(length(fluid.group(1)), length(fluid.group(2)),
                hasViewports ? length(fluid.group(3)).toPx() : NARROW_VIEWPORT,
                hasViewports ? length(fluid.group(4)).toPx() : WIDE_VIEWPORT);
    }

    private static DimensionValue length(String text) {
        Matcher length = LENGTH.matcher(text.trim());
        if (!length.matches())
            throw new IllegalArgumentException("“" + text.trim()
                    + "” is not a length: write a number with px or rem, such as 18px or 1.125rem.");
        double amount = Double.parseDouble(length.group(1));
        boolean rem = length.group(2) != null && length.group(2).toLowerCase(Locale.ROOT).equals("rem");
        return rem ? DimensionValue.rem(amount) : DimensionValue.px(amount);
    }

    private static String length(DimensionValue length) {
        return number(length.amount(), 4) + length.unit().css();
    }

    private static String fluid(FluidValue fluid) {
        String sizes = length(fluid.narrow()) + " to " + length(fluid.wide());
        boolean usual = fluid.narrowViewport() == NARROW_VIEWPORT && fluid.wideViewport() == WIDE_VIEWPORT;
        return usual ? sizes : sizes + " between " + number(fluid.narrowViewport(), 2) + "px and "
                + number(fluid.wideViewport(), 2) + "px";
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
            if (!text.matches("\\d{1,4}"))
                throw new IllegalArgumentException("“" + text
                        + "” is not a font weight: write a whole number from 1 to 1000, or a word such as bold.");
            return new FontWeightValue(Integer.parseInt(text));
        });
    }

    private static FontFamilyValue fontFamily(String text) {
        List<String> names = new ArrayList<>();
        for (String name : text.split(",")) names.add(name.trim().replaceAll("^[\"']|[\"']$", ""));
        return new FontFamilyValue(names);
    }
}
