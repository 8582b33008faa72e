package org.umberloom.core.css;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Fallback;
import org.umberloom.core.contract.Member;
import org.umberloom.core.contract.Role;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Manner;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/** Roles that a theme never sets, as what they stand on: rules that read them read that, and nothing is written twice. */
final class Folding {
    static final Folding NONE = new Folding(Set.of(), Set.of(), Map.of(), false);

    private final Contract contract = Contract.standard();
    private final Set<Role> set;
    private final Set<Role> always;
    /** What the styles of the theme say beside the format’s parts, by the role they fill. */
    private final Map<Role, Set<Manner>> spoken;

    private final boolean folds;

    private Folding(Set<Role> set, Set<Role> always, Map<Role, Set<Manner>> spoken, boolean folds) {
        this.set = set;
        this.always = always;
        this.spoken = spoken;
        this.folds = folds;
    }

    static Folding of(ThemeDocument theme) {
        Set<Role> set = new HashSet<>();
        Set<String> everywhere = new HashSet<>();
        Map<Role, Set<Manner>> spoken = new HashMap<>();
        Set<Manner> anywhere = EnumSet.noneOf(Manner.class);
        for (Place place : theme.places())
            theme.at(place).forEachToken((path, token, type) -> {
                if (token.value() instanceof TypographyValue style)
                    anywhere.addAll(style.manner().keySet());
            });
        for (Place place : theme.places())
            theme.at(place).forEachToken((path, token, type) -> Contract.standard()
                    .filledBy(path.dotted())
                    .ifPresent(role -> {
                        set.add(role);
                        if (role.type() == TokenType.TYPOGRAPHY)
                            spoken.computeIfAbsent(role, key -> EnumSet.noneOf(Manner.class))
                                    .addAll(
                                            token.value() instanceof TypographyValue style
                                                    ? style.manner().keySet()
                                                    : anywhere);
                        boolean applies = place instanceof Place.InSet in
                                && theme.order().contains(ThemeDocument.OrderEntry.set(in.set()));
                        if (applies && type.or(() -> token.value().type()).equals(Optional.of(role.type())))
                            everywhere.add(path.dotted());
                    }));
        Set<String> surfaces = new HashSet<>(Surfaces.names(theme));
        surfaces.add(Surfaces.PAGE);
        Set<Role> always = set.stream()
                .filter(role -> role.ofSurfaces()
                        ? surfaces.stream().allMatch(surface -> everywhere.contains(role.on(surface)))
                        : everywhere.contains(role.path()))
                .collect(Collectors.toSet());
        return new Folding(set, always, spoken, true);
    }

    /** What stands in a rule for a reading: a property, or a value where the contract's own is the end. */
    String text(String reading) {
        return end(reading)
                .map(value -> CustomProperties.text(CustomProperties.nameOf(reading), value))
                .map(TwoGamuts::narrow)
                .orElseGet(() -> "var(" + CustomProperties.nameOf(left(reading)) + ")");
    }

    /**
     * What has to be written for a reading: what is left of it, and what that stands on where it is unset; nothing where
     * it ends in a value.
     */
    Set<String> readings(String reading) {
        if (end(reading).isPresent() || unspoken(reading)) return Set.of();
        Set<String> readings = new LinkedHashSet<>();
        String next = left(reading);
        while (!next.isEmpty() && readings.add(next))
            next = always.contains(contract.ofReading(next).orElseThrow()) ? "" : below(next);
        return readings;
    }

    /**
     * Whether a reading is of a manner that no style says that it could be taken from: rules then say what they say without it.
     */
    boolean unspoken(String reading) {
        if (!folds || !Member.isManner(reading)) return false;
        Manner manner = Member.of(reading).manner().orElseThrow();
        for (String one = reading; !one.isEmpty(); one = below(one)) {
            Role role = contract.ofReading(one).orElseThrow();
            if (spoken.getOrDefault(role, Set.of()).contains(manner)) return false;
            if (always.contains(role)) return true;
            if (role.fallback() instanceof Fallback.Style style && style.own().containsKey(manner.part())) return false;
        }
        return true;
    }

    /** The reading that an unset one refers to; empty for none. */
    private String below(String reading) {
        Role role = contract.ofReading(reading).orElseThrow();
        if (role.fallback() instanceof Fallback.ToRole to)
            return contract.role(to.path()).general();
        return role.fallback() instanceof Fallback.Style style
                        && style.path().isPresent()
                        && !style.own().containsKey(Member.of(reading).part())
                ? style.path().get() + "." + Member.of(reading).id()
                : "";
    }

    private String left(String reading) {
        Role role = contract.ofReading(reading).orElseThrow();
        if (!folds || set.contains(role)) return reading;
        if (role.fallback() instanceof Fallback.ToRole to)
            return left(contract.role(to.path()).general());
        if (role.fallback() instanceof Fallback.Style style && style.path().isPresent())
            return left(style.path().get() + "." + Member.of(reading).id());
        return reading;
    }

    private Optional<TokenValue> end(String reading) {
        Role role = contract.ofReading(reading).orElseThrow();
        if (!folds || set.contains(role)) return Optional.empty();
        if (role.fallback() instanceof Fallback.Literal literal) return Optional.of(literal.value());
        if (role.fallback() instanceof Fallback.ToRole to)
            return end(contract.role(to.path()).general());
        if (role.type() != TokenType.TYPOGRAPHY) return Optional.empty();
        Fallback.Style style = (Fallback.Style) role.fallback();
        Member member = Member.of(reading);
        TokenValue own = style.own().get(member.part());
        if (own != null) return Optional.of(own);
        return style.path().flatMap(path -> end(path + "." + member.id()));
    }
}
