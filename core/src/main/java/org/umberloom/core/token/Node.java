package org.umberloom.core.token;

/** What stands at a path of a token set: a group or a token. */
public sealed interface Node permits Group, Token {
    Meta meta();
}
