package org.umberloom.core.delivery;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.TreeMap;

/** A host that breaks off at a chosen step; what is written just then is cut in half. */
final class HostInMemory implements HostFiles {
    /** A folder, a link by its target, or a file; two names can have the same file. */
    private static final class Node {
        private final String target;
        private byte[] content;

        Node(String target, byte[] content) {
            this.target = target;
            this.content = content;
        }
    }

    private static final Node FOLDER = new Node(null, null);

    private final TreeMap<String, Node> nodes = new TreeMap<>();
    int steps;
    /** Breaks at this step and all that follow. */
    int breaksAt = Integer.MAX_VALUE;

    boolean links = true;
    OptionalLong free = OptionalLong.empty();
    final List<String> written = new ArrayList<>();

    private boolean breaks() {
        return ++steps >= breaksAt;
    }

    private void step() {
        if (breaks()) throw new HostFault("The connection broke.");
    }

    /** Follows the link that a path begins with. */
    private String real(String path) {
        for (Map.Entry<String, Node> entry : nodes.entrySet())
            if (entry.getValue().target != null && path.startsWith(entry.getKey() + "/"))
                return entry.getValue().target + path.substring(entry.getKey().length());
        return path;
    }

    /** What readers of the site get: every file below the link. */
    Map<String, byte[]> seen() {
        Map<String, byte[]> seen = new TreeMap<>();
        Node link = nodes.get(DeliveryPlan.LIVE);
        if (link == null) return seen;
        nodes.forEach((path, node) -> {
            if (path.startsWith(link.target + "/") && node.content != null)
                seen.put(path.substring(link.target.length() + 1), node.content);
        });
        return seen;
    }

    @Override
    public List<String> list(String folder) {
        step();
        return nodes.keySet().stream()
                .filter(path -> path.startsWith(folder + "/"))
                .map(path -> path.substring(folder.length() + 1).replaceFirst("/.*", ""))
                .distinct()
                .toList();
    }

    @Override
    public Optional<byte[]> read(String path) {
        step();
        return Optional.ofNullable(nodes.get(real(path))).map(node -> node.content);
    }

    @Override
    public void folder(String path) {
        step();
        for (int at = 0; at >= 0; ) {
            at = path.indexOf('/', at + 1);
            nodes.putIfAbsent(at < 0 ? path : path.substring(0, at), FOLDER);
        }
    }

    @Override
    public void write(String path, byte[] content) {
        if (!nodes.containsKey(path.substring(0, path.lastIndexOf('/'))))
            throw new AssertionError("no folder for " + path);
        boolean cut = breaks();
        byte[] put = cut ? Arrays.copyOf(content, content.length / 2) : content;
        Node there = nodes.get(path);
        if (there == null) nodes.put(path, new Node(null, put));
        // As on a disk: who has the same file by another name sees it.
        else there.content = put;
        written.add(path);
        if (cut) throw new HostFault("The connection broke.");
    }

    @Override
    public boolean link(String existing, String path) {
        step();
        if (!links || !nodes.containsKey(existing)) return false;
        nodes.put(path, nodes.get(existing));
        return true;
    }

    @Override
    public void rename(String from, String to) {
        step();
        Map<String, Node> moved = new TreeMap<>();
        nodes.forEach((path, node) -> {
            if (path.equals(from) || path.startsWith(from + "/")) moved.put(path, node);
        });
        if (moved.isEmpty()) throw new AssertionError("nothing to rename: " + from);
        moved.keySet().forEach(nodes::remove);
        moved.forEach((path, node) -> nodes.put(to + path.substring(from.length()), node));
    }

    @Override
    public void point(String link, String target) {
        step();
        nodes.put(link, new Node(target, null));
    }

    @Override
    public Optional<String> pointsTo(String link) {
        step();
        return Optional.ofNullable(nodes.get(link)).map(node -> node.target);
    }

    @Override
    public boolean there(String path) {
        step();
        return nodes.containsKey(path);
    }

    @Override
    public void remove(String path) {
        step();
        nodes.keySet().removeIf(one -> one.equals(path) || one.startsWith(path + "/"));
    }

    @Override
    public OptionalLong free() {
        step();
        return free;
    }
}
