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
import org.springframework.stereotype.Service;
import org.umberloom.app.site.Page;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.site.Specimens;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.LargeText;
import org.umberloom.core.page.Meeting;
import org.umberloom.core.page.PageColors;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;

/** The pairs of colors that occur on the pages of a theme's sites, measured in every combination. */
@Service
class PairService {
    private static final int MOST_COMBINATIONS = 48;
    private static final long LETTERS_AT_HAND = 8 << 20;

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
        Map<String, List<Page>> worn = new LinkedHashMap<>();
        for (Site site : sites.all()) if (site.themeId() == theme) worn.put(site.slug(), sites.pages(site));
        // A theme that no site wears is looked at on its specimens.
        if (worn.isEmpty()) worn.put("specimen", Specimens.of(draft.theme()));
        worn.forEach((site, its) -> its.forEach(page -> {
            for (PageColors.Found found : read.get(page.html(), html -> PageColors.of(html, Map.of()))) {
                counts.merge(found.meeting(), found.count(), Integer::sum);
                pages.computeIfAbsent(found.meeting(), key -> new TreeSet<>()).add(site + "/" + page.slug());
                words.putIfAbsent(found.meeting(), found.words());
            }
        }));
        List<Worn> combinations = new ArrayList<>();
        List<String> keys = new ArrayList<>();
        for (Combination combination : draft.theme().combinations(MOST_COMBINATIONS)) {
            combinations.add(Worn.of(Resolution.of(draft.theme(), combination)));
            keys.add(combination.key());
        }
        List<PairView> each = new ArrayList<>();
        counts.forEach((meeting, count) -> each.add(view(meeting, count, List.copyOf(pages.get(meeting)), words.get(meeting), combinations)));
        return new PairsView(keys, merged(each));
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

    private static PairView view(Meeting meeting, int count, List<String> pages, String words, List<Worn> worn) {
        List<PairCell> cells = worn.stream().map(one -> cell(meeting, one)).toList();
        String[] front = meeting.foreground().split("\\.", 3);
        return new PairView(front[1], meeting.foreground(), meeting.ground(), meeting.kind().name().toLowerCase(Locale.ROOT),
                meeting.type().isEmpty() ? List.of() : List.of(meeting.type()),
                meeting.state(), count, pages, words, cells);
    }

    private static PairCell cell(Meeting meeting, Worn worn) {
        Optional<Color> front = worn.color(meeting.foreground());
        Optional<Color> ground = worn.color(meeting.ground());
        boolean large = LargeText.is(meeting.type(), worn);
        if (front.isEmpty() || ground.isEmpty()) return new PairCell("", "", 0, "missing", large);
        double ratio = Contrast.ratio(front.get(), ground.get());
        return new PairCell(front.get().hex(), ground.get().hex(), Math.floor(ratio * 100) / 100, meeting.level(ratio, large).name().toLowerCase(Locale.ROOT), large);
    }
}
