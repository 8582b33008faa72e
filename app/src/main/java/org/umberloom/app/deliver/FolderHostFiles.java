package org.umberloom.app.deliver;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Stream;
import org.umberloom.core.delivery.HostFault;
import org.umberloom.core.delivery.HostFiles;

/** A site's place in a folder of the machine that the application runs on. */
final class FolderHostFiles implements HostFiles {
    private final Path base;

    FolderHostFiles(Path base) {
        this.base = base.toAbsolutePath().normalize();
    }

    @FunctionalInterface
    private interface Asked<T> {
        T of() throws IOException;
    }

    private <T> T done(String what, Asked<T> asked) {
        try {
            return asked.of();
        } catch (IOException e) {
            throw new HostFault(
                    "In the folder " + base + " it was refused to " + what + ": " + e.getMessage()
                            + ". What is live there is whole.",
                    e);
        }
    }

    private <T> Optional<T> found(String what, Asked<T> asked) {
        return done(what, () -> {
            try {
                return Optional.of(asked.of());
            } catch (NoSuchFileException | NotDirectoryException e) {
                return Optional.empty();
            }
        });
    }

    private Path at(String path) {
        Path there = base.resolve(path).normalize();
        if (!there.startsWith(base)) throw new IllegalArgumentException("“" + path + "” is not in " + base);
        return there;
    }

    @Override
    public List<String> list(String folder) {
        return found("list “" + folder + "”", () -> {
                    try (Stream<Path> names = Files.list(at(folder))) {
                        return names.map(path -> path.getFileName().toString()).toList();
                    }
                })
                .orElse(List.of());
    }

    @Override
    public Optional<byte[]> read(String path) {
        return found("read “" + path + "”", () -> Files.readAllBytes(at(path)));
    }

    @Override
    public void folder(String path) {
        done("make the folder “" + path + "”", () -> Files.createDirectories(at(path)));
    }

    @Override
    public void write(String path, byte[] content) {
        done("write “" + path + "”", () -> Files.write(at(path), content));
    }

    @Override
    public boolean link(String existing, String path) {
        try {
            Files.createLink(at(path), at(existing));
            return true;
        } catch (IOException | UnsupportedOperationException e) {
            return false;
        }
    }

    @Override
    public void rename(String from, String to) {
        done(
                "rename “" + from + "” to “" + to + "”",
                () -> Files.move(at(from), at(to), StandardCopyOption.ATOMIC_MOVE));
    }

    @Override
    public void point(String link, String target) {
        done("make the link “" + link + "”", () -> {
            try {
                return Files.createSymbolicLink(at(link), Path.of(target));
            } catch (FileAlreadyExistsException e) {
                throw new IOException("“" + link + "” is there already", e);
            }
        });
    }

    @Override
    public Optional<String> pointsTo(String link) {
        return Files.isSymbolicLink(at(link))
                ? found("read the link “" + link + "”", () -> Files.readSymbolicLink(at(link))
                        .toString())
                : Optional.empty();
    }

    @Override
    public boolean there(String path) {
        return Files.exists(at(path), LinkOption.NOFOLLOW_LINKS);
    }

    @Override
    public void remove(String path) {
        if (!there(path)) return;
        if (Files.isDirectory(at(path), LinkOption.NOFOLLOW_LINKS))
            for (String name : list(path)) remove(path.isEmpty() ? name : path + "/" + name);
        done("remove “" + path + "”", () -> Files.deleteIfExists(at(path)));
    }

    @Override
    public OptionalLong free() {
        return found("say how much room there is", () -> Files.getFileStore(base)
                        .getUsableSpace())
                .map(OptionalLong::of)
                .orElse(OptionalLong.empty());
    }
}
