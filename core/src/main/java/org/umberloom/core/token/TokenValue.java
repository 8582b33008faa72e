package org.umberloom.core.token;

import java.util.Optional;

/** A token's value as written: a literal of one type, or an alias. */
public sealed interface TokenValue
        permits Alias, ColorValue, DimensionValue, FluidValue, FontFamilyValue, FontWeightValue, NumberValue,
                TypographyValue, ForeignValue {
    /** The type this value has by itself; empty for an alias, whose type is its target's, and for a foreign value. */
    Optional<TokenType> type();
}
