package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.json.Json;
import org.umberloom.core.page.Nameplate;
import org.umberloom.core.site.SchemePolicy;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteEdit;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.SitePart;
import org.umberloom.core.site.SitePiece;
import org.umberloom.core.theme.Place;
import org.umberloom.core.token.Group;

/**
 * A site's document as its parts, each plain JSON under its key; and edits of a site, which hold such parts. Tokens are written as
 * in token files.
 */
public final class SiteJson {
    private static final String PAGE = "page/";
    private static final String PIECE = "piece/";
    private static final String AT = "at/";
    private static final String LABEL = "label";
    private static final String PARTS = "parts";
    private static final String WHERE = "The site";

    private SiteJson() {}

    /** Every part of a site by its key, as JSON text; what a site does not have is left out. */
    public static Map<String, String> write(SiteDocument site) {
        Map<String, String> all = new LinkedHashMap<>();
        for (SitePart part : site.parts()) all.put(part.key(), write(part).orElseThrow());
        return all;
    }

    /** The content of a part; empty where there is nothing to hold. */
    public static Optional<String> write(SitePart part) {
        return data(part).map(Json::writeCompact);
    }

    /** @throws FormatException when the parts make no site */
    public static SiteDocument read(String slug, Map<String, String> parts) {
        try {
            SiteDocument site = SiteDocument.of(slug, slug, List.of());
            for (Map.Entry<String, String> part : parts.entrySet())
                if (!part.getKey().equals("order"))
                    site = part(part.getKey(), Optional.of(Json.readObject(WHERE, part.getValue())))
                            .in(site);
            return parts.containsKey("order")
                    ? part("order", Optional.of(Json.readObject(WHERE, parts.get("order"))))
                            .in(site)
                    : site;
        } catch (IllegalArgumentException e) {
            throw e instanceof FormatException known ? known : new FormatException(e.getMessage(), e);
        }
    }

    public static String write(SiteEdit edit) {
        List<Object> parts = new ArrayList<>();
        for (SitePart part : edit.parts()) {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("key", part.key());
            data(part).ifPresent(content -> entry.put("content", content));
            parts.add(entry);
        }
        Map<String, Object> data = new LinkedHashMap<>();
        data.put(LABEL, edit.label());
        data.put(PARTS, parts);
        return Json.writeCompact(data);
    }

    /** @throws FormatException when the text is no edit of a site */
    public static SiteEdit readEdit(String text) {
        Map<String, Object> data = Json.readObject("An edit of a site", text);
        List<SitePart> parts = new ArrayList<>();
        for (Object one : Json.list("The parts of an edit", data.get(PARTS))) {
            Map<String, Object> entry = Json.object("A part of an edit", one);
            parts.add(part(
                    Json.string("The key of a part", entry.get("key")),
                    Optional.ofNullable(entry.get("content")).map(content -> Json.object("A part", content))));
        }
        return new SiteEdit(Json.string("The label of an edit", data.get(LABEL)), parts);
    }

    private static Optional<Map<String, Object>> data(SitePart part) {
        Map<String, Object> data = new LinkedHashMap<>();
        if (part instanceof SitePart.OfPlate of) {
            Nameplate plate = of.plate();
            data.put("name", plate.name());
            data.put("tagline", plate.tagline());
            if (!plate.logo().isEmpty()) data.put("logo", plate.logo());
            if (!plate.logoDark().isEmpty()) data.put("logoDark", plate.logoDark());
            if (!plate.icon().isEmpty()) data.put("icon", plate.icon());
        } else if (part instanceof SitePart.Look look) {
            data.put("contexts", look.contexts());
            data.put("scheme", look.scheme().id());
        } else if (part instanceof SitePart.Order order) data.put("pages", order.pages());
        else if (part instanceof SitePart.Page page) {
            if (page.page().isEmpty()) return Optional.empty();
            data.put("title", page.page().get().title());
            data.put("kind", page.page().get().kind());
            data.put("html", page.page().get().html());
        } else if (part instanceof SitePart.Piece piece) {
            if (piece.piece().isEmpty()) return Optional.empty();
            data.put("title", piece.piece().get().title());
            data.put("everywhere", piece.piece().get().everywhere());
            data.put("kinds", List.copyOf(piece.piece().get().kinds()));
            data.put("ofTheme", piece.piece().get().ofTheme());
            data.put("html", piece.piece().get().html());
        } else if (part instanceof SitePart.Written written) {
            if (written.tokens().equals(Group.EMPTY)) return Optional.empty();
            data.putAll(TokensJson.data(written.tokens()));
        } else if (part instanceof SitePart.OwnCss own) {
            if (own.css().isEmpty()) return Optional.empty();
            data.put("css", own.css());
        }
        return Optional.of(data);
    }

    /** @param content none for a part that takes away what stands there */
    private static SitePart part(String key, Optional<Map<String, Object>> content) {
        if (key.startsWith(PAGE)) {
            String slug = key.substring(PAGE.length());
            return new SitePart.Page(
                    slug,
                    content.map(page -> new SitePage(
                            slug,
                            Json.string("A page’s title", page.get("title")),
                            Json.string("A page’s kind", page.get("kind")),
                            Json.string("A page’s markup", page.get("html")))));
        }
        if (key.startsWith(PIECE)) {
            String name = key.substring(PIECE.length());
            return new SitePart.Piece(name, content.map(piece -> piece(name, piece)));
        }
        if (key.startsWith(AT)) {
            if (!(Place.parse(key.substring(AT.length())) instanceof Place.InScope place))
                throw new FormatException("“" + key + "” is no place of a site.");
            return new SitePart.Written(
                    place, content.map(tokens -> tokens(key, tokens)).orElse(Group.EMPTY));
        }
        if (key.equals("css"))
            return new SitePart.OwnCss(content.map(own -> Json.string("A site’s own style sheet", own.get("css")))
                    .orElse(""));
        Map<String, Object> data = content.orElseThrow(() -> new FormatException("A site needs its “" + key + "”."));
        return switch (key) {
            case "nameplate" ->
                new SitePart.OfPlate(new Nameplate(
                        Json.string("A site’s name", data.get("name")),
                        Json.string("A site’s tagline", data.getOrDefault("tagline", "")),
                        Json.string("A site’s logo", data.getOrDefault("logo", "")),
                        Json.string("A site’s logo for the dark", data.getOrDefault("logoDark", "")),
                        Json.string("A site’s icon", data.getOrDefault("icon", ""))));
            case "look" -> {
                Map<String, String> contexts = new LinkedHashMap<>();
                Json.object("A site’s contexts", data.get("contexts"))
                        .forEach((modifier, context) ->
                                contexts.put(modifier, Json.string("A context of " + modifier, context)));
                yield new SitePart.Look(
                        contexts, SchemePolicy.byId(Json.string("A site’s scheme", data.get("scheme"))));
            }
            case "order" ->
                new SitePart.Order(Json.list("The order of pages", data.get("pages")).stream()
                        .map(page -> Json.string("A page in the order", page))
                        .toList());
            default -> throw new FormatException("A site has no “" + key + "”.");
        };
    }

    private static SitePiece piece(String name, Map<String, Object> data) {
        Set<String> kinds = new TreeSet<>();
        Json.list("The kinds of pages that have a piece", data.getOrDefault("kinds", List.of()))
                .forEach(kind -> kinds.add(Json.string("A page’s kind", kind)));
        return new SitePiece(
                name,
                Json.string("A piece’s title", data.get("title")),
                Boolean.TRUE.equals(data.get("everywhere")),
                kinds,
                Boolean.TRUE.equals(data.get("ofTheme")),
                Json.string("A piece’s markup", data.get("html")));
    }

    private static Group tokens(String where, Map<String, Object> data) {
        return TokensJson.modern(where, data, new ArrayList<>());
    }
}
