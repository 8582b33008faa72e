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
import org.umberloom.app.ground.GroundPictures;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.web.Uploads;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Names;

/**
 * The pages in the bays, dressed in a theme's draft. State and combination are a part of the address, so that links between
 * pages keep them: {@code draft} or the number of a revision, and {@code scheme=dark,look=freight} or {@code default}.
 */
@RestController
@RequestMapping("/preview/{theme}/{state}/{combo}/{site}")
class PreviewController {
    private static final String DRAFT = "draft";
    private static final String DEFAULT = "default";

    private final SiteService sites;
    private final DraftService drafts;
    private final FontFaces fonts;
    private final GroundPictures grounds;
    private final PictureStore pictures;

    PreviewController(SiteService sites, DraftService drafts, FontFaces fonts, GroundPictures grounds, PictureStore pictures) {
        this.grounds = grounds;
        this.pictures = pictures;
        this.sites = sites;
        this.drafts = drafts;
        this.fonts = fonts;
    }

    @GetMapping(value = "/{page}.html", produces = MediaType.TEXT_HTML_VALUE + ";charset=UTF-8")
    ResponseEntity<String> page(@PathVariable long theme, @PathVariable String state, @PathVariable String combo, @PathVariable String site,
                                @PathVariable String page) {
        boolean specimen = site.equals(Specimens.SLUG);
        Page shown = specimen ? Specimens.page(drafts.stateAt(theme, revision(theme, state)), page) : sites.page(site, page);
        Document document = Jsoup.parse(shown.html());
        document.outputSettings().prettyPrint(false);
        if (!combo.equals(DEFAULT)) Combination.parse(combo).contexts().forEach((modifier, context) ->
                document.selectFirst("html").attr(Stylesheet.attribute(modifier), context));
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(document.outerHtml());
    }

    @GetMapping(value = "/theme.css", produces = "text/css;charset=UTF-8")
    ResponseEntity<String> stylesheet(@PathVariable long theme, @PathVariable String state) {
        int revision = revision(theme, state);
        ThemeDocument document = drafts.stateAt(theme, revision);
        return ResponseEntity.ok().cacheControl(CacheControl.noCache()).eTag(theme + "-" + revision)
                .body(Stylesheet.compile(document, Usage.ALL, fonts.all(), pictures.of(document)));
    }

    /** @throws IllegalArgumentException when the state is neither the draft nor a revision */
    private int revision(long theme, String state) {
        if (state.equals(DRAFT)) return drafts.newest(theme).revision();
        try {
            return Integer.parseInt(state);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“" + Names.shown(state) + "” is not a state of a theme: it is draft, or the number of a revision.", e);
        }
    }

    @GetMapping("/ground/{name}")
    ResponseEntity<byte[]> ground(@PathVariable long theme, @PathVariable String state, @PathVariable String name) {
        GroundPictures.Shown picture = grounds.get(drafts.stateAt(theme, revision(theme, state)), name);
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(picture.mediaType())).cacheControl(CacheControl.noCache())
                .header("Content-Security-Policy", Uploads.PICTURE_POLICY).body(picture.content());
    }

    @GetMapping("/pictures/{name}")
    ResponseEntity<byte[]> picture(@PathVariable String site, @PathVariable String name) {
        Picture picture = sites.picture(site, name);
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(picture.mediaType()))
                .cacheControl(CacheControl.maxAge(java.time.Duration.ofHours(1)).cachePrivate())
                .header("Content-Security-Policy", Uploads.PICTURE_POLICY).body(picture.content());
    }
}
