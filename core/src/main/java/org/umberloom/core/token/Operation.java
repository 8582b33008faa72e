package org.umberloom.core.token;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.umberloom.core.color.Adjust;
import org.umberloom.core.color.Color;

/** What a derivation can do. Depths and steps of depth lie between 0 and 120, shares and alpha between 0 and 1. */
public enum Operation {
    LIGHTEN("lighten", "Lighter", color(), number("by", "by depth", 0, 120, "10")),
    DARKEN("darken", "Darker", color(), number("by", "by depth", 0, 120, "10")),
    DEPTH("depth", "At a depth", color(), number("to", "to", 0, 120, "60")),
    MIX("mix", "Mix", color(), color("with", "With"), number("share", "share", 0, 1, "0.5")),
    MIX_SRGB("mix-srgb", "Mix in sRGB", color(), color("with", "With"), number("share", "share", 0, 1, "0.5")),
    FADE("fade", "Fade", color(), number("alpha", "alpha", 0, 1, "0.5")),
    ROTATE("rotate", "Rotate the hue", color(), number("by", "by degrees", -360, 360, "30")),
    CHROMA("chroma", "More or less chroma", color(), number("times", "times", 0, 4, "0.5")),
    COMPLEMENT("complement", "Complement", color()),
    ON_COLOR("on-color", "Readable on it", color(), hue(), number("ratio", "ratio", 1, 21, "4.5")),
    REACH("reach", "Keep readable", color(), hue(), color("on", "On"), number("ratio", "ratio", 1, 21, "4.5")),
    ADD("add", "Add", amount(Derivation.OF, ""), amount("by", "10")),
    MULTIPLY("multiply", "Multiply", amount(Derivation.OF, ""), number("by", "by", -1000, 1000, "1.25")),
    ROUND("round", "Round", amount(Derivation.OF, ""), amount("step", "1px")),
    CLAMP("clamp", "Keep between", amount(Derivation.OF, ""), amount("min", "1px"), amount("max", "100px"));

    /** What an argument may be: a color, a plain number, a number or dimension, or the group of a hue. */
    public enum Kind {
        COLOR,
        NUMBER,
        AMOUNT,
        HUE
    }

    /**
     * An argument with its kind and, for a literal number, its range.
     *
     * @param words what people call it
     * @param usual   what it is as people write it until they say something else; empty where nothing is usual
     */
    public record Parameter(String name, Kind kind, double min, double max, String words, String usual) {
        void check(String operation, TokenValue argument) {
            if (argument instanceof Alias || argument instanceof PropertyReference && kind != Kind.HUE) return;
            boolean fits =
                    switch (kind) {
                        case COLOR -> argument instanceof ColorValue;
                        case NUMBER -> argument instanceof NumberValue;
                        case AMOUNT ->
                            argument instanceof NumberValue
                                    || argument instanceof DimensionValue
                                    || argument instanceof FluidValue;
                        case HUE -> false;
                    };
            if (!fits)
                throw new IllegalArgumentException(
                        "“" + name + "” of " + operation + " must be " + described() + " or refer to one");
            if (kind == Kind.NUMBER) range(operation, ((NumberValue) argument).number());
        }

        void range(String operation, double number) {
            if (number < min || number > max)
                throw new IllegalArgumentException(
                        "“" + name + "” of " + operation + " must be between " + ValueText.number(min, 2) + " and "
                                + ValueText.number(max, 2) + ", was " + ValueText.number(number, 4));
        }

        private String described() {
            return switch (kind) {
                case COLOR -> "a color";
                case NUMBER -> "a number";
                case AMOUNT -> "a number or length";
                case HUE -> "a hue’s group";
            };
        }

        TokenValue read(Object data) {
            return switch (kind) {
                case COLOR, HUE -> ValueData.read(TokenType.COLOR, data);
                case NUMBER -> ValueData.read(TokenType.NUMBER, data);
                case AMOUNT ->
                    ValueData.read(
                            data instanceof Map<?, ?> map && map.containsKey("unit")
                                    ? TokenType.DIMENSION
                                    : TokenType.NUMBER,
                            data);
            };
        }

        TokenValue parse(String text) {
            return switch (kind) {
                case COLOR, HUE -> ValueText.parse(TokenType.COLOR, text);
                case NUMBER -> ValueText.parse(TokenType.NUMBER, text);
                case AMOUNT ->
                    ValueText.parse(text.matches("[-+.\\d]+") ? TokenType.NUMBER : TokenType.DIMENSION, text);
            };
        }
    }

    /**
     * What came of an operation.
     *
     * @param note what could not be kept, in a sentence; empty when all could
     */
    public record Result(TokenValue value, String note) {}

    private final String id;
    private final String words;
    private final List<Parameter> parameters;

    Operation(String id, String words, Parameter... parameters) {
        this.id = id;
        this.words = words;
        this.parameters = List.of(parameters);
    }

    private static Parameter color() {
        return color(Derivation.OF, "Of");
    }

    private static Parameter color(String name, String words) {
        return new Parameter(name, Kind.COLOR, 0, 0, words, "");
    }

    private static Parameter hue() {
        return new Parameter("hue", Kind.HUE, 0, 0, "From the shades of", "");
    }

    private static Parameter number(String name, String words, double min, double max, String usual) {
        return new Parameter(name, Kind.NUMBER, min, max, words, usual);
    }

    private static Parameter amount(String name, String usual) {
        return new Parameter(name, Kind.AMOUNT, 0, 0, name.equals(Derivation.OF) ? "Of" : name, usual);
    }

    public String id() {
        return id;
    }

    /** What people call it. */
    public String words() {
        return words;
    }

    /** Whether it can change many values alike: all that it needs beside each is at most one number or length. */
    public boolean shifts() {
        return parameters.size() == 1
                || parameters.size() == 2
                        && (parameters.get(1).kind == Kind.NUMBER || parameters.get(1).kind == Kind.AMOUNT);
    }

    /** The arguments in order, the source first. */
    public List<Parameter> parameters() {
        return parameters;
    }

    /** Names of the arguments in order, the source first. */
    public List<String> parameterNames() {
        return parameters.stream().map(Parameter::name).toList();
    }

    public boolean makesColor() {
        return parameters.get(0).kind == Kind.COLOR;
    }

    /** Whether an argument is the group of a hue, whose shades are choices. */
    public boolean takesHue(String parameter) {
        return parameter(parameter).kind == Kind.HUE;
    }

    Parameter parameter(String name) {
        return parameters.stream()
                .filter(parameter -> parameter.name.equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(id + " has no argument “" + name + "”"));
    }

    /** @throws IllegalArgumentException that names what there is */
    public static Operation byId(String id) {
        return Arrays.stream(values())
                .filter(operation -> operation.id.equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("“" + id + "” is not an operation: it is one of "
                        + Arrays.stream(values()).map(Operation::id).collect(Collectors.joining(", "))));
    }

    public static Optional<Operation> find(String id) {
        return Arrays.stream(values())
                .filter(operation -> operation.id.equals(id))
                .findFirst();
    }

    /** A derivation of a value, with the further arguments as people write them. */
    public Derivation withTexts(TokenValue of, List<String> texts) {
        if (texts.size() != parameters.size() - 1)
            throw new IllegalArgumentException(
                    id + " needs " + String.join(", ", parameterNames().subList(1, parameters.size())) + ".");
        Map<String, TokenValue> arguments = new java.util.LinkedHashMap<>();
        arguments.put(Derivation.OF, of);
        for (int i = 1; i < parameters.size(); i++)
            arguments.put(parameters.get(i).name, parameters.get(i).parse(texts.get(i - 1)));
        return new Derivation(this, arguments);
    }

    /**
     * Computes the result.
     *
     * @param arguments by name, all of them literals
     * @param shades    colors of the hue, for an operation that takes one
     * @throws IllegalArgumentException when an argument has the wrong type or lies out of range
     */
    public Result apply(Map<String, TokenValue> arguments, List<Color> shades) {
        for (Parameter parameter : parameters)
            if (parameter.kind != Kind.HUE) parameter.check(id, arguments.get(parameter.name));
        if (!makesColor()) return new Result(Amounts.apply(this, arguments), "");
        Color of = ((ColorValue) arguments.get(Derivation.OF)).color();
        if (this == ON_COLOR) return onColor(of, shades, number(arguments, "ratio"));
        if (this == REACH)
            return reach(of, shades, ((ColorValue) arguments.get("on")).color(), number(arguments, "ratio"));
        Color made =
                switch (this) {
                    case LIGHTEN -> Adjust.lighten(of, number(arguments, "by"));
                    case DARKEN -> Adjust.lighten(of, -number(arguments, "by"));
                    case DEPTH -> Adjust.toDepth(of, number(arguments, "to"));
                    case MIX -> Adjust.mix(of, with(arguments), number(arguments, "share"));
                    case MIX_SRGB -> Adjust.mixInSrgb(of, with(arguments), number(arguments, "share"));
                    case FADE -> of.withAlpha(of.alpha() * number(arguments, "alpha"));
                    case ROTATE -> Adjust.rotate(of, number(arguments, "by"));
                    case CHROMA -> Adjust.chroma(of, number(arguments, "times"));
                    default -> Adjust.rotate(of, 180);
                };
        return new Result(new ColorValue(made), "");
    }

    private static Result onColor(Color ground, List<Color> shades, double ratio) {
        Adjust.Partner partner = Adjust.onColor(ground, shades, ratio);
        String note = partner.reaches()
                ? ""
                : "No shade of that hue reaches " + ValueText.number(ratio, 2)
                        + ":1, so the better of black and white stands here, at " + ValueText.number(partner.ratio(), 2)
                        + ":1.";
        return new Result(new ColorValue(partner.color()), partner.fromHue() ? "" : note);
    }

    private static Result reach(Color wanted, List<Color> shades, Color ground, double ratio) {
        Adjust.Partner partner = Adjust.reach(wanted, shades, ground, ratio);
        String note = partner.reaches()
                ? ""
                : "No shade of that hue reaches " + ValueText.number(ratio, 2)
                        + ":1 there; the best, at " + ValueText.number(Math.floor(partner.ratio() * 100) / 100, 2)
                        + ":1, is "
                        + ValueText.number(ratio - Math.floor(partner.ratio() * 100) / 100, 2) + " short.";
        return new Result(new ColorValue(partner.color()), note);
    }

    private static Color with(Map<String, TokenValue> arguments) {
        return ((ColorValue) arguments.get("with")).color();
    }

    private static double number(Map<String, TokenValue> arguments, String name) {
        return ((NumberValue) arguments.get(name)).number();
    }
}
