package org.umberloom.core.contract;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.umberloom.core.token.Fingerprint;

/** Everything that pages read from a theme: the parts with their rules, roles and choices, read once. */
public final class Contract {
    private static final Contract STANDARD = new Contract(PartFolders.read());

    private static final int FINGERPRINT_DIGITS = 12;

    private final List<Part> parts;
    private final List<PartRule> rules;
    private final Map<String, Role> roles = new LinkedHashMap<>();
    private final Map<String, Role> byReading = new LinkedHashMap<>();
    private final Map<String, Choice> choices = new LinkedHashMap<>();

    /** @throws IllegalArgumentException for parts that do not fit together; the message names part and fault */
    Contract(List<Part> parts) {
        this.parts = List.copyOf(parts);
        List<PartRule> all = new ArrayList<>();
        for (Part part : parts) {
            all.addAll(part.rules());
            for (Role role : part.roles()) {
                if (roles.put(role.path(), role) != null)
                    throw new IllegalArgumentException(
                            "The role " + role.path() + " is brought by two parts; the second is " + part.name() + ".");
                role.readings().forEach(reading -> byReading.put(reading, role));
            }
            for (Choice choice : part.choices())
                if (choices.put(choice.name(), choice) != null)
                    throw new IllegalArgumentException("The choice " + choice.name() + " is brought by two parts.");
        }
        all.sort(java.util.Comparator.comparing(PartRule::layer).thenComparing(PartRule::order));
        rules = List.copyOf(all);
        check();
    }

    /** The contract that ships with the product. */
    public static Contract standard() {
        return STANDARD;
    }

    public List<Part> parts() {
        return parts;
    }

    /** All rules in the order in which they are written, those of every value of every choice among them. */
    public List<PartRule> rules() {
        return rules;
    }

    /** By path. */
    public Map<String, Role> roles() {
        return Collections.unmodifiableMap(roles);
    }

    public Map<String, Choice> choices() {
        return Collections.unmodifiableMap(choices);
    }

    /** What tells this contract from another: 12 hex digits of what it asks of themes. */
    public String fingerprint() {
        StringBuilder said = new StringBuilder();
        roles.values().forEach(role -> said.append(role.path())
                .append(' ')
                .append(role.type().id())
                .append(' ')
                .append(role.fallback())
                .append('\n'));
        choices.values().forEach(choice -> said.append(choice.name())
                .append(' ')
                .append(List.copyOf(choice.values().keySet()))
                .append(choice.stands().orElse(""))
                .append(' ')
                .append(choice.standard())
                .append('\n'));
        return Fingerprint.of(said.toString()).substring(0, FINGERPRINT_DIGITS);
    }

    /** Every choice with its value; those that are not named, or stand at a value that is none, at their standard. */
    public Map<String, String> completed(Map<String, String> chosen) {
        Map<String, String> values = new LinkedHashMap<>();
        choices.forEach((name, choice) ->
                values.put(name, choice.values().containsKey(chosen.get(name)) ? chosen.get(name) : choice.standard()));
        return values;
    }

    /** The role with its path, such as {@code surface.*.text}. @throws IllegalArgumentException when there is none */
    public Role role(String path) {
        Role role = roles.get(path);
        if (role == null) throw new IllegalArgumentException("The contract has no role “" + path + "”.");
        return role;
    }

    /** The role that a token at a path fills, if it fills one. */
    public Optional<Role> filledBy(String path) {
        String[] names = path.split("\\.", 3);
        return Optional.ofNullable(
                roles.get(names.length == 3 && names[0].equals("surface") ? Role.ANY_SURFACE + names[2] : path));
    }

    /** The role that a token at a path is to fill. @throws IllegalArgumentException with a sentence for people when it is none */
    public Role toFill(String path) {
        return filledBy(path)
                .orElseThrow(() -> new IllegalArgumentException("“" + path + "” is no role that pages read."));
    }

    /** The role that a reading such as {@code surface.text} or {@code type.h1.size} is of. */
    public Optional<Role> ofReading(String reading) {
        return Optional.ofNullable(byReading.get(reading));
    }

    /** What rules read where they declare a property of CSS, such as {@code text-shadow}. */
    public Set<String> readingsBy(String property) {
        return rules.stream()
                .flatMap(rule -> rule.declarations().stream())
                .filter(declaration -> declaration.property().equals(property))
                .flatMap(declaration -> PartFolders.readings(declaration).stream())
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Everything that rules may read of roles. */
    public Set<String> readings() {
        return Collections.unmodifiableSet(byReading.keySet());
    }

    private void check() {
        for (PartRule rule : rules)
            for (String reading : rule.readings())
                if (!byReading.containsKey(reading))
                    throw new IllegalArgumentException(
                            "A rule of the part " + rule.part() + " reads " + reading + ", which no part brings.");
        for (Role role : roles.values()) {
            follow(role, new LinkedHashSet<>());
            role.around().ifPresent(around -> {
                role(around.inner());
                role(around.gap());
            });
        }
    }

    private void follow(Role role, Set<String> seen) {
        if (!seen.add(role.path()))
            throw new IllegalArgumentException("The fallbacks of " + role.path() + " run in a circle: " + seen + ".");
        mentioned(role).forEach(path -> follow(role(path), new LinkedHashSet<>(seen)));
    }

    /** The roles that a role's fallback speaks of, by their paths. */
    List<String> mentioned(Role role) {
        if (role.fallback() instanceof Fallback.ToRole to) return List.of(to.path());
        if (role.fallback() instanceof Fallback.Style style)
            return style.path().stream().toList();
        if (role.fallback() instanceof Fallback.Readable readable) {
            List<String> both = new ArrayList<>(readable.preferred().stream().toList());
            both.add(readable.on());
            return both;
        }
        return List.of();
    }
}
