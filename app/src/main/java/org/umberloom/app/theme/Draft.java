package org.umberloom.app.theme;

import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.ThemeDocument;

/** A theme's document at a revision. */
public record Draft(long id, int revision, ThemeDocument theme) {
    /** How many tokens all its sets and contexts hold. */
    int tokens() {
        int tokens = 0;
        for (Place place : theme.places()) tokens += theme.at(place).tokenCount();
        return tokens;
    }
}
