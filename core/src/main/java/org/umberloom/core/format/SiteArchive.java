package org.umberloom.core.format;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.page.PageCleaning;
import org.umberloom.core.page.PageMarkup;
import org.umberloom.core.page.Pieces;
import org.umberloom.core.page.Recognition;
import org.umberloom.core.sheet.OwnSheet;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdit;
import org.umberloom.core.site.SiteEdits;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.SitePart;
import org.umberloom.core.theme.PictureFacts;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.token.Names;

/**
 * A site as files: {@code site.json} with everything but the markup, each page as HTML beside it, and its pictures. Also reads
 * plain pages in any folders, with their style sheets and pictures.
 */
public final class SiteArchive {
    private static final Pattern IMPORT = Pattern.compile(
            "@import\\s+(?:url\\(\\s*)?[\"']?([^\"')\\s;]+)[\"']?\\s*\\)?\\s*((?:\\([^)]*\\)|[^;(])*);");
    private static final int DEEPEST_IMPORT = 8;

    public static final String FILE = "site.json";
    private static final String PICTURES = "pictures/";
    /** Where a kit has its sites. */
    private static final String KIT_PAGES = "pages";

    private static final String ON_ROOTS = "onRoots";
    /** What the roots of its pages say there. */
    private static final List<String> OUTSIDE =
            List.of(Stylesheet.attribute(Scope.Level.KIND), Stylesheet.attribute(Scope.Level.PAGE));

    private static final String HTML = ".html";
    private static final String PAGE = "page/";
    private static final String PIECE = "piece/";
    private static final String MARKUP = "html";
    private static final Set<String> PICTURE_ENDINGS = Set.of("svg", "png", "jpg", "jpeg", "gif", "webp");
    private static final int MOST_PAGES = 500;
    private static final int MOST_NAMED = 3;

    /** A picture of a site. @param facts what is known of it */
    public record Picture(byte[] content, PictureFacts facts) {}

    /**
     * A site that was read.
     *
     * @param pictures by their names
     * @param notes    what was converted, taken out or passed over, each as a sentence
     */
    public record Reading(SiteDocument site, Map<String, Picture> pictures, List<String> notes) {}

    private SiteArchive() {}

    /** Every file by its name; read again they give the same site. */
    public static Map<String, byte[]> write(SiteDocument site, Map<String, Picture> pictures) {
        return write(site, pictures, Set.of());
    }

    /** @param onRoots attributes that the roots of its pages get where they go out, in which look the site is shown */
    public static Map<String, byte[]> write(
            SiteDocument site, Map<String, Picture> pictures, Collection<String> onRoots) {
        Map<String, Object> said = new LinkedHashMap<>();
        said.put("slug", site.slug());
        if (!onRoots.isEmpty()) said.put(ON_ROOTS, List.copyOf(onRoots));
        Map<String, Object> parts = new LinkedHashMap<>();
        Map<String, byte[]> files = new LinkedHashMap<>();
        Set<String> placed = new HashSet<>();
        site.pages().forEach(page -> placed.addAll(Pieces.of(page.html()).keySet()));
        SiteJson.write(site).forEach((key, content) -> {
            Map<String, Object> data = Json.readObject(FILE, content);
            // Markup stands in the pages, also that of pieces that stand on one.
            if (key.startsWith(PAGE) || key.startsWith(PIECE) && placed.contains(key.substring(PIECE.length())))
                data.remove(MARKUP);
            parts.put(key, data);
        });
        said.put("parts", parts);
        Map<String, Object> about = new TreeMap<>();
        pictures.forEach((name, picture) -> about.put(name, picture.facts.toMap()));
        said.put("pictures", about);
        files.put(FILE, Json.write(said).getBytes(StandardCharsets.UTF_8));
        site.pages().forEach(page -> files.put(page.slug() + HTML, page.html().getBytes(StandardCharsets.UTF_8)));
        pictures.forEach((name, picture) -> files.put(PICTURES + name, picture.content));
        return files;
    }

    /**
     * @param name what to call a site that does not say so itself
     * @throws FormatException with a sentence for people when there is no page to show
     */
    public static Reading read(String name, Map<String, byte[]> files) {
        return files.containsKey(FILE) ? own(files) : plain(name, files);
    }

    /**
     * The same of an archive that may hold several sites: a kit, with a folder for each.
     *
     * @return at least one
     */
    public static List<Reading> readAll(String name, Map<String, byte[]> files) {
        if (files.containsKey(FILE) || !files.containsKey(KitManifest.FILE)) return List.of(read(name, files));
        Map<String, Map<String, byte[]>> folders = new LinkedHashMap<>();
        files.forEach((path, content) -> {
            String[] parts = path.split("/", 3);
            if (parts.length == 3 && parts[0].equals(KIT_PAGES))
                folders.computeIfAbsent(parts[1], key -> new LinkedHashMap<>()).put(parts[2], content);
        });
        folders.values().forEach(SiteArchive::takeOffWhatShows);
        if (folders.isEmpty())
            throw new FormatException(
                    "This kit holds a theme and no site. Nothing was stored; bring it in from the library.");
        List<Reading> all = new ArrayList<>();
        folders.forEach((folder, own) -> all.add(read(folder, own)));
        return all;
    }

    /** What a kit says on the roots of a site's pages is no part of them. */
    private static void takeOffWhatShows(Map<String, byte[]> files) {
        List<String> attributes = new ArrayList<>(OUTSIDE);
        if (files.containsKey(FILE)
                && Json.readObject(FILE, text(files.get(FILE))).get(ON_ROOTS) instanceof List<?> said)
            said.forEach(attribute -> attributes.add(String.valueOf(attribute)));
        files.replaceAll((name, content) ->
                isPage(name) ? PageMarkup.kept(text(content), attributes).getBytes(StandardCharsets.UTF_8) : content);
    }

    private static Reading own(Map<String, byte[]> files) {
        Map<String, Object> said = Json.readObject(FILE, text(files.get(FILE)));
        List<String> notes = new ArrayList<>();
        Map<String, String> parts = new LinkedHashMap<>();
        Map<String, Integer> removed = new TreeMap<>();
        Map<String, Map<String, Object>> pieces = new LinkedHashMap<>();
        Map<String, String> placed = new LinkedHashMap<>();
        Json.object("The parts of a site", said.get("parts")).forEach((key, content) -> {
            Map<String, Object> data = new LinkedHashMap<>(Json.object(key, content));
            if (key.startsWith(PIECE)) {
                pieces.put(key.substring(PIECE.length()), data);
                return;
            }
            if (key.startsWith(PAGE)) {
                byte[] html = files.get(key.substring(PAGE.length()) + HTML);
                if (html == null)
                    throw new FormatException(
                            "The site names the page “" + Names.shown(key) + "”, whose file is missing.");
                String markup = text(html);
                // What went out of here as it is comes in as it is; what somebody wrote since is looked through.
                PageCleaning.Cleaned clean = PageCleaning.of(markup, Optional::of);
                clean.removed().forEach((what, count) -> removed.merge(what, count, Integer::sum));
                String kept = clean.removed().isEmpty() && clean.styles().isBlank() ? markup : clean.html();
                Pieces.of(kept).forEach(placed::putIfAbsent);
                data.put(MARKUP, kept);
            }
            parts.put(key, Json.writeCompact(data));
        });
        pieces.forEach((piece, data) -> {
            Optional<String> html = Optional.ofNullable(placed.get(piece)).or(() -> alone(piece, data, removed));
            if (html.isPresent()) {
                data.put(MARKUP, html.get());
                parts.put(PIECE + piece, Json.writeCompact(data));
            } else notes.add("The piece “" + Names.shown(piece) + "” was left out: no page holds it.");
        });
        told(removed, notes);
        SiteDocument read = SiteJson.read(Json.string("The site’s short name", said.get("slug")), parts);
        SiteDocument site = SiteEdits.settled(read, new SiteEdit("taken in", List.of()))
                .applyTo(read)
                .site();
        if (site.pages().isEmpty()) throw none();
        Map<String, Object> about =
                said.containsKey("pictures") ? Json.object("Pictures", said.get("pictures")) : Map.of();
        // As it was said before other facts were known.
        Map<String, Object> licenses =
                said.containsKey("licenses") ? Json.object("Licenses", said.get("licenses")) : Map.of();
        Map<String, Picture> pictures = new LinkedHashMap<>();
        files.forEach((path, content) -> {
            if (!path.startsWith(PICTURES)) return;
            String picture = path.substring(PICTURES.length());
            if (about.containsKey(picture))
                pictures.put(
                        picture,
                        new Picture(content, PictureFacts.of(picture, Json.object(picture, about.get(picture)))));
            // What is not named is a smaller file of one that is.
            else if (about.isEmpty())
                pictures.put(
                        picture,
                        new Picture(
                                content, PictureFacts.licensed(String.valueOf(licenses.getOrDefault(picture, "")))));
        });
        return new Reading(site, pictures, notes);
    }

    /** The markup of a piece that no page holds, looked through as that of pages is. */
    private static Optional<String> alone(String piece, Map<String, Object> data, Map<String, Integer> removed) {
        if (!(data.get(MARKUP) instanceof String markup)) return Optional.empty();
        PageCleaning.Cleaned clean = PageCleaning.of(Pieces.alone(markup), Optional::of);
        clean.removed().forEach((what, count) -> removed.merge(what, count, Integer::sum));
        return Optional.ofNullable(Pieces.of(clean.html()).get(piece));
    }

    private static Reading plain(String name, Map<String, byte[]> files) {
        Map<String, String> addresses = new LinkedHashMap<>();
        Map<String, String> pages = new LinkedHashMap<>();
        Map<String, Picture> pictures = new LinkedHashMap<>();
        Set<String> taken = new HashSet<>();
        List<String> notes = new ArrayList<>();
        List<String> over = new ArrayList<>();
        String front = files.keySet().stream()
                .filter(SiteArchive::isPage)
                .min(Comparator.comparing((String path) -> !stem(path).equals("index"))
                        .thenComparing(
                                path -> path.chars().filter(c -> c == '/').count())
                        .thenComparing(path -> path))
                .orElseThrow(SiteArchive::none);
        List<String> ordered = new ArrayList<>(files.keySet());
        ordered.sort(Comparator.comparing((String path) -> !path.equals(front)).thenComparing(path -> path));
        String common = front.contains("/") ? front.substring(0, front.lastIndexOf('/') + 1) : "";
        for (String path : ordered) {
            String inside = path.startsWith(common) ? path.substring(common.length()) : path;
            if (isPage(path)) {
                if (pages.size() == MOST_PAGES) {
                    over.add(path);
                    continue;
                }
                String slug = path.equals(front)
                        ? "index"
                        : SiteEdits.slug(inside.replaceAll("\\.x?html?$", "").replace('/', '-'), taken);
                taken.add(slug);
                pages.put(path, slug);
                addresses.put(path, slug + HTML);
            } else if (PICTURE_ENDINGS.contains(ending(path))) {
                String plain = SiteEdits.slug(inside.replaceAll("\\.[^.]*$", "").replace('/', '-'), Set.of());
                String picture = plain + "." + ending(path);
                for (int i = 2; pictures.containsKey(picture); i++) picture = plain + "-" + i + "." + ending(path);
                pictures.put(picture, new Picture(files.get(path), PictureFacts.NONE));
                addresses.put(path, PICTURES + picture);
            } else if (!ending(path).equals("css")) over.add(path);
        }
        Map<String, Integer> removed = new TreeMap<>();
        Map<String, String> sheets = new LinkedHashMap<>();
        List<SitePage> read = new ArrayList<>();
        Map<String, Integer> recognised = new LinkedHashMap<>();
        Map<String, List<String>> unknown = new TreeMap<>();
        pages.forEach((path, slug) -> {
            PageCleaning.Cleaned clean = PageCleaning.of(
                    text(files.get(path)), address -> resolved(path, address).flatMap(target -> {
                        String here = addresses.get(target.replaceFirst("[?#].*$", ""));
                        int part = target.indexOf('#');
                        return Optional.ofNullable(here)
                                .map(found -> part < 0 ? found : found + target.substring(part));
                    }));
            clean.removed().forEach((what, count) -> removed.merge(what, count, Integer::sum));
            clean.sheets().forEach(sheet -> resolved(path, sheet)
                    .map(target -> target.replaceFirst("[?#].*$", ""))
                    .filter(files::containsKey)
                    .ifPresent(target -> sheets.putIfAbsent(target, imported(target, files, new HashSet<>()))));
            if (!clean.styles().isBlank()) sheets.putIfAbsent(path + " itself", clean.styles());
            String title = clean.title().isBlank() ? slug : clean.title().strip();
            Recognition.Recognised known = Recognition.of(clean.html());
            known.found().forEach((what, count) -> recognised.merge(what, count, Integer::sum));
            known.missing().forEach(what -> unknown.computeIfAbsent(what, key -> new ArrayList<>())
                    .add(title));
            read.add(new SitePage(
                    slug,
                    title.length() > Names.LONGEST ? title.substring(0, Names.LONGEST) : title,
                    slug.equals("index") ? "landing" : "article",
                    known.html()));
        });
        StringBuilder css = new StringBuilder();
        sheets.forEach((path, sheet) -> {
            OwnSheet own = PageCleaning.sheet(sheet);
            css.append(own.text());
            own.removed().forEach((what, count) -> removed.merge(what, count, Integer::sum));
            if (!own.faults().isEmpty())
                notes.add(
                        Names.shown(path) + ": " + own.faults().size() + " places could not be read as CSS; the first: "
                                + own.faults().get(0).words());
        });
        told(removed, notes);
        recognised(recognised, unknown, read.size(), notes);
        if (!over.isEmpty())
            notes.add(over.size() + (over.size() == 1 ? " file was" : " files were") + " passed over, such as “"
                    + Names.shown(over.get(0)) + "”: neither a page, a style sheet nor a picture.");
        SiteDocument site = SiteDocument.of(SiteEdits.slug(name, Set.of()), name, read);
        return new Reading(new SitePart.OwnCss(css.toString()).in(site), pictures, notes);
    }

    /** A style sheet with those that it imports from the archive in their places. Source: CSS Cascading and Inheritance 5, @import. */
    private static String imported(String path, Map<String, byte[]> files, Set<String> around) {
        String text = text(files.get(path));
        if (!around.add(path) || around.size() > DEEPEST_IMPORT) return text;
        Matcher matcher = IMPORT.matcher(text);
        StringBuilder whole = new StringBuilder();
        while (matcher.find()) {
            String condition = matcher.group(2).strip();
            String inner = resolved(path, matcher.group(1))
                    .map(target -> target.replaceFirst("[?#].*$", ""))
                    .filter(target -> files.containsKey(target) && !around.contains(target))
                    .map(target -> imported(target, files, around))
                    .map(sheet -> condition.isEmpty() ? sheet : "@media " + condition + " {\n" + sheet + "\n}")
                    .orElse(matcher.group());
            matcher.appendReplacement(whole, Matcher.quoteReplacement(inner));
        }
        around.remove(path);
        return matcher.appendTail(whole).toString();
    }

    private static void told(Map<String, Integer> removed, List<String> notes) {
        if (removed.isEmpty()) return;
        List<String> parts = new ArrayList<>();
        removed.forEach((what, count) -> parts.add(count + " " + what));
        notes.add("Taken out, since nothing here may run or load: " + String.join(", ", parts) + ".");
    }

    /** What the theme can dress, and what it cannot because nobody could tell what it is. */
    private static void recognised(
            Map<String, Integer> found, Map<String, List<String>> missing, int pages, List<String> notes) {
        List<String> parts = new ArrayList<>();
        found.forEach((what, count) -> parts.add(count + " × " + what));
        if (!parts.isEmpty()) notes.add("Recognised, so that the theme dresses it: " + String.join(", ", parts) + ".");
        // Regions that the same pages lack are said in one sentence.
        Map<List<String>, List<String>> lacking = new LinkedHashMap<>();
        missing.forEach((what, on) -> {
            if (what.equals("main part"))
                notes.add("No main part was found on " + words(on, pages)
                        + "; all that is no region of the frame was taken as it.");
            else lacking.computeIfAbsent(on, key -> new ArrayList<>()).add(what);
        });
        lacking.forEach((on, what) -> notes.add("No " + String.join(", no ", what) + " was found on " + words(on, pages)
                + "; what there is of it is shown as it is, without what the theme says of it."));
    }

    private static String words(List<String> titles, int pages) {
        if (titles.size() == pages) return "any page";
        int more = titles.size() - MOST_NAMED;
        return "“" + String.join("”, “", titles.subList(0, Math.min(MOST_NAMED, titles.size()))) + "”"
                + (more > 0 ? " and " + more + " more" : "");
    }

    /** Where an address of a page leads within the archive. */
    private static Optional<String> resolved(String page, String address) {
        try {
            java.net.URI target = new java.net.URI("file:///" + encoded(page)).resolve(encoded(address));
            String path = target.getPath();
            return path == null || !"file".equals(target.getScheme())
                    ? Optional.empty()
                    : Optional.of(path.substring(1) + (target.getFragment() == null ? "" : "#" + target.getFragment()));
        } catch (java.net.URISyntaxException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static String encoded(String path) {
        return path.replace(" ", "%20");
    }

    private static boolean isPage(String path) {
        return Set.of("html", "htm", "xhtml").contains(ending(path)) && !path.startsWith("__MACOSX/");
    }

    private static String ending(String path) {
        int dot = path.lastIndexOf('.');
        return dot < 0 ? "" : path.substring(dot + 1).toLowerCase(Locale.ROOT);
    }

    private static String stem(String path) {
        String file = path.substring(path.lastIndexOf('/') + 1);
        int dot = file.lastIndexOf('.');
        return (dot < 0 ? file : file.substring(0, dot)).toLowerCase(Locale.ROOT);
    }

    private static String text(byte[] content) {
        String text = new String(content, StandardCharsets.UTF_8);
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    private static FormatException none() {
        return new FormatException(
                "There is no page in this: no file ends in .html. Nothing was stored; choose an archive of a site’s pages.");
    }
}
