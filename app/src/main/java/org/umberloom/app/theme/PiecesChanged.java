package org.umberloom.app.theme;

import java.util.Map;
import org.umberloom.core.theme.SharedPiece;

/** The pieces of a theme changed in this process, by an account; it may not be committed yet. @param pieces as they are then */
public record PiecesChanged(long theme, Map<String, SharedPiece> pieces, long by) {}
