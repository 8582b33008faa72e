package org.umberloom.core.wish;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/**
 * Groups that recipes compute, changed at a place where they do not stand yet: the whole group is brought there first, as it is seen,
 * so that its recipe computes there.
 */
final class Brought {
    private Brought() {}

    /** @param edit of that group at the place */
    static Edit to(Seen seen, Place place, TokenPath path, Edit edit) {
        Group there = seen.theme().at(place).group(path).orElse(Group.EMPTY);
        if (Recipes.of(there).isPresent()) return edit;
        Optional<Group> standing = standing(seen, place, path);
        if (standing.isEmpty()) return edit;
        // What was written there by hand stays so.
        Group whole = standing.get();
        for (Map.Entry<String, Node> own : there.children().entrySet())
            if (own.getValue() instanceof Token token)
                whole = whole.with(TokenPath.of(own.getKey()), token.withDetached(true));
        List<Edit> edits = new ArrayList<>();
        if (seen.theme().at(place).find(path).isPresent()) edits.add(new Edit.Remove(place, path));
        edits.add(new Edit.Put(place, path, whole, -1));
        edits.add(edit);
        return new Edit.Batch(edit.label(), edits);
    }

    /** The group as it is seen: that of the last place which has a recipe for it. */
    private static Optional<Group> standing(Seen seen, Place place, TokenPath path) {
        Optional<Group> standing = Optional.empty();
        for (Place one : seen.theme().applying(seen.resolution().combination())) {
            if (one.equals(place)) continue;
            Optional<Group> group = seen.theme().at(one).group(path).filter(found -> Recipes.of(found)
                    .isPresent());
            if (group.isPresent()) standing = group;
        }
        return standing;
    }
}
