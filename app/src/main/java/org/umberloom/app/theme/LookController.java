package org.umberloom.app.theme;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.asset.FontFaces;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;

/** The application's own look: a theme in the open format, compiled by the application's own compiler. */
@RestController
class LookController {
    private final String css;

    LookController(@Value("classpath:look/umber-loom.resolver.json") Resource theme, FontFaces fonts)
            throws IOException {
        ThemeDocument look = ThemeJson.readInline(theme.getContentAsString(StandardCharsets.UTF_8));
        css = Stylesheet.properties(look, roles(look), fonts.shipped());
    }

    @GetMapping(value = "/look.css", produces = "text/css;charset=UTF-8")
    ResponseEntity<String> look() {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache())
                .eTag(Integer.toHexString(css.hashCode()))
                .body(css);
    }

    private static List<String> roles(ThemeDocument look) {
        java.util.Set<String> roles = new java.util.LinkedHashSet<>();
        look.sets().get("roles").tokens().forEachToken((path, token, type) -> roles.add(role(path)));
        return List.copyOf(roles);
    }

    /** A surface's role has the same property on every surface. */
    private static String role(TokenPath path) {
        List<String> segments = path.segments();
        return segments.get(0).equals("surface") ? "surface." + segments.get(2) : path.dotted();
    }
}
