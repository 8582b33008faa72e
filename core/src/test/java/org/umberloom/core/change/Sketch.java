package org.umberloom.core.change;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.ValueText;

/**
 * A small theme in lines: {@code color.a = #112233} in the set, {@code dark: color.a = #fff} in a context of the scheme,
 * {@code dark:} for a context that says nothing. The first name of a path tells the type.
 */
final class Sketch {
    private static final Map<String, TokenType> TYPES = Map.of(
            "color", TokenType.COLOR,
            "surface", TokenType.COLOR,
            "space", TokenType.DIMENSION,
            "gap", TokenType.DIMENSION,
            "weight", TokenType.FONT_WEIGHT,
            "ratio", TokenType.NUMBER,
            "time", TokenType.DURATION,
            "family", TokenType.FONT_FAMILY,
            "shadow", TokenType.SHADOW);

    private Sketch() {}

    static ThemeDocument of(String lines) {
        Group base = Group.EMPTY;
        Map<String, Group> contexts = new LinkedHashMap<>();
        for (String line : lines.split("[;\n]")) {
            if (line.isBlank()) continue;
            int colon = line.indexOf(':');
            String context = colon < 0 ? "" : line.substring(0, colon).trim();
            String said = line.substring(colon + 1).trim();
            Group into = context.isEmpty() ? base : contexts.getOrDefault(context, Group.EMPTY);
            if (!said.isEmpty()) into = with(into, said.split("=", 2));
            if (context.isEmpty()) base = into;
            else contexts.put(context, into);
        }
        Map<String, Modifier> modifiers = new LinkedHashMap<>();
        List<ThemeDocument.OrderEntry> order = new java.util.ArrayList<>();
        order.add(ThemeDocument.OrderEntry.set("base"));
        if (!contexts.isEmpty()) {
            modifiers.put(
                    "scheme",
                    new Modifier("", contexts, contexts.keySet().iterator().next(), Map.of()));
            order.add(ThemeDocument.OrderEntry.modifier("scheme"));
        }
        return new ThemeDocument(
                "Sketch", "", Map.of("base", new ThemeDocument.TokenSet("", base)), modifiers, order, Map.of());
    }

    private static Group with(Group group, String[] said) {
        String path = said[0].trim();
        String type = path.contains("@") ? path.substring(path.indexOf('@') + 1) : path.split("\\.")[0];
        TokenPath at = TokenPath.of(path.replaceAll("@.*", ""));
        return group.with(at, Token.of(ValueText.parse(TYPES.get(type), said[1].trim())));
    }
}
