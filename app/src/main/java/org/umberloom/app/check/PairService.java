package org.umberloom.app.check;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.HashMap;
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
import org.umberloom.core.check.Pair;
import org.umberloom.core.color.Color;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.page.LargeText;
import org.umberloom.core.page.Meeting;
import org.umberloom.core.page.PageColors;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.ThemeDocument;

/** The pairs of colors that occur on the pages of a theme's sites, measured in every combination. */
@Service
class PairService {
    private static final int MOST_COMBINATIONS = 48;
    private static final long LETTERS_AT_HAND = 8 << 20;

    /**
     * A pair in one look; level is fails, aa or aaa, missing where a role has no color, or elsewhere where no page that it is on
     * looks so.
     */
    record PairCell(String front, String ground, double ratio, String level, boolean large) {}

    /**
     * @param surface whose role is in front
     * @param types   type roles of the text; none for a shape
     * @param pages   sites and pages where it is, such as {@code crossings/fares}
     * @param words   of the first place
     */
    record PairView(
            String surface,
            String foreground,
            String ground,
            String kind,
            List<String> types,
            String state,
            int count,
            List<String> pages,
            String words,
            List<PairCell> cells) {}

    /** @param scope at which pages look so; empty for those of which the theme says nothing of their own */
    record LookView(Map<String, String> contexts, String scope, String words) {
        static LookView of(Combination combination) {
            return new LookView(
                    combination.contexts(),
                    combination.scope().map(Scope::toString).orElse(""),
                    combination.scope().map(Scope::words).orElse(""));
        }
    }

    record PairsView(List<LookView> looks, List<PairView> pairs) {}

    private static final PairCell ELSEWHERE = new PairCell("", "", 0, "elsewhere", false);

    private final DraftService drafts;
    private final SiteService sites;
    /** Pages are read once for each text of theirs and what is chosen; a text weighs what it holds. */
    private final Cache<Reading, List<PageColors.Found>> read = Caffeine.newBuilder()
            .maximumWeight(LETTERS_AT_HAND)
            .weigher((Reading reading, List<PageColors.Found> found) -> reading.html.length() + 200 * found.size())
            .build();

    private record Reading(String html, Map<String, String> chosen) {
        private List<PageColors.Found> found() {
            return PageColors.of(html, chosen);
        }
    }

    PairService(DraftService drafts, SiteService sites) {
        this.drafts = drafts;
        this.sites = sites;
    }

    PairsView pairs(long theme) {
        Draft draft = drafts.newest(theme);
        ThemeDocument worn = draft.theme();
        Map<String, List<Page>> wearing = new LinkedHashMap<>();
        for (Site site : sites.wearing(theme))
            sites.find(site).ifPresent(shown -> wearing.put(site.slug(), sites.pages(site)));
        // A theme that no site wears is looked at on its specimens.
        if (wearing.isEmpty()) wearing.put("specimen", Specimens.of(worn));
        Map<Combination, Worn> looks = new LinkedHashMap<>();
        Map<Meeting, Met> met = new LinkedHashMap<>();
        for (Combination look : worn.looks(MOST_COMBINATIONS)) {
            looks.put(look, Worn.of(Resolution.of(worn, look)));
            Map<String, String> chosen = Choices.of(worn, look);
            wearing.forEach((site, its) -> its.forEach(page -> {
                Optional<Scope> scope = Optional.of(Scope.kind(page.kind())).filter(worn::writesAt);
                if (scope.equals(look.scope()))
                    for (PageColors.Found found : read.get(new Reading(page.html(), chosen), Reading::found))
                        met.computeIfAbsent(found.meeting(), key -> new Met(found.words()))
                                .at(look, site + "/" + page.slug(), found.count());
            }));
        }
        List<PairView> each = new ArrayList<>();
        met.forEach((meeting, where) -> {
            List<PairCell> cells = new ArrayList<>();
            looks.forEach(
                    (look, colors) -> cells.add(where.counts.containsKey(look) ? cell(meeting, colors) : ELSEWHERE));
            each.add(view(meeting, where.most(), List.copyOf(where.pages), where.words, cells));
        });
        return new PairsView(looks.keySet().stream().map(LookView::of).toList(), merged(each));
    }

    /** Where colors meet, and how often in each look. */
    private static final class Met {
        private final String words;
        private final TreeSet<String> pages = new TreeSet<>();
        private final Map<Combination, Integer> counts = new HashMap<>();

        Met(String words) {
            this.words = words;
        }

        void at(Combination look, String page, int count) {
            pages.add(page);
            counts.merge(look, count, Integer::sum);
        }

        int most() {
            return counts.values().stream().mapToInt(Integer::intValue).max().orElse(0);
        }
    }

    /** Text roles that need the same of the same colors are one pair. */
    private static List<PairView> merged(List<PairView> each) {
        Map<List<Object>, PairView> merged = new LinkedHashMap<>();
        for (PairView view : each)
            merged.merge(
                    List.of(view.foreground, view.ground, view.kind, view.state, view.cells), view, (one, other) -> {
                        TreeSet<String> pages = new TreeSet<>(one.pages);
                        pages.addAll(other.pages);
                        List<String> types = new ArrayList<>(one.types);
                        types.addAll(other.types);
                        return new PairView(
                                one.surface,
                                one.foreground,
                                one.ground,
                                one.kind,
                                types,
                                one.state,
                                one.count + other.count,
                                List.copyOf(pages),
                                one.words,
                                one.cells);
                    });
        return List.copyOf(merged.values());
    }

    private static PairView view(Meeting meeting, int count, List<String> pages, String words, List<PairCell> cells) {
        String[] front = meeting.foreground().split("\\.", 3);
        return new PairView(
                front[1],
                meeting.foreground(),
                meeting.ground(),
                meeting.kind().name().toLowerCase(Locale.ROOT),
                meeting.type().isEmpty() ? List.of() : List.of(meeting.type()),
                meeting.state(),
                count,
                pages,
                words,
                cells);
    }

    private static PairCell cell(Meeting meeting, Worn worn) {
        Optional<Color> front = worn.color(meeting.foreground());
        Optional<Color> ground = worn.color(meeting.ground());
        boolean large = LargeText.is(meeting.type(), worn);
        if (front.isEmpty() || ground.isEmpty()) return new PairCell("", "", 0, "missing", large);
        double ratio = Pair.ratio(meeting.ground(), front.get(), ground.get());
        return new PairCell(
                front.get().hex(),
                ground.get().hex(),
                Math.floor(ratio * 100) / 100,
                meeting.level(ratio, large).name().toLowerCase(Locale.ROOT),
                large);
    }
}
