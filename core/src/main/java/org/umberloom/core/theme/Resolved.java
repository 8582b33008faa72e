package org.umberloom.core.theme;

import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;

/**
 * A token's result in one combination.
 *
 * @param path    where it stands
 * @param type    its type
 * @param value   free of aliases
 * @param written the token that won, as it is written
 * @param winner  where that one is written
 */
public record Resolved(TokenPath path, TokenType type, TokenValue value, Token written, Place winner) {}
