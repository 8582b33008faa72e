package org.umberloom.core.dress;

import org.umberloom.core.token.TokenValue;

/**
 * What a role is proposed to be.
 *
 * @param role       its path, such as {@code surface.page.text}
 * @param value      an alias, or a text style whose members are aliases
 * @param confidence 0 to 1
 * @param reason     why, in a few words
 */
public record Assignment(String role, TokenValue value, double confidence, String reason) {}
