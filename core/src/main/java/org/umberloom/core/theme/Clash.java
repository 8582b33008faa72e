package org.umberloom.core.theme;

import java.util.List;
import org.umberloom.core.token.TokenPath;

/** Whether two edits that were made without knowing of each other can both stand. */
public final class Clash {
    private Clash() {}

    /**
     * @param theirs what was stored since the other was made
     * @param mine   what is to be stored now
     * @param newest the theme as it is now, with theirs in it
     */
    public static boolean between(Edit theirs, Edit mine, ThemeDocument newest) {
        return theirs.meets(mine) || refersToWhatGoes(theirs, mine, newest);
    }

    /** One that takes tokens away does not fit with one that has begun to refer to them. */
    private static boolean refersToWhatGoes(Edit theirs, Edit mine, ThemeDocument newest) {
        List<TokenPath> going = mine.takesAway(newest);
        if (going.isEmpty()) return false;
        for (TokenPath target : theirs.refersTo())
            for (TokenPath path : going)
                if (target.equals(path) || target.isBelow(path) || path.isBelow(target)) return true;
        return false;
    }
}
