package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a rule of the base layer paints, as roles: for whoever asks which colors meet on a page without a browser.
 *
 * @param selector   without the states that only a person brings about
 * @param state      that state, or {@link State#REST}
 * @param rank       by cascade layer, specificity and order: of two rules that match, the higher rank wins
 * @param color      role of the text, such as {@code muted}; empty when the rule says nothing, {@link #INHERIT} for the parent's
 * @param background role of the background; empty when the rule says nothing
 * @param border     role of a border or outline that must be seen; empty when there is none
 * @param type       type role of the text, such as {@code small}; empty when the rule says nothing
 */
public record Paint(String selector, State state, long rank, String color, String background, String border, String type) {
    /** States that only a person brings about. */
    public enum State { REST, HOVER, VISITED, FOCUS, SELECTED }

    public static final String INHERIT = "inherit";
    /** Lines that divide but need not be seen. */
    private static final String DECORATIVE = "border";
    private static final Pattern COLOR = Pattern.compile("(?:^|; )color: (?:\\[surface\\.([\\w-]+)]|(inherit))");
    private static final Pattern BACKGROUND = Pattern.compile("(?:^|; )background: \\[surface\\.([\\w-]+)]");
    private static final Pattern BORDER = Pattern.compile("(?:^|; )(?:border|border-color|outline|outline-color): [^;]*\\[surface\\.([\\w-]+)]");
    private static final Pattern TYPE = Pattern.compile("(?:^|; )font-size: \\[type\\.([\\w-]+)\\.size]");
    private static final Pattern STATE = Pattern.compile(":hover|:where\\(:visited\\)|:focus-visible|::selection");
    private static final Pattern CLASS_LIKE = Pattern.compile("\\[[^]]*]|(?<!:):(?!not|is)[a-z-]+");
    private static final Pattern ELEMENT = Pattern.compile("(?:^|[\\s>+])[a-z][a-z0-9]*");
    private static final long LAYER = 1_000_000_000L;
    private static final long CLASSES = 10_000_000L;
    private static final long ELEMENTS = 100_000L;
    private static final List<Paint> ALL = collect();

    /** The rules that paint, one for each selector of a list. */
    public static List<Paint> all() {
        return ALL;
    }

    private static List<Paint> collect() {
        List<Paint> all = new ArrayList<>();
        int order = 0;
        for (BaseLayer.Rule rule : BaseLayer.RULES) {
            String declared = rule.declarations();
            String border = found(BORDER, declared);
            Paint blank = new Paint("", State.REST, 0, found(COLOR, declared), found(BACKGROUND, declared),
                    border.equals(DECORATIVE) ? "" : border, found(TYPE, declared));
            order++;
            if ((blank.color + blank.background + blank.border + blank.type).isEmpty()) continue;
            for (String selector : rule.selector().split(", (?![^(]*\\))"))
                all.add(blank.of(selector, (rule.layer() == BaseLayer.Layer.PARTS ? LAYER : 0) + order));
        }
        return List.copyOf(all);
    }

    private Paint of(String selector, long layerAndOrder) {
        Matcher found = STATE.matcher(selector);
        State of = State.REST;
        String plain = selector;
        long classes = 0;
        if (found.find()) {
            of = switch (found.group()) {
                case ":hover" -> State.HOVER;
                case ":focus-visible" -> State.FOCUS;
                case "::selection" -> State.SELECTED;
                default -> State.VISITED;
            };
            // A visited link's rule stands in :where(), which adds nothing (Selectors 4, section 17).
            classes = of == State.VISITED ? 0 : 1;
            plain = selector.replace(found.group(), "");
        }
        long rank = layerAndOrder + (classes + count(CLASS_LIKE, plain)) * CLASSES + count(ELEMENT, plain) * ELEMENTS;
        if (plain.isEmpty() || plain.endsWith(" ")) plain += "*";
        return new Paint(plain, of, rank, color, background, border, type);
    }

    private static long count(Pattern pattern, String text) {
        return pattern.matcher(text).results().count();
    }

    private static String found(Pattern pattern, String declarations) {
        Matcher matcher = pattern.matcher(declarations);
        String last = "";
        while (matcher.find()) last = matcher.group(1) != null ? matcher.group(1) : matcher.group(2);
        return last;
    }
}
