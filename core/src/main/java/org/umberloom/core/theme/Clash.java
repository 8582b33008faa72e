package org.umberloom.core.theme;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.References;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/** Whether two edits that were made without knowing of each other can both stand. */
public final class Clash {
    private Clash() {
    }

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
        List<TokenPath> going = going(mine, newest);
        if (going.isEmpty()) return false;
        Set<TokenPath> referred = new LinkedHashSet<>();
        collect(theirs, referred);
        for (TokenPath target : referred)
            for (TokenPath path : going) if (target.equals(path) || target.isBelow(path) || path.isBelow(target)) return true;
        return false;
    }

    /** What an edit takes away, as far as no other place holds it. */
    private static List<TokenPath> going(Edit edit, ThemeDocument theme) {
        if (edit instanceof Edit.Batch batch) return batch.edits().stream().flatMap(one -> going(one, theme).stream()).toList();
        if (edit instanceof Edit.Remove remove) return List.of(remove.path());
        if (edit instanceof Structure.RemoveSet remove && theme.sets().containsKey(remove.name()))
            return paths(theme.sets().get(remove.name()).tokens());
        if (edit instanceof Structure.RemoveContext remove && theme.modifiers().containsKey(remove.modifier()))
            return paths(theme.modifiers().get(remove.modifier()).contexts().getOrDefault(remove.name(), Group.EMPTY));
        if (edit instanceof Structure.RemoveModifier remove && theme.modifiers().containsKey(remove.name()))
            return theme.modifiers().get(remove.name()).contexts().values().stream().flatMap(tokens -> paths(tokens).stream()).toList();
        return List.of();
    }

    private static List<TokenPath> paths(Group tokens) {
        List<TokenPath> paths = new java.util.ArrayList<>();
        tokens.forEachToken((path, token, type) -> paths.add(path));
        return paths;
    }

    private static void collect(Edit edit, Set<TokenPath> referred) {
        if (edit instanceof Edit.Batch batch) batch.edits().forEach(one -> collect(one, referred));
        else if (edit instanceof Edit.SetValue set) References.forEach(set.value(), referred::add);
        else if (edit instanceof Edit.SetMeta set) set.meta().extended().ifPresent(referred::add);
        else if (edit instanceof Edit.Put put) collect(put.node(), referred);
        else if (edit instanceof Edit.PutAll put) collect(put.tokens(), referred);
        else if (edit instanceof Structure.AddSet add) collect(add.set().tokens(), referred);
        else if (edit instanceof Structure.AddContext add) collect(add.tokens(), referred);
        else if (edit instanceof Structure.AddModifier add) add.modifier().contexts().values().forEach(tokens -> collect(tokens, referred));
    }

    private static void collect(Node node, Set<TokenPath> referred) {
        if (node instanceof Token token) {
            References.forEach(token.value(), referred::add);
            return;
        }
        Group group = (Group) node;
        group.meta().extended().ifPresent(referred::add);
        group.children().values().forEach(child -> collect(child, referred));
    }
}
