package org.umberloom.app.publish;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.util.UriUtils;

/** Builds as readers would see them, for everybody who was given the address. No search engine is to keep them. */
@RestController
class BuildPages {
    private static final String INDEX = "index.html";
    private static final Map<String, MediaType> TYPES = Map.ofEntries(
            Map.entry("html", new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8)),
            Map.entry("css", new MediaType("text", "css", StandardCharsets.UTF_8)),
            Map.entry("txt", new MediaType(MediaType.TEXT_PLAIN, StandardCharsets.UTF_8)),
            Map.entry("json", MediaType.APPLICATION_JSON),
            Map.entry("webmanifest", new MediaType("application", "manifest+json")),
            Map.entry("svg", new MediaType("image", "svg+xml")),
            Map.entry("png", MediaType.IMAGE_PNG),
            Map.entry("jpg", MediaType.IMAGE_JPEG),
            Map.entry("jpeg", MediaType.IMAGE_JPEG),
            Map.entry("webp", new MediaType("image", "webp")),
            Map.entry("ico", new MediaType("image", "x-icon")),
            Map.entry("woff2", new MediaType("font", "woff2")));

    private final PublishService publishing;

    BuildPages(PublishService publishing) {
        this.publishing = publishing;
    }

    @GetMapping("/builds/{token}/**")
    ResponseEntity<byte[]> file(@PathVariable String token, HttpServletRequest request) {
        String start = "/builds/" + token + "/";
        String path = UriUtils.decode(request.getRequestURI(), StandardCharsets.UTF_8);
        String name = path.length() < start.length() ? "" : path.substring(start.length());
        if (!request.getRequestURI().endsWith("/") && !name.contains("."))
            return ResponseEntity.status(302)
                    .location(URI.create(request.getRequestURI() + "/"))
                    .build();
        if (name.endsWith("/") || name.isEmpty()) name += INDEX;
        String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        return ResponseEntity.ok()
                .contentType(TYPES.getOrDefault(ending, MediaType.APPLICATION_OCTET_STREAM))
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable())
                .header("X-Robots-Tag", "noindex")
                .body(publishing.file(token, name));
    }
}
