package org.umberloom.app.web;

import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Files that people take home. */
public final class Downloads {
    private static final MediaType ZIP = MediaType.parseMediaType("application/zip");

    private Downloads() {}

    /** What tells a browser to keep what comes under a name, rather than to show it. */
    public static String named(String name) {
        return ContentDisposition.attachment().filename(name).build().toString();
    }

    /** An archive under a name. */
    public static ResponseEntity<byte[]> archive(String name, byte[] content) {
        return ResponseEntity.ok()
                .contentType(ZIP)
                .header(HttpHeaders.CONTENT_DISPOSITION, named(name))
                .body(content);
    }
}
