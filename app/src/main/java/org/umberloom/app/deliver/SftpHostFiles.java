package org.umberloom.app.deliver;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.apache.sshd.common.util.buffer.Buffer;
import org.apache.sshd.sftp.client.RawSftpClient;
import org.apache.sshd.sftp.client.SftpClient;
import org.apache.sshd.sftp.client.extensions.helpers.AbstractSftpClientExtension;
import org.apache.sshd.sftp.client.extensions.openssh.OpenSSHPosixRenameExtension;
import org.apache.sshd.sftp.client.extensions.openssh.OpenSSHStatExtensionInfo;
import org.apache.sshd.sftp.client.extensions.openssh.OpenSSHStatPathExtension;
import org.apache.sshd.sftp.common.SftpConstants;
import org.apache.sshd.sftp.common.SftpException;
import org.umberloom.core.delivery.HostFault;
import org.umberloom.core.delivery.HostFiles;

/**
 * A site's place on a host by SFTP. Renaming over something and a second name for a file are extensions of OpenSSH (its file
 * PROTOCOL, 4.3 and 4.7: posix-rename@openssh.com, hardlink@openssh.com), and so is how much room there is (4.4, statvfs).
 */
final class SftpHostFiles implements HostFiles {
    /** Larger files are none that a delivery sent. */
    private static final int LONGEST_BYTES = 256 * 1024 * 1024;

    private final SftpClient client;
    private final String base;
    private final HardLink hardLink;

    SftpHostFiles(SftpClient client, String base) {
        this.client = client;
        this.base = base;
        this.hardLink = new HardLink(client);
    }

    private static final class HardLink extends AbstractSftpClientExtension {
        private static final String NAME = "hardlink@openssh.com";

        HardLink(SftpClient client) {
            super(NAME, client, (RawSftpClient) client, client.getServerExtensions());
        }

        void link(String existing, String path) throws IOException {
            Buffer buffer = getCommandBuffer(existing, existing.length() + path.length() + Long.SIZE);
            putTarget(buffer, existing);
            putTarget(buffer, path);
            sendAndCheckExtendedCommandStatus(buffer);
        }
    }

    @FunctionalInterface
    private interface Asked<T> {
        T of() throws IOException;
    }

    /** What a host answers; empty where it says that there is no such file. */
    private static <T> Optional<T> found(String what, Asked<T> asked) {
        try {
            try {
                return Optional.of(asked.of());
            } catch (UncheckedIOException e) {
                throw e.getCause();
            }
        } catch (SftpException e) {
            if (e.getStatus() == SftpConstants.SSH_FX_NO_SUCH_FILE
                    || e.getStatus() == SftpConstants.SSH_FX_NO_SUCH_PATH) return Optional.empty();
            throw refused(what, e);
        } catch (IOException e) {
            throw broke(e);
        }
    }

    private static <T> T done(String what, Asked<T> asked) {
        return found(what, asked)
                .orElseThrow(() -> new HostFault("The host refused to " + what + ": it is not there."));
    }

    private static HostFault refused(String what, SftpException e) {
        return new HostFault(
                "The host refused to " + what + ": "
                        + (e.getStatus() == SftpConstants.SSH_FX_PERMISSION_DENIED
                                ? "the account may not do that there."
                                : e.getMessage() + "."),
                e);
    }

    private static HostFault broke(IOException e) {
        return new HostFault("The connection to the host broke. What is live there is whole; try again.", e);
    }

    private String at(String path) {
        return path.isEmpty() ? base : base + "/" + path;
    }

    @Override
    public List<String> list(String folder) {
        return found("list “" + folder + "”", () -> {
                    List<String> names = new ArrayList<>();
                    for (SftpClient.DirEntry entry : client.readEntries(at(folder)))
                        if (!entry.getFilename().equals(".")
                                && !entry.getFilename().equals("..")) names.add(entry.getFilename());
                    return names;
                })
                .orElse(List.of());
    }

    @Override
    public Optional<byte[]> read(String path) {
        return found("read “" + path + "”", () -> {
            try (InputStream in = client.read(at(path))) {
                byte[] content = in.readNBytes(LONGEST_BYTES);
                if (content.length == LONGEST_BYTES)
                    throw new HostFault("“" + path + "” on the host is longer than anything that was sent there.");
                return content;
            }
        });
    }

    @Override
    public void folder(String path) {
        String[] steps = at(path).split("/");
        StringBuilder folder = new StringBuilder();
        for (String step : steps) {
            folder.append(step);
            String now = folder.toString();
            folder.append('/');
            if (!now.isEmpty()
                    && found("look for “" + now + "”", () -> client.stat(now)).isEmpty())
                done("make the folder “" + now + "”", () -> {
                    client.mkdir(now);
                    return true;
                });
        }
    }

    @Override
    public void write(String path, byte[] content) {
        try (OutputStream out = client.write(
                at(path), SftpClient.OpenMode.Create, SftpClient.OpenMode.Truncate, SftpClient.OpenMode.Write)) {
            out.write(content);
        } catch (SftpException e) {
            throw full(path, content, e);
        } catch (IOException e) {
            // What refuses within a stream is told as the cause.
            if (e.getCause() instanceof SftpException refused) throw full(path, content, refused);
            throw broke(e);
        }
    }

    /** Hosts say “failure” of a full disk, too. */
    private HostFault full(String path, byte[] content, SftpException e) {
        OptionalLong free = OptionalLong.empty();
        try {
            free = free();
        } catch (HostFault away) {
            e.addSuppressed(away);
        }
        boolean said = e.getStatus() == SftpConstants.SSH_FX_NO_SPACE_ON_FILESYSTEM
                || e.getStatus() == SftpConstants.SSH_FX_QUOTA_EXCEEDED
                || String.valueOf(e.getMessage()).contains("No space left")
                || free.isPresent() && free.getAsLong() < content.length;
        if (!said) return refused("write “" + path + "”", e);
        return new HostFault(
                "The host’s disk is full"
                        + (free.isPresent()
                                ? ": " + free.getAsLong() + " bytes are free, and “" + path + "” has " + content.length
                                        + "."
                                : " at “" + path + "”.")
                        + " What is live there stayed as it was. Make room there, and deliver it again; what was sent is kept.",
                e);
    }

    @Override
    public boolean link(String existing, String path) {
        if (!hardLink.isSupported()) return false;
        try {
            hardLink.link(at(existing), at(path));
            return true;
        } catch (SftpException e) {
            return false;
        } catch (IOException e) {
            throw broke(e);
        }
    }

    @Override
    public void rename(String from, String to) {
        OpenSSHPosixRenameExtension over = client.getExtension(OpenSSHPosixRenameExtension.class);
        if (over == null || !over.isSupported())
            throw new HostFault(
                    "The host cannot rename over a file at once (posix-rename@openssh.com), so a site could be "
                            + "seen half there. Nothing was switched.");
        done("rename “" + from + "” to “" + to + "”", () -> {
            over.posixRename(at(from), at(to));
            return true;
        });
    }

    @Override
    public void point(String link, String target) {
        done("make the link “" + link + "”", () -> {
            client.symLink(at(link), target);
            return true;
        });
    }

    @Override
    public Optional<String> pointsTo(String link) {
        return attributes(link)
                .filter(SftpClient.Attributes::isSymbolicLink)
                .map(there -> done("read the link “" + link + "”", () -> client.readLink(at(link))));
    }

    private Optional<SftpClient.Attributes> attributes(String path) {
        return found("look for “" + path + "”", () -> client.lstat(at(path)));
    }

    @Override
    public boolean there(String path) {
        return attributes(path).isPresent();
    }

    @Override
    public void remove(String path) {
        Optional<SftpClient.Attributes> there = attributes(path);
        if (there.isEmpty()) return;
        boolean folder = there.get().isDirectory();
        if (folder) for (String name : list(path)) remove(path.isEmpty() ? name : path + "/" + name);
        found("remove “" + path + "”", () -> {
            if (folder) client.rmdir(at(path));
            else client.remove(at(path));
            return true;
        });
    }

    @Override
    public OptionalLong free() {
        OpenSSHStatPathExtension stat = client.getExtension(OpenSSHStatPathExtension.class);
        if (stat == null || !stat.isSupported()) return OptionalLong.empty();
        // The site may lie on another disk than the account; before the first delivery its folder is not there.
        for (String folder = base; !folder.isEmpty(); folder = above(folder)) {
            String asked = folder;
            Optional<OpenSSHStatExtensionInfo> room = found("say how much room there is", () -> stat.stat(asked));
            if (room.isPresent()) return OptionalLong.of(bytes(room.get()));
        }
        return found("say how much room there is", () -> stat.stat("."))
                .map(SftpHostFiles::bytes)
                .map(OptionalLong::of)
                .orElse(OptionalLong.empty());
    }

    private static String above(String folder) {
        int slash = folder.lastIndexOf('/');
        return slash < 0 ? "" : folder.substring(0, slash);
    }

    private static long bytes(OpenSSHStatExtensionInfo info) {
        return info.f_bavail * info.f_frsize;
    }
}
