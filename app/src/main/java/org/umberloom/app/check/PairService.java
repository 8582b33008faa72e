package org.umberloom.app.check;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.jsoup.Jsoup;
import org.springframework.stereotype.Service;
import org.umberloom.app.site.Page;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.check.Meeting;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.TypographyValue;

/** The pairs of colors that occur on the pages of a theme's sites, measured in every combination. */
@Service
class PairService {
    private static final int MOST_COMBINATIONS = 48;
    private static final long LETTERS_AT_HAND = 8 << 20;
    /** Source: WCAG 2.2, "large scale". */
    private static final double LARGE_PX = 24;
    private static final double LARGE_BOLD_PX = 18.66;
    private static final int BOLD = 700;

    /** A pair in one combination; level is fails, aa or aaa, or missing where a role has no color. */
    record PairCell(String front, String ground, double ratio, String level, boolean large) {
    }

    /**
     * @param surface whose role is in front
     * @param types   type roles of the text; none for a shape
     * @param pages   sites and pages where it is, such as {@code crossings/fares}
     * @param words   of the first place
     */
    record PairView(String surface, String foreground, String ground, String kind, List<String> types, String state, int count,
                    List<String> pages, String words, List<PairCell> cells) {
    }

    record PairsView(List<String> combos, List<PairView> pairs) {
    }

    private final DraftService drafts;
    private final SiteService sites;
    /** Pages are read once for each text of theirs; a text weighs what it holds. */
    private final Cache<String, List<PageColors.Found>> read = Caffeine.newBuilder().maximumWeight(LETTERS_AT_HAND)
            .weigher((String html, List<PageColors.Found> found) -> html.length() + 200 * found.size()).build();

    PairService(DraftService drafts, SiteService sites) {
        this.drafts = drafts;
        this.sites = sites;
    }

    PairsView pairs(long theme) {
        Draft draft = drafts.newest(theme);
        Map<Meeting, Integer> counts = new LinkedHashMap<>();
        Map<Meeting, TreeSet<String>> pages = new LinkedHashMap<>();
        Map<Meeting, String> words = new LinkedHashMap<>();
        for (Site site : sites.all()) {
            if (site.themeId() != theme) continue;
            for (Page page : sites.pages(site))
                for (PageColors.Found found : read.get(page.html(), html -> PageColors.of(Jsoup.parse(html)))) {
                    counts.merge(found.meeting(), found.count(), Integer::sum);
                    pages.computeIfAbsent(found.meeting(), key -> new TreeSet<>()).add(site.slug() + "/" + page.slug());
                    words.putIfAbsent(found.meeting(), found.words());
                }
        }
        List<Resolution> resolutions = new ArrayList<>();
        for (Combination combination : draft.theme().combinations(MOST_COMBINATIONS)) resolutions.add(Resolution.of(draft.theme(), combination));
        List<PairView> each = new ArrayList<>();
        counts.forEach((meeting, count) -> each.add(view(meeting, count, List.copyOf(pages.get(meeting)), words.get(meeting), resolutions)));
        return new PairsView(resolutions.stream().map(resolution -> resolution.combination().key()).toList(), merged(each));
    }

    /** Text roles that need the same of the same colors are one pair. */
    private static List<PairView> merged(List<PairView> each) {
        Map<List<Object>, PairView> merged = new LinkedHashMap<>();
        for (PairView view : each)
            merged.merge(List.of(view.foreground, view.ground, view.kind, view.state, view.cells), view, (one, other) -> {
                TreeSet<String> pages = new TreeSet<>(one.pages);
                pages.addAll(other.pages);
                List<String> types = new ArrayList<>(one.types);
                types.addAll(other.types);
                return new PairView(one.surface, one.foreground, one.ground, one.kind, types, one.state, one.count + other.count,
                        List.copyOf(pages), one.words, one.cells);
            });
        return List.copyOf(merged.values());
    }

    private static PairView view(Meeting meeting, int count, List<String> pages, String words, List<Resolution> resolutions) {
        List<PairCell> cells = resolutions.stream().map(resolution -> cell(meeting, resolution)).toList();
        String[] front = meeting.foreground().split("\\.", 3);
        return new PairView(front[1], meeting.foreground(), meeting.ground(), meeting.kind().name().toLowerCase(Locale.ROOT),
                meeting.type().isEmpty() ? List.of() : List.of(meeting.type()),
                meeting.state(), count, pages, words, cells);
    }

    private static PairCell cell(Meeting meeting, Resolution resolution) {
        Optional<Color> front = resolution.value(meeting.foreground(), ColorValue.class).map(ColorValue::color);
        Optional<Color> ground = resolution.value(meeting.ground(), ColorValue.class).map(ColorValue::color);
        boolean large = isLarge(meeting.type(), resolution);
        if (front.isEmpty() || ground.isEmpty()) return new PairCell("", "", 0, "missing", large);
        double ratio = Contrast.ratio(front.get(), ground.get());
        return new PairCell(front.get().hex(), ground.get().hex(), Math.floor(ratio * 100) / 100, meeting.level(ratio, large).name().toLowerCase(Locale.ROOT), large);
    }

    /** Whether text of a type role is large at its smallest, on the narrowest screen. */
    static boolean isLarge(String type, Resolution resolution) {
        if (type.isEmpty()) return false;
        Optional<TypographyValue> style = resolution.value("type." + type, TypographyValue.class);
        if (style.isEmpty()) return false;
        double px = style.get().part("fontSize") instanceof FluidValue fluid ? Math.min(fluid.narrow().toPx(), fluid.wide().toPx())
                : style.get().part("fontSize") instanceof DimensionValue size ? size.toPx() : 0;
        boolean bold = style.get().part("fontWeight") instanceof FontWeightValue weight && weight.weight() >= BOLD;
        return px >= LARGE_PX || bold && px >= LARGE_BOLD_PX;
    }
}
