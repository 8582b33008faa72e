package org.umberloom.app.deliver;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.spec.ECGenParameterSpec;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.apache.sshd.common.config.keys.PublicKeyEntry;
import org.apache.sshd.common.config.keys.writer.openssh.OpenSSHKeyPairResourceWriter;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.site.Site;
import org.umberloom.app.web.ApplicationClock;
import org.umberloom.core.delivery.HostFault;
import org.umberloom.core.delivery.HostFiles;
import org.umberloom.core.token.Names;

/** Places that serve sites, how to get into them, and which site stands where. */
@Service
class HostService {
    private static final String SFTP = "sftp";
    private static final String FOLDER = "folder";
    private static final String PASSWORD = "password";
    private static final String KEY = "key";
    private static final int LONGEST_NAME = 120;
    private static final Pattern ADDRESS = Pattern.compile("[A-Za-z0-9]([A-Za-z0-9.:-]{0,252}[A-Za-z0-9])?");
    private static final Pattern PLACE = Pattern.compile("[a-z0-9]([a-z0-9-]{0,58}[a-z0-9])?");
    private static final Pattern FINGERPRINT = Pattern.compile("SHA256:[A-Za-z0-9+/]{43}");
    private static final Pattern WEB = Pattern.compile("https?://[^\\s\"'<>]{1,380}");

    /**
     * @param live    the number of the build that arrived last; 0 for none
     * @param address under which readers see it; empty where that is not known, or nothing arrived yet
     */
    record SiteThere(String site, String name, String place, int live, String address) {}

    /** @param publicKey what has to be put on the host where the key was made here or given; empty otherwise */
    record HostView(
            long id,
            String name,
            String kind,
            String address,
            int port,
            String account,
            String folder,
            String web,
            String pinned,
            String signsIn,
            String publicKey,
            List<SiteThere> sites) {}

    /**
     * @param folders in which places of this machine can be; none where the installation allows none
     * @param secrets whether passwords and keys can be kept
     */
    record Hosts(List<HostView> hosts, List<String> folders, boolean secrets) {}

    /**
     * A step that was tried.
     *
     * @param stops whether nothing can be delivered where it does not work
     * @param said  why not, where it went wrong
     */
    record Trial(String step, boolean works, boolean stops, String said) {}

    private final HostMapper hosts;
    private final Secrets secrets;
    private final Clock clock;
    private final List<Path> folders;

    HostService(HostMapper hosts, Secrets secrets, Clock clock, @Value("${umberloom.folders}") String folders) {
        this.hosts = hosts;
        this.secrets = secrets;
        this.clock = clock;
        this.folders = Arrays.stream(folders.split(","))
                .map(String::trim)
                .filter(one -> !one.isEmpty())
                .map(one -> Path.of(one).toAbsolutePath().normalize())
                .toList();
    }

    Hosts all() {
        List<HostMapper.PlaceRow> places = hosts.places();
        return new Hosts(
                hosts.all().stream()
                        .map(row -> new HostView(
                                row.id(),
                                row.name(),
                                row.kind(),
                                row.address(),
                                row.port(),
                                row.account(),
                                row.folder(),
                                row.web(),
                                row.pinned(),
                                row.signsIn(),
                                row.publicKey(),
                                places.stream()
                                        .filter(place -> place.hostId() == row.id())
                                        .map(place -> new SiteThere(
                                                place.site(),
                                                place.siteName(),
                                                place.place(),
                                                place.live(),
                                                seen(row, place)))
                                        .toList()))
                        .toList(),
                folders.stream().map(Path::toString).toList(),
                secrets.canKeep());
    }

    /** Where readers see what arrived of a site. */
    static String seen(HostMapper.HostRow host, HostMapper.PlaceRow place) {
        return host.web().isEmpty() || place.live() == 0
                ? ""
                : host.web() + "/" + place.place() + "/pages/" + place.site() + "/";
    }

    HostMapper.HostRow get(long id) {
        return hosts.find(id).orElseThrow(() -> new NoSuchElementException("There is no such host."));
    }

    Optional<HostMapper.PlaceRow> place(long site) {
        return hosts.place(site);
    }

    /** The fingerprint of the key that a host shows. @throws HostFault when it is away */
    String look(String address, int port) {
        return SftpLine.look(address(address), port(port));
    }

    Hosts add(HostWanted wanted, Account by) {
        HostMapper.HostRow row = row(0, wanted, null);
        stored(row.name(), () -> hosts.add(row, by.id(), now()));
        return all();
    }

    Hosts change(long id, HostWanted wanted) {
        HostMapper.HostRow before = get(id);
        HostMapper.HostRow row = row(id, wanted, before);
        stored(row.name(), () -> hosts.change(row));
        return all();
    }

    private static void stored(String name, Runnable work) {
        try {
            work.run();
        } catch (DuplicateKeyException e) {
            throw new IllegalArgumentException(
                    "There is a host with the name “" + name + "” already. Nothing was changed.", e);
        }
    }

    /** @throws IllegalArgumentException while sites stand there */
    Hosts remove(long id) {
        HostMapper.HostRow row = get(id);
        List<String> there = hosts.places().stream()
                .filter(place -> place.hostId() == id)
                .map(HostMapper.PlaceRow::siteName)
                .toList();
        if (!there.isEmpty())
            throw new IllegalArgumentException("“" + row.name() + "” still serves " + String.join(", ", there)
                    + ". Take them off first. Nothing was changed.");
        hosts.remove(id);
        return all();
    }

    private HostMapper.HostRow row(long id, HostWanted wanted, HostMapper.HostRow before) {
        String name = Names.safe("The host’s name", wanted.name().trim());
        if (name.isEmpty() || name.length() > LONGEST_NAME)
            throw new IllegalArgumentException(
                    "A host has a name of 1 to " + LONGEST_NAME + " letters. Nothing was changed.");
        String web = wanted.web().trim().replaceFirst("/+$", "");
        if (!web.isEmpty() && !WEB.matcher(web).matches())
            throw new IllegalArgumentException("“" + Names.shown(web)
                    + "” is no address of the web: it begins with http:// or https://. Nothing was changed.");
        if (wanted.kind().equals(FOLDER))
            return new HostMapper.HostRow(
                    id, name, FOLDER, "", 0, "", allowed(wanted.folder()).toString(), web, "", "", "", null, "");
        if (!wanted.kind().equals(SFTP))
            throw new IllegalArgumentException("A host is reached by sftp, or is a folder. Nothing was changed.");
        if (!FINGERPRINT.matcher(wanted.pinned()).matches())
            throw new IllegalArgumentException(
                    "Look at the host’s key first and confirm it: without that nobody knows who answers. Nothing was changed.");
        String account = Names.checked("The account", wanted.account().trim());
        String folder = wanted.folder().trim().replaceFirst("/+$", "");
        if ((folder + "/").contains("../") || folder.length() > 300)
            throw new IllegalArgumentException(
                    "“" + Names.shown(folder) + "” is no folder of a host. Nothing was changed.");
        String address = address(wanted.address());
        int port = port(wanted.port());
        // The last, for keeping a secret takes the most time.
        Door door = door(wanted, before);
        return new HostMapper.HostRow(
                id,
                name,
                SFTP,
                address,
                port,
                account,
                folder,
                web,
                wanted.pinned(),
                wanted.signsIn(),
                door.kept.salt(),
                door.kept.secret(),
                door.publicKey);
    }

    /** How one gets in, as it is kept. */
    private record Door(Secrets.Kept kept, String publicKey) {}

    private Door door(HostWanted wanted, HostMapper.HostRow before) {
        boolean byKey = wanted.signsIn().equals(KEY);
        if (!byKey && !wanted.signsIn().equals(PASSWORD))
            throw new IllegalArgumentException("One signs in with a password or with a key. Nothing was changed.");
        String given = byKey ? wanted.key().trim() : wanted.password();
        boolean stays = given.isEmpty() && before != null && before.signsIn().equals(wanted.signsIn());
        if (stays && !byKey && !isSameDoor(wanted, before))
            throw new IllegalArgumentException("A password belongs to the address, port, account and key of its host,"
                    + " and one of them is another now. Enter the password again. Nothing was changed.");
        // Who signs in by a key gives nothing away to a host that is another.
        if (stays) return new Door(new Secrets.Kept(before.salt(), before.secret()), before.publicKey());
        if (!byKey) {
            if (given.isEmpty()) throw new IllegalArgumentException("The password is missing. Nothing was changed.");
            return new Door(secrets.keep(given), "");
        }
        KeyPair pair = given.isEmpty() ? newKey() : SftpLine.keys(given);
        return new Door(
                secrets.keep(given.isEmpty() ? written(pair) : given),
                PublicKeyEntry.toString(pair.getPublic()) + " umber-loom");
    }

    /** Whether a secret that is kept would go to whom it was given for. */
    private static boolean isSameDoor(HostWanted wanted, HostMapper.HostRow before) {
        return before.kind().equals(SFTP)
                && before.address().equals(address(wanted.address()))
                && before.port() == port(wanted.port())
                && before.account().equals(wanted.account().trim())
                && before.pinned().equals(wanted.pinned());
    }

    /** On the curve P-256, which every OpenSSH since 5.7 takes. */
    private static KeyPair newKey() {
        try {
            KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
            generator.initialize(new ECGenParameterSpec("secp256r1"));
            return generator.generateKeyPair();
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String written(KeyPair pair) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            OpenSSHKeyPairResourceWriter.INSTANCE.writePrivateKey(pair, "umber-loom", null, out);
        } catch (IOException | GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
        return out.toString(StandardCharsets.UTF_8);
    }

    private static String address(String text) {
        String address = text.trim();
        if (!ADDRESS.matcher(address).matches())
            throw new IllegalArgumentException("“" + Names.shown(address) + "” is no name or number of a host, such as "
                    + "files.example.org. Nothing was changed.");
        return address;
    }

    private static int port(int port) {
        if (port < 1 || port > 65535)
            throw new IllegalArgumentException("A port is a number from 1 to 65535. Nothing was changed.");
        return port;
    }

    /** A folder of this machine that the installation lets sites be delivered to. */
    private Path allowed(String folder) {
        try {
            Path wanted = Path.of(folder.trim()).toAbsolutePath().normalize();
            for (Path root : folders)
                if (wanted.startsWith(root)
                        && Files.isDirectory(root)
                        && wanted.toRealPath().startsWith(root.toRealPath())) return wanted;
        } catch (IOException | java.nio.file.InvalidPathException e) {
            throw new IllegalArgumentException(
                    "There is no folder “" + Names.shown(folder) + "” on this machine. Nothing was changed.", e);
        }
        throw new IllegalArgumentException(
                "“" + Names.shown(folder) + "” is in no folder that this installation lets sites be "
                        + "delivered to (LOOM_FOLDERS). Nothing was changed.");
    }

    /** @throws IllegalArgumentException for a place that another site has, or that is no name of a folder */
    void serve(Site site, long host, String place) {
        get(host);
        if (!PLACE.matcher(place).matches())
            throw new IllegalArgumentException(
                    "“" + Names.shown(place) + "” is no folder for a site: it has small letters, digits "
                            + "and hyphens, up to 60. Nothing was changed.");
        hosts.places().stream()
                .filter(one -> one.hostId() == host && one.place().equals(place) && one.siteId() != site.id())
                .findFirst()
                .ifPresent(one -> {
                    throw new IllegalArgumentException(
                            "“" + place + "” is the folder of “" + one.siteName() + "” there. Nothing was changed.");
                });
        hosts.put(site.id(), host, place);
    }

    void takeOff(Site site) {
        hosts.takeOff(site.id());
    }

    /** Does something with the files of a site's place. @throws HostFault when the host refuses */
    <T> T at(HostMapper.HostRow host, String place, Function<HostFiles, T> work) {
        if (host.kind().equals(FOLDER))
            return work.apply(new FolderHostFiles(allowed(host.folder()).resolve(place)));
        String secret = secrets.open(new Secrets.Kept(host.salt(), host.secret()));
        boolean byKey = host.signsIn().equals(KEY);
        try (SftpLine line = SftpLine.open(new SftpLine.Door(
                host.address(),
                host.port(),
                host.account(),
                host.pinned(),
                byKey ? "" : secret,
                byKey ? secret : ""))) {
            return work.apply(
                    new SftpHostFiles(line.files(), host.folder().isEmpty() ? place : host.folder() + "/" + place));
        }
    }

    /** Everything that a delivery does, with two small files, in a folder of its own that is removed again. */
    List<Trial> tried(long id) {
        HostMapper.HostRow host = get(id);
        List<Trial> steps = new ArrayList<>();
        try {
            at(host, ".umber-loom-" + UUID.randomUUID(), files -> {
                steps.add(new Trial("It is reached, shows the key it is known by, and lets us in", true, false, ""));
                Trials.of(files, steps);
                return true;
            });
        } catch (HostFault | IllegalArgumentException e) {
            steps.add(new Trial("It is reached and lets us in", false, true, e.getMessage()));
        }
        return steps;
    }

    private LocalDateTime now() {
        return ApplicationClock.now(clock);
    }
}
