package org.umberloom.app.kit;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jsoup.nodes.Document;
import org.springframework.stereotype.Component;
import org.umberloom.app.asset.FontCatalog;
import org.umberloom.app.asset.FontFaces;
import org.umberloom.app.asset.FontShelf;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.site.IconsOfSites;
import org.umberloom.app.site.Page;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SitePictures;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.site.WornBySites;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.format.SiteArchive;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.format.ThemeKit;
import org.umberloom.core.format.form.Form;
import org.umberloom.core.page.MenuWay;
import org.umberloom.core.page.PagePictures;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.page.SiteIcons;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.theme.OwnStyle;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;

/** Puts a kit together: manifest, tokens, stylesheet, fonts, pages and licenses. Equal input gives equal bytes. */
@Component
public class KitFiles {
    private static final String PAGES = "pages/";
    private static final String FONTS = "fonts/";
    private static final Set<String> READABLE = Set.of("json", "css", "html", "svg", "txt", "scss", "js", "ts", "gpl");

    private final SiteService sites;
    private final WornBySites worn;
    private final SitePictures pictures;
    private final IconsOfSites icons;
    private final FontFaces fonts;
    private final FontShelf shelf;
    private final PictureStore grounds;

    KitFiles(
            SiteService sites,
            SitePictures pictures,
            IconsOfSites icons,
            WornBySites worn,
            FontFaces fonts,
            FontShelf shelf,
            PictureStore grounds) {
        this.worn = worn;
        this.pictures = pictures;
        this.icons = icons;
        this.grounds = grounds;
        this.sites = sites;
        this.fonts = fonts;
        this.shelf = shelf;
    }

    /**
     * What goes into a kit besides the theme and the pages of sites.
     *
     * @param release that it is made of; empty for a draft
     * @param fonts   whether font files go in
     * @param tokens  whether the theme's token files go in, and what makes pages a site again; without them it is pages alone
     */
    record Parts(String release, boolean fonts, boolean tokens, List<Form> forms) {
        static final Parts OF_DRAFT = new Parts("", true, true, List.of());
    }

    /** Every file by its name; the stylesheet holds what the given sites' pages use, or all when there is none. */
    public Map<String, byte[]> of(ThemeDocument theme, List<Site> shown) {
        return of(theme, shown, Parts.OF_DRAFT);
    }

    /** The pages of one site in a release, with everything that they need to be seen, and nothing else. */
    public Map<String, byte[]> ofRelease(ThemeDocument theme, Site site, String release) {
        return of(theme, List.of(site), new Parts(release, true, false, List.of()));
    }

    Map<String, byte[]> of(ThemeDocument theme, List<Site> shown, Parts parts) {
        Map<String, byte[]> beside = new LinkedHashMap<>();
        Map<String, Document> pages = new LinkedHashMap<>();
        StringBuilder licenses = new StringBuilder(ThemeKit.LICENSES_BEGIN);
        for (Site site : shown) addSite(theme, site, pages, beside, licenses, parts.tokens());
        List<String> markup = pages.values().stream().map(Document::outerHtml).toList();

        Optional<SiteDocument> one = alone(shown);
        ThemeDocument worn = worn(theme, shown);
        List<FontCatalog.Family> families = fonts.familiesOf(worn).stream()
                .filter(family -> parts.fonts() && family.travels())
                .toList();
        FontCatalog catalog = shelf.atHand().catalog();
        PageUse use = PageUse.of(markup);
        Usage needed = shown.isEmpty() ? Usage.ALL : Usage.of(use.needs(), use.surfaces());
        Usage usage = one.map(site -> needed.in(site.places())).orElse(needed);
        FontNeed need = FontNeed.of(
                markup,
                OwnStyle.of(theme)
                        + shown.stream().map(site -> sites.document(site).css()).collect(Collectors.joining()));
        List<Picture> pictures = List.copyOf(Picture.of(theme).values());
        Map<String, String> themeFiles = parts.tokens() ? ThemeJson.writeFiles(theme) : Map.of();
        KitManifest manifest = new KitManifest(
                theme.name(),
                parts.tokens() ? themeFiles.keySet().iterator().next() : "",
                ThemeKit.STYLESHEET,
                List.copyOf(pages.keySet()),
                families.stream()
                        .flatMap(family -> family.files().stream()
                                .filter(need::of)
                                .map(part ->
                                        new KitManifest.Font(family.name(), FONTS + part.file(), family.license())))
                        .toList(),
                pictures.stream()
                        .map(picture ->
                                new KitManifest.Picture(Stylesheet.GROUND_FOLDER + picture.name(), picture.license()))
                        .toList());
        String stylesheet = Stylesheet.compile(
                        worn, usage, parts.fonts() ? fonts.usedBy(worn, FONTS, need::of) : List.of(), grounds.of(theme))
                + one.map(site -> Stylesheet.own(site.css())).orElse("");
        Map<String, byte[]> files = new LinkedHashMap<>();
        FirstView first = new FirstView(worn, catalog, need);
        pages.forEach((name, page) -> {
            if (parts.fonts())
                first.files(page).forEach(file -> page.select("link[rel=stylesheet]")
                        .before("<link rel=\"preload\" as=\"font\" type=\"font/woff2\" href=\"../../" + FONTS + file
                                + "\" crossorigin>"));
            files.put(name, bytes(page.outerHtml() + "\n"));
        });
        files.putAll(beside);
        for (Picture picture : pictures) {
            grounds.content(picture.hash())
                    .ifPresent(content -> files.put(Stylesheet.GROUND_FOLDER + picture.name(), content));
            licenses.append(Stylesheet.GROUND_FOLDER)
                    .append(picture.name())
                    .append(": ")
                    .append(picture.license())
                    .append("\n");
        }
        for (FontCatalog.Family family : families) {
            for (FontCatalog.FontPart part : family.files())
                if (need.of(part)) files.put(FONTS + part.file(), catalog.read(part.file()));
            files.put(FONTS + family.licenseFile(), catalog.read(family.licenseFile()));
            licenses.append(family.name())
                    .append(", ")
                    .append(family.license())
                    .append(", text in ")
                    .append(FONTS)
                    .append(family.licenseFile())
                    .append("\n");
        }
        leftOut(worn, shown)
                .forEach(said ->
                        licenses.append("Not in this kit: ").append(said).append("\n"));
        return ThemeKit.of(
                manifest,
                stylesheet,
                themeFiles,
                files,
                licenses.toString(),
                ThemeKit.forms(theme, parts.forms()),
                parts.release());
    }

    private Optional<SiteDocument> alone(List<Site> shown) {
        return shown.size() == 1 ? Optional.of(sites.document(shown.get(0))) : Optional.empty();
    }

    /** A theme as the one site wears it, where there is one. */
    ThemeDocument worn(ThemeDocument theme, List<Site> shown) {
        return alone(shown).map(site -> worn.of(theme, site.written())).orElse(theme);
    }

    /** What stays here, each with what pages show in its place, in a sentence: fonts that may not travel, and placeholders. */
    List<String> leftOut(ThemeDocument worn, List<Site> shown) {
        List<String> all = new ArrayList<>(fontsLeftOut(worn));
        for (Site site : shown) {
            SiteDocument whole = sites.document(site);
            if (!whole.plate().icon().isEmpty() && icons.files(whole, worn).isEmpty())
                all.add(whole.plate().icon() + " as the icon of " + site.name()
                        + ". It cannot be drawn in the sizes that browsers ask for.");
            for (String placeholder : pictures.placeholders(site.id()))
                all.add(placeholder + " of " + site.name()
                        + ". It only keeps the room of a picture that is still to come; "
                        + "its pages go out without it.");
        }
        return all;
    }

    private List<String> fontsLeftOut(ThemeDocument worn) {
        return fonts.familiesOf(worn).stream()
                .filter(family -> !family.travels())
                .map(family -> family.name() + ". By its maker it " + family.rights()
                        + ", so pages show it where it is on the reader’s device, else " + family.generic() + ".")
                .toList();
    }

    /** A site's pages and pictures, with what makes it that site again where it is brought in. */
    private void addSite(
            ThemeDocument theme,
            Site site,
            Map<String, Document> pages,
            Map<String, byte[]> beside,
            StringBuilder licenses,
            boolean again) {
        String folder = PAGES + site.slug() + "/";
        SiteDocument whole = sites.document(site);
        ThemeDocument dressed = worn.of(theme, whole.written());
        Map<String, PagePictures.Known> known = pictures.known(site.id());
        Map<String, byte[]> squares = icons.files(whole, dressed);
        Optional<SiteIcons> head = icons.of(whole, dressed).filter(one -> !squares.isEmpty());
        Set<String> placeholders = pictures.placeholders(site.id());
        for (Page page : sites.pages(site)) {
            Document document = page.document();
            document.select("link[rel=stylesheet]").attr("href", "../../" + ThemeKit.STYLESHEET);
            PagePictures.without(document, placeholders);
            PagePictures.on(document, known);
            List<Scope> scopes = page.scopes(site.slug());
            head.ifPresent(one ->
                    one.on(document, Choices.of(dressed, dressed.defaults().at(scopes))));
            if (MenuWay.folds(dressed, scopes)) MenuWay.on(document);
            pages.put(folder + page.slug() + ".html", document);
        }
        squares.forEach((name, file) -> beside.put(folder + SiteIcons.FOLDER + name, file));
        Map<String, SiteArchive.Picture> licensed = new LinkedHashMap<>();
        for (org.umberloom.app.site.Picture picture : sites.pictures(site)) {
            if (picture.placeholder()) continue;
            String name = folder + "pictures/" + picture.name();
            beside.put(name, picture.content());
            pictures.smaller(picture).forEach((size, file) -> beside.put(folder + "pictures/" + size, file));
            licensed.put(picture.name(), new SiteArchive.Picture(picture.content(), picture.facts()));
            licenses.append(name)
                    .append(": ")
                    .append(picture.license().isEmpty() ? "not said" : picture.license())
                    .append(picture.source().isEmpty() ? "" : ", " + picture.source())
                    .append("\n");
        }
        if (again)
            beside.put(
                    folder + SiteArchive.FILE,
                    SiteArchive.write(whole, licensed).get(SiteArchive.FILE));
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    /** Names of the files that can be shown as text. */
    static List<String> readable(Map<String, byte[]> files) {
        List<String> names = new ArrayList<>();
        for (String name : files.keySet())
            if (READABLE.contains(name.substring(name.lastIndexOf('.') + 1))) names.add(name);
        return names;
    }
}
