package org.umberloom.app.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.regex.Pattern;
import org.springframework.web.multipart.MultipartFile;

/** Files that people send. */
public final class Uploads {
    /** Pictures that are opened by themselves: no script, no request, an origin of their own. */
    public static final String PICTURE_POLICY = "default-src 'none'; style-src 'unsafe-inline'; sandbox";

    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_ENDING = 20;
    private static final Pattern UNSEEN = Pattern.compile("[\\p{Cntrl}\\p{Cs}\u2028\u2029]");

    private Uploads() {}

    /** What the file is called, as it can be shown and kept: without folders, shortened, nothing broken in it. */
    public static String name(MultipartFile file, String standard) {
        String given = file.getOriginalFilename() == null ? "" : file.getOriginalFilename();
        String name = given.substring(Math.max(given.lastIndexOf('/'), given.lastIndexOf('\\')) + 1)
                .strip();
        if (name.isEmpty()) return standard;
        int dot = name.lastIndexOf('.');
        String ending = dot >= 0 && dot > name.length() - LONGEST_ENDING ? name.substring(dot) : "";
        String kept = name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME - ending.length()) + ending;
        return UNSEEN.matcher(kept).replaceAll("\ufffd");
    }

    public static byte[] bytes(MultipartFile file) {
        try {
            return file.getBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
