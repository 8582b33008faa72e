package org.umberloom.core.css;

import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/**
 * The custom properties of one combination: for each block of the stylesheet, names and values. An alias is written as
 * a reference to its target's property, so that every value stands once.
 *
 * <p>A value with a color outside sRGB has two lines: what every screen can show, and what a wider one can.
 *
 * <p>Blocks are {@link #ROOT} and one for each further surface, by its name. A surface's roles have the same property
 * names in every block, so that a section changes all of them by naming its surface.
 */
public record CustomProperties(Map<String, Map<String, String>> blocks) {
    /** The block of the document's root, which also carries the surface {@code page}. */
    public static final String ROOT = "";
    private static final String SURFACE = Surfaces.GROUP;
    private static final String TYPE = "type";
    private static final Map<String, String> MEMBERS = Map.of("family", "fontFamily", "size", "fontSize",
            "weight", "fontWeight", "spacing", "letterSpacing", "line", "lineHeight");

    /** Hears which token's own value, rather than a reference to another's, stands in a property. */
    interface Standing {
        void at(TokenPath token, String block, String name);
    }

    /** The properties that these roles, and the tokens they refer to, need. */
    static CustomProperties of(Resolution resolution, Collection<String> roles, List<String> surfaces) {
        return new Writer(resolution, (token, block, name) -> { }).write(roles, surfaces);
    }

    /** The same, telling where values stand. Parts of a composite value are told of by the path of the whole. */
    static CustomProperties of(Resolution resolution, Collection<String> roles, List<String> surfaces, Standing standing) {
        return new Writer(resolution, standing).write(roles, surfaces);
    }

    /** The same with the ground of every surface. */
    CustomProperties standingOn(Map<String, Grounds.Placed> grounds, Resolution resolution) {
        Map<String, Map<String, String>> standing = new LinkedHashMap<>();
        blocks.forEach((block, properties) -> {
            Map<String, String> all = new LinkedHashMap<>(properties);
            all.putAll(GroundProperties.of(Optional.ofNullable(grounds.get(block.equals(ROOT) ? Surfaces.PAGE : block)), resolution));
            standing.put(block, all);
        });
        return new CustomProperties(standing);
    }

    /** What differs from another combination or revision, block by block. */
    public Map<String, Map<String, String>> changedFrom(CustomProperties before) {
        Map<String, Map<String, String>> changed = new LinkedHashMap<>();
        blocks.forEach((block, properties) -> {
            Map<String, String> old = before.blocks.getOrDefault(block, Map.of());
            Map<String, String> differing = new LinkedHashMap<>();
            properties.forEach((name, value) -> {
                if (!value.equals(old.get(name))) differing.put(name, value);
            });
            if (!differing.isEmpty()) changed.put(block, differing);
        });
        return changed;
    }

    /** A value without aliases as CSS text, its colors within sRGB. @throws IllegalArgumentException for one that has no single CSS form */
    public static String text(TokenValue value) {
        return TwoGamuts.narrow(CssText.of(value));
    }

    /** The property that carries a role: {@code surface.text} becomes {@code --surface-text}. */
    public static String nameOf(String role) {
        StringBuilder name = new StringBuilder("-");
        for (String segment : role.split("\\.")) name.append('-').append(CssEscape.part(segment));
        return name.toString();
    }

    /** Collects properties from the roles down to the tokens without aliases. */
    private static final class Writer {
        private final Resolution resolution;
        private final Standing standing;
        private final Map<String, Map<String, String>> blocks = new LinkedHashMap<>();
        private final Map<String, String> ownerOfName = new LinkedHashMap<>();
        private final Deque<TokenPath> referred = new ArrayDeque<>();

        Writer(Resolution resolution, Standing standing) {
            this.resolution = resolution;
            this.standing = standing;
        }

        CustomProperties write(Collection<String> roles, List<String> surfaces) {
            blocks.put(ROOT, new LinkedHashMap<>());
            surfaces.forEach(surface -> blocks.put(surface, new LinkedHashMap<>()));
            for (String role : roles) {
                if (role.startsWith(SURFACE + ".")) surfaceRole(role.substring(SURFACE.length() + 1), surfaces);
                else if (role.startsWith(TYPE + ".")) typeRole(role);
                else find(role).ifPresent(token -> put(ROOT, nameOf(role), token));
            }
            Set<TokenPath> written = new HashSet<>();
            while (!referred.isEmpty()) {
                TokenPath path = referred.poll();
                if (!written.add(path)) continue;
                Resolved token = resolution.tokens().get(path);
                put(ROOT, uniqueName(path), token);
            }
            return new CustomProperties(blocks);
        }

        private void surfaceRole(String role, List<String> surfaces) {
            String name = nameOf(SURFACE + "." + role);
            find(Surfaces.path(Surfaces.PAGE, role))
                    .ifPresent(token -> put(ROOT, name, token));
            for (String surface : surfaces)
                find(Surfaces.path(surface, role))
                        .ifPresent(token -> put(surface, name, token));
        }

        private void typeRole(String role) {
            int dot = role.lastIndexOf('.');
            String member = MEMBERS.get(role.substring(dot + 1));
            find(role.substring(0, dot)).ifPresent(token -> {
                if (!(token.value() instanceof TypographyValue value)) return;
                TokenValue written = token.written().value() instanceof TypographyValue own
                        ? own.part(member) : value.part(member);
                put(ROOT, nameOf(role), token.path(), written, value.part(member));
            });
        }

        private void put(String block, String name, Resolved token) {
            put(block, name, token.path(), token.written().value(), token.value());
        }

        /** An alias becomes a reference where its target has a property of its own, else the value stands here. */
        private void put(String block, String name, TokenPath token, TokenValue written, TokenValue value) {
            if (value instanceof TypographyValue) return;
            Optional<TokenPath> target = target(written);
            if (target.isPresent()) {
                referred.add(target.get());
                blocks.get(block).put(name, "var(" + uniqueName(target.get()) + ")");
            } else {
                standing.at(token, block, name);
                blocks.get(block).put(name, CssText.of(value));
            }
        }

        /** The token an alias stands for, past surface roles, whose property would mean another token elsewhere. */
        private Optional<TokenPath> target(TokenValue written) {
            if (!(written instanceof Alias alias)) return Optional.empty();
            if (!alias.target().isBelow(TokenPath.of(SURFACE))) return Optional.of(alias.target());
            return target(resolution.tokens().get(alias.target()).written().value());
        }

        private String uniqueName(TokenPath path) {
            String name = nameOf(path.dotted());
            while (!path.dotted().equals(ownerOfName.computeIfAbsent(name, key -> path.dotted()))) name += "_";
            return name;
        }

        private Optional<Resolved> find(String path) {
            return resolution.find(path);
        }
    }
}
