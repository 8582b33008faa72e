package org.umberloom.app.deliver;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.BooleanSupplier;
import org.umberloom.core.delivery.HostFault;
import org.umberloom.core.delivery.HostFiles;

/** What a delivery needs of a host, each tried in a folder that nobody else uses. */
final class Trials {
    private static final byte[] ONE = "one".getBytes(StandardCharsets.UTF_8);
    private static final byte[] OTHER = "other".getBytes(StandardCharsets.UTF_8);

    private static final String LINKS = "A file can have a second name, so that only what changed is sent";

    private Trials() {}

    static void of(HostFiles files, List<HostService.Trial> steps) {
        try {
            boolean goesOn = step(steps, "Folders and files can be made, and come back as they were sent", () -> {
                files.folder("a");
                files.folder("b");
                files.write("a/file", ONE);
                files.write("b/file", OTHER);
                return files.holds("a/file", ONE) && files.holds("b/file", OTHER);
            });
            if (goesOn && !step(steps, LINKS, () -> files.link("a/file", "c"))) {
                steps.set(
                        steps.size() - 1,
                        new HostService.Trial(
                                LINKS,
                                false,
                                false,
                                "It cannot: every delivery sends all files. Nothing else suffers."));
            }
            if (goesOn)
                step(steps, "What readers see can be switched in one step", () -> {
                    files.point("live", "a");
                    if (!files.holds("live/file", ONE)) return false;
                    files.point("next", "b");
                    files.rename("next", "live");
                    return files.holds("live/file", OTHER);
                });
        } finally {
            step(steps, "What was tried is removed again", () -> {
                files.remove("");
                return files.list("").isEmpty();
            });
        }
    }

    private static boolean step(List<HostService.Trial> steps, String words, BooleanSupplier tried) {
        try {
            boolean works = tried.getAsBoolean();
            steps.add(new HostService.Trial(words, works, !works, works ? "" : "It came out otherwise."));
            return works;
        } catch (HostFault e) {
            steps.add(new HostService.Trial(words, false, true, e.getMessage()));
            return false;
        }
    }
}
