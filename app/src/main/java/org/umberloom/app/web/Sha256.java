package org.umberloom.app.web;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** What stands for a content: its SHA-256. Source: FIPS 180-4. */
public final class Sha256 {
    private Sha256() {}

    /** 64 small hex digits. */
    public static String hex(byte[] content) {
        return HexFormat.of().formatHex(of(content));
    }

    static byte[] of(byte[] content) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(content);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
