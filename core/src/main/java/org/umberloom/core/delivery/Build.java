package org.umberloom.core.delivery;

import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.token.Fingerprint;

/**
 * A build as it is delivered.
 *
 * @param number of the build among those of its site, from 1
 * @param files  by their paths, with a manifest that says what each of them is to be
 */
public record Build(int number, Map<String, byte[]> files) {
    private static final int LETTERS_OF_HASH = 12;
    /** A folder's name on a host: number, beginning of the manifest's hash, and a count where one before was altered there. */
    static final Pattern FOLDER = Pattern.compile("(\\d+)-[0-9a-f]{" + LETTERS_OF_HASH + "}(-\\d+)?");

    public Build {
        if (number < 1) throw new IllegalArgumentException("A build has a number from 1.");
        if (!files.containsKey(KitManifest.FILE))
            throw new IllegalArgumentException("A build without " + KitManifest.FILE + " cannot be checked.");
        for (String path : files.keySet())
            if (path.startsWith("/") || path.contains("\\") || (path + "/").contains("../"))
                throw new IllegalArgumentException("“" + path + "” is no path within a build.");
        files = Collections.unmodifiableMap(new TreeMap<>(files));
    }

    /** What its folder on a host is called. */
    public String folder() {
        return number + "-" + Fingerprint.of(files.get(KitManifest.FILE)).substring(0, LETTERS_OF_HASH);
    }

    public long bytes() {
        return files.values().stream().mapToLong(content -> content.length).sum();
    }
}
