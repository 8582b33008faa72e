package org.umberloom.core.delivery;

import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.umberloom.core.format.KitManifest;

/**
 * Brings a build to a host. Files go into a folder beside those that are there, are read back and compared, and the folder gets
 * its name when it is whole; then the link that readers see the site through is switched in one step. Whatever ends it on the way,
 * what is live is one whole build; what was sent is found again by the next try.
 */
public final class Delivery {
    private static final String NEXT = ".live.next";
    private static final String PART = ".part";

    /** Whoever waits for a delivery. */
    public interface Watch {
        /** @param files and bytes that are there by now, of all of the build */
        void there(int files, long bytes);

        /** Whether somebody asked to stop; it does before the next file, and never after the switch. */
        boolean stops();
    }

    /** Somebody stopped it. */
    public static final class Stopped extends RuntimeException {
        private static final long serialVersionUID = 1;

        Stopped() {
            super("It was stopped. What is live there stayed as it was; what was sent is kept there for the next try.");
        }
    }

    /**
     * @param plan what was planned and done
     * @param left what is left to say; empty for nothing
     */
    public record Done(DeliveryPlan plan, String left) {}

    private final HostFiles host;
    private final Build build;
    private final Watch watch;
    private int files;
    private long bytes;

    private Delivery(HostFiles host, Build build, Watch watch) {
        this.host = host;
        this.build = build;
        this.watch = watch;
    }

    /**
     * @return what was done
     * @throws HostFault when the host refuses; what is live there is whole
     * @throws Stopped   when somebody asked for that
     */
    public static Done run(HostFiles host, Build build, Watch watch) {
        DeliveryPlan plan = DeliveryPlan.of(host, build);
        return new Done(plan, new Delivery(host, build, watch).run(plan));
    }

    private String run(DeliveryPlan plan) {
        if (!plan.there()) send(plan);
        go();
        if (!plan.live().equals(Optional.of(plan.folder()))) {
            host.remove(NEXT);
            host.point(NEXT, DeliveryPlan.BUILDS + "/" + plan.folder());
            host.rename(NEXT, DeliveryPlan.LIVE);
        }
        if (!host.holds(
                DeliveryPlan.LIVE + "/" + KitManifest.FILE, build.files().get(KitManifest.FILE)))
            throw new HostFault("It was switched, but the host shows another build as live. Look at the folder there.");
        watch.there(build.files().size(), build.bytes());
        return clear(plan);
    }

    /** Removes what is too old, and what others began and left. It is live by now: what fails here is only said. */
    private String clear(DeliveryPlan plan) {
        try {
            plan.remove().forEach(folder -> host.remove(DeliveryPlan.BUILDS + "/" + folder));
            for (String name : host.list(DeliveryPlan.BUILDS))
                if (name.startsWith(".") && name.endsWith(PART)) host.remove(DeliveryPlan.BUILDS + "/" + name);
            return "";
        } catch (HostFault e) {
            return "It is live, but older builds could not be removed from the host: " + e.getMessage();
        }
    }

    private void send(DeliveryPlan plan) {
        String part = "." + build.folder() + PART;
        boolean begun = host.list(DeliveryPlan.BUILDS).contains(part);
        OptionalLong free = host.free();
        if (!begun && free.isPresent() && free.getAsLong() < plan.bytes())
            throw new HostFault("The host has no room: " + free.getAsLong() + " bytes are free, and " + plan.bytes()
                    + " have to be sent. Nothing was sent.");
        Set<String> folders = new HashSet<>();
        for (Map.Entry<String, byte[]> file : build.files().entrySet()) {
            go();
            String path = DeliveryPlan.path(part, file.getKey());
            byte[] content = file.getValue();
            if (!(begun && host.holds(path, content))) {
                String folder = path.substring(0, path.lastIndexOf('/'));
                if (folders.add(folder)) host.folder(folder);
                if (begun) host.remove(path);
                if (!linked(plan.linked().get(file.getKey()), path, content)) write(path, content);
            }
            files++;
            bytes += content.length;
            watch.there(files, bytes);
        }
        host.rename(DeliveryPlan.BUILDS + "/" + part, DeliveryPlan.BUILDS + "/" + plan.folder());
    }

    private boolean linked(String existing, String path, byte[] content) {
        if (existing == null || !host.link(existing, path)) return false;
        if (host.holds(path, content)) return true;
        // The one that it was taken from is not what its manifest says.
        host.remove(path);
        return false;
    }

    private void write(String path, byte[] content) {
        host.write(path, content);
        if (!host.holds(path, content))
            throw new HostFault(
                    "“" + path + "” came back from the host otherwise than it was sent. Nothing was switched.");
    }

    private void go() {
        if (watch.stops()) throw new Stopped();
    }
}
