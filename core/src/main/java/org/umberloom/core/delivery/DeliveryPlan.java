package org.umberloom.core.delivery;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.token.Fingerprint;

/**
 * What a delivery would do on a host, found by looking at it.
 *
 * @param folder of the build, in the folder of builds
 * @param there  whether the host holds the whole build already, so that it is only switched to
 * @param live   the folder that is live there now; empty for none
 * @param send   the files that have to be sent
 * @param linked the files that the build before has too, by their paths, with the path of the one there
 * @param remove folders that are too old to be kept
 */
public record DeliveryPlan(
        String folder,
        boolean there,
        Optional<String> live,
        List<Sent> send,
        Map<String, String> linked,
        List<String> remove) {
    /** The link that readers see a site through. */
    public static final String LIVE = "live";

    static final String BUILDS = "builds";
    /** So many builds are kept on a host, with the one that is live. */
    public static final int KEPT = 5;

    private static final int MOST_ALTERED = 20;

    public record Sent(String path, long bytes) {}

    public long bytes() {
        return send.stream().mapToLong(Sent::bytes).sum();
    }

    static String path(String folder, String file) {
        return BUILDS + "/" + folder + "/" + file;
    }

    /** @throws HostFault when the host is not as a delivery left it */
    public static DeliveryPlan of(HostFiles host, Build build) {
        Optional<String> live = live(host);
        List<String> standing = host.list(BUILDS).stream()
                .filter(name -> Build.FOLDER.matcher(name).matches())
                .toList();
        String folder = build.folder();
        for (int more = 2; standing.contains(folder); more++) {
            if (isWhole(host, folder, build))
                return new DeliveryPlan(folder, true, live, List.of(), Map.of(), remove(standing, folder, live));
            // Somebody changed it there: it is left as it is, and sent anew beside it.
            if (more > MOST_ALTERED)
                throw new HostFault(
                        "On the host, " + MOST_ALTERED + " folders of this build are not as they were sent. "
                                + "Remove them there. Nothing was changed.");
            folder = build.folder() + "-" + more;
        }
        Map<String, String> held = new LinkedHashMap<>();
        live.ifPresent(now -> hashes(host, now).forEach((path, hash) -> held.putIfAbsent(hash, path(now, path))));
        List<Sent> send = new ArrayList<>();
        Map<String, String> linked = new LinkedHashMap<>();
        build.files().forEach((path, content) -> {
            String there = held.get(Fingerprint.of(content));
            if (there == null) send.add(new Sent(path, content.length));
            else linked.put(path, there);
        });
        return new DeliveryPlan(folder, false, live, send, linked, remove(standing, folder, live));
    }

    /** The folder that is live. @throws HostFault when what is called so is something else than a delivery's link */
    private static Optional<String> live(HostFiles host) {
        Optional<String> target = host.pointsTo(LIVE);
        if (target.isEmpty() && host.there(LIVE))
            throw new HostFault(
                    "On the host, “" + LIVE + "” is no link that a delivery made. Move it away, or give the site "
                            + "another folder. Nothing was changed.");
        return target.map(path -> {
            String folder = path.startsWith(BUILDS + "/") ? path.substring(BUILDS.length() + 1) : "";
            if (!Build.FOLDER.matcher(folder).matches())
                throw new HostFault(
                        "On the host, “" + LIVE + "” points to “" + path + "”, which no delivery made. Move it "
                                + "away, or give the site another folder. Nothing was changed.");
            return folder;
        });
    }

    static boolean isWhole(HostFiles host, String folder, Build build) {
        return build.files().entrySet().stream()
                .allMatch(file -> host.holds(path(folder, file.getKey()), file.getValue()));
    }

    /** What a build there says of its files; none where its manifest cannot be read. */
    private static Map<String, String> hashes(HostFiles host, String folder) {
        return host.read(path(folder, KitManifest.FILE))
                .map(KitManifest::hashes)
                .orElse(Map.of());
    }

    /** The oldest of those that are there beyond {@link #KEPT}, with the new one counted; never what is live. */
    private static List<String> remove(List<String> standing, String folder, Optional<String> live) {
        List<String> others = standing.stream()
                .filter(name -> !name.equals(folder) && !live.equals(Optional.of(name)))
                .sorted(Comparator.comparingInt(DeliveryPlan::number).reversed())
                .toList();
        int kept = KEPT - 1 - (live.isPresent() && !live.get().equals(folder) ? 1 : 0);
        return others.size() <= kept ? List.of() : others.subList(kept, others.size());
    }

    private static int number(String folder) {
        Matcher matcher = Build.FOLDER.matcher(folder);
        if (!matcher.matches()) throw new IllegalArgumentException(folder);
        return matcher.group(1).length() > 9 ? Integer.MAX_VALUE : Integer.parseInt(matcher.group(1));
    }
}
