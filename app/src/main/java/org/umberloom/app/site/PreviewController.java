package org.umberloom.app.site;

import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.asset.FontFaces;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;

/**
 * The pages in the bays, dressed in a theme's draft. The scheme is a part of the address, so that links between pages
 * keep it.
 */
@RestController
@RequestMapping("/preview/{theme}/{scheme}/{site}")
class PreviewController {
    private final SiteService sites;
    private final DraftService drafts;
    private final FontFaces fonts;

    PreviewController(SiteService sites, DraftService drafts, FontFaces fonts) {
        this.sites = sites;
        this.drafts = drafts;
        this.fonts = fonts;
    }

    @GetMapping(value = "/{page}.html", produces = MediaType.TEXT_HTML_VALUE + ";charset=UTF-8")
    ResponseEntity<String> page(@PathVariable String scheme, @PathVariable String site, @PathVariable String page) {
        Document document = Jsoup.parse(sites.page(site, page).html());
        document.outputSettings().prettyPrint(false);
        document.selectFirst("html").attr("data-scheme", scheme);
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(document.outerHtml());
    }

    @GetMapping(value = "/theme.css", produces = "text/css;charset=UTF-8")
    ResponseEntity<String> stylesheet(@PathVariable long theme) {
        Draft draft = drafts.newest(theme);
        return ResponseEntity.ok().cacheControl(CacheControl.noCache()).eTag(theme + "-" + draft.revision())
                .body(Stylesheet.compile(draft.theme(), Usage.ALL, fonts.all()));
    }

    @GetMapping("/pictures/{name}")
    ResponseEntity<byte[]> picture(@PathVariable String site, @PathVariable String name) {
        Picture picture = sites.picture(site, name);
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(picture.mediaType()))
                .cacheControl(CacheControl.maxAge(java.time.Duration.ofHours(1)).cachePrivate()).body(picture.content());
    }
}
