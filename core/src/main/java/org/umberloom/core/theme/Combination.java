package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.umberloom.core.token.Names;

/**
 * One context chosen for each modifier; a modifier that is not named stands at its default.
 *
 * @param scopes where it is looked at, from wide to narrow: what is written there is laid over the rest; none for the theme itself
 */
public record Combination(Map<String, String> contexts, List<Scope> scopes) {
    private static final String SCOPE = "@";

    public Combination {
        contexts = Collections.unmodifiableMap(new LinkedHashMap<>(contexts));
        scopes = List.copyOf(scopes);
    }

    public Combination(Map<String, String> contexts) {
        this(contexts, List.of());
    }

    /** The same with one modifier at another context. */
    public Combination with(String modifier, String context) {
        Map<String, String> changed = new LinkedHashMap<>(contexts);
        changed.put(modifier, context);
        return new Combination(changed, scopes);
    }

    /** The same looked at in a scope alone. */
    public Combination at(Scope one) {
        return at(List.of(one));
    }

    /** The same looked at in scopes that lie in each other, from wide to narrow. */
    public Combination at(List<Scope> chain) {
        return new Combination(contexts, chain);
    }

    /** The narrowest of the scopes at which it is looked at. */
    public Optional<Scope> scope() {
        return scopes.isEmpty() ? Optional.empty() : Optional.of(scopes.get(scopes.size() - 1));
    }

    /** The same where what is written at a place holds. */
    public Combination where(Place place) {
        if (place instanceof Place.InContext in) return with(in.modifier(), in.context());
        if (!(place instanceof Place.InScope scoped)) return this;
        return scoped.under()
                .map(in -> with(in.modifier(), in.context()))
                .orElse(this)
                .within(scoped.scope());
    }

    /** The same with a scope among those at which it is looked at. */
    private Combination within(Scope one) {
        if (scopes.contains(one)) return this;
        List<Scope> chain = new ArrayList<>(scopes);
        chain.add(one);
        chain.sort(Comparator.comparing(Scope::level));
        return at(chain);
    }

    /** The same of the theme itself. */
    public Combination unscoped() {
        return new Combination(contexts);
    }

    /**
     * The same for a theme: every modifier it has, in its order, and no other; unknown contexts stay as they are. Scopes at
     * which nothing is written are left out.
     */
    public Combination completedFor(ThemeDocument theme) {
        Map<String, String> complete = new LinkedHashMap<>();
        theme.modifiers()
                .forEach(
                        (name, modifier) -> complete.put(name, contexts.getOrDefault(name, modifier.defaultContext())));
        return new Combination(complete, scopes.stream().filter(theme::writesAt).toList());
    }

    /** {@code scheme=dark,look=freight,@kind=article,@page=crossings:fares}, with names by their {@link #code}; empty for no modifiers. */
    public String key() {
        Stream<String> chosen =
                contexts.entrySet().stream().map(entry -> code(entry.getKey()) + "=" + code(entry.getValue()));
        return Stream.concat(chosen, scopes.stream().map(one -> SCOPE + one)).collect(Collectors.joining(","));
    }

    /**
     * A name as it stands in a key: letters, digits, dots, dashes and underscores as they are, all else as its code between
     * tildes, so that a key can be a part of any address (RFC 3986, 2.3) and every name can be told from every other.
     */
    public static String code(String name) {
        StringBuilder code = new StringBuilder();
        name.codePoints().forEach(c -> {
            if (Character.isLetterOrDigit(c) || c == '.' || c == '-' || c == '_') code.appendCodePoint(c);
            else code.append('~').append(Integer.toHexString(c)).append('~');
        });
        return code.toString();
    }

    /** Reads what {@link #key} writes. @throws IllegalArgumentException for anything else */
    public static Combination parse(String key) {
        Map<String, String> contexts = new LinkedHashMap<>();
        List<Scope> scopes = new ArrayList<>();
        for (String part : key.split(",")) {
            if (part.isBlank()) continue;
            if (part.startsWith(SCOPE)) {
                scopes.add(Scope.parse(part.substring(SCOPE.length())));
                continue;
            }
            int equals = part.indexOf('=');
            if (equals <= 0)
                throw new IllegalArgumentException(
                        "“" + Names.shown(key) + "” is not a combination: write scheme=dark,look=freight.");
            contexts.put(named(part.substring(0, equals)), named(part.substring(equals + 1)));
        }
        return new Combination(contexts, scopes);
    }

    /** The name that a {@link #code} stands for. @throws IllegalArgumentException for one that is none */
    static String named(String code) {
        StringBuilder name = new StringBuilder();
        for (int at = 0; at < code.length(); ) {
            int end = code.charAt(at) == '~' ? code.indexOf('~', at + 1) : -1;
            if (end < 0) {
                name.append(code.charAt(at++));
                continue;
            }
            try {
                name.appendCodePoint(Integer.parseInt(code.substring(at + 1, end), 16));
            } catch (IllegalArgumentException e) {
                throw new IllegalArgumentException("“" + Names.shown(code) + "” is not a name in a combination.", e);
            }
            at = end + 1;
        }
        return name.toString();
    }
}
