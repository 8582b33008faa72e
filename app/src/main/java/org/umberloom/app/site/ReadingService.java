package org.umberloom.app.site;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.umberloom.app.asset.FontShelf;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.check.LineLength;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.font.Advances;
import org.umberloom.core.font.Cut;
import org.umberloom.core.font.Measure;
import org.umberloom.core.page.TextBlocks;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.kit.font.FontFiles;

/** How the text of a site reads: what its lines hold, and which of its letters its fonts have not. */
@Service
public class ReadingService {
    /** A phone, a tablet and two desks, px; common practice. */
    private static final List<Integer> WINDOWS = List.of(390, 1024, 1280, 1440);

    private static final int MOST_WORDS = 60;
    private static final double MOSTLY = 0.9;
    /** What was read of pages stays at hand up to so many letters of their markup. */
    private static final long LETTERS_AT_HAND = 16_000_000;

    /**
     * A text of a page.
     *
     * @param at         where it stands in the body, counted on the page as it is written
     * @param characters in a line, one for each window
     */
    public record LinesOfBlock(
            String page, String title, int at, String style, String words, List<Double> characters) {}

    /** @param letters that the family has not @param pages that have them, by their titles */
    public record LackingLetters(String family, String letters, List<String> pages) {}

    /** @param fewest and so on: characters per line, what is aimed at and the most */
    public record SiteReading(
            List<Integer> windows,
            List<LinesOfBlock> blocks,
            List<LackingLetters> lacking,
            int fewest,
            int ideal,
            int aim,
            int most) {}

    /** A page as it is read. @param chosen values of choices by their names */
    private record Read(String html, Map<String, String> chosen) {}

    /** While type is dragged, pages stay as they are. */
    private final Cache<Read, TextBlocks> texts = Caffeine.newBuilder()
            .maximumWeight(LETTERS_AT_HAND)
            .weigher((Read read, TextBlocks text) -> 2 * read.html().length())
            .build();

    private final SiteDrafts drafts;
    private final DraftService themes;
    private final WornBySites worn;
    private final FontShelf fonts;

    ReadingService(SiteDrafts drafts, DraftService themes, WornBySites worn, FontShelf fonts) {
        this.worn = worn;
        this.drafts = drafts;
        this.themes = themes;
        this.fonts = fonts;
    }

    public SiteReading of(String slug) {
        SiteDraft draft = drafts.newest(slug);
        List<LinesOfBlock> blocks = new ArrayList<>();
        Map<String, Map<String, BitSet>> lacking = new LinkedHashMap<>();
        read(
                draft,
                themes.newest(draft.themeId()).theme(),
                (page, block, style, letters, column) -> blocks.add(new LinesOfBlock(
                        page.slug(),
                        page.title(),
                        block.at(),
                        block.style(),
                        words(block),
                        lines(block, style, letters, column))),
                lacking);
        return new SiteReading(
                WINDOWS,
                blocks,
                lacking.entrySet().stream()
                        .map(family -> new LackingLetters(
                                family.getKey(),
                                letters(family.getValue()),
                                List.copyOf(family.getValue().keySet())))
                        .toList(),
                Measure.FEWEST,
                Measure.IDEAL,
                Measure.AIM,
                Measure.MOST);
    }

    /** A block of text and how many lines it takes in one window. */
    public record TakenLines(String page, String title, String words, int window, int lines) {}

    /** How many lines every block of a site takes in every window, in a state of its theme; always in the same order. */
    public List<TakenLines> linesIn(String slug, ThemeDocument theme) {
        List<TakenLines> taken = new ArrayList<>();
        read(
                drafts.newest(slug),
                theme,
                (page, block, style, letters, column) -> WINDOWS.forEach(window -> taken.add(new TakenLines(
                        page.slug(),
                        page.title(),
                        words(block),
                        window,
                        Measure.lines(
                                block.text(),
                                letters,
                                FluidValue.pxAt(style.fontSize(), window),
                                FluidValue.pxAt(style.letterSpacing(), window),
                                column.width(window),
                                block.language())))),
                new LinkedHashMap<>());
        return taken;
    }

    private static String words(TextBlocks.Block block) {
        return block.text().substring(0, Math.min(MOST_WORDS, block.text().length()));
    }

    /** Hears of every block whose letters its font has. */
    private interface Reader {
        void block(SitePage page, TextBlocks.Block block, TypographyValue style, Advances letters, LineLength column);
    }

    /** @param lacking receives the letters that fonts have not, by family and the titles of pages */
    private void read(SiteDraft draft, ThemeDocument theme, Reader reader, Map<String, Map<String, BitSet>> lacking) {
        SiteDocument site = draft.site();
        String slug = site.slug();
        ThemeDocument dressed = worn.of(theme, site.written());
        Combination look = SiteLook.of(dressed, site);
        FontFiles files = fonts.atHand();
        Map<Combination, Worn> known = new HashMap<>();
        Map<Optional<Cut>, Optional<Advances>> advances = new HashMap<>();
        for (SitePage page : site.pages()) {
            Combination there = look.at(SitePlaces.reaching(slug, page.slug(), page.kind()));
            Worn at = known.computeIfAbsent(there.completedFor(dressed), one -> Worn.of(Resolution.of(dressed, one)));
            TextBlocks text = texts.get(
                    new Read(page.html(), Choices.of(dressed, there)),
                    read -> TextBlocks.of(read.html(), read.chosen()));
            for (TextBlocks.Block block : text.blocks()) {
                Worn around = reaching(draft.places(), page, block)
                        .map(scopes -> known.computeIfAbsent(
                                look.at(scopes).completedFor(dressed), one -> Worn.of(Resolution.of(dressed, one))))
                        .orElse(at);
                TypographyValue style = style(around, block.style());
                Optional<Advances> letters =
                        advances.computeIfAbsent(Cut.of(style), cut -> cut.flatMap(files::advances));
                if (!written(block.text(), files.coverage(stack(style)))) continue;
                letters.ifPresent(one -> reader.block(page, block, style, one, LineLength.of(around)));
            }
            text.letters().forEach((path, set) -> files.coverage(stack(style(at, path)))
                    .ifPresent(coverage -> {
                        BitSet missing = (BitSet) set.clone();
                        missing.andNot(coverage);
                        if (!missing.isEmpty())
                            lacking.computeIfAbsent(stack(style(at, path)).get(0), key -> new LinkedHashMap<>())
                                    .merge(page.title(), missing, (one, other) -> {
                                        one.or(other);
                                        return one;
                                    });
                    }));
        }
    }

    /** The scopes that reach the spot that a block is in; none where it is in none that says something. */
    private static Optional<List<Scope>> reaching(SitePlaces places, SitePage page, TextBlocks.Block block) {
        if (block.spot().isEmpty()) return Optional.empty();
        return places.pages().stream()
                .filter(one -> one.page().equals(page.slug()))
                .flatMap(one -> one.spots().stream()
                        .filter(spot -> spot.scope().name().equals(block.spot()))
                        .map(spot -> places.reaching(one, spot)))
                .findFirst();
    }

    /** Whether a font has nearly all that a text is written with: what is set in another font in its place is of another width. */
    private static boolean written(String text, Optional<BitSet> coverage) {
        return coverage.isEmpty()
                || text.codePoints().filter(coverage.get()::get).count()
                        >= MOSTLY * text.codePoints().count();
    }

    private static List<Double> lines(
            TextBlocks.Block block, TypographyValue style, Advances letters, LineLength column) {
        return WINDOWS.stream()
                .map(window -> Math.round(10
                                * Measure.of(
                                        block.text(),
                                        letters,
                                        FluidValue.pxAt(style.fontSize(), window),
                                        FluidValue.pxAt(style.letterSpacing(), window),
                                        column.width(window),
                                        block.language()))
                        / 10.0)
                .toList();
    }

    private static String letters(Map<String, BitSet> byPage) {
        TreeSet<Integer> all = new TreeSet<>();
        byPage.values().forEach(set -> set.stream().forEach(all::add));
        return all.stream().map(Character::toString).collect(Collectors.joining(" "));
    }

    private static TypographyValue style(Worn worn, String path) {
        return (TypographyValue) worn.find(path).orElseThrow().value();
    }

    private static List<String> stack(TypographyValue style) {
        return style.fontFamily() instanceof FontFamilyValue families ? families.families() : List.of();
    }
}
