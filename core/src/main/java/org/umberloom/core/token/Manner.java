package org.umberloom.core.token;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * How a text style is set besides the five parts that the format has. It stands under {@code $extensions}; a style that says
 * nothing of it is set as what is around it.
 */
public enum Manner {
    /** Source of the words: CSS Fonts 4, 2.4. */
    SLOPE("fontStyle", "normal or italic") {
        @Override
        Optional<String> css(String text) {
            return word(text, Set.of("normal", "italic"));
        }
    },
    /** Source of the range that fonts have: CSS Fonts 4, 2.3. */
    STRETCH("fontStretch", "a width in percent from 50% to 200%, such as 87.5%") {
        @Override
        Optional<String> css(String text) {
            if (!PERCENT.matcher(text).matches()) return Optional.empty();
            double percent = Double.parseDouble(text.substring(0, text.length() - 1));
            return percent >= NARROWEST && percent <= WIDEST
                    ? Optional.of(ValueText.number(percent, 2) + "%")
                    : Optional.empty();
        }
    },
    /** Source of the words: CSS Text 3, 2.1. */
    CASE("textCase", "none, uppercase, lowercase or capitalize") {
        @Override
        Optional<String> css(String text) {
            return word(text, Set.of("none", "uppercase", "lowercase", "capitalize"));
        }
    },
    /** Source of the form: CSS Fonts 4, 6.12; of the tags: OpenType 1.9.1, “Feature tags”. */
    FEATURES("fontFeatures", "OpenType features by their tags, such as tnum ss01 -liga; normal for none") {
        @Override
        Optional<String> css(String text) {
            if (text.equals("normal")) return Optional.of(text);
            List<String> settings = new ArrayList<>();
            for (String word : text.split("[\\s,]+")) {
                Matcher tag = TAG.matcher(word);
                if (!tag.matches() || settings.size() == MOST_FEATURES) return Optional.empty();
                settings.add("\"" + tag.group(2) + "\"" + (tag.group(1).isEmpty() ? "" : " 0"));
            }
            return Optional.of(String.join(", ", settings));
        }
    },
    /** Source of the words: CSS Text Decoration 3, 2.1. */
    DECORATION("textDecoration", "none, underline, overline or line-through") {
        @Override
        Optional<String> css(String text) {
            return word(text, Set.of("none", "underline", "overline", "line-through"));
        }
    };

    private static final Pattern PERCENT = Pattern.compile("\\d{1,3}(\\.\\d{1,4})?%");
    private static final Pattern TAG = Pattern.compile("(-?)([a-zA-Z0-9]{4})");
    private static final double NARROWEST = 50;
    private static final double WIDEST = 200;
    private static final int MOST_FEATURES = 24;

    private final String part;
    private final String form;

    Manner(String part, String form) {
        this.part = part;
        this.form = form;
    }

    /** Name of the part of a text style. */
    public String part() {
        return part;
    }

    public static Optional<Manner> ofPart(String name) {
        return Arrays.stream(values()).filter(one -> one.part.equals(name)).findFirst();
    }

    /** As CSS, where the text is one that it can have. */
    abstract Optional<String> css(String text);

    /** @throws IllegalArgumentException that says what it can be */
    public MannerValue parse(String text) {
        String plain = text.strip().replaceAll("[\\s,]+", " ");
        css(plain).orElseThrow(() -> new IllegalArgumentException("“" + Names.shown(text) + "” is not " + form + "."));
        return new MannerValue(this, plain);
    }

    private static Optional<String> word(String text, Set<String> known) {
        return Optional.of(text).filter(known::contains);
    }

    /** The names of all, for a sentence. */
    static String names() {
        return Arrays.stream(values()).map(Manner::part).collect(Collectors.joining(", "));
    }
}
