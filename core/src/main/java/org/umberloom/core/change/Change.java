package org.umberloom.core.change;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.umberloom.core.theme.Place;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;

/**
 * Something that somebody did to a token, or to the recipe of a group, with what follows from it.
 *
 * @param kind    what happened
 * @param step    what it makes of a release
 * @param path    where it stands; where it stood for one that is gone
 * @param was     where it stood before it was renamed
 * @param places  where it is written, each of which it happened in
 * @param type    of the token; none for a recipe
 * @param before  as it was written; empty where it was not there
 * @param after   as it is written; empty where it is gone
 * @param old     what it came to, where that can be said
 * @param fresh   what it comes to
 * @param size    how much those two differ
 * @param follow  tokens whose values are others because of it, in document order
 */
public record Change(
        Kind kind,
        Step step,
        TokenPath path,
        Optional<TokenPath> was,
        List<Place> places,
        Optional<TokenType> type,
        String before,
        String after,
        Optional<TokenValue> old,
        Optional<TokenValue> fresh,
        Size size,
        List<TokenPath> follow) {

    /** What happened to a token. */
    public enum Kind {
        ADDED,
        REMOVED,
        /** Its path is another; what it comes to is not. */
        RENAMED,
        /** The same, and its old path still leads to it. */
        RENAMED_KEPT,
        /** It is of another type. */
        RETYPED,
        CHANGED,
        /** Said for the first time, or no longer, at a place where others say it too. */
        PLACED,
        /** Only what is said of it. */
        DESCRIBED,
        /** The recipe of a group. */
        RECIPE;

        /** As it is written: {@code renamed_kept}. */
        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public Change {
        places = List.copyOf(places);
        follow = List.copyOf(follow);
    }

    Change followedBy(List<TokenPath> following) {
        return new Change(kind, step, path, was, places, type, before, after, old, fresh, size, following);
    }
}
