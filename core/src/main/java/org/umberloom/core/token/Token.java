package org.umberloom.core.token;

import java.util.Optional;

/**
 * A value with what it says about itself; its path is where it stands.
 *
 * @param unknown what its value was read with beside the members that the format has
 */
public record Token(TokenValue value, Meta meta, UnknownMembers unknown) implements Node {
    private static final String DETACHED = "detached";
    private static final String PROPOSED = "proposed";

    public Token(TokenValue value, Meta meta) {
        this(value, meta, UnknownMembers.NONE);
    }

    public static Token of(TokenValue value) {
        return new Token(value, value.type().map(Meta::typed).orElse(Meta.NONE));
    }

    /** A token whose type is said by its group. */
    public static Token untyped(TokenValue value) {
        return new Token(value, Meta.NONE);
    }

    public Token withValue(TokenValue newValue) {
        return new Token(newValue, meta, unknown.fitting(value, newValue));
    }

    public Token withMeta(Meta newMeta) {
        return new Token(value, newMeta, unknown);
    }

    /** Whether it was set by hand in place of what its group's recipe computes. */
    public boolean detached() {
        return meta.own(DETACHED).equals(Optional.of(true));
    }

    public Token withDetached(boolean detached) {
        return withMeta(meta.withOwn(DETACHED, detached ? Optional.of(true) : Optional.empty()));
    }

    /** Whether it came from a proposal and was not set by hand since. */
    public boolean proposed() {
        return meta.own(PROPOSED).equals(Optional.of(true));
    }

    public Token withProposed(boolean proposed) {
        return withMeta(meta.withOwn(PROPOSED, proposed ? Optional.of(true) : Optional.empty()));
    }
}
