package org.umberloom.app.deliver;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.ConnectException;
import java.net.UnknownHostException;
import java.nio.channels.UnresolvedAddressException;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.PublicKey;
import java.time.Duration;
import java.util.Iterator;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import org.apache.sshd.client.SshClient;
import org.apache.sshd.client.config.hosts.HostConfigEntryResolver;
import org.apache.sshd.client.session.ClientSession;
import org.apache.sshd.common.NamedResource;
import org.apache.sshd.common.SshException;
import org.apache.sshd.common.config.keys.FilePasswordProvider;
import org.apache.sshd.common.config.keys.KeyUtils;
import org.apache.sshd.common.keyprovider.KeyIdentityProvider;
import org.apache.sshd.common.util.security.SecurityUtils;
import org.apache.sshd.core.CoreModuleProperties;
import org.apache.sshd.sftp.client.SftpClient;
import org.apache.sshd.sftp.client.SftpClientFactory;
import org.apache.sshd.sftp.client.SftpVersionSelector;
import org.umberloom.core.delivery.HostFault;

/**
 * One connection by SFTP (version 3, as OpenSSH speaks it) to a host whose key is known. Nothing of the machine's own is used: no
 * agent, no keys and no settings of whoever runs the application.
 */
final class SftpLine implements AutoCloseable {
    private static final Duration PATIENCE = Duration.ofSeconds(15);
    private static final int OPENSSH_SPEAKS = 3;

    /**
     * @param pinned fingerprint that the host's key has to have: {@code SHA256:…}
     * @param password with which somebody signs in; empty where a key does
     * @param key    a private key as text; empty where a password does
     */
    record Door(String address, int port, String account, String pinned, String password, String key) {}

    private final SshClient client;
    private final ClientSession session;
    private final SftpClient files;

    private SftpLine(SshClient client, ClientSession session, SftpClient files) {
        this.client = client;
        this.session = session;
        this.files = files;
    }

    SftpClient files() {
        return files;
    }

    /** @throws HostFault when the host is away, shows another key, or lets nobody in */
    static SftpLine open(Door door) {
        AtomicReference<String> shown = new AtomicReference<>("");
        SshClient client = client(shown, door.pinned());
        try {
            ClientSession session = client.connect(door.account(), door.address(), door.port())
                    .verify(PATIENCE)
                    .getSession();
            if (!door.password().isEmpty()) session.addPasswordIdentity(door.password());
            if (!door.key().isEmpty()) session.addPublicKeyIdentity(keys(door.key()));
            session.auth().verify(PATIENCE);
            return new SftpLine(
                    client,
                    session,
                    SftpClientFactory.instance()
                            .createSftpClient(session, SftpVersionSelector.fixedVersionSelector(OPENSSH_SPEAKS)));
        } catch (IOException | UnresolvedAddressException e) {
            client.stop();
            throw fault(door, shown.get(), e);
        } catch (RuntimeException e) {
            client.stop();
            throw e;
        }
    }

    /** The fingerprint of the key that a host shows; nobody signs in. @throws HostFault when it is away */
    static String look(String address, int port) {
        AtomicReference<String> shown = new AtomicReference<>("");
        SshClient client = client(shown, "");
        try {
            client.connect("nobody", address, port)
                    .verify(PATIENCE)
                    .getSession()
                    .auth()
                    .verify(PATIENCE);
        } catch (IOException | UnresolvedAddressException e) {
            if (shown.get().isEmpty()) throw fault(new Door(address, port, "", "", "", ""), "", e);
        } finally {
            client.stop();
        }
        return shown.get();
    }

    private static SshClient client(AtomicReference<String> shown, String pinned) {
        SshClient client = SshClient.setUpDefaultClient();
        client.setHostConfigEntryResolver(HostConfigEntryResolver.EMPTY);
        client.setKeyIdentityProvider(KeyIdentityProvider.EMPTY_KEYS_PROVIDER);
        client.setAgentFactory(null);
        client.setServerKeyVerifier((session, address, key) -> {
            shown.set(fingerprint(key));
            return shown.get().equals(pinned);
        });
        // Each step waits for the answer of the one before.
        CoreModuleProperties.TCP_NODELAY.set(client, true);
        CoreModuleProperties.IO_CONNECT_TIMEOUT.set(client, PATIENCE);
        CoreModuleProperties.AUTH_TIMEOUT.set(client, PATIENCE);
        CoreModuleProperties.IDLE_TIMEOUT.set(client, Duration.ofMinutes(2));
        CoreModuleProperties.HEARTBEAT_INTERVAL.set(client, Duration.ofSeconds(10));
        CoreModuleProperties.HEARTBEAT_NO_REPLY_MAX.set(client, 2);
        client.start();
        return client;
    }

    private static String fingerprint(PublicKey key) {
        return KeyUtils.getFingerPrint(key);
    }

    /** @throws HostFault when a text is no private key */
    static KeyPair keys(String text) {
        try {
            Iterator<KeyPair> found = SecurityUtils.loadKeyPairIdentities(
                            null,
                            NamedResource.ofName("the key"),
                            new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)),
                            FilePasswordProvider.EMPTY)
                    .iterator();
            if (found.hasNext()) return found.next();
        } catch (IOException | GeneralSecurityException | RuntimeException e) {
            throw new HostFault(
                    "This is no private key without a passphrase, as OpenSSH writes it or in PEM. Nothing was changed.",
                    e);
        }
        throw new HostFault("There is no private key in this text. Nothing was changed.");
    }

    private static HostFault fault(Door door, String shown, Exception e) {
        String at = door.address() + ":" + door.port();
        if (!shown.isEmpty() && !shown.equals(door.pinned()))
            return new HostFault(
                    "The host " + at + " shows another key than the one it is known by: " + shown + " instead of "
                            + door.pinned()
                            + ". Either it was set up anew, or somebody stands between. Nothing was sent; "
                            + "ask whoever runs the host, and pin the new key only when they confirm it.",
                    e);
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof UnresolvedAddressException || cause instanceof UnknownHostException)
                return new HostFault("There is no host with the name " + door.address() + ". Nothing was sent.", e);
            if (cause instanceof ConnectException)
                return new HostFault("Nobody answers at " + at + ". Nothing was sent.", e);
            if (cause instanceof TimeoutException)
                return new HostFault(
                        "The host " + at + " does not answer within " + PATIENCE.toSeconds()
                                + " seconds. Nothing was sent.",
                        e);
        }
        if (e instanceof SshException && !shown.isEmpty())
            return new HostFault(
                    "The host " + at + " does not let " + door.account() + " in with this "
                            + (door.key().isEmpty() ? "password" : "key") + ". Nothing was sent.",
                    e);
        return new HostFault("What answers at " + at + " speaks no SFTP. Nothing was sent.", e);
    }

    @Override
    public void close() {
        for (AutoCloseable one : new AutoCloseable[] {files, session})
            try {
                one.close();
            } catch (Exception e) {
                // It is broken already.
                continue;
            }
        client.stop();
    }
}
