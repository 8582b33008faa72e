package org.umberloom.app.site;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.color.Color;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Part;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.Headings;
import org.umberloom.core.page.PageBlocks;
import org.umberloom.core.page.PageChanges;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.site.SitePiece;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;

/** What is shown of one page: what it is laid out of, the order of its headings, and what it could be laid out with. */
@Service
class PageViews {
    /**
     * A region or block.
     *
     * @param reach content, wide or full
     * @param room  standard, close or ample
     * @param piece that it is a placement of; empty for none
     * @param own   how many values are written for this placement or block alone
     */
    record BlockView(
            int at,
            String tag,
            String words,
            boolean region,
            String surface,
            String reach,
            String room,
            boolean shown,
            String piece,
            int own) {}

    /** @param fault in words; empty for none */
    record HeadingView(int at, int level, int look, String words, boolean shown, String fault) {}

    /** A surface to put a block on, with its colors. @param name empty for what is around */
    record Standing(String name, String ground, String text, String accent) {}

    record PartNamed(String name, String title) {}

    /**
     * A piece.
     *
     * @param ofTheme whether all sites that wear the theme show it
     * @param pages that hold it
     * @param own   how many values its placements have of their own
     */
    record PieceView(
            String name,
            String title,
            boolean everywhere,
            List<String> kinds,
            boolean ofTheme,
            List<String> pages,
            int own) {}

    record PageNamed(String slug, String title, String kind) {}

    /** @param missing what is wrong with the page's headings as a whole; empty for nothing */
    record PageLaid(
            String site,
            String name,
            String slug,
            String title,
            String kind,
            long themeId,
            String combo,
            int revision,
            String undo,
            String redo,
            List<PageNamed> pages,
            List<BlockView> blocks,
            List<HeadingView> headings,
            String missing,
            List<Standing> surfaces,
            List<PartNamed> parts,
            List<String> pictures,
            List<PieceView> pieces) {}

    private final SiteDrafts drafts;
    private final SiteMapper mapper;
    private final DraftService themes;

    PageViews(SiteDrafts drafts, SiteMapper mapper, DraftService themes) {
        this.drafts = drafts;
        this.mapper = mapper;
        this.themes = themes;
    }

    PageLaid page(String slug, String which) {
        SiteDraft draft = drafts.newest(slug);
        SiteDocument site = draft.site();
        SitePage page = site.page(which);
        Draft theme = themes.newest(draft.themeId());
        SiteDrafts.Stacks rail = drafts.rail(draft);
        Combination look = SiteLook.of(theme.theme(), site);
        Headings.Order order = Headings.of(page.html());
        return new PageLaid(
                slug,
                site.name(),
                page.slug(),
                page.title(),
                page.kind(),
                theme.id(),
                look.key(),
                draft.revision(),
                rail.undo(),
                rail.redo(),
                site.pages().stream()
                        .map(one -> new PageNamed(one.slug(), one.title(), one.kind()))
                        .toList(),
                PageBlocks.of(page.html()).stream()
                        .map(block -> block(site, block))
                        .toList(),
                order.headings().stream()
                        .map(heading -> new HeadingView(
                                heading.at(),
                                heading.level(),
                                heading.look(),
                                heading.words(),
                                heading.shown(),
                                heading.fault().map(PageViews::words).orElse("")))
                        .toList(),
                order.missing().map(PageViews::words).orElse(""),
                surfaces(Worn.of(Resolution.of(theme.theme(), look))),
                Contract.standard().parts().stream()
                        .filter(PageChanges::canBeAdded)
                        .sorted(Comparator.comparingInt(Part::shown))
                        .map(part -> new PartNamed(part.name(), part.title()))
                        .toList(),
                mapper.pictureNames(draft.id()),
                pieces(site));
    }

    private static BlockView block(SiteDocument site, PageBlocks.Block block) {
        return new BlockView(
                block.at(),
                block.tag(),
                block.words(),
                block.region(),
                block.surface(),
                block.reach().name().toLowerCase(Locale.ROOT),
                block.room().name().toLowerCase(Locale.ROOT),
                block.shown(),
                block.piece(),
                written(site, block.spot()));
    }

    /** How many values are written for a spot. */
    private static int written(SiteDocument site, String spot) {
        return site.written().entrySet().stream()
                .filter(entry -> entry.getKey().scope().level().isSpot()
                        && spot.equals(entry.getKey().scope().name()))
                .mapToInt(entry -> entry.getValue().tokenCount())
                .sum();
    }

    static List<PieceView> pieces(SiteDocument site) {
        return site.pieces().values().stream().map(piece -> piece(site, piece)).toList();
    }

    private static PieceView piece(SiteDocument site, SitePiece piece) {
        List<SitePage> holding = site.holding(piece.name());
        int own = 0;
        for (SitePage page : holding)
            for (PageBlocks.Block block : PageBlocks.of(page.html()))
                if (block.piece().equals(piece.name())) own += written(site, block.spot());
        return new PieceView(
                piece.name(),
                piece.title(),
                piece.everywhere(),
                List.copyOf(piece.kinds()),
                piece.ofTheme(),
                holding.stream().map(SitePage::slug).toList(),
                own);
    }

    private static List<Standing> surfaces(Worn worn) {
        return worn.surfaces().stream()
                .map(name -> new Standing(
                        name.equals(Surfaces.PAGE) ? "" : name,
                        color(worn, name, "ground"),
                        color(worn, name, "text"),
                        color(worn, name, "accent")))
                .toList();
    }

    private static String color(Worn worn, String surface, String role) {
        return worn.color(Surfaces.path(surface, role)).map(Color::hex).orElse("transparent");
    }

    private static String words(Headings.Fault fault) {
        return switch (fault) {
            case NO_TITLE -> "This page has no heading of level 1.";
            case SECOND_TITLE -> "A second heading of level 1; one names the page.";
            case SKIPPED -> "A level is left out before it.";
            case EMPTY -> "A heading without words.";
        };
    }
}
