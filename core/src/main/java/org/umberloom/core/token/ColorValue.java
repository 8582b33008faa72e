package org.umberloom.core.token;

import java.util.Optional;
import org.umberloom.core.color.Color;

/**
 * A color.
 *
 * @param fallback the hex form that was written with it for readers of sRGB alone; empty where it is computed. Source:
 *                 Color Module 2025.10, hex
 */
public record ColorValue(Color color, Optional<String> fallback) implements TokenValue {
    /** Far beyond every color that can be seen, in any space, and far below where conversions lose their sense. */
    private static final double LARGEST = 100_000;

    /** @throws IllegalArgumentException when the fallback is not # with six hex digits, or a component is beyond 100,000 */
    public ColorValue {
        if (Math.abs(color.c1()) > LARGEST || Math.abs(color.c2()) > LARGEST || Math.abs(color.c3()) > LARGEST)
            throw new IllegalArgumentException("a color’s components must be numbers up to 100,000");
        if (fallback.isPresent() && !fallback.get().matches("#[0-9a-fA-F]{6}"))
            throw new IllegalArgumentException(
                    "a color’s hex fallback is # with six digits, was “" + fallback.get() + "”");
    }

    public ColorValue(Color color) {
        this(color, Optional.empty());
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.COLOR);
    }
}
