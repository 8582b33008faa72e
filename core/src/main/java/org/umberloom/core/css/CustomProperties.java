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
import java.util.stream.Collectors;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Fallback;
import org.umberloom.core.contract.Member;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.ground.Grounds;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.Manner;
import org.umberloom.core.token.MannerValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
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

    /** In place of a value: rules take their own fallback. Source: CSS Custom Properties 1, 2, “initial”. */
    static final String UNSAID = "initial";

    /** Properties that rules read as shadows of letters. */
    private static final Set<String> OF_LETTERS = Contract.standard().readingsBy("text-shadow").stream()
            .map(CustomProperties::nameOf)
            .collect(Collectors.toUnmodifiableSet());

    /** Hears where values stand that change with tokens. */
    interface Standing {
        Standing UNHEARD = new Standing() {};

        /** A token's own value, rather than a reference to another's; parts of a composite by the path of the whole. */
        default void at(TokenPath token, String block, String name) {}

        /** What a role without a token is computed to. */
        default void computed(Role role, String block, String name) {}
    }

    /** The properties for these readings of roles, and for the tokens they refer to. */
    static CustomProperties of(Resolution resolution, Collection<String> readings, List<String> surfaces) {
        return of(resolution, readings, surfaces, Standing.UNHEARD);
    }

    /** The same, telling where values stand. */
    static CustomProperties of(
            Resolution resolution, Collection<String> readings, List<String> surfaces, Standing standing) {
        return new Writer(resolution, standing).write(readings, surfaces);
    }

    /** The same with the ground of every surface. */
    CustomProperties standingOn(Map<String, Grounds.Placed> grounds, Resolution resolution) {
        Map<String, Map<String, String>> standing = new LinkedHashMap<>();
        blocks.forEach((block, properties) -> {
            Map<String, String> all = new LinkedHashMap<>(properties);
            all.putAll(GroundProperties.of(Optional.ofNullable(grounds.get(surfaceOf(block))), resolution));
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

    /** The value of a property: shadows of letters have neither spread nor inset. Source: CSS Text Decoration 3, 4. */
    static String text(String name, TokenValue value) {
        return OF_LETTERS.contains(name) ? CssText.ofLetters(value) : CssText.of(value);
    }

    /** The property that carries a role: {@code surface.text} becomes {@code --surface-text}. */
    public static String nameOf(String role) {
        StringBuilder name = new StringBuilder("-");
        for (String segment : role.split("\\.")) name.append('-').append(CssEscape.part(segment));
        return name.toString();
    }

    /** The path of the token behind every property that a style sheet of the theme can have; of surfaces that of the page. */
    public static Map<String, String> origins(Resolution resolution) {
        Map<String, String> origins = new LinkedHashMap<>();
        for (String reading : Contract.standard().readings())
            Contract.standard()
                    .ofReading(reading)
                    .ifPresent(role -> origins.put(nameOf(reading), role.on(Surfaces.PAGE)));
        resolution.tokens().keySet().forEach(path -> origins.putIfAbsent(nameOf(path.dotted()), path.dotted()));
        return origins;
    }

    /** The surface that a block stands for. */
    static String surfaceOf(String block) {
        return block.equals(ROOT) ? Surfaces.PAGE : block;
    }

    /** Collects properties from the roles down to the tokens without aliases. */
    private static final class Writer {
        private final Resolution resolution;
        private final Worn worn;
        private final Contract contract = Contract.standard();
        private final Standing standing;
        private final Map<String, Map<String, String>> blocks = new LinkedHashMap<>();
        private final Map<String, String> ownerOfName = new LinkedHashMap<>();
        private final Deque<TokenPath> referred = new ArrayDeque<>();

        Writer(Resolution resolution, Standing standing) {
            this.resolution = resolution;
            this.worn = Worn.of(resolution);
            this.standing = standing;
        }

        CustomProperties write(Collection<String> readings, List<String> surfaces) {
            blocks.put(ROOT, new LinkedHashMap<>());
            surfaces.forEach(surface -> blocks.put(surface, new LinkedHashMap<>()));
            for (String reading : readings) {
                Optional<Role> role = contract.ofReading(reading);
                // No token may take the name of a role that is not its own.
                ownerOfName.put(
                        nameOf(reading),
                        role.filter(one -> !one.path().equals(reading)).isPresent() ? "role " + reading : reading);
                if (role.isEmpty()) putOther(reading);
                else if (role.get().ofSurfaces()) blocks.keySet().forEach(block -> put(block, role.get()));
                else if (role.get().type() == TokenType.TYPOGRAPHY) putMember(role.get(), reading);
                else put(ROOT, role.get());
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

        /** What an interface of its own reads beside the contract. */
        private void putOther(String reading) {
            String surface = Surfaces.GROUP + ".";
            if (!reading.startsWith(surface))
                resolution.find(reading).ifPresent(token -> put(ROOT, nameOf(reading), token));
            else
                for (String block : blocks.keySet())
                    resolution
                            .find(Surfaces.path(surfaceOf(block), reading.substring(surface.length())))
                            .ifPresent(token -> put(block, nameOf(reading), token));
        }

        private void put(String block, Role role) {
            put(block, nameOf(role.general()), worn.at(role, surfaceOf(block)));
        }

        /** A role that stands on another of its block refers to it; one that stands on the page's is written as that one is. */
        private void put(String block, String name, Worn.Standing at) {
            if (at.token().isPresent()) put(block, name, at.token().get());
            else if (at.role().fallback() instanceof Fallback.ToRole to
                    && at.on().equals(Optional.of(contract.role(to.path()).on(surfaceOf(block)))))
                blocks.get(block)
                        .put(name, "var(" + nameOf(contract.role(to.path()).general()) + ")");
            else if (!block.equals(ROOT) && at.on().equals(Optional.of(at.role().on(Surfaces.PAGE))))
                put(block, name, worn.at(at.role(), Surfaces.PAGE));
            else {
                if (at.role().fallback() instanceof Fallback.Readable) standing.computed(at.role(), block, name);
                blocks.get(block).put(name, text(name, at.value()));
            }
        }

        private void putMember(Role role, String reading) {
            Member member = Member.of(reading);
            Worn.Standing at = worn.at(role, Surfaces.PAGE);
            if (at.token().isPresent()) {
                Resolved token = at.token().get();
                TypographyValue value = (TypographyValue) token.value();
                if (member.manner().isPresent()) {
                    blocks.get(ROOT)
                            .put(nameOf(reading), manner(value, member.manner().get()));
                    return;
                }
                TokenValue written = token.written().value() instanceof TypographyValue own
                        ? own.part(member.part())
                        : value.part(member.part());
                put(ROOT, nameOf(reading), token.path(), written, value.part(member.part()));
                return;
            }
            Fallback.Style style = (Fallback.Style) role.fallback();
            TokenValue own = style.own().get(member.part());
            blocks.get(ROOT)
                    .put(
                            nameOf(reading),
                            own != null
                                    ? CssText.of(own)
                                    : style.path()
                                            .map(path -> "var(" + nameOf(path + "." + member.id()) + ")")
                                            .orElse(UNSAID));
        }

        private static String manner(TypographyValue style, Manner manner) {
            MannerValue said = style.manner().get(manner);
            return said == null ? UNSAID : said.css();
        }

        private void put(String block, String name, Resolved token) {
            put(block, name, token.path(), token.written().value(), token.value());
        }

        /** An alias becomes a reference where its target has a property of its own, else the value stands here. */
        private void put(String block, String name, TokenPath token, TokenValue written, TokenValue value) {
            if (value instanceof TypographyValue) return;
            Optional<TokenPath> target = target(written);
            if (target.isPresent() && !OF_LETTERS.contains(name)) {
                referred.add(target.get());
                blocks.get(block).put(name, "var(" + uniqueName(target.get()) + ")");
            } else {
                standing.at(token, block, name);
                blocks.get(block).put(name, text(name, value));
            }
        }

        /** The token an alias stands for, past surface roles, whose property would mean another token elsewhere. */
        private Optional<TokenPath> target(TokenValue written) {
            if (!(written instanceof Alias alias)) return Optional.empty();
            if (!alias.target().isBelow(TokenPath.of(Surfaces.GROUP))) return Optional.of(alias.target());
            return target(resolution.tokens().get(alias.target()).written().value());
        }

        private String uniqueName(TokenPath path) {
            String name = nameOf(path.dotted());
            while (!path.dotted().equals(ownerOfName.computeIfAbsent(name, key -> path.dotted()))) name += "_";
            return name;
        }
    }
}
