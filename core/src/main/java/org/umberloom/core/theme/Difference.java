package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/** What leads from one state of a theme to another: as an edit, and token by token for people. */
public final class Difference {
    private Difference() {}

    /** What happened to a token at a place: it came, went or changed. */
    public record Entry(Place place, TokenPath path, Optional<Token> before, Optional<Token> after) {}

    /** An edit that turns one state exactly into the other, byte for byte. */
    public static Edit edit(String label, ThemeDocument from, ThemeDocument to) {
        List<Edit> edits = new ArrayList<>();
        if (!from.name().equals(to.name())) edits.add(new Edit.SetName(to.name()));
        if (!from.description().equals(to.description())) edits.add(new Edit.SetDescription(to.description()));
        sets(from, to, edits);
        modifiers(from, to, edits);
        scopes(from, to, edits);
        pictures(Picture.of(from), Picture.of(to), edits);
        pieces(SharedPiece.of(from), SharedPiece.of(to), edits);
        if (!OwnStyle.of(from).equals(OwnStyle.of(to))) edits.add(new Edit.SetStyle(OwnStyle.of(to)));
        List<Edit> made = new ArrayList<>(edits);
        ThemeDocument current = new Edit.Batch(label, made).applyTo(from).theme();
        if (!current.order().equals(to.order())) edits.add(new Structure.Reorder(to.order()));
        return new Edit.Batch(label, edits);
    }

    /** Where their order differs, all are taken away and put in anew. */
    private static void pictures(Map<String, Picture> from, Map<String, Picture> to, List<Edit> edits) {
        if (List.copyOf(from.entrySet()).equals(List.copyOf(to.entrySet()))) return;
        from.keySet().forEach(name -> edits.add(new Edit.SetPicture(name, Optional.empty())));
        to.forEach((name, picture) -> edits.add(new Edit.SetPicture(name, Optional.of(picture))));
    }

    private static void pieces(Map<String, SharedPiece> from, Map<String, SharedPiece> to, List<Edit> edits) {
        to.forEach((name, piece) -> {
            if (!piece.equals(from.get(name))) edits.add(new Edit.SetPiece(name, Optional.of(piece)));
        });
        from.keySet().forEach(name -> {
            if (!to.containsKey(name)) edits.add(new Edit.SetPiece(name, Optional.empty()));
        });
    }

    /** Every token that differs, place by place. */
    public static List<Entry> entries(ThemeDocument before, ThemeDocument after) {
        Set<Place> places = new LinkedHashSet<>(before.places());
        places.addAll(after.places());
        List<Entry> entries = new ArrayList<>();
        for (Place place : places) compare(place, "", at(before, place), at(after, place), entries);
        return entries;
    }

    private static Group at(ThemeDocument theme, Place place) {
        return theme.places().contains(place) ? theme.at(place) : Group.EMPTY;
    }

    private static void compare(Place place, String prefix, Node before, Node after, List<Entry> entries) {
        if (before == after) return;
        if (before instanceof Token || after instanceof Token) {
            boolean bothTokens = before instanceof Token && after instanceof Token;
            if (bothTokens && before.equals(after)) return;
            if (before instanceof Group group) listAll(place, prefix, group, false, entries);
            if (after instanceof Group group) listAll(place, prefix, group, true, entries);
            Optional<Token> old = before instanceof Token token ? Optional.of(token) : Optional.empty();
            Optional<Token> fresh = after instanceof Token token ? Optional.of(token) : Optional.empty();
            entries.add(new Entry(place, TokenPath.of(prefix), old, fresh));
            return;
        }
        Group old = (Group) before;
        Group fresh = (Group) after;
        Set<String> names = new LinkedHashSet<>(old.children().keySet());
        names.addAll(fresh.children().keySet());
        for (String name : names) {
            String path = prefix.isEmpty() ? name : prefix + "." + name;
            Node was = old.children().get(name);
            Node is = fresh.children().get(name);
            if (was != null && is != null) compare(place, path, was, is, entries);
            else if (was != null) one(place, path, was, false, entries);
            else one(place, path, is, true, entries);
        }
    }

    private static void one(Place place, String path, Node node, boolean added, List<Entry> entries) {
        if (node instanceof Group group) {
            listAll(place, path, group, added, entries);
            return;
        }
        Optional<Token> token = Optional.of((Token) node);
        entries.add(new Entry(
                place, TokenPath.of(path), added ? Optional.empty() : token, added ? token : Optional.empty()));
    }

    private static void listAll(Place place, String prefix, Group group, boolean added, List<Entry> entries) {
        group.children().forEach((name, node) -> one(place, prefix + "." + name, node, added, entries));
    }

    private static void sets(ThemeDocument from, ThemeDocument to, List<Edit> edits) {
        for (String name : from.sets().keySet())
            if (!to.sets().containsKey(name)) edits.add(new Structure.RemoveSet(name));
        List<String> names = new ArrayList<>(from.sets().keySet());
        names.retainAll(to.sets().keySet());
        to.sets().forEach((name, set) -> {
            ThemeDocument.TokenSet before = from.sets().get(name);
            if (before != null && !before.extensions().equals(set.extensions())) {
                edits.add(new Structure.RemoveSet(name));
                names.remove(name);
                before = null;
            }
            if (before == null) {
                edits.add(new Structure.AddSet(name, set, -1, -1));
                names.add(name);
                return;
            }
            if (!before.description().equals(set.description()))
                edits.add(new Structure.Describe("set", name, set.description()));
            groups(Place.set(name), "", before.tokens(), set.tokens(), edits);
        });
        List<String> wanted = List.copyOf(to.sets().keySet());
        if (!names.equals(wanted)) edits.add(new Structure.Arrange(Structure.Arrange.SETS, "", wanted));
    }

    private static void modifiers(ThemeDocument from, ThemeDocument to, List<Edit> edits) {
        for (String name : from.modifiers().keySet())
            if (!to.modifiers().containsKey(name)) edits.add(new Structure.RemoveModifier(name));
        List<String> names = new ArrayList<>(from.modifiers().keySet());
        names.retainAll(to.modifiers().keySet());
        to.modifiers().forEach((name, modifier) -> {
            Modifier before = from.modifiers().get(name);
            if (before != null && !before.extensions().equals(modifier.extensions())) {
                edits.add(new Structure.RemoveModifier(name));
                names.remove(name);
                before = null;
            }
            if (before == null) {
                edits.add(new Structure.AddModifier(name, modifier, -1, -1));
                names.add(name);
            } else contexts(name, before, modifier, edits);
        });
        List<String> wanted = List.copyOf(to.modifiers().keySet());
        if (!names.equals(wanted)) edits.add(new Structure.Arrange(Structure.Arrange.MODIFIERS, "", wanted));
    }

    private static void contexts(String modifier, Modifier from, Modifier to, List<Edit> edits) {
        if (!from.description().equals(to.description()))
            edits.add(new Structure.Describe("modifier", modifier, to.description()));
        List<String> names = new ArrayList<>(from.contexts().keySet());
        to.contexts().forEach((context, tokens) -> {
            Group before = from.contexts().get(context);
            if (before == null) {
                edits.add(new Structure.AddContext(modifier, context, tokens, -1));
                names.add(context);
            } else groups(Place.context(modifier, context), "", before, tokens, edits);
        });
        if (!from.defaultContext().equals(to.defaultContext()))
            edits.add(new Structure.SetDefault(modifier, to.defaultContext()));
        for (String context : from.contexts().keySet())
            if (!to.contexts().containsKey(context)) {
                edits.add(new Structure.RemoveContext(modifier, context));
                names.remove(context);
            }
        List<String> wanted = List.copyOf(to.contexts().keySet());
        if (!names.equals(wanted)) edits.add(new Structure.Arrange(Structure.Arrange.CONTEXTS, modifier, wanted));
    }

    private static void scopes(ThemeDocument from, ThemeDocument to, List<Edit> edits) {
        Set<Place.InScope> places = new LinkedHashSet<>(from.scopes().keySet());
        places.addAll(to.scopes().keySet());
        for (Place.InScope place : places) groups(place, "", from.at(place), to.at(place), edits);
    }

    private static void groups(Place place, String prefix, Group from, Group to, List<Edit> edits) {
        if (from == to) return;
        if (prefix.isEmpty() && !from.meta().equals(to.meta())) {
            edits.add(new Edit.PutAll(place, to));
            return;
        }
        if (!prefix.isEmpty() && !from.meta().equals(to.meta()))
            edits.add(new Edit.SetMeta(place, TokenPath.of(prefix), to.meta()));
        List<String> kept = new ArrayList<>();
        for (String name : from.children().keySet()) {
            if (to.children().containsKey(name)) kept.add(name);
            else edits.add(new Edit.Remove(place, path(prefix, name)));
        }
        List<String> keptInNewOrder = to.children().keySet().stream()
                .filter(from.children()::containsKey)
                .toList();
        boolean moved = !kept.equals(keptInNewOrder);
        int index = 0;
        for (Map.Entry<String, Node> child : to.children().entrySet()) {
            Node before = from.children().get(child.getKey());
            Node after = child.getValue();
            TokenPath path = path(prefix, child.getKey());
            if (before == null || moved) edits.add(new Edit.Put(place, path, after, index));
            else if (before instanceof Group old && after instanceof Group fresh)
                groups(place, path.dotted(), old, fresh, edits);
            else if (!before.equals(after)) edits.add(new Edit.Put(place, path, after, index));
            index++;
        }
    }

    private static TokenPath path(String prefix, String name) {
        return TokenPath.of(prefix.isEmpty() ? name : prefix + "." + name);
    }
}
