package org.umberloom.core.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.umberloom.core.page.Nameplate;
import org.umberloom.core.theme.Place;
import org.umberloom.core.token.Group;

/** One part of a site's document with what it is to hold; what stood there before is a part of the same kind. */
public sealed interface SitePart {
    /** The site with this part in it. */
    SiteDocument in(SiteDocument site);

    /** What stands in a site where this part would go. */
    SitePart from(SiteDocument site);

    /** Which part it is: two of one key take each other's place. */
    String key();

    /** What it shows of itself. */
    record OfPlate(Nameplate plate) implements SitePart {
        @Override
        public SiteDocument in(SiteDocument site) {
            return new SiteDocument(
                    site.slug(),
                    plate,
                    site.look(),
                    site.scheme(),
                    site.pages(),
                    site.written(),
                    site.pieces(),
                    site.css());
        }

        @Override
        public SitePart from(SiteDocument site) {
            return new OfPlate(site.plate());
        }

        @Override
        public String key() {
            return "nameplate";
        }
    }

    /** In which contexts it stands, and which schemes its readers see. */
    record Look(Map<String, String> contexts, SchemePolicy scheme) implements SitePart {
        @Override
        public SiteDocument in(SiteDocument site) {
            return new SiteDocument(
                    site.slug(),
                    site.plate(),
                    contexts,
                    scheme,
                    site.pages(),
                    site.written(),
                    site.pieces(),
                    site.css());
        }

        @Override
        public SitePart from(SiteDocument site) {
            return new Look(site.look(), site.scheme());
        }

        @Override
        public String key() {
            return "look";
        }
    }

    /** The order of the pages; those that are not named come last, as they stood. */
    record Order(List<String> pages) implements SitePart {
        @Override
        public SiteDocument in(SiteDocument site) {
            List<SitePage> ordered = new ArrayList<>();
            pages.forEach(slug ->
                    site.find(slug).filter(page -> !ordered.contains(page)).ifPresent(ordered::add));
            site.pages().stream().filter(page -> !ordered.contains(page)).forEach(ordered::add);
            return site.withPages(ordered);
        }

        @Override
        public SitePart from(SiteDocument site) {
            return new Order(site.pages().stream().map(SitePage::slug).toList());
        }

        @Override
        public String key() {
            return "order";
        }
    }

    /** A page; none takes it away. */
    record Page(String slug, Optional<SitePage> page) implements SitePart {
        public static Page of(SitePage page) {
            return new Page(page.slug(), Optional.of(page));
        }

        @Override
        public SiteDocument in(SiteDocument site) {
            return page.map(site::withPage)
                    .orElseGet(() -> site.withPages(site.pages().stream()
                            .filter(one -> !one.slug().equals(slug))
                            .toList()));
        }

        @Override
        public SitePart from(SiteDocument site) {
            return new Page(slug, site.find(slug));
        }

        @Override
        public String key() {
            return "page/" + slug;
        }
    }

    /** A piece; none takes it away, and leaves its placements as they are. */
    record Piece(String name, Optional<SitePiece> piece) implements SitePart {
        public static Piece of(SitePiece piece) {
            return new Piece(piece.name(), Optional.of(piece));
        }

        @Override
        public SiteDocument in(SiteDocument site) {
            Map<String, SitePiece> all = new TreeMap<>(site.pieces());
            all.remove(name);
            piece.ifPresent(one -> all.put(name, one));
            return site.withPieces(all);
        }

        @Override
        public SitePart from(SiteDocument site) {
            return new Piece(name, Optional.ofNullable(site.pieces().get(name)));
        }

        @Override
        public String key() {
            return "piece/" + name;
        }
    }

    /** Its own style sheet. */
    record OwnCss(String css) implements SitePart {
        @Override
        public SiteDocument in(SiteDocument site) {
            return site.withCss(css);
        }

        @Override
        public SitePart from(SiteDocument site) {
            return new OwnCss(site.css());
        }

        @Override
        public String key() {
            return "css";
        }
    }

    /** Everything that is written at a place. */
    record Written(Place.InScope place, Group tokens) implements SitePart {
        @Override
        public SiteDocument in(SiteDocument site) {
            Map<Place.InScope, Group> all = new TreeMap<>(site.written());
            all.put(place, tokens);
            return site.withWritten(all);
        }

        @Override
        public SitePart from(SiteDocument site) {
            return new Written(place, site.written().getOrDefault(place, Group.EMPTY));
        }

        @Override
        public String key() {
            return "at/" + place;
        }
    }
}
