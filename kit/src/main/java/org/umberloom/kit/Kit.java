package org.umberloom.kit;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jsoup.nodes.Document;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.css.FontFace;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.format.KitManifest.LeftOut;
import org.umberloom.core.format.SiteArchive;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.format.ThemeKit;
import org.umberloom.core.format.form.Form;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.page.MenuWay;
import org.umberloom.core.page.PagePictures;
import org.umberloom.core.page.PagePolicy;
import org.umberloom.core.page.PageUse;
import org.umberloom.core.page.Sharing;
import org.umberloom.core.page.SiteIcons;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.OwnStyle;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.PictureFacts;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.wish.MeasuredWidths;
import org.umberloom.kit.font.Faces;
import org.umberloom.kit.font.FontCatalog;
import org.umberloom.kit.font.FontFiles;
import org.umberloom.kit.picture.SmallerPictures;

/** Puts kits together: manifest, tokens, stylesheet, fonts, pages and licenses. Equal input gives equal bytes, wherever. */
public final class Kit {
    private static final String PAGES = "pages/";
    private static final String FONTS = "fonts/";

    /**
     * What goes into a kit besides the theme and the pages of sites.
     *
     * @param release that it is made of; empty for a draft
     * @param fonts   whether font files go in
     * @param tokens  whether the theme's token files go in, and what makes pages a site again; without them it is pages alone
     */
    public record Parts(String release, boolean fonts, boolean tokens, List<Form> forms) {
        public static final Parts OF_DRAFT = new Parts("", true, true, List.of());
    }

    /** A site that goes in. @param pictures on its shelf */
    public record OfSite(SiteDocument document, List<SitePicture> pictures) {
        public OfSite {
            pictures = pictures.stream()
                    .sorted(Comparator.comparing(SitePicture::name))
                    .toList();
        }

        private Optional<SitePicture> picture(String name) {
            return pictures.stream().filter(one -> one.name().equals(name)).findFirst();
        }

        private Set<String> placeholders() {
            return pictures.stream()
                    .filter(SitePicture::placeholder)
                    .map(SitePicture::name)
                    .collect(Collectors.toCollection(TreeSet::new));
        }
    }

    /**
     * Where a kit is made.
     *
     * @param missing what is known to be missing there, as another kit said it
     */
    public record Workshop(
            FontFiles fonts,
            Grounds grounds,
            SmallerPictures smaller,
            SiteSquares squares,
            SharingPictures sharing,
            List<LeftOut> missing) {}

    private final Workshop workshop;

    public Kit(Workshop workshop) {
        this.workshop = workshop;
    }

    /** Every file by its name; the stylesheet holds what the given sites' pages use, or all when there is none. */
    public Map<String, byte[]> of(ThemeDocument theme, List<OfSite> shown, Parts parts) {
        Map<String, byte[]> beside = new LinkedHashMap<>();
        Map<String, Document> pages = new LinkedHashMap<>();
        StringBuilder licenses = new StringBuilder(ThemeKit.LICENSES_BEGIN);
        for (OfSite site : shown) addSite(theme, site, sheetOf(shown, site), pages, beside, licenses, parts.tokens());
        List<String> markup = pages.values().stream().map(Document::outerHtml).toList();

        Optional<SiteDocument> one = alone(shown);
        ThemeDocument worn = worn(theme, shown);
        FontCatalog catalog = workshop.fonts.catalog();
        Set<String> named = new LinkedHashSet<>(Faces.named(worn));
        shown.forEach(site -> named.addAll(Faces.named(worn(theme, site.document()))));
        List<FontCatalog.Family> families = Faces.known(named, catalog).stream()
                .filter(family -> parts.fonts() && family.travels())
                .toList();
        PageUse use = PageUse.of(markup);
        Usage needed = shown.isEmpty() ? Usage.ALL : Usage.of(use);
        Usage usage = one.map(site -> needed.in(site.places())).orElse(needed);
        FontNeed need = FontNeed.of(
                markup,
                OwnStyle.of(theme)
                        + shown.stream().map(site -> site.document().css()).collect(Collectors.joining()));
        List<Picture> pictures = List.copyOf(Picture.of(theme).values());
        Map<String, String> themeFiles = parts.tokens() ? ThemeJson.writeFiles(theme) : Map.of();
        List<LeftOut> leftOut = leftOut(worn, named, shown);
        KitManifest manifest = new KitManifest(
                theme.name(),
                parts.tokens() ? themeFiles.keySet().iterator().next() : "",
                ThemeKit.STYLESHEET,
                List.copyOf(pages.keySet()),
                families.stream()
                        .flatMap(family ->
                                family.files().stream().filter(need::of).map(part -> described(family, part)))
                        .toList(),
                pictures.stream()
                        .map(picture ->
                                new KitManifest.Picture(Stylesheet.GROUND_FOLDER + picture.name(), picture.license()))
                        .toList(),
                leftOut);
        List<FontFace> faces = families.stream()
                .flatMap(family -> Faces.of(workshop.fonts, family, FONTS, need::of, true))
                .toList();
        Pictures grounds = workshop.grounds.of(theme);
        String stylesheet = Stylesheet.compile(worn, usage, faces, grounds)
                + one.map(site -> Stylesheet.own(site.css())).orElse("");
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (OfSite site : shown) {
            String folder = PAGES + site.document().slug() + "/";
            ThemeDocument dressed = worn(theme, site.document());
            FirstView first = new FirstView(dressed, SiteLook.of(dressed, site.document()), catalog, need);
            List<String> own = new ArrayList<>();
            pages.forEach((name, page) -> {
                if (!name.startsWith(folder)) return;
                own.add(page.outerHtml());
                // Opened from a folder, a page may not ask for its fonts ahead; pages alone are for a server.
                if (parts.fonts() && !parts.tokens())
                    first.files(page).forEach(file -> page.select("link[rel=stylesheet]")
                            .before("<link rel=\"preload\" as=\"font\" type=\"font/woff2\" href=\"../../" + FONTS + file
                                    + "\" crossorigin>"));
                files.put(name, bytes(page.outerHtml() + "\n"));
            });
            String sheet = sheetOf(shown, site);
            if (!sheet.equals(ThemeKit.STYLESHEET))
                files.put(
                        sheet,
                        bytes(Stylesheet.compile(
                                        dressed,
                                        Usage.of(PageUse.of(own))
                                                .in(site.document().places()),
                                        faces,
                                        grounds)
                                + Stylesheet.own(site.document().css())));
        }
        files.putAll(beside);
        for (Picture picture : pictures) {
            workshop.grounds
                    .content(picture.hash())
                    .ifPresent(content -> files.put(Stylesheet.GROUND_FOLDER + picture.name(), content));
            licenses.append(licensed(Stylesheet.GROUND_FOLDER + picture.name(), picture.facts()));
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
        leftOut.forEach(
                out -> licenses.append("Not in this kit: ").append(out.said()).append("\n"));
        return ThemeKit.of(
                manifest,
                stylesheet,
                themeFiles,
                files,
                licenses.toString(),
                ThemeKit.forms(theme, parts.forms()),
                parts.release());
    }

    private static KitManifest.Font described(FontCatalog.Family family, FontCatalog.FontPart part) {
        return new KitManifest.Font(
                family.name(),
                family.generic(),
                FONTS + part.file(),
                family.license(),
                FONTS + family.licenseFile(),
                part.style(),
                part.weights(),
                part.stretch(),
                part.characters());
    }

    /**
     * The style sheet of a site's pages: the kit's. Where the kit has several sites, one that overrides something has a style sheet of
     * its own, or the others would show what it overrides.
     */
    private static String sheetOf(List<OfSite> shown, OfSite site) {
        SiteDocument document = site.document();
        boolean same = shown.size() == 1
                || document.written().isEmpty() && document.css().isBlank();
        return same ? ThemeKit.STYLESHEET : "site-" + document.slug() + ".css";
    }

    private static Optional<SiteDocument> alone(List<OfSite> shown) {
        return shown.size() == 1 ? Optional.of(shown.get(0).document()) : Optional.empty();
    }

    /** A theme as the one site wears it, where there is one. */
    private ThemeDocument worn(ThemeDocument theme, List<OfSite> shown) {
        return alone(shown).map(site -> worn(theme, site)).orElse(theme);
    }

    private ThemeDocument worn(ThemeDocument theme, SiteDocument site) {
        return MeasuredWidths.worn(theme, site.written(), workshop.fonts);
    }

    /**
     * What stays out, each with what pages show in its place: fonts that may not travel, pictures that cannot be made icons, and
     * placeholders.
     */
    private List<LeftOut> leftOut(ThemeDocument worn, Set<String> named, List<OfSite> shown) {
        List<LeftOut> all = new ArrayList<>();
        for (String family : named)
            workshop.fonts
                    .catalog()
                    .find(family)
                    .map(one -> one.travels() ? Optional.<LeftOut>empty() : Optional.of(staying(one)))
                    .orElseGet(() -> missing(LeftOut.FONT, "").stream()
                            .filter(out -> out.of().equals(family))
                            .findFirst())
                    .ifPresent(all::add);
        for (OfSite site : shown) {
            SiteDocument whole = site.document();
            if (!whole.plate().icon().isEmpty() && squares(site, worn).isEmpty())
                all.add(new LeftOut(
                        LeftOut.ICON,
                        whole.plate().icon(),
                        whole.slug(),
                        whole.plate().icon() + " as the icon of " + whole.name()
                                + ". It cannot be drawn in the sizes that browsers ask for."));
            for (String placeholder : site.placeholders())
                all.add(new LeftOut(
                        LeftOut.PLACEHOLDER,
                        placeholder,
                        whole.slug(),
                        placeholder + " of " + whole.name()
                                + ". It only keeps the room of a picture that is still to come; "
                                + "its pages go out without it."));
            all.addAll(missing(LeftOut.PLACEHOLDER, whole.slug()));
        }
        return all;
    }

    private static LeftOut staying(FontCatalog.Family family) {
        return new LeftOut(
                LeftOut.FONT,
                family.name(),
                "",
                family.name() + ". By its maker it " + family.rights()
                        + ", so pages show it where it is on the reader’s device, else " + family.generic() + ".");
    }

    private List<LeftOut> missing(String kind, String site) {
        return workshop.missing.stream()
                .filter(out -> out.kind().equals(kind) && out.site().equals(site))
                .toList();
    }

    private Map<String, byte[]> squares(OfSite site, ThemeDocument dressed) {
        return workshop.squares.files(site.document(), dressed, site::picture);
    }

    /** A site's pages and pictures, with what makes it that site again where it is brought in. */
    private void addSite(
            ThemeDocument theme,
            OfSite site,
            String sheet,
            Map<String, Document> pages,
            Map<String, byte[]> beside,
            StringBuilder licenses,
            boolean again) {
        SiteDocument whole = site.document();
        String folder = PAGES + whole.slug() + "/";
        ThemeDocument dressed = worn(theme, whole);
        Map<String, PagePictures.Known> known = new LinkedHashMap<>();
        site.pictures().forEach(picture -> known.put(picture.name(), workshop.smaller.known(picture)));
        Map<String, byte[]> squares = squares(site, dressed);
        Optional<SiteIcons> head = SiteSquares.of(whole, dressed).filter(one -> !squares.isEmpty());
        Set<String> placeholders = site.placeholders();
        Combination look = SiteLook.of(dressed, whole);
        for (SitePage page : whole.pages()) {
            Document document = ShownPage.of(page, whole, dressed);
            document.select("link[rel=stylesheet]").attr("href", "../../" + sheet);
            PagePictures.without(document, placeholders);
            PagePictures.on(document, known);
            List<Scope> scopes = page.reaching(whole.slug());
            Map<String, String> chosen = Choices.of(dressed, look.at(scopes));
            head.ifPresent(one -> one.on(document, chosen));
            Sharing.file(page.slug(), chosen).ifPresent(file -> {
                if (shared(site, dressed, page, file, folder, beside)) new Sharing(whole.name(), file).on(document);
            });
            if (MenuWay.folds(dressed, scopes)) MenuWay.on(document);
            PagePolicy.on(document);
            pages.put(folder + page.slug() + ".html", document);
        }
        squares.forEach((name, file) -> beside.put(folder + SiteIcons.FOLDER + name, file));
        Map<String, SiteArchive.Picture> licensed = new LinkedHashMap<>();
        for (SitePicture picture : site.pictures()) {
            if (picture.placeholder()) continue;
            String name = folder + "pictures/" + picture.name();
            beside.put(name, picture.content());
            workshop.smaller.files(picture).forEach((size, file) -> beside.put(folder + "pictures/" + size, file));
            licensed.put(picture.name(), new SiteArchive.Picture(picture.content(), picture.facts()));
            licenses.append(licensed(name, picture.facts()));
        }
        if (again)
            beside.put(
                    folder + SiteArchive.FILE,
                    SiteArchive.write(
                                    whole,
                                    licensed,
                                    SiteLook.onPages(dressed, whole).keySet().stream()
                                            .map(Stylesheet::attribute)
                                            .toList())
                            .get(SiteArchive.FILE));
    }

    private static String licensed(String file, PictureFacts facts) {
        return file + ": " + (facts.license().isEmpty() ? "not said" : facts.license())
                + (facts.source().isEmpty() ? "" : ", " + facts.source()) + "\n";
    }

    /** Draws the picture that stands for a page, once. @return false where it cannot be drawn */
    private boolean shared(
            OfSite site, ThemeDocument dressed, SitePage page, String file, String folder, Map<String, byte[]> beside) {
        if (beside.containsKey(folder + file)) return true;
        boolean whole = file.equals(Sharing.OF_SITE);
        SitePage opening = whole ? site.document().pages().get(0) : page;
        Optional<byte[]> drawn =
                workshop.sharing.png(workshop.fonts, site.document(), dressed, opening, whole, site::picture);
        drawn.ifPresent(png -> beside.put(folder + file, png));
        return drawn.isPresent();
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
