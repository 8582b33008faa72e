package org.umberloom.core.token;

import java.util.Map;
import java.util.function.DoubleUnaryOperator;

/** Arithmetic on numbers and dimensions. A result keeps the unit of what it is derived from; both ends of a fluid one move. */
final class Amounts {
    private static final double PRECISION = 1e6;

    private Amounts() {}

    static TokenValue apply(Operation operation, Map<String, TokenValue> arguments) {
        TokenValue of = arguments.get(Derivation.OF);
        if (of instanceof NumberValue number)
            return new NumberValue(compute(operation, arguments, number.number(), Amounts::plain));
        if (of instanceof DimensionValue length) return length(operation, arguments, length);
        FluidValue fluid = (FluidValue) of;
        return new FluidValue(
                length(operation, arguments, fluid.narrow()),
                length(operation, arguments, fluid.wide()),
                fluid.narrowViewport(),
                fluid.wideViewport());
    }

    private static DimensionValue length(Operation operation, Map<String, TokenValue> arguments, DimensionValue of) {
        boolean rem = of.unit() == DimensionValue.Unit.REM;
        return new DimensionValue(
                compute(
                        operation,
                        arguments,
                        of.amount(),
                        argument -> argument instanceof DimensionValue length
                                ? rem ? length.toRem() : length.toPx()
                                : Double.NaN),
                of.unit());
    }

    private interface Reading {
        double of(TokenValue argument);
    }

    private static double plain(TokenValue argument) {
        return argument instanceof NumberValue number ? number.number() : Double.NaN;
    }

    private static double compute(Operation operation, Map<String, TokenValue> arguments, double of, Reading reading) {
        DoubleUnaryOperator function =
                switch (operation) {
                    case ADD -> x -> x + reading.of(arguments.get("by"));
                    case MULTIPLY -> x -> x * ((NumberValue) arguments.get("by")).number();
                    case ROUND -> x -> round(x, reading.of(arguments.get("step")));
                    default ->
                        x -> Math.max(reading.of(arguments.get("min")), Math.min(reading.of(arguments.get("max")), x));
                };
        double result = function.applyAsDouble(of);
        if (!Double.isFinite(result))
            throw new IllegalArgumentException("the arguments of " + operation.id()
                    + " must be of the type of what it is derived from: numbers with numbers, lengths with lengths");
        return Math.rint(result * PRECISION) / PRECISION;
    }

    private static double round(double x, double step) {
        if (step <= 0) throw new IllegalArgumentException("“step” of round must be above 0");
        return Math.rint(x / step) * step;
    }
}
