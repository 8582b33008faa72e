package org.umberloom.app.theme;

import java.util.List;

/** Of which kinds the pages are that wear a theme, or could wear it where none does: for each of them values may be written. */
public interface PageKinds {
    List<String> of(long theme);
}
