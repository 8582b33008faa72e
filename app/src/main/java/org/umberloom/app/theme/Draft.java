package org.umberloom.app.theme;

import org.umberloom.core.theme.ThemeDocument;

/** A theme's document at a revision. */
public record Draft(long id, int revision, ThemeDocument theme) {
}
