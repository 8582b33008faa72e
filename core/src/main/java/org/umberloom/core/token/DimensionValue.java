package org.umberloom.core.token;

import java.util.Optional;

/** A length in CSS pixels or in rem. */
public record DimensionValue(double amount, Unit unit) implements TokenValue {
    /** Browsers' default font size, which one rem stands for. Source: CSS Values 4, section 6.1; common practice. */
    public static final double PX_PER_REM = 16;

    public enum Unit {
        PX,
        REM;

        public String css() {
            return this == PX ? "px" : "rem";
        }
    }

    /** px or rem; far beyond what any screen shows, and far below where numbers lose their sense. */
    private static final double LARGEST = 1e7;

    /** @throws IllegalArgumentException when the amount is not finite, or beyond ten million */
    public DimensionValue {
        if (!(Math.abs(amount) <= LARGEST))
            throw new IllegalArgumentException("a length must be a number up to ten million, was " + amount);
    }

    public static DimensionValue px(double amount) {
        return new DimensionValue(amount, Unit.PX);
    }

    public static DimensionValue rem(double amount) {
        return new DimensionValue(amount, Unit.REM);
    }

    /** The length in CSS pixels at the default font size. */
    public double toPx() {
        return unit == Unit.PX ? amount : amount * PX_PER_REM;
    }

    /** The length in rem at the default font size. */
    public double toRem() {
        return toPx() / PX_PER_REM;
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.DIMENSION);
    }
}
