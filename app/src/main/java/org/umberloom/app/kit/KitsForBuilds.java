package org.umberloom.app.kit;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Set;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.web.HeavyWork;
import org.umberloom.core.token.Fingerprint;

/** Kits and single files of them for programs that have a key. */
@RestController
@RequestMapping("/api/builds/themes/{id}")
class KitsForBuilds {
    private static final String BEARER = "Bearer ";

    private final KitService kits;
    private final BuildKeys keys;
    private final SiteService sites;
    private final HeavyWork heavy;

    KitsForBuilds(KitService kits, BuildKeys keys, SiteService sites, HeavyWork heavy) {
        this.sites = sites;
        this.kits = kits;
        this.keys = keys;
        this.heavy = heavy;
    }

    @Operation(
            summary = "A kit as an archive, for builds",
            description =
                    "Sent with the header “Authorization: Bearer loom_…”. The tag of an answer is that of its content: "
                            + "asked again with If-None-Match it answers 304 while nothing changed.")
    @GetMapping("/kit.zip")
    ResponseEntity<byte[]> archive(
            @Parameter(example = "1") @PathVariable long id,
            @ParameterObject KitAsked asked,
            @Parameter(hidden = true) @RequestHeader(name = HttpHeaders.AUTHORIZATION, defaultValue = "")
                    String authorization,
            @Parameter(hidden = true) @RequestHeader(name = HttpHeaders.IF_NONE_MATCH, defaultValue = "")
                    String known) {
        if (!opens(id, asked, authorization)) return refused();
        return answer(heavy.make(() -> kits.archive(id, asked).content()), "application/zip", known);
    }

    @Operation(
            summary = "One text file of a kit, for builds",
            description = "Such as theme.css, or forms/scss/_tokens.scss with forms=scss.")
    @GetMapping("/file")
    ResponseEntity<byte[]> file(
            @Parameter(example = "1") @PathVariable long id,
            @ParameterObject KitAsked asked,
            @Parameter(example = "theme.css") @RequestParam String name,
            @Parameter(hidden = true) @RequestHeader(name = HttpHeaders.AUTHORIZATION, defaultValue = "")
                    String authorization,
            @Parameter(hidden = true) @RequestHeader(name = HttpHeaders.IF_NONE_MATCH, defaultValue = "")
                    String known) {
        if (!opens(id, asked, authorization)) return refused();
        return answer(
                heavy.make(() -> kits.text(id, asked, name)).text().getBytes(StandardCharsets.UTF_8),
                "text/plain;charset=UTF-8",
                known);
    }

    /** A site belongs to the theme that it wears now, whatever theme the kit is of. */
    private boolean opens(long theme, KitAsked asked, String authorization) {
        Set<Long> themes = new HashSet<>(Set.of(theme));
        sites.all().stream()
                .filter(site -> site.slug().equals(asked.site()))
                .forEach(site -> themes.add(site.themeId()));
        return authorization.startsWith(BEARER)
                && keys.opens(authorization.substring(BEARER.length()).trim(), themes);
    }

    private static ResponseEntity<byte[]> refused() {
        return ResponseEntity.status(401)
                .header(HttpHeaders.WWW_AUTHENTICATE, "Bearer realm=\"Umber Loom\"")
                .contentType(MediaType.TEXT_PLAIN)
                .body("This key is none, has expired, or is for another theme.\n".getBytes(StandardCharsets.UTF_8));
    }

    /** Source of the tag and of 304: RFC 9110, 8.8.3 and 13.1.2. */
    private static ResponseEntity<byte[]> answer(byte[] content, String type, String known) {
        String tag = "\"" + Fingerprint.of(content) + "\"";
        CacheControl asking = CacheControl.noCache().cachePrivate();
        for (String one : known.split(","))
            if (one.trim().replaceFirst("^W/", "").equals(tag) || one.trim().equals("*"))
                return ResponseEntity.status(304).eTag(tag).cacheControl(asking).build();
        return ResponseEntity.ok()
                .eTag(tag)
                .cacheControl(asking)
                .contentType(MediaType.parseMediaType(type))
                .body(content);
    }
}
