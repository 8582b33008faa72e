package org.umberloom.core.delivery;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * What a delivery does with the files of a host. Paths are relative to the place of the site there, with / between folders. Every
 * method throws a {@link HostFault} where the host refuses or is away.
 */
public interface HostFiles {
    /** The names in a folder; none where there is no such folder. */
    List<String> list(String folder);

    /** A file's content, through links; empty where there is none. */
    Optional<byte[]> read(String path);

    /** Whether a file is there and has exactly that content. */
    default boolean holds(String path, byte[] content) {
        return read(path).filter(found -> Arrays.equals(found, content)).isPresent();
    }

    /** Makes a folder with those above it; does nothing where it is there. */
    void folder(String path);

    /** Writes a file that is not there yet, or over one that is. */
    void write(String path, byte[] content);

    /** Lets a second path have the same file. @return false where the host cannot; nothing was changed then */
    boolean link(String existing, String path);

    /** Gives a file, folder or link another name at once; a file or link of that name is gone by it. */
    void rename(String from, String to);

    /** Makes a symbolic link. @param target relative to the folder that the link stands in */
    void point(String link, String target);

    /** Where a symbolic link points; empty where there is none of that name. */
    Optional<String> pointsTo(String link);

    /** Whether anything has that name, a link that points to nothing too. */
    boolean there(String path);

    /** Removes a file, a link, or a folder with everything in it; does nothing where there is none. */
    void remove(String path);

    /** How many bytes can still be kept; empty where the host does not say. */
    OptionalLong free();
}
