package org.umberloom.core.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.KitManifest;

class DeliveryTest {
    private static final Delivery.Watch NOBODY = new Delivery.Watch() {
        @Override
        public void there(int files, long bytes) {}

        @Override
        public boolean stops() {
            return false;
        }
    };

    /** A build of some pages, a style sheet that differs, and a font that all have. */
    private static Build build(int number) {
        Map<String, byte[]> files = new TreeMap<>();
        files.put(
                KitManifest.FILE,
                "{\"name\": \"Quay\", \"number\": %d}".formatted(number).getBytes(StandardCharsets.UTF_8));
        files.put("theme.css", ("a { order: " + number + " }").getBytes(StandardCharsets.UTF_8));
        files.put("pages/quay/index.html", "<p>Quay</p>".getBytes(StandardCharsets.UTF_8));
        files.put("pages/quay/fares.html", ("<p>Fares " + number + "</p>").getBytes(StandardCharsets.UTF_8));
        files.put("fonts/long.woff2", new byte[5_000]);
        return new Build(number, KitManifest.sealed(files, "1.0." + number));
    }

    private static void isLive(HostInMemory host, Build build) {
        assertThat(host.seen().keySet()).isEqualTo(build.files().keySet());
        build.files()
                .forEach((path, content) ->
                        assertThat(host.seen().get(path)).as(path).isEqualTo(content));
    }

    @Test
    void onlyWhatChangedIsSent() {
        HostInMemory host = new HostInMemory();
        Delivery.run(host, build(1), NOBODY);
        isLive(host, build(1));
        assertThat(host.written).hasSize(5);
        host.written.clear();
        DeliveryPlan plan = DeliveryPlan.of(host, build(2));
        assertThat(host.written).as("looking writes nothing").isEmpty();
        assertThat(plan.send())
                .extracting(DeliveryPlan.Sent::path)
                .containsExactly("kit.json", "pages/quay/fares.html", "theme.css");
        assertThat(plan.bytes()).isLessThan(2_000);
        assertThat(plan.live()).contains(build(1).folder());
        assertThat(Delivery.run(host, build(2), NOBODY)).isEqualTo(new Delivery.Done(plan, ""));
        isLive(host, build(2));
        assertThat(host.written).hasSize(3);
    }

    @Test
    void aHostWithoutHardLinksIsSentEverything() {
        HostInMemory host = new HostInMemory();
        host.links = false;
        Delivery.run(host, build(1), NOBODY);
        Delivery.run(host, build(2), NOBODY);
        isLive(host, build(2));
        assertThat(host.written).hasSize(10);
    }

    @Test
    void goingBackSendsNothing() {
        HostInMemory host = new HostInMemory();
        Delivery.run(host, build(1), NOBODY);
        Delivery.run(host, build(2), NOBODY);
        host.written.clear();
        assertThat(Delivery.run(host, build(1), NOBODY).plan().there()).isTrue();
        assertThat(host.written).isEmpty();
        isLive(host, build(1));
    }

    /** Everything that can break, broken once at every step, and then tried again. */
    @Test
    void wheneverItBreaksReadersSeeOneWholeBuild() {
        HostInMemory whole = new HostInMemory();
        Delivery.run(whole, build(1), NOBODY);
        whole.steps = 0;
        Delivery.run(whole, build(2), NOBODY);
        int steps = whole.steps;
        assertThat(steps).isGreaterThan(20);
        int before = 0;
        int resent = 0;
        for (int at = 1; at <= steps; at++) {
            HostInMemory host = new HostInMemory();
            Delivery.run(host, build(1), NOBODY);
            host.steps = 0;
            host.written.clear();
            host.breaksAt = at;
            try {
                Delivery.Done done = Delivery.run(host, build(2), NOBODY);
                assertThat(done.left()).as("step " + at).contains("could not be removed");
            } catch (HostFault e) {
                assertThat(e).hasMessage("The connection broke.");
            }
            boolean still = host.seen().get("theme.css").equals(build(1).files().get("theme.css"))
                    || new String(host.seen().get("theme.css"), StandardCharsets.UTF_8).contains("1");
            if (still) before++;
            isLive(host, still ? build(1) : build(2));
            host.breaksAt = Integer.MAX_VALUE;
            host.written.clear();
            Delivery.run(host, build(2), NOBODY);
            isLive(host, build(2));
            resent += host.written.size();
            assertThat(host.list(DeliveryPlan.BUILDS)).noneMatch(name -> name.startsWith("."));
            // What build 1 consists of was not written over through a common file.
            Delivery.run(host, build(1), NOBODY);
            isLive(host, build(1));
        }
        assertThat(before).isBetween(steps / 2, steps - 1);
        assertThat(resent).as("what was sent is found again").isLessThan(3 * before);
    }

    @Test
    void itCanBeStoppedUntilItIsSwitched() {
        HostInMemory host = new HostInMemory();
        Delivery.run(host, build(1), NOBODY);
        AtomicInteger asked = new AtomicInteger();
        List<Integer> files = new ArrayList<>();
        Delivery.Watch stopping = new Delivery.Watch() {
            @Override
            public void there(int there, long bytes) {
                files.add(there);
            }

            @Override
            public boolean stops() {
                return asked.incrementAndGet() == 4;
            }
        };
        assertThatThrownBy(() -> Delivery.run(host, build(2), stopping))
                .isInstanceOf(Delivery.Stopped.class)
                .hasMessageContaining("stayed as it was");
        assertThat(files).containsExactly(1, 2, 3);
        isLive(host, build(1));
    }

    @Test
    void whatWasAlteredOnTheHostIsSentAnewAndLeftAsItIs() {
        HostInMemory host = new HostInMemory();
        Delivery.run(host, build(1), NOBODY);
        host.write(DeliveryPlan.path(build(1).folder(), "fonts/long.woff2"), new byte[] {1});
        Delivery.Done done = Delivery.run(host, build(1), NOBODY);
        assertThat(done.plan().folder()).isEqualTo(build(1).folder() + "-2");
        isLive(host, build(1));
        assertThat(host.read(DeliveryPlan.path(build(1).folder(), "fonts/long.woff2")))
                .contains(new byte[] {1});
    }

    @Test
    void aLinkThatNoDeliveryMadeIsLeftAlone() {
        HostInMemory host = new HostInMemory();
        host.point(DeliveryPlan.LIVE, "htdocs");
        assertThatThrownBy(() -> Delivery.run(host, build(1), NOBODY))
                .isInstanceOf(HostFault.class)
                .hasMessageContaining("points to “htdocs”, which no delivery made");
        HostInMemory folder = new HostInMemory();
        folder.folder(DeliveryPlan.LIVE);
        assertThatThrownBy(() -> Delivery.run(folder, build(1), NOBODY)).hasMessageContaining("is no link");
        assertThat(host.written).isEmpty();
        assertThat(folder.written).isEmpty();
    }

    @Test
    void aHostWithoutRoomIsSaidBeforeAnythingIsSent() {
        HostInMemory host = new HostInMemory();
        host.free = OptionalLong.of(4_000);
        assertThatThrownBy(() -> Delivery.run(host, build(1), NOBODY))
                .isInstanceOf(HostFault.class)
                .hasMessageContaining("4000 bytes are free");
        assertThat(host.written).isEmpty();
    }

    @Test
    void theNewestAreKeptAndNeverIsTheLiveOneRemoved() {
        HostInMemory host = new HostInMemory();
        for (int number = 1; number <= 9; number++) Delivery.run(host, build(number), NOBODY);
        assertThat(host.list(DeliveryPlan.BUILDS)).hasSize(DeliveryPlan.KEPT);
        Delivery.run(host, build(5), NOBODY);
        assertThat(host.list(DeliveryPlan.BUILDS)).hasSize(DeliveryPlan.KEPT).contains(build(5).folder());
        Delivery.run(host, build(10), NOBODY);
        Delivery.run(host, build(11), NOBODY);
        isLive(host, build(11));
        assertThat(host.list(DeliveryPlan.BUILDS)).hasSize(DeliveryPlan.KEPT);
        assertThat(DeliveryPlan.of(host, build(12)).live())
                .isEqualTo(Optional.of(build(11).folder()));
    }

    @Test
    void aPathThatLeavesTheBuildIsNone() {
        for (String path : List.of("../x", "a/../../x", "/etc/x", "a\\b", "pages/.."))
            assertThatThrownBy(() -> new Build(1, Map.of(KitManifest.FILE, new byte[1], path, new byte[1])))
                    .as(path)
                    .isInstanceOf(IllegalArgumentException.class);
    }
}
