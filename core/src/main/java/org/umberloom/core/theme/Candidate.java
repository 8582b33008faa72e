package org.umberloom.core.theme;

import java.util.Optional;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenType;

/** The token that wins at a path once the layers are merged, with the type that it or the groups around it declare. */
record Candidate(Token token, Optional<TokenType> declared, Place place) {
    /** A later layer replaces the value; a type that it does not declare itself is kept from below. */
    static Candidate merge(Candidate below, Token token, Optional<TokenType> declared, Place place) {
        return new Candidate(token, declared.or(() -> below == null ? Optional.empty() : below.declared), place);
    }

    boolean sameAs(Candidate other) {
        return other != null
                && (token == other.token || token.equals(other.token))
                && declared.equals(other.declared)
                && place.equals(other.place);
    }
}
