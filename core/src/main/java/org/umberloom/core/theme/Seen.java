package org.umberloom.core.theme;

import java.util.Optional;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.References;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/**
 * A theme as somebody sees it who asks for an edit.
 *
 * @param resolution in the combination that is looked at
 */
public record Seen(ThemeDocument theme, Resolution resolution) {
    /** The type of a token, also of one that the combination does not show. */
    public Optional<TokenType> findType(TokenPath path) {
        Optional<TokenType> resolved = resolution.find(path.dotted()).map(Resolved::type);
        if (resolved.isPresent()) return resolved;
        for (Place place : theme.places()) {
            TokenType[] found = {null};
            if (theme.at(place).token(path).isEmpty()) continue;
            theme.at(place).forEachToken((at, token, declared) -> {
                if (at.equals(path))
                    found[0] = declared.or(() -> token.value().type()).orElse(null);
            });
            if (found[0] != null) return Optional.of(found[0]);
        }
        return Optional.empty();
    }

    /** @throws IllegalArgumentException when there is no such token */
    public TokenType typeOf(TokenPath path) {
        return findType(path).orElseThrow(() -> none(path));
    }

    /** Where a value stands that is to be changed. @throws IllegalArgumentException when it stands nowhere */
    public Place placeOf(TokenPath path) {
        return resolution.find(path.dotted()).map(Resolved::winner).orElseThrow(() -> none(path));
    }

    /** What a person wrote as a value of a type. Every reference must lead somewhere; a whole value by reference must have that type. */
    public TokenValue value(TokenType type, String text) {
        TokenValue value = ValueText.parse(type, text);
        if (value instanceof Alias alias) {
            TokenType actual = findType(alias.target()).orElseThrow(() -> noTarget(alias.target()));
            if (actual != type)
                throw new IllegalArgumentException(
                        "“" + alias.target() + "” is a " + actual.id() + "; a " + type.id() + " is needed here.");
            return value;
        }
        References.forEach(value, target -> {
            boolean there = findType(target).isPresent()
                    || theme.places().stream()
                            .anyMatch(place -> theme.at(place).find(target).isPresent());
            if (!there) throw noTarget(target);
        });
        return value;
    }

    private static IllegalArgumentException none(TokenPath path) {
        return new IllegalArgumentException("There is no token “" + path + "” to set.");
    }

    private static IllegalArgumentException noTarget(TokenPath path) {
        return new IllegalArgumentException("There is no token “" + path + "” to refer to.");
    }
}
