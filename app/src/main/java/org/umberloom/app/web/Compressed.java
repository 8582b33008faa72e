package org.umberloom.app.web;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.zip.GZIPOutputStream;

/** What a content weighs as a web server would send it. */
public final class Compressed {
    private Compressed() {}

    /** Bytes under gzip. Source: RFC 1952. */
    public static long size(byte[] content) {
        try {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            try (GZIPOutputStream gzip = new GZIPOutputStream(bytes)) {
                gzip.write(content);
            }
            return bytes.size();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
