package org.umberloom.core.token;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Composite values as people type and read them, in the order CSS has: {@code 1px solid {color.ink.20}},
 * {@code 0px 2px 8px 0px #0003, inset 0px 1px 0px 0px #fff}, {@code #fff 0%, {color.sea.60} 100%}. Any part may be a
 * reference.
 */
final class CompositeText {
    private static final String DASH = "dash";
    private static final String INSET = "inset";
    private static final List<String> TYPOGRAPHY =
            List.of("fontFamily", "fontSize", "fontWeight", "letterSpacing", "lineHeight");

    private CompositeText() {}

    static String write(CompositeValue value) {
        if (value instanceof BorderValue border)
            return text(border.width()) + " " + text(border.style()) + " " + text(border.color());
        if (value instanceof TransitionValue transition)
            return text(transition.duration()) + " " + text(transition.timingFunction()) + " "
                    + text(transition.delay());
        if (value instanceof ShadowValue shadow)
            return (shadow.inset() ? INSET + " " : "") + text(shadow.offsetX()) + " " + text(shadow.offsetY()) + " "
                    + text(shadow.blur()) + " " + text(shadow.spread()) + " " + text(shadow.color());
        if (value instanceof ShadowListValue list) return joined(list.shadows(), ", ");
        if (value instanceof GradientValue gradient) {
            return String.join(
                    ", ", gradient.stops().stream().map(CompositeText::stop).toList());
        }
        if (value instanceof StrokeStyleValue stroke)
            return stroke.dash().isEmpty()
                    ? stroke.keyword()
                    : DASH + " " + joined(stroke.dash(), " ") + " " + stroke.lineCap();
        return value.parts().entrySet().stream()
                .map(part -> part.getValue() instanceof MannerValue said
                        ? part.getKey() + ": " + said.text()
                        : text(part.getValue()))
                .collect(Collectors.joining(" / "));
    }

    private static String stop(GradientValue.Stop stop) {
        return text(stop.color()) + " "
                + (stop.position() instanceof NumberValue number
                        ? ValueText.number(number.number() * 100, 4) + "%"
                        : text(stop.position()));
    }

    /** Stops some of which are another gradient's: those as references. */
    static String stops(List<?> data) {
        return String.join(
                ", ",
                data.stream()
                        .map(item -> TemplateValue.referenceIn(item)
                                .map(Object::toString)
                                .orElseGet(
                                        () -> write((GradientValue) ValueData.read(TokenType.GRADIENT, List.of(item)))))
                        .toList());
    }

    /** Whether a text of a type is a list of more than one item. */
    static boolean isList(TokenType type, String text) {
        return (type == TokenType.GRADIENT || type == TokenType.SHADOW)
                && split(text, ',').size() > 1;
    }

    private static String joined(List<TokenValue> values, String with) {
        return String.join(with, values.stream().map(CompositeText::text).toList());
    }

    /** A part that itself consists of words stands in parentheses. */
    private static String text(TokenValue part) {
        String text = ValueText.write(part);
        boolean plain = part instanceof FontFamilyValue
                || part instanceof ShadowValue
                || split(text, ' ').size() == 1;
        return plain ? text : "(" + text + ")";
    }

    static BorderValue border(String text) {
        List<String> words = words(text, 3, "a border: width, style and color, such as 1px solid #888");
        return new BorderValue(
                part(TokenType.COLOR, words.get(2)),
                part(TokenType.DIMENSION, words.get(0)),
                part(TokenType.STROKE_STYLE, words.get(1)));
    }

    static TransitionValue transition(String text) {
        List<String> words = words(text, 3, "a transition: duration, easing and delay, such as 200ms ease-out 0ms");
        return new TransitionValue(
                part(TokenType.DURATION, words.get(0)),
                part(TokenType.DURATION, words.get(2)),
                part(TokenType.CUBIC_BEZIER, words.get(1)));
    }

    static TokenValue shadow(String text) {
        List<String> items = split(text, ',');
        if (items.size() == 1) return oneShadow(items.get(0));
        return new ShadowListValue(items.stream().map(CompositeText::oneShadow).toList());
    }

    private static TokenValue oneShadow(String text) {
        List<String> words = new ArrayList<>(split(text, ' '));
        if (words.size() == 1 && Alias.isAlias(words.get(0))) return Alias.parse(words.get(0));
        boolean inset = words.remove(INSET);
        if (words.size() == 4) words.add(3, "0px");
        if (words.size() != 5)
            throw new IllegalArgumentException(
                    "“" + text + "” is not a shadow: write two offsets, blur, spread and color, "
                            + "such as 0px 2px 8px 0px #0003.");
        return new ShadowValue(
                part(TokenType.COLOR, words.get(4)),
                part(TokenType.DIMENSION, words.get(0)),
                part(TokenType.DIMENSION, words.get(1)),
                part(TokenType.DIMENSION, words.get(2)),
                part(TokenType.DIMENSION, words.get(3)),
                inset);
    }

    /** A gradient; one with stops of others as what is filled in when they are known. */
    static TokenValue gradient(String text) {
        List<String> items = split(text, ',');
        if (items.stream().anyMatch(PropertyReference::isPointer))
            return new TemplateValue(
                    TokenType.GRADIENT,
                    items.stream()
                            .map(item -> PropertyReference.isPointer(item)
                                    ? ValueData.write(PropertyReference.parse(item))
                                    : ((List<?>) ValueData.write(read(List.of(item)))).get(0))
                            .toList());
        return read(items);
    }

    private static GradientValue read(List<String> items) {
        List<GradientValue.Stop> stops = new ArrayList<>();
        for (String item : items) {
            List<String> words = words(item, 2, "a gradient stop: a color and a position, such as #fff 25%");
            String at = words.get(1);
            TokenValue position = at.endsWith("%")
                    ? new NumberValue(
                            ((NumberValue) ValueText.parse(TokenType.NUMBER, at.substring(0, at.length() - 1))).number()
                                    / 100)
                    : part(TokenType.NUMBER, at);
            stops.add(new GradientValue.Stop(part(TokenType.COLOR, words.get(0)), position));
        }
        return new GradientValue(stops);
    }

    static StrokeStyleValue stroke(String text) {
        List<String> words = split(text, ' ');
        if (!words.get(0).equals(DASH)) return StrokeStyleValue.of(text);
        if (words.size() < 3)
            throw new IllegalArgumentException("Write dash, lengths and a line cap, such as dash 4px 2px round.");
        List<TokenValue> lengths = new ArrayList<>();
        for (String word : words.subList(1, words.size() - 1)) lengths.add(part(TokenType.DIMENSION, word));
        return new StrokeStyleValue("", lengths, words.get(words.size() - 1));
    }

    static TypographyValue typography(String text) {
        List<String> items = split(text, '/');
        int colon = items.size();
        while (colon > 0 && items.get(colon - 1).contains(":")) colon--;
        if (colon != TYPOGRAPHY.size())
            throw new IllegalArgumentException(
                    "A text style is written as family / size / weight / letter spacing / line "
                            + "height, with more behind them such as / textCase: uppercase, or set part by part.");
        Map<String, TokenValue> parts = new LinkedHashMap<>();
        for (int i = 0; i < colon; i++)
            parts.put(TYPOGRAPHY.get(i), part(TypographyValue.typeOf(TYPOGRAPHY.get(i)), items.get(i)));
        for (String item : items.subList(colon, items.size())) {
            String[] said = item.split(":", 2);
            String name = said[0].strip();
            Manner manner = Manner.ofPart(name)
                    .orElseThrow(() -> new IllegalArgumentException("“" + Names.shown(name)
                            + "” is nothing that a text style has: it has " + Manner.names() + "."));
            parts.put(name, manner.parse(said[1]));
        }
        return TypographyValue.of(parts);
    }

    private static TokenValue part(TokenType type, String text) {
        boolean wrapped = text.startsWith("(") && text.endsWith(")");
        return ValueText.parse(type, wrapped ? text.substring(1, text.length() - 1) : text);
    }

    private static List<String> words(String text, int count, String form) {
        List<String> words = split(text, ' ');
        if (words.size() != count) throw new IllegalArgumentException("“" + text.trim() + "” is not " + form + ".");
        return words;
    }

    /** Splits at a character that stands outside all parentheses and braces; a blank splits at any run of white space. */
    static List<String> split(String text, char at) {
        List<String> items = new ArrayList<>();
        int depth = 0;
        StringBuilder item = new StringBuilder();
        for (char c : text.trim().toCharArray()) {
            if (c == '(' || c == '{') depth++;
            if (c == ')' || c == '}') depth--;
            boolean splits = depth == 0 && (at == ' ' ? Character.isWhitespace(c) : c == at);
            if (!splits) item.append(c);
            else if (at != ' ' || item.length() > 0) {
                items.add(item.toString().trim());
                item.setLength(0);
            }
        }
        items.add(item.toString().trim());
        return items;
    }
}
