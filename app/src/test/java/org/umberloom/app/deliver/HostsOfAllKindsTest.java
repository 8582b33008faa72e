package org.umberloom.app.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.umberloom.core.delivery.Build;
import org.umberloom.core.delivery.Delivery;
import org.umberloom.core.delivery.DeliveryPlan;
import org.umberloom.core.delivery.HostFault;
import org.umberloom.core.delivery.HostFiles;
import org.umberloom.core.format.KitManifest;
import org.umberloom.host.SimulatedHost;

/** Deliveries to a folder and by SFTP, to the library's own server and to OpenSSH's sftp-server (Debian's package). */
class HostsOfAllKindsTest {
    private static final String ACCOUNT = "harbour";
    private static final String PASSWORD = "rope-and-tar";
    private static final Delivery.Watch NOBODY = new Delivery.Watch() {
        @Override
        public void there(int files, long bytes) {}

        @Override
        public boolean stops() {
            return false;
        }
    };

    enum Kind {
        FOLDER,
        LIBRARY,
        OPENSSH
    }

    @TempDir
    private Path folder;

    private Path site() {
        return folder.resolve("served/quay");
    }

    private SimulatedHost host(Kind kind, OptionalLong room) throws IOException {
        return new SimulatedHost(new SimulatedHost.Setting(
                folder.resolve("served"),
                folder.resolve("key"),
                ACCOUNT,
                PASSWORD,
                "",
                0,
                0,
                room,
                kind == Kind.OPENSSH ? SimulatedHost.Speaks.OPENSSH : SimulatedHost.Speaks.LIBRARY));
    }

    private static SftpLine.Door door(SimulatedHost host, int port) {
        return new SftpLine.Door("127.0.0.1", port, ACCOUNT, host.fingerprint(), PASSWORD, "");
    }

    /** OpenSSH's server sees the whole machine. */
    private String place(Kind kind) {
        return kind == Kind.OPENSSH ? site().toString() : "quay";
    }

    private static Build build(int number) {
        Map<String, byte[]> files = new TreeMap<>();
        files.put(KitManifest.FILE, "{\"name\": \"Quay\"}".getBytes(StandardCharsets.UTF_8));
        Random random = new Random(number);
        for (int page = 0; page < 6; page++)
            files.put("pages/quay/p" + page + ".html", ("<p>" + number + " " + page).getBytes(StandardCharsets.UTF_8));
        byte[] picture = new byte[60_000];
        random.nextBytes(picture);
        files.put("pictures/way " + number + "é.webp", picture);
        files.put("fonts/same.woff2", new byte[90_000]);
        return new Build(number, KitManifest.sealed(files, "1.0." + number));
    }

    private Map<String, byte[]> live() throws IOException {
        Path live = site().resolve("live").toRealPath();
        Map<String, byte[]> found = new TreeMap<>();
        try (Stream<Path> files = Files.walk(live)) {
            for (Path file : files.filter(Files::isRegularFile).toList())
                found.put(live.relativize(file).toString(), Files.readAllBytes(file));
        }
        return found;
    }

    private void isLive(Build build) throws IOException {
        Map<String, byte[]> live = live();
        assertThat(live.keySet()).isEqualTo(build.files().keySet());
        build.files()
                .forEach((path, content) -> assertThat(live.get(path)).as(path).isEqualTo(content));
    }

    private interface Work {
        void on(HostFiles files) throws Exception;
    }

    private void with(Kind kind, Work work) throws Exception {
        if (kind == Kind.FOLDER) {
            work.on(new FolderHostFiles(site()));
            return;
        }
        try (SimulatedHost host = host(kind, OptionalLong.empty());
                SftpLine line = SftpLine.open(door(host, host.port()))) {
            work.on(new SftpHostFiles(line.files(), place(kind)));
        }
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void buildsArriveAreSwitchedAndGoneBackTo(Kind kind) throws Exception {
        with(kind, files -> {
            Delivery.run(files, build(1), NOBODY);
            isLive(build(1));
            DeliveryPlan plan = DeliveryPlan.of(files, build(2));
            assertThat(plan.linked()).containsOnlyKeys("fonts/same.woff2");
            assertThat(Delivery.run(files, build(2), NOBODY).left()).isEmpty();
            isLive(build(2));
            Path first = site().resolve("builds").resolve(build(1).folder());
            Path second = site().resolve("builds").resolve(build(2).folder());
            assertThat(Files.getAttribute(second.resolve("fonts/same.woff2"), "unix:ino"))
                    .as("sent once, by two names")
                    .isEqualTo(Files.getAttribute(first.resolve("fonts/same.woff2"), "unix:ino"));
            assertThat(Delivery.run(files, build(1), NOBODY).plan().there()).isTrue();
            isLive(build(1));
            for (int number = 3; number < 9; number++) Delivery.run(files, build(number), NOBODY);
            isLive(build(8));
            assertThat(files.list("builds")).hasSize(DeliveryPlan.KEPT);
            if (kind != Kind.LIBRARY) assertThat(files.free().getAsLong()).isPositive();
        });
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void whatADeliveryNeedsIsTriedAndRemovedAgain(Kind kind) throws Exception {
        with(kind, files -> {
            List<HostService.Trial> steps = new ArrayList<>();
            Trials.of(files, steps);
            assertThat(steps).hasSize(4).allMatch(HostService.Trial::works);
            assertThat(site()).doesNotExist();
        });
    }

    /** The line breaks after so many bytes, at points by chance; readers see one whole build, and the next try ends it. */
    @ParameterizedTest
    @CsvSource({"LIBRARY, 50", "OPENSSH, 50"})
    void whereverTheLineBreaksReadersSeeOneWholeBuild(Kind kind, int cuts) throws Exception {
        try (SimulatedHost host = host(kind, OptionalLong.empty());
                CuttingLine line = new CuttingLine(host.port())) {
            deliver(host, line, place(kind), build(1));
            long before = line.passed.get();
            deliver(host, line, place(kind), build(2));
            long whole = line.passed.get() - before;
            deliver(host, line, place(kind), build(1));
            Random random = new Random(20261128);
            int broken = 0;
            int switched = 0;
            for (int cut = 0; cut < cuts; cut++) {
                Build next = build(3 + cut);
                line.passed.set(0);
                line.cutsAfter = (long) (random.nextDouble() * whole);
                Build old = build(cut == 0 ? 1 : 2 + cut);
                try {
                    deliver(host, line, place(kind), next);
                } catch (HostFault e) {
                    broken++;
                }
                boolean arrived = live().containsKey("pictures/way " + next.number() + "é.webp");
                if (arrived) switched++;
                isLive(arrived ? next : old);
                line.cutsAfter = Long.MAX_VALUE;
                deliver(host, line, place(kind), next);
                isLive(next);
            }
            assertThat(broken).isGreaterThan(cuts * 3 / 4);
            assertThat(switched).isLessThan(cuts / 2);
        }
    }

    private static void deliver(SimulatedHost host, CuttingLine line, String place, Build build) {
        try (SftpLine open = SftpLine.open(door(host, line.port()))) {
            Delivery.run(new SftpHostFiles(open.files(), place), build, NOBODY);
        }
    }

    @Test
    void aFullDiskIsSaidAndWhatIsLiveStays() throws Exception {
        try (SimulatedHost host = host(Kind.LIBRARY, OptionalLong.of(260_000));
                SftpLine line = SftpLine.open(door(host, host.port()))) {
            SftpHostFiles files = new SftpHostFiles(line.files(), "quay");
            Delivery.run(files, build(1), NOBODY);
            Delivery.run(files, build(2), NOBODY);
            assertThatThrownBy(() -> Delivery.run(files, build(3), NOBODY))
                    .isInstanceOf(HostFault.class)
                    .hasMessageContaining("The host’s disk is full")
                    .hasMessageContaining("stayed as it was");
            isLive(build(2));
        }
    }

    /** A disk of its own, of 512 kB, which fills while a build is on its way: nothing simulated. Only who may mount one can try it. */
    @Test
    void aDiskThatFillsAtOpensshsServerIsSaidAndWhatIsLiveStays() throws Exception {
        Files.createDirectories(site());
        assumeTrue(ran("mount", "-t", "tmpfs", "-o", "size=512k", "tmpfs", site().toString()), "may not mount a disk");
        try (SimulatedHost host = host(Kind.OPENSSH, OptionalLong.empty());
                SftpLine line = SftpLine.open(door(host, host.port()))) {
            SftpHostFiles files = new SftpHostFiles(line.files(), place(Kind.OPENSSH));
            Delivery.run(files, build(1), NOBODY);
            Delivery.run(files, build(2), NOBODY);
            Delivery.Watch filling = new Delivery.Watch() {
                @Override
                public void there(int sent, long bytes) {
                    try {
                        Files.write(site().resolve("others"), new byte[1 << 20]);
                    } catch (IOException full) {
                        assertThat(full).hasMessageContaining("No space left");
                    }
                }

                @Override
                public boolean stops() {
                    return false;
                }
            };
            assertThatThrownBy(() -> Delivery.run(files, build(3), filling))
                    .isInstanceOf(HostFault.class)
                    .hasMessageContaining("The host’s disk is full: 0 bytes are free")
                    .hasMessageContaining("stayed as it was");
            isLive(build(2));
            // The next try does not begin.
            assertThatThrownBy(() -> Delivery.run(files, build(4), NOBODY))
                    .isInstanceOf(HostFault.class)
                    .hasMessageContaining("The host has no room");
            isLive(build(2));
            Files.delete(site().resolve("others"));
            Delivery.run(files, build(3), NOBODY);
            isLive(build(3));
        } finally {
            assertThat(ran("umount", "-l", site().toString())).isTrue();
        }
    }

    private static boolean ran(String... command) throws IOException, InterruptedException {
        return new ProcessBuilder(command)
                        .redirectErrorStream(true)
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start()
                        .waitFor()
                == 0;
    }

    @Test
    void anotherKeyThanThePinnedOneStopsIt() throws Exception {
        String pinned;
        try (SimulatedHost host = host(Kind.LIBRARY, OptionalLong.empty())) {
            pinned = host.fingerprint();
            assertThat(SftpLine.look("127.0.0.1", host.port())).isEqualTo(pinned);
        }
        Files.delete(folder.resolve("key"));
        try (SimulatedHost host = host(Kind.LIBRARY, OptionalLong.empty())) {
            assertThat(host.fingerprint()).isNotEqualTo(pinned);
            assertThatThrownBy(() ->
                            SftpLine.open(new SftpLine.Door("127.0.0.1", host.port(), ACCOUNT, pinned, PASSWORD, "")))
                    .isInstanceOf(HostFault.class)
                    .hasMessageContaining("shows another key")
                    .hasMessageContaining(pinned)
                    .hasMessageContaining(host.fingerprint());
            assertThat(folder.resolve("served")).isEmptyDirectory();
        }
    }

    @Test
    void whoIsNotLetInOrAnswersOtherwiseIsSaid() throws Exception {
        int port;
        try (SimulatedHost host = host(Kind.LIBRARY, OptionalLong.empty())) {
            port = host.port();
            assertThatThrownBy(() -> SftpLine.open(
                            new SftpLine.Door("127.0.0.1", port, ACCOUNT, host.fingerprint(), "wrong", "")))
                    .hasMessageContaining("does not let harbour in with this password");
            assertThatThrownBy(() -> SftpLine.open(
                            new SftpLine.Door("127.0.0.1", host.webPort(), ACCOUNT, host.fingerprint(), PASSWORD, "")))
                    .hasMessageContaining("speaks no SFTP");
        }
        assertThatThrownBy(() -> SftpLine.look("127.0.0.1", port)).hasMessageContaining("Nobody answers");
        assertThatThrownBy(() -> SftpLine.look("nowhere.invalid", 22)).hasMessageContaining("no host with the name");
    }
}
