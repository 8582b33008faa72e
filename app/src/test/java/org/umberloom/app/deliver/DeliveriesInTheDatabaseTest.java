package org.umberloom.app.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Predicate;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionOperations;
import org.umberloom.app.RealDatabase;
import org.umberloom.app.account.Account;
import org.umberloom.app.publish.PublishService;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.theme.Commits;
import org.umberloom.core.format.KitManifest;
import org.umberloom.host.SimulatedHost;

/** Hosts and deliveries as MariaDB keeps them, to a simulated host. */
class DeliveriesInTheDatabaseTest {
    private static final String PASSWORD = "rope-and-tar";

    @TempDir
    private Path folder;

    private final RealDatabase database = RealDatabase.shared();
    private final JdbcTemplate sql = new JdbcTemplate(database.bean(DataSource.class));
    private final SiteService sites = mock(SiteService.class);
    private final PublishService publishing = mock(PublishService.class);
    private final String slug = "s" + UUID.randomUUID().toString().substring(0, 12);
    private SimulatedHost simulated;
    private HostService hosts;
    private DeliveryService deliveries;
    private Account lead;

    private static Map<String, byte[]> files(int number, int pages) {
        Map<String, byte[]> files = new TreeMap<>();
        files.put(KitManifest.FILE, "{\"name\": \"Quay\"}".getBytes(StandardCharsets.UTF_8));
        for (int page = 0; page < pages; page++)
            files.put("pages/quay/p" + page + ".html", (number + " " + page).getBytes(StandardCharsets.UTF_8));
        return KitManifest.sealed(files, "1.0." + number);
    }

    private HostService hostService(String key) {
        return new HostService(
                database.bean(HostMapper.class),
                new Secrets(key),
                Clock.systemUTC(),
                folder.resolve("here").toString());
    }

    @BeforeEach
    void aSiteWithTwoBuilds() throws IOException {
        Files.createDirectories(folder.resolve("here"));
        lead = database.lead();
        database.bareTheme();
        sql.update("insert into site (theme_id, slug, name) values (?, ?, 'Quay')", id("theme"), slug);
        long site = id("site");
        when(sites.get(slug)).thenReturn(new Site(site, slug, "Quay", id("theme")));
        sql.update(
                "insert into theme_release (theme_id, major, minor, patch, trial, revision, document, hash, notes, reason, account_id, "
                        + "made_at) values (?, 1, 0, 0, 0, 0, '{}', '', '', '', ?, now(3))",
                id("theme"),
                lead.id());
        for (int number : List.of(1, 2)) {
            sql.update(
                    "insert into build (site_id, number, release_id, site_revision, hash, token, bytes, account_id, made_at) "
                            + "values (?, ?, ?, 0, '', left(sha2(uuid(), 256), 32), 0, ?, now(3))",
                    site,
                    number,
                    id("theme_release"),
                    lead.id());
            when(publishing.files(slug, number)).thenReturn(files(number, number == 1 ? 3 : 400));
        }
        hosts = hostService("a-key-that-only-tests-have");
        deliveries = new DeliveryService(
                database.bean(DeliveryMapper.class),
                hosts,
                sites,
                publishing,
                new Commits(database.bean(TransactionOperations.class)),
                Clock.systemUTC());
        simulated = host("");
    }

    private SimulatedHost host(String key) throws IOException {
        return new SimulatedHost(new SimulatedHost.Setting(
                folder.resolve("served"),
                folder.resolve("key"),
                "harbour",
                key.isEmpty() ? PASSWORD : "",
                key,
                0,
                0,
                OptionalLong.empty(),
                SimulatedHost.Speaks.LIBRARY));
    }

    @AfterEach
    void close() {
        deliveries.end();
        simulated.close();
    }

    private long id(String table) {
        return sql.queryForObject("select max(id) from " + table, Long.class);
    }

    private HostWanted wanted(String signsIn, String secret) {
        boolean byKey = signsIn.equals("key");
        return new HostWanted(
                "Harbour " + slug,
                "sftp",
                "127.0.0.1",
                simulated.port(),
                "harbour",
                "",
                "http://127.0.0.1:" + simulated.webPort() + "/",
                signsIn,
                byKey ? "" : secret,
                byKey ? secret : "",
                simulated.fingerprint());
    }

    private HostService.HostView added(HostWanted wanted) {
        return hosts.add(wanted, lead).hosts().stream()
                .filter(one -> one.name().equals(wanted.name()))
                .findFirst()
                .orElseThrow();
    }

    private DeliveryService.DeliveryView last(Predicate<DeliveryService.DeliveryView> until)
            throws InterruptedException {
        for (int tries = 0; tries < 600; tries++) {
            DeliveryService.DeliveryView view = deliveries.of(slug).deliveries().get(0);
            if (until.test(view)) return view;
            Thread.sleep(50);
        }
        throw new AssertionError(deliveries.of(slug));
    }

    private DeliveryService.DeliveryView ended() throws InterruptedException {
        return last(view -> !view.state().equals("going"));
    }

    @Test
    void aBuildArrivesIsLiveAndSeen() throws Exception {
        HostService.HostView host = added(wanted("password", PASSWORD));
        assertThat(deliveries.serves(sites.get(slug).id())).isFalse();
        DeliveryService.SiteDelivery served = deliveries.serve(slug, host.id(), "");
        assertThat(served.place()).isEqualTo(slug);
        assertThat(served.seen()).as("nothing arrived yet").isEmpty();
        assertThat(deliveries.serves(sites.get(slug).id())).isTrue();
        assertThat(hosts.tried(host.id())).hasSize(5).allMatch(HostService.Trial::works);
        DeliveryService.PlanView plan = deliveries.plan(slug, 1);
        assertThat(plan.send()).hasSize(4);
        assertThat(plan.there()).isFalse();
        assertThat(folder.resolve("served").resolve(slug)).doesNotExist();
        deliveries.start(slug, 1, lead);
        DeliveryService.DeliveryView done = ended();
        assertThat(done.said()).isEmpty();
        assertThat(done.state()).isEqualTo("done");
        assertThat(done.sent()).isEqualTo(4);
        verify(publishing, timeout(5_000)).putLive(slug, 1, lead);
        assertThat(deliveries.of(slug).seen()).isEqualTo(host.web() + "/" + slug + "/pages/" + slug + "/");
        assertThat(Files.readString(folder.resolve("served").resolve(slug).resolve("live/pages/quay/p2.html")))
                .isEqualTo("1 2");
        assertThatThrownBy(() -> hosts.remove(host.id())).hasMessageContaining("still serves Quay");
    }

    @Test
    void oneIsStoppedAndAnotherCannotBeginMeanwhile() throws Exception {
        deliveries.serve(slug, added(wanted("password", PASSWORD)).id(), "quay");
        long id = deliveries.start(slug, 2, lead).deliveries().get(0).id();
        assertThatThrownBy(() -> deliveries.start(slug, 1, lead)).hasMessageContaining("goes on");
        deliveries.stop(slug, id);
        DeliveryService.DeliveryView stopped = ended();
        assertThat(stopped.state()).isEqualTo("stopped");
        assertThat(stopped.files()).isLessThan(401);
        verify(publishing, never()).putLive(any(), eq(2), any());
        assertThat(folder.resolve("served/quay/live")).doesNotExist();
        deliveries.start(slug, 2, lead);
        assertThat(ended().state()).isEqualTo("done");
    }

    @Test
    void oneThatWasSilentForLongWasBrokenOff() {
        deliveries.serve(slug, added(wanted("password", PASSWORD)).id(), "quay");
        sql.update(
                "insert into delivery (site_id, host_id, build_id, state, said, files, of_files, bytes, of_bytes, sent, stop_asked, "
                        + "account_id, started_at, beat_at) values (?, ?, ?, 'going', '', 3, 9, 1, 2, 0, false, ?, ?, ?)",
                id("site"),
                id("host"),
                id("build"),
                lead.id(),
                "2026-01-01 08:00:00",
                "2026-01-01 08:00:05");
        DeliveryService.DeliveryView broken = deliveries.of(slug).deliveries().get(0);
        assertThat(broken.state()).isEqualTo("broken");
        assertThat(broken.said()).contains("one whole build");
        assertThat(deliveries.start(slug, 1, lead).deliveries().get(0).state()).isEqualTo("going");
    }

    @Test
    void aSecretIsKeptSoThatTheDatabaseAloneGivesItToNobody() {
        HostService.HostView host = added(wanted("password", PASSWORD));
        byte[] kept = sql.queryForObject("select secret from host where id = ?", byte[].class, host.id());
        assertThat(new String(kept, StandardCharsets.ISO_8859_1))
                .doesNotContain(PASSWORD)
                .doesNotContain("rope");
        assertThatThrownBy(() -> hostService("another-key-of-an-installation")
                        .at(database.bean(HostMapper.class).find(host.id()).orElseThrow(), "x", files -> true))
                .hasMessageContaining("kept with another LOOM_SECRETS_KEY");
        assertThatThrownBy(() -> hostService("").add(wanted("password", PASSWORD), lead))
                .hasMessageContaining("has no key of its own");
        // What is changed otherwise leaves it.
        hosts.change(host.id(), wanted("password", ""));
        assertThat(hosts.tried(host.id())).allMatch(HostService.Trial::works);
    }

    /** Else whoever may change a host could have its password sent to one of their own. */
    @Test
    void aPasswordThatIsKeptGoesToNoOtherAddressPortAccountOrKey() {
        HostService.HostView host = added(wanted("password", PASSWORD));
        HostWanted same = wanted("password", "");
        for (HostWanted other : List.of(
                elsewhere(same, "localhost", same.port(), same.account(), same.pinned()),
                elsewhere(same, same.address(), same.port() + 1, same.account(), same.pinned()),
                elsewhere(same, same.address(), same.port(), "somebody", same.pinned()),
                elsewhere(same, same.address(), same.port(), same.account(), "SHA256:" + "A".repeat(43))))
            assertThatThrownBy(() -> hosts.change(host.id(), other))
                    .hasMessageContaining("Enter the password again. Nothing was changed.");
        assertThat(hosts.tried(host.id())).allMatch(HostService.Trial::works);
    }

    private static HostWanted elsewhere(HostWanted host, String address, int port, String account, String pinned) {
        return new HostWanted(
                host.name(),
                host.kind(),
                address,
                port,
                account,
                host.folder(),
                host.web(),
                host.signsIn(),
                "",
                "",
                pinned);
    }

    @Test
    void aKeyIsMadeHereAndItsPublicHalfOpensTheHost() throws Exception {
        HostService.HostView host = added(wanted("key", ""));
        assertThat(host.publicKey()).startsWith("ecdsa-sha2-nistp256 ").endsWith(" umber-loom");
        assertThat(hosts.tried(host.id())).last().satisfies(step -> assertThat(step.said())
                .contains("with this key"));
        simulated.close();
        simulated = host(host.publicKey());
        hosts.change(host.id(), wanted("key", ""));
        assertThat(hosts.tried(host.id())).hasSize(5).allMatch(HostService.Trial::works);
    }

    @Test
    void onlyFoldersThatTheInstallationAllowsAreOnes() throws Exception {
        HostWanted inside = new HostWanted(
                "Folder " + slug, "folder", "", 0, "", folder.resolve("here").toString(), "", "", "", "", "");
        HostService.HostView host = added(inside);
        assertThat(hosts.tried(host.id())).allMatch(HostService.Trial::works);
        Files.createSymbolicLink(folder.resolve("here/out"), folder);
        for (String outside : List.of(
                "/etc",
                folder.resolve("here/../served").toString(),
                folder.resolve("here/out").toString()))
            assertThatThrownBy(() -> hosts.change(
                            host.id(), new HostWanted("F", "folder", "", 0, "", outside, "", "", "", "", "")))
                    .as(outside)
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("Nothing was changed");
    }

    @Test
    void whatIsNoHostIsRefusedWithASentence() {
        for (String address : List.of("", "a b", "-x", "host/../", "x@y"))
            assertThatThrownBy(() -> hosts.look(address, 22))
                    .as(address)
                    .hasMessageContaining("no name or number of a host");
        assertThatThrownBy(() -> hosts.look("127.0.0.1", 70_000)).hasMessageContaining("1 to 65535");
        assertThatThrownBy(() -> deliveries.start(slug, 1, lead)).hasMessageContaining("has no host yet");
        long host = added(wanted("password", PASSWORD)).id();
        for (String place : List.of("..", "a/b", "A", "-a", "é"))
            assertThatThrownBy(() -> deliveries.serve(slug, host, place))
                    .as(place)
                    .hasMessageContaining("no folder for a site");
    }
}
