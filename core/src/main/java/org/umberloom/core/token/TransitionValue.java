package org.umberloom.core.token;

import java.util.Map;
import java.util.Optional;

/** How a change runs. Source: Format Module 2025.10, transition. */
public record TransitionValue(TokenValue duration, TokenValue delay, TokenValue timingFunction)
        implements CompositeValue {
    /** @throws IllegalArgumentException when a part is a literal of the wrong type */
    public TransitionValue {
        CompositeValue.check("a transition", "duration", duration, TokenType.DURATION);
        CompositeValue.check("a transition", "delay", delay, TokenType.DURATION);
        CompositeValue.check("a transition", "timingFunction", timingFunction, TokenType.CUBIC_BEZIER);
    }

    @Override
    public Map<String, TokenValue> parts() {
        return CompositeValue.named("duration", duration, "delay", delay, "timingFunction", timingFunction);
    }

    @Override
    public TokenType partType(String part) {
        return switch (part) {
            case "duration", "delay" -> TokenType.DURATION;
            case "timingFunction" -> TokenType.CUBIC_BEZIER;
            default -> throw new IllegalArgumentException("a transition has no part “" + part + "”");
        };
    }

    @Override
    public TransitionValue withParts(Map<String, TokenValue> parts) {
        return new TransitionValue(parts.get("duration"), parts.get("delay"), parts.get("timingFunction"));
    }

    @Override
    public Optional<TokenType> type() {
        return Optional.of(TokenType.TRANSITION);
    }
}
