package org.umberloom.host;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyPair;
import java.security.PublicKey;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.concurrent.atomic.AtomicLong;
import org.apache.sshd.common.config.keys.KeyUtils;
import org.apache.sshd.common.config.keys.PublicKeyEntry;
import org.apache.sshd.common.file.virtualfs.VirtualFileSystemFactory;
import org.apache.sshd.core.CoreModuleProperties;
import org.apache.sshd.server.SshServer;
import org.apache.sshd.server.command.CommandFactory;
import org.apache.sshd.server.keyprovider.SimpleGeneratorHostKeyProvider;
import org.apache.sshd.server.session.ServerSession;
import org.apache.sshd.server.shell.ProcessShellFactory;
import org.apache.sshd.server.subsystem.SubsystemFactory;
import org.apache.sshd.sftp.common.SftpConstants;
import org.apache.sshd.sftp.server.FileHandle;
import org.apache.sshd.sftp.server.SftpErrorStatusDataHandler;
import org.apache.sshd.sftp.server.SftpEventListener;
import org.apache.sshd.sftp.server.SftpSubsystemEnvironment;
import org.apache.sshd.sftp.server.SftpSubsystemFactory;

/**
 * A stand-in for a host that serves sites: it takes files by SFTP on loopback, keeps them in a folder, and shows that folder by
 * HTTP. Whoever signs in sees that folder alone.
 */
public final class SimulatedHost implements AutoCloseable {
    /** What answers to SFTP behind the encrypted line. */
    public enum Speaks {
        /** The library's own server. */
        LIBRARY,
        /** OpenSSH's, a program of its own; it sees the whole machine as its user does. */
        OPENSSH
    }

    private static final String FULL = "No space left on device";
    private static final String OPENSSH_SERVER = "/usr/lib/openssh/sftp-server";

    /**
     * @param folder   where files are kept, and below it nothing else
     * @param hostKey  a file for its key; made where there is none
     * @param account  who may sign in
     * @param password with which, where it is not empty
     * @param key      with which, in the form of an authorized_keys line, where it is not empty
     * @param port     0 for a free one
     * @param webPort  0 for a free one
     * @param room     bytes that can be written before it is full; empty for as many as the disk has
     */
    public record Setting(
            Path folder,
            Path hostKey,
            String account,
            String password,
            String key,
            int port,
            int webPort,
            OptionalLong room,
            Speaks speaks) {}

    private final SshServer server = SshServer.setUpDefaultServer();
    private final PlainWeb web;
    private final PublicKey shown;

    public SimulatedHost(Setting setting) throws IOException {
        Files.createDirectories(setting.folder());
        SimpleGeneratorHostKeyProvider keys = new SimpleGeneratorHostKeyProvider(setting.hostKey());
        keys.setAlgorithm(KeyUtils.EC_ALGORITHM);
        keys.setKeySize(256);
        server.setHost("127.0.0.1");
        CoreModuleProperties.TCP_NODELAY.set(server, true);
        server.setPort(setting.port());
        server.setKeyPairProvider(keys);
        server.setFileSystemFactory(
                new VirtualFileSystemFactory(setting.folder().toAbsolutePath()));
        server.setPasswordAuthenticator(
                (account, password, session) -> !setting.password().isEmpty()
                        && account.equals(setting.account())
                        && password.equals(setting.password()));
        Optional<PublicKey> known = setting.key().isEmpty() ? Optional.empty() : Optional.of(publicKey(setting.key()));
        server.setPublickeyAuthenticator((account, key, session) -> account.equals(setting.account())
                && known.filter(one -> KeyUtils.compareKeys(one, key)).isPresent());
        server.setCommandFactory((CommandFactory) null);
        server.setShellFactory(null);
        server.setSubsystemFactories(List.of(subsystem(setting)));
        server.start();
        KeyPair pair = keys.loadKeys(null).iterator().next();
        shown = pair.getPublic();
        web = new PlainWeb(setting.folder(), setting.webPort());
    }

    private static PublicKey publicKey(String line) {
        try {
            return PublicKeyEntry.parsePublicKeyEntry(line).resolvePublicKey(null, null, null);
        } catch (IOException | java.security.GeneralSecurityException e) {
            throw new IllegalArgumentException("This is no key of the kind that authorized_keys holds: " + line, e);
        }
    }

    private static SubsystemFactory subsystem(Setting setting) {
        if (setting.speaks() == Speaks.OPENSSH)
            return new SubsystemFactory() {
                @Override
                public String getName() {
                    return "sftp";
                }

                @Override
                public org.apache.sshd.server.command.Command createSubsystem(
                        org.apache.sshd.server.channel.ChannelSession channel) {
                    return new ProcessShellFactory(OPENSSH_SERVER, OPENSSH_SERVER).createShell(channel);
                }
            };
        SftpSubsystemFactory sftp = new SftpSubsystemFactory();
        sftp.setErrorStatusDataHandler(new SftpErrorStatusDataHandler() {
            @Override
            public int resolveSubStatus(
                    SftpSubsystemEnvironment environment, int id, Throwable e, int command, Object... arguments) {
                return String.valueOf(e.getMessage()).equals(FULL)
                        ? SftpConstants.SSH_FX_NO_SPACE_ON_FILESYSTEM
                        : SftpErrorStatusDataHandler.DEFAULT.resolveSubStatus(environment, id, e, command, arguments);
            }
        });
        setting.room().ifPresent(room -> sftp.addSftpEventListener(new Full(room)));
        return sftp;
    }

    /** Lets no more be written than there is room for. */
    private static final class Full implements SftpEventListener {
        private final AtomicLong left;

        Full(long room) {
            left = new AtomicLong(room);
        }

        @Override
        public void writing(
                ServerSession session, String remote, FileHandle file, long offset, byte[] data, int from, int length)
                throws IOException {
            if (left.addAndGet(-length) < 0) throw new IOException(FULL);
        }
    }

    public int port() {
        return server.getPort();
    }

    public int webPort() {
        return web.port();
    }

    /** Of its key, as it is shown to whoever connects: {@code SHA256:…}. */
    public String fingerprint() {
        return KeyUtils.getFingerPrint(shown);
    }

    @Override
    public void close() {
        web.close();
        try {
            server.stop(true);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Arguments: folder, file of its key, account, port, port of the web. The password is in LOOM_HOST_PASSWORD. */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        try (SimulatedHost host = new SimulatedHost(new Setting(
                Path.of(arguments[0]),
                Path.of(arguments[1]),
                arguments[2],
                System.getenv("LOOM_HOST_PASSWORD"),
                "",
                Integer.parseInt(arguments[3]),
                Integer.parseInt(arguments[4]),
                OptionalLong.empty(),
                Speaks.LIBRARY))) {
            System.out.println(host.fingerprint());
            Thread.currentThread().join();
        }
    }
}
