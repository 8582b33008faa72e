package org.umberloom.core.token;

import java.util.Optional;

/** A token's value as written: a literal of one type, a reference, a derivation, or a literal with references inside. */
public sealed interface TokenValue
        permits Reference,
                TemplateValue,
                DerivedValue,
                CompositeValue,
                ColorValue,
                DimensionValue,
                FluidValue,
                FontFamilyValue,
                FontWeightValue,
                DurationValue,
                CubicBezierValue,
                NumberValue,
                MannerValue,
                ForeignValue {
    /** The type this value has by itself; empty where only what it refers to says it, and for a foreign value. */
    Optional<TokenType> type();
}
