package org.umberloom.core.site;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/** The kinds of things that sites are compared by: what a token or a reading of a role has a say in. */
public final class RoleGroups {
    public static final String COLOR = "color";
    public static final String TYPE = "type";
    public static final String SPACE = "space";
    public static final String WIDTH = "width";
    public static final String SHAPE = "shape";
    public static final String CHOICE = "choice";
    /** In the order in which they are shown. */
    public static final List<String> ALL = List.of(COLOR, TYPE, SPACE, WIDTH, SHAPE, CHOICE);

    private RoleGroups() {}

    /** How many tokens and choices a tree holds of each group. */
    public static Map<String, Integer> in(Group tokens) {
        Map<String, Integer> counts = new TreeMap<>();
        tokens.forEachToken((path, token, type) -> {
            if (!grows(tokens, path))
                counts.merge(
                        of(path.dotted(), type.or(() -> token.value().type()).orElse(TokenType.NUMBER)),
                        1,
                        Integer::sum);
        });
        tokens.group(TokenPath.of(Choices.GROUP))
                .ifPresent(choices -> counts.merge(CHOICE, choices.children().size(), Integer::sum));
        return counts;
    }

    /** Whether a token of a tree grows from a seed that stands in it too, so that it is no value of its own. */
    public static boolean grows(Group tokens, TokenPath path) {
        return Recipes.computing(tokens, path)
                .filter(hue ->
                        Recipes.seedOf(tokens.group(hue).orElse(Group.EMPTY)).isPresent())
                .isPresent();
    }

    /** The group of a token. */
    public static String of(String path, TokenType type) {
        return switch (type) {
            case COLOR, GRADIENT -> COLOR;
            case TYPOGRAPHY, FONT_FAMILY, FONT_WEIGHT -> TYPE;
            case SHADOW, BORDER, STROKE_STYLE -> SHAPE;
            default -> of(path);
        };
    }

    /** The group of a role's reading, such as {@code type.h1.size}. */
    public static String of(String reading) {
        int dot = reading.indexOf('.');
        return switch (dot < 0 ? reading : reading.substring(0, dot)) {
            case "surface", "color" -> COLOR;
            case "type", "font", "size" -> TYPE;
            case "width" -> WIDTH;
            case "shape", "radius", "motion" -> SHAPE;
            // Lengths of parts: part.card.radius, part.sidebar.width, part.header.air.
            case "part" -> reading.endsWith(".radius") ? SHAPE : reading.endsWith(".width") ? WIDTH : SPACE;
            default -> SPACE;
        };
    }
}
