package org.umberloom.core.css;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;

/**
 * A theme as a stylesheet. Cascade layers in order: tokens, base, parts, site, own. Equal input gives equal bytes.
 *
 * <p>Light and dark follow the reader's system through {@code color-scheme}; the attribute {@code data-scheme} forces
 * one. Colors that differ are written once, as {@code light-dark()} (CSS Color 5, section 6); anything else that
 * differs stands in a block of its own.
 */
public final class Stylesheet {
    private static final Set<String> ALL_ROLES = collectRoles(Usage.ALL);
    private static final String LAYERS = "@layer tokens, base, parts, site, own;\n";

    private Stylesheet() {
    }

    /** The whole stylesheet for pages of that usage. */
    public static String compile(ThemeDocument theme, Usage usage, List<FontFace> fonts) {
        StringBuilder css = new StringBuilder(LAYERS);
        for (FontFace font : fonts) css.append(fontFace(font));
        css.append(tokensLayer(theme, roles(usage), usage));
        css.append(layer("base", rules(BaseLayer.Layer.BASE, usage)));
        css.append(layer("parts", rules(BaseLayer.Layer.PARTS, usage)));
        return css.toString();
    }

    /** Only the custom properties, for an interface that has rules of its own; roles as {@code surface.text}. */
    public static String properties(ThemeDocument theme, Collection<String> roles, List<FontFace> fonts) {
        StringBuilder css = new StringBuilder();
        for (FontFace font : fonts) css.append(fontFace(font));
        return css.append(tokensLayer(theme, roles, Usage.ALL)).toString();
    }

    /** Every role that the rules for this usage read. */
    public static Set<String> roles(Usage usage) {
        return usage.everything() ? ALL_ROLES : collectRoles(usage);
    }

    private static Set<String> collectRoles(Usage usage) {
        Set<String> roles = new LinkedHashSet<>();
        for (BaseLayer.Rule rule : BaseLayer.RULES) if (usage.has(rule.needs())) roles.addAll(rule.roles());
        return Collections.unmodifiableSet(roles);
    }

    static List<String> furtherSurfaces(Resolution resolution, Usage usage) {
        return Surfaces.names(resolution).stream()
                .filter(surface -> !surface.equals(Surfaces.PAGE) && usage.hasSurface(surface)).toList();
    }

    private static String tokensLayer(ThemeDocument theme, Collection<String> roles, Usage usage) {
        Combination defaults = theme.defaults();
        Resolution base = Resolution.of(theme, defaults);
        List<String> surfaces = furtherSurfaces(base, usage);
        CustomProperties standard = CustomProperties.of(base, roles, surfaces);
        Map<String, Map<String, String>> root = copy(standard.blocks());
        List<String> further = new ArrayList<>();

        theme.modifiers().forEach((name, modifier) -> modifier.contexts().keySet().forEach(context -> {
            if (context.equals(modifier.defaultContext())) return;
            CustomProperties other = CustomProperties.of(
                    Resolution.of(theme, defaults.with(name, context)), roles, surfaces);
            Map<String, Map<String, String>> changed = copy(other.changedFrom(standard));
            boolean lightDark = name.equals(Modifier.SCHEME) && context.equals(Modifier.DARK)
                    && modifier.defaultContext().equals(Modifier.LIGHT);
            if (lightDark) pairColors(root, changed);
            if (changed.isEmpty()) return;
            if (lightDark) further.add("@media (prefers-color-scheme: dark) {\n"
                    + blocks(":root:not([data-scheme=\"light\"])", changed) + "}\n");
            further.add(blocks(":root[data-" + name + "=\"" + context + "\"]", changed));
        }));

        StringBuilder css = new StringBuilder();
        if (theme.modifiers().containsKey(Modifier.SCHEME)) {
            css.append(":root { color-scheme: light dark; }\n");
            css.append("[data-scheme=\"light\"] { color-scheme: light; }\n");
            css.append("[data-scheme=\"dark\"] { color-scheme: dark; }\n");
        }
        css.append(blocks(":root", root));
        further.forEach(css::append);
        return layer("tokens", css.toString());
    }

    /** Moves colors that differ in the dark into the standard blocks, as one value for both schemes. */
    private static void pairColors(Map<String, Map<String, String>> root, Map<String, Map<String, String>> dark) {
        dark.forEach((block, properties) -> properties.entrySet().removeIf(property -> {
            String light = root.getOrDefault(block, Map.of()).get(property.getKey());
            if (light == null) {
                if (isColor(property.getValue(), root, dark)) {
                    root.get(CustomProperties.ROOT).putIfAbsent(property.getKey(), property.getValue());
                    return true;
                }
                return false;
            }
            if (!isColor(light, root, dark)) return false;
            root.get(block).put(property.getKey(), "light-dark(" + light + ", " + property.getValue() + ")");
            return true;
        }));
        dark.values().removeIf(Map::isEmpty);
    }

    private static boolean isColor(String value, Map<String, Map<String, String>> root,
                                   Map<String, Map<String, String>> dark) {
        if (value.startsWith("#") || value.startsWith("light-dark(")) return true;
        if (!value.startsWith("var(")) return false;
        String name = value.substring(4, value.length() - 1);
        String target = root.get(CustomProperties.ROOT).get(name);
        if (target == null) target = dark.getOrDefault(CustomProperties.ROOT, Map.of()).get(name);
        return target != null && isColor(target, root, dark);
    }

    private static Map<String, Map<String, String>> copy(Map<String, Map<String, String>> blocks) {
        Map<String, Map<String, String>> copy = new LinkedHashMap<>();
        blocks.forEach((block, properties) -> copy.put(block, new LinkedHashMap<>(properties)));
        return copy;
    }

    private static String blocks(String root, Map<String, Map<String, String>> blocks) {
        StringBuilder css = new StringBuilder();
        blocks.forEach((block, properties) -> {
            if (properties.isEmpty()) return;
            String section = "[data-surface=\"" + block + "\"]";
            css.append(block.isEmpty() ? root : root.equals(":root") ? section : root + " " + section).append(" {\n");
            properties.forEach((name, value) -> css.append("  ").append(name).append(": ").append(value).append(";\n"));
            css.append("}\n");
        });
        return css.toString();
    }

    private static String rules(BaseLayer.Layer layer, Usage usage) {
        StringBuilder css = new StringBuilder();
        for (BaseLayer.Rule rule : BaseLayer.RULES) {
            if (rule.layer() != layer || !usage.has(rule.needs())) continue;
            css.append(rule.selector()).append(" {\n");
            for (String declaration : rule.declarations().split("; "))
                css.append("  ").append(withProperties(declaration)).append(";\n");
            css.append("}\n");
        }
        return css.toString();
    }

    private static String withProperties(String declaration) {
        return BaseLayer.ROLE.matcher(declaration).replaceAll(role ->
                Matcher.quoteReplacement("var(" + CustomProperties.nameOf(role.group(1)) + ")"));
    }

    private static String layer(String name, String content) {
        return content.isEmpty() ? "" : "@layer " + name + " {\n" + content + "}\n";
    }

    private static String fontFace(FontFace font) {
        return "@font-face {\n  font-family: " + CssText.family(font.family()) + ";\n  font-style: " + font.style()
                + ";\n  font-weight: " + font.weights() + ";\n  font-display: swap;\n  src: url(\"" + font.url()
                + "\") format(\"woff2\");\n}\n";
    }
}
