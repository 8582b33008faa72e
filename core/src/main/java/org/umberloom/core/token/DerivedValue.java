package org.umberloom.core.token;

import java.util.Optional;

/** A value that is computed from others and stays linked to them. */
public record DerivedValue(Derivation derivation) implements TokenValue {
    /** Color for a color operation; else the type of what it is derived from. */
    @Override
    public Optional<TokenType> type() {
        return derivation.operation().makesColor()
                ? Optional.of(TokenType.COLOR)
                : derivation.source() instanceof Reference
                        ? Optional.empty()
                        : derivation.source().type();
    }
}
