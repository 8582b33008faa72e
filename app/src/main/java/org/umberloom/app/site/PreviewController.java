package org.umberloom.app.site;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.MediaTypeFactory;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;
import org.umberloom.app.asset.FontFaces;
import org.umberloom.app.ground.GroundPictures;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.theme.Fixes;
import org.umberloom.app.web.Uploads;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.page.HandValues;
import org.umberloom.core.page.MenuWay;
import org.umberloom.core.page.PagePictures;
import org.umberloom.core.page.RoleSpots;
import org.umberloom.core.page.Sharing;
import org.umberloom.core.page.SiteIcons;
import org.umberloom.core.page.Specimen;
import org.umberloom.core.page.Spots;
import org.umberloom.core.page.StandsOn;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.Strays;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.core.token.Names;
import org.umberloom.kit.SitePicture;
import org.umberloom.kit.SiteSquares;

/**
 * The pages in the bays, dressed in a theme's draft. State and combination are a part of the address, so that links between
 * pages keep them: {@code draft} or the number of a revision, and {@code scheme=dark,look=freight} or {@code default}.
 */
@RestController
@RequestMapping("/preview/{theme}/{state}/{combo}/{site}")
class PreviewController {
    private static final String DRAFT = "draft";
    private static final String DEFAULT = "default";
    /** In place of a combination: the look that the site itself stands in. */
    private static final String SITES_OWN = "site";
    /** Stands in the ids of strays of a style sheet. */
    private static final String OF_SHEET = ":" + HandValues.SHEET + ":";

    /** A page that names the state of its style sheet finds it in the browser for so long. */
    private static final Duration KNOWN = Duration.ofMinutes(1);

    private final SiteService sites;
    private final SiteDrafts siteDrafts;
    private final SiteWork work;
    private final Fixes fixes;
    private final DraftService drafts;
    private final WornBySites worn;
    private final SitePictures shelf;
    private final IconsOfSites icons;
    private final FontFaces fonts;
    private final GroundPictures grounds;
    private final PictureStore pictures;

    PreviewController(
            SiteService sites,
            SiteDrafts siteDrafts,
            SiteWork work,
            Fixes fixes,
            DraftService drafts,
            WornBySites worn,
            SitePictures shelf,
            IconsOfSites icons,
            FontFaces fonts,
            GroundPictures grounds,
            PictureStore pictures) {
        this.siteDrafts = siteDrafts;
        this.work = work;
        this.fixes = fixes;
        this.grounds = grounds;
        this.pictures = pictures;
        this.sites = sites;
        this.drafts = drafts;
        this.worn = worn;
        this.shelf = shelf;
        this.icons = icons;
        this.fonts = fonts;
    }

    /**
     * How a page is shown.
     *
     * @param surface of a part that is shown alone
     * @param choice  a value that is shown whatever the theme chooses, such as {@code links:hover}; empty for none
     * @param still   whether the page shows by itself what is written at its places, rather than on a bench
     * @param without strays that are shown as if they were returned, by their ids
     * @param mark    roles whose spots are outlined, by their paths, with commas between
     * @param bare    whether the site's own style sheet is left out
     * @param fitted  whether what does not fit a theme that is not the site's own is replaced by what is nearest
     * @param fix     a finding of the theme and one of its fixes, as {@code ID:INDEX}, that the theme is shown with
     */
    record As(
            String surface,
            String choice,
            Boolean still,
            String without,
            String mark,
            Boolean bare,
            Boolean fitted,
            String fix) {
        As {
            surface = surface == null ? Surfaces.PAGE : surface;
            choice = choice == null ? "" : choice;
            still = still != null && still;
            without = without == null ? "" : without;
            mark = mark == null ? "" : mark;
            bare = bare != null && bare;
            fitted = fitted != null && fitted;
            fix = fix == null ? "" : fix;
        }
    }

    @GetMapping(value = "/{page}.html", produces = MediaType.TEXT_HTML_VALUE + ";charset=UTF-8")
    ResponseEntity<String> page(
            @PathVariable long theme,
            @PathVariable String state,
            @PathVariable String combo,
            @PathVariable String site,
            @PathVariable String page,
            @ParameterObject As as) {
        int revision = revision(theme, state);
        ThemeDocument stood = fixed(drafts.stateAt(theme, revision), as.fix());
        boolean builtIn = Specimens.isOne(site);
        ThemeDocument dressed = stood;
        SiteDraft draft = builtIn ? null : work.under(siteDrafts.newest(site), theme, as.fitted());
        Page shown;
        if (builtIn)
            shown = site.equals(Specimens.PARTS) ? Specimens.part(page, as.surface()) : Specimens.page(stood, page);
        else {
            SiteDocument document = draft.site();
            dressed = worn.of(stood, document.written());
            shown = Page.of(
                    as.without().isEmpty()
                            ? document.page(page)
                            : returned(document, page, Set.of(as.without().split(","))));
        }
        Document document = shown.document();
        Combination looked = looked(dressed, combo, site);
        Element root = document.selectFirst("html");
        // A built-in page is shown as one of the page kind that is asked for.
        Optional<Scope> kind = builtIn ? looked.scope().filter(Scope::ofTheme) : Optional.empty();
        kind.ifPresent(scope -> root.attr(Stylesheet.attribute(Scope.Level.KIND), scope.name()));
        Combination combination = looked.at(kind.map(List::of).orElseGet(() -> shown.scopes(site)));
        if (!builtIn) Spots.number(document, site, page);
        if (!combo.equals(DEFAULT))
            combination.contexts().forEach((modifier, context) -> root.attr(Stylesheet.attribute(modifier), context));
        Map<String, String> chosen = Choices.of(dressed, combination);
        Stylesheet.choosing(chosen, Map.of()).forEach(root::attr);
        StandsOn.number(document);
        StandsOn.put(document.body(), chosen);
        if (!builtIn) {
            chooseAtSpots(document, dressed, combination, draft.places(), page);
            SiteSquares.of(draft.site(), dressed).ifPresent(one -> one.on(document, chosen));
            PagePictures.on(document, shelf.known(draft.id()));
        }
        String choice = as.choice();
        int colon = choice.indexOf(':');
        if (colon > 0 && Contract.standard().choices().containsKey(choice.substring(0, colon))) {
            Map<String, String> asked = Map.of(choice.substring(0, colon), choice.substring(colon + 1));
            Stylesheet.choosing(asked, Map.of()).forEach(root::attr);
            StandsOn.put(document.body(), asked);
        }
        document.select("link[href=theme.css]")
                .attr(
                        "href",
                        "theme.css?still=" + as.still() + (as.bare() ? "&bare=true" : "")
                                + (as.fitted() ? "&fitted=true" : "")
                                + (as.fix().isEmpty()
                                        ? ""
                                        : "&fix=" + URLEncoder.encode(as.fix(), StandardCharsets.UTF_8))
                                + (as.without().contains(OF_SHEET)
                                        ? "&without=" + URLEncoder.encode(as.without(), StandardCharsets.UTF_8)
                                        : "")
                                + "&known=" + known(theme, revision, site, draft));
        if (!as.mark().isEmpty())
            mark(document, shown.html(), chosen, Set.of(as.mark().split(",")));
        // What is marked is counted on the page as it is written.
        if (!builtIn) MenuWay.on(document);
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(document.outerHtml());
    }

    private ThemeDocument fixed(ThemeDocument theme, String fix) {
        int colon = fix.lastIndexOf(':');
        if (colon < 0) return theme;
        try {
            int index = Integer.parseInt(fix.substring(colon + 1));
            return fixes.fix(theme, fix.substring(0, colon), index)
                    .applyTo(theme)
                    .theme();
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“" + Names.shown(fix) + "” names no fix of a finding.", e);
        }
    }

    /** Where a spot chooses, all that lies in it says so; what lies in a narrower one after it. */
    private static void chooseAtSpots(
            Document document, ThemeDocument worn, Combination combination, SitePlaces site, String page) {
        for (SitePlaces.PagePlace one : site.pages()) {
            if (!one.page().equals(page)) continue;
            for (SitePlaces.Spot spot : one.spots()) {
                if (!spot.writtenIn(worn)) continue;
                Map<String, String> there = Stylesheet.choosing(
                        Choices.of(worn, combination.at(site.reaching(one, spot))),
                        Choices.of(worn, combination.at(site.around(one, spot))));
                if (there.isEmpty()) continue;
                Element at = document.selectFirst(Stylesheet.selector(spot.scope()));
                if (at != null) at.getAllElements().forEach(element -> there.forEach(element::attr));
            }
        }
    }

    private Combination looked(ThemeDocument worn, String combo, String site) {
        if (combo.equals(SITES_OWN) && !Specimens.isOne(site))
            return SiteLook.of(worn, siteDrafts.newest(site).site());
        return combo.equals(DEFAULT) || combo.equals(SITES_OWN) ? worn.defaults() : Combination.parse(combo);
    }

    /** Outlines what takes some roles, and by another line what should and has a value of its own. */
    private static void mark(Document document, String html, Map<String, String> chosen, Set<String> roles) {
        List<Element> all = document.body().getAllElements();
        RoleSpots.of(html, chosen).forEach((path, found) -> {
            if (!roles.contains(path)) return;
            found.taking().forEach(at -> outline(all.get(at), "3px solid"));
            found.hiding().forEach(at -> outline(all.get(at), "6px dashed"));
        });
    }

    private static void outline(Element element, String line) {
        String style = element.attr("style");
        element.attr(
                "style",
                (style.isEmpty() ? "" : style + "; ") + "outline: " + line + " currentColor; outline-offset: 2px");
    }

    private static SitePage returned(SiteDocument site, String page, Set<String> ids) {
        List<Strays.Stray> gone = Strays.on(site.page(page)).stream()
                .filter(stray -> ids.contains(stray.id()))
                .toList();
        return Strays.returned(site, gone).applyTo(site).site().page(page);
    }

    /** The own style sheet as if some of its strays were returned. */
    private static String returnedCss(SiteDocument site, String without) {
        if (!without.contains(OF_SHEET)) return site.css();
        Set<String> ids = Set.of(without.split(","));
        List<Strays.Stray> gone = Strays.in(site).stream()
                .filter(stray -> stray.id().contains(OF_SHEET) && ids.contains(stray.id()))
                .toList();
        return gone.isEmpty()
                ? site.css()
                : Strays.returned(site, gone).applyTo(site).site().css();
    }

    /** What a page names its style sheet by, so that a browser which has that one asks for it no more and reads it once. */
    private static String known(long theme, int revision, String site, SiteDraft draft) {
        return theme + "-" + revision + (draft == null ? "" : "-" + site + "-" + draft.revision());
    }

    @GetMapping(value = "/theme.css", produces = "text/css;charset=UTF-8")
    ResponseEntity<String> stylesheet(
            @PathVariable long theme,
            @PathVariable String state,
            @PathVariable String site,
            @ParameterObject As as,
            @RequestParam(defaultValue = "") String known,
            WebRequest request) {
        int revision = revision(theme, state);
        SiteDraft draft = Specimens.isOne(site) ? null : siteDrafts.newest(site);
        String now = known(theme, revision, site, draft);
        String tag = now + (as.still() ? "-still" : "") + (as.bare() ? "-bare" : "") + (as.fitted() ? "-fitted" : "")
                + "-" + as.fix() + "-" + as.without();
        if (request.checkNotModified("\"" + Fingerprint.of(tag) + "\"")) return null;
        ThemeDocument document = fixed(drafts.stateAt(theme, revision), as.fix());
        Usage usage = Usage.LIVE;
        String own = "";
        if (draft != null) {
            SiteDraft shown = work.under(draft, theme, as.fitted());
            if (!as.bare()) own = Stylesheet.own(returnedCss(shown.site(), as.without()));
            if (as.still()) {
                document = worn.of(document, shown.site().written());
                usage = usage.in(shown.places());
            }
        }
        return ResponseEntity.ok()
                .cacheControl(known.equals(now) ? CacheControl.maxAge(KNOWN).cachePrivate() : CacheControl.noCache())
                .eTag(Fingerprint.of(tag))
                .body(Stylesheet.compile(
                                document,
                                usage,
                                // Live values name no stand-ins, so none would be shown.
                                as.still() ? fonts.around(document) : fonts.all(),
                                pictures.of(document))
                        + own);
    }

    @GetMapping(value = "/" + Specimen.FRAME, produces = "text/css;charset=UTF-8")
    ResponseEntity<String> frame() {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(KNOWN).cachePrivate())
                .body(Specimen.FRAME_RULES);
    }

    /** @throws IllegalArgumentException when the state is neither the draft nor a revision */
    private int revision(long theme, String state) {
        if (state.equals(DRAFT)) return drafts.newest(theme).revision();
        try {
            return Integer.parseInt(state);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(
                    "“" + Names.shown(state) + "” is not a state of a theme: it is draft, or the number of a revision.",
                    e);
        }
    }

    @GetMapping("/ground/{name}")
    ResponseEntity<byte[]> ground(@PathVariable long theme, @PathVariable String state, @PathVariable String name) {
        GroundPictures.Shown picture = grounds.get(drafts.stateAt(theme, revision(theme, state)), name);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(picture.mediaType()))
                .cacheControl(CacheControl.noCache())
                .header("Content-Security-Policy", Uploads.PICTURE_POLICY)
                .body(picture.content());
    }

    @GetMapping("/" + SiteIcons.FOLDER + "{name}")
    ResponseEntity<byte[]> icon(
            @PathVariable long theme,
            @PathVariable String state,
            @PathVariable String site,
            @PathVariable String name) {
        SiteDocument document = siteDrafts.newest(site).site();
        ThemeDocument dressed = worn.of(drafts.stateAt(theme, revision(theme, state)), document.written());
        return ResponseEntity.ok()
                .contentType(MediaTypeFactory.getMediaType(name)
                        .orElse(
                                name.equals(SiteIcons.MANIFEST)
                                        ? MediaType.parseMediaType("application/manifest+json")
                                        : MediaType.APPLICATION_OCTET_STREAM))
                .cacheControl(CacheControl.noCache())
                .body(icons.file(document, dressed, name));
    }

    @GetMapping(value = "/" + Sharing.OF_SITE, produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> shared(@PathVariable long theme, @PathVariable String state, @PathVariable String site) {
        return shared(theme, state, site, "");
    }

    @GetMapping(value = "/sharing/{page}.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> shared(
            @PathVariable long theme,
            @PathVariable String state,
            @PathVariable String site,
            @PathVariable String page) {
        SiteDocument document = siteDrafts.newest(site).site();
        ThemeDocument dressed = worn.of(drafts.stateAt(theme, revision(theme, state)), document.written());
        boolean whole = page.isEmpty();
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache())
                .body(icons.shared(document, dressed, whole ? document.pages().get(0) : document.page(page), whole));
    }

    @GetMapping("/pictures/{name}")
    ResponseEntity<byte[]> picture(@PathVariable long theme, @PathVariable String site, @PathVariable String name) {
        SitePicture picture = shelf.shown(site, name, drafts.newest(theme).theme());
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(picture.mediaType()))
                .cacheControl(
                        picture.placeholder()
                                ? CacheControl.noCache()
                                : CacheControl.maxAge(java.time.Duration.ofHours(1))
                                        .cachePrivate())
                .header("Content-Security-Policy", Uploads.PICTURE_POLICY)
                .body(picture.content());
    }
}
