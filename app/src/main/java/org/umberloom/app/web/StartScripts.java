package org.umberloom.app.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HexFormat;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.io.Resource;
import org.springframework.core.io.ResourceLoader;
import org.springframework.stereotype.Component;
import org.umberloom.core.token.Fingerprint;

/**
 * The few inline lines that start the front end, as hashes for the content security policy. Source: CSP Level 3,
 * section 2.3.1, hash-source.
 */
@Component
class StartScripts {
    private static final Pattern INLINE =
            Pattern.compile("<script(?![^>]*\\ssrc=)[^>]*>(.*?)</script>", Pattern.DOTALL);
    private final String sources;

    StartScripts(ResourceLoader resources) throws IOException {
        Resource index = resources.getResource("classpath:/static/index.html");
        StringBuilder found = new StringBuilder();
        if (index.exists()) {
            Matcher script = INLINE.matcher(index.getContentAsString(StandardCharsets.UTF_8));
            while (script.find()) {
                byte[] hash = HexFormat.of().parseHex(Fingerprint.of(script.group(1)));
                found.append(" 'sha256-")
                        .append(Base64.getEncoder().encodeToString(hash))
                        .append("'");
            }
        }
        sources = found.toString();
    }

    /** Ready to stand behind {@code script-src 'self'}. */
    String sources() {
        return sources;
    }
}
