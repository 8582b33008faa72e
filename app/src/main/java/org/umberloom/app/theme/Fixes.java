package org.umberloom.app.theme;

import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.ThemeDocument;

/** The fixes of a theme's findings, so that a page can be shown as it would be with one. */
public interface Fixes {
    /**
     * @param theme   the state that was checked
     * @param finding by its identity
     * @param index   of the fix among those of the finding, from 0
     * @throws java.util.NoSuchElementException when that state has no such finding or fix
     */
    Edit fix(ThemeDocument theme, String finding, int index);
}
