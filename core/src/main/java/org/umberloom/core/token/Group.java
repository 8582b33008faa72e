package org.umberloom.core.token;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;

/** Named tokens and groups in their order. Immutable: every change gives a new tree that shares what stayed. */
public final class Group implements Node {
    public static final Group EMPTY = new Group(Map.of(), Meta.NONE);

    private final Map<String, Node> children;
    private final Meta meta;
    /** The flat list where this group was last walked. Losing a race costs a second walk, nothing else. */
    private Flat flat;
    /** The inherited type for which every token's type is known to be said; null when that was not looked at. */
    private Optional<TokenType> saidFor;
    /** Whether this group or one below extends another: 0 for not asked yet, 1 for no, 2 for yes. */
    private byte extension;

    /** @throws IllegalArgumentException when a child's name cannot be one */
    public Group(Map<String, Node> children, Meta meta) {
        this.children = Collections.unmodifiableMap(new LinkedHashMap<>(children));
        this.meta = meta;
        children.keySet().forEach(TokenPath::checkName);
    }

    /** Tokens and groups by name, in order. */
    public Map<String, Node> children() {
        return children;
    }

    @Override
    public Meta meta() {
        return meta;
    }

    /** The node at a path below this group. */
    public Optional<Node> find(TokenPath path) {
        Node node = this;
        for (String segment : path.segments()) {
            if (!(node instanceof Group group)) return Optional.empty();
            node = group.children.get(segment);
            if (node == null) return Optional.empty();
        }
        return Optional.of(node);
    }

    public Optional<Token> token(TokenPath path) {
        return find(path).filter(Token.class::isInstance).map(Token.class::cast);
    }

    public Optional<Group> group(TokenPath path) {
        return find(path).filter(Group.class::isInstance).map(Group.class::cast);
    }

    /** With a node at a path: in the place of what stands there, else last in its group; missing groups are made. */
    public Group with(TokenPath path, Node node) {
        return with(path.segments(), node, -1);
    }

    /** With a node inserted as the child number {@code index} of its group. */
    public Group with(TokenPath path, Node node, int index) {
        return with(path.segments(), node, index);
    }

    private Group with(List<String> segments, Node node, int index) {
        String name = segments.get(0);
        if (segments.size() == 1) return withChild(name, node, index);
        Node child = children.getOrDefault(name, EMPTY);
        if (!(child instanceof Group group))
            throw new IllegalArgumentException("“" + name + "” is a token, so nothing can stand below it");
        return withChild(name, group.with(segments.subList(1, segments.size()), node, index), -1);
    }

    private Group withChild(String name, Node node, int index) {
        Map<String, Node> changed = new LinkedHashMap<>(children);
        if (index < 0) {
            changed.put(name, node);
            return new Group(changed, meta);
        }
        changed.remove(name);
        List<Map.Entry<String, Node>> entries = new ArrayList<>(changed.entrySet());
        entries.add(Math.min(index, entries.size()), Map.entry(name, node));
        Map<String, Node> ordered = new LinkedHashMap<>();
        entries.forEach(entry -> ordered.put(entry.getKey(), entry.getValue()));
        return new Group(ordered, meta);
    }

    /**
     * With another tree over it: where both hold a token the other's, and of the properties of a group the other's where it has any.
     * Source: Resolver Module 2025.10 (later wins).
     */
    public Group under(Group above) {
        Map<String, Node> merged = new LinkedHashMap<>(children);
        above.children.forEach((name, node) -> merged.merge(
                name,
                node,
                (old, fresh) -> old instanceof Group oldGroup && fresh instanceof Group freshGroup
                        ? oldGroup.under(freshGroup)
                        : fresh));
        return new Group(merged, above.meta.equals(Meta.NONE) ? meta : above.meta);
    }

    /** Without the node at a path; a group that is left empty stays. */
    public Group without(TokenPath path) {
        return without(path.segments());
    }

    private Group without(List<String> segments) {
        String name = segments.get(0);
        Map<String, Node> changed = new LinkedHashMap<>(children);
        if (segments.size() == 1) changed.remove(name);
        else if (children.get(name) instanceof Group group)
            changed.put(name, group.without(segments.subList(1, segments.size())));
        return new Group(changed, meta);
    }

    /** The path itself, or the highest group around it that would be left with nothing to say without it. */
    public TokenPath highestAlone(TokenPath path) {
        TokenPath alone = path;
        while (alone.parent()
                .flatMap(this::group)
                .filter(around -> around.children.size() == 1 && around.meta.equals(Meta.NONE))
                .isPresent()) alone = alone.parent().get();
        return alone;
    }

    public Group withMeta(Meta newMeta) {
        return new Group(children, newMeta);
    }

    /** At which number of its group's children a path stands, or −1. */
    public int indexOf(TokenPath path) {
        List<String> segments = path.segments();
        Group parent = this;
        for (String segment : segments.subList(0, segments.size() - 1)) {
            if (!(parent.children.get(segment) instanceof Group group)) return -1;
            parent = group;
        }
        return new ArrayList<>(parent.children.keySet()).indexOf(segments.get(segments.size() - 1));
    }

    /** Every token below this group with its path, in order, and the type its groups say it has. */
    public void forEachToken(TokenVisitor visitor) {
        for (Entry entry : flat("", Optional.empty())) visitor.visit(entry.path, entry.token, entry.declaredType);
    }

    /** The paths of all tokens below this group, in order. */
    public List<TokenPath> paths() {
        return flat("", Optional.empty()).stream().map(Entry::path).toList();
    }

    /** How many tokens lie below this group. */
    public int tokenCount() {
        return flat("", Optional.empty()).size();
    }

    private record Entry(TokenPath path, Token token, Optional<TokenType> declaredType) {}

    private record Flat(String path, Optional<TokenType> inherited, List<Entry> entries) {}

    /**
     * The tokens as a flat list. It is remembered: versions of a theme share groups, so after an edit only the groups on
     * the way to it are walked again.
     */
    private List<Entry> flat(String path, Optional<TokenType> inherited) {
        Flat known = flat;
        if (known != null && known.path.equals(path) && known.inherited.equals(inherited)) return known.entries;
        List<Entry> entries = new ArrayList<>();
        Optional<TokenType> type = meta.type().or(() -> inherited);
        children.forEach((name, node) -> {
            String childPath = path.isEmpty() ? name : path + "." + name;
            if (node instanceof Token token)
                entries.add(new Entry(
                        new TokenPath(childPath), token, token.meta().type().or(() -> type)));
            else entries.addAll(((Group) node).flat(childPath, type));
        });
        flat = new Flat(path, inherited, entries);
        return entries;
    }

    /**
     * The same tokens, each with a type of its own where its value has another type than the groups around it declare:
     * so that it can be read again as it is. The very same group where nothing had to be said.
     */
    public Group withTypesSaid() {
        return withTypesSaid(Optional.empty());
    }

    private Group withTypesSaid(Optional<TokenType> inherited) {
        if (inherited.equals(saidFor)) return this;
        Optional<TokenType> type = meta.type().or(() -> inherited);
        Map<String, Node> said = null;
        for (Map.Entry<String, Node> child : children.entrySet()) {
            Node node = child.getValue();
            Node now = node instanceof Group group ? group.withTypesSaid(type) : saying((Token) node, type);
            if (now == node) continue;
            if (said == null) said = new LinkedHashMap<>(children);
            said.put(child.getKey(), now);
        }
        Group result = said == null ? this : new Group(said, meta);
        result.saidFor = inherited;
        return result;
    }

    private static Token saying(Token token, Optional<TokenType> inherited) {
        Optional<TokenType> own = token.value().type();
        Optional<TokenType> declared = token.meta().type().or(() -> inherited);
        return own.isEmpty() || own.equals(declared)
                ? token
                : token.withMeta(token.meta().withType(own));
    }

    /** Whether this group or any below it extends another. */
    public boolean hasExtension() {
        if (extension == 0) {
            boolean found = meta.extended().isPresent();
            for (Node child : children.values()) found |= child instanceof Group group && group.hasExtension();
            extension = (byte) (found ? 2 : 1);
        }
        return extension == 2;
    }

    /** Every group below this one with its path, in order. */
    public void forEachGroup(BiConsumer<TokenPath, Group> visitor) {
        visitGroups("", this, visitor);
    }

    /** Receives one token. */
    public interface TokenVisitor {
        void visit(TokenPath path, Token token, Optional<TokenType> declaredType);
    }

    private static void visitGroups(String prefix, Group group, BiConsumer<TokenPath, Group> visitor) {
        group.children.forEach((name, node) -> {
            if (!(node instanceof Group child)) return;
            String path = prefix.isEmpty() ? name : prefix + "." + name;
            visitor.accept(new TokenPath(path), child);
            visitGroups(path, child, visitor);
        });
    }

    /** Equal when both say the same of themselves and hold equal children under equal names. */
    @Override
    public boolean equals(Object other) {
        return this == other
                || other instanceof Group group && meta.equals(group.meta) && children.equals(group.children);
    }

    @Override
    public int hashCode() {
        return 31 * children.hashCode() + meta.hashCode();
    }

    @Override
    public String toString() {
        return "Group" + children;
    }
}
