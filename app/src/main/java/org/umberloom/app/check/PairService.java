package org.umberloom.app.check;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
import org.umberloom.core.theme.Scope;

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
    /** Pages are read once for each text of theirs; a text weighs what it holds. */
    private final Cache<String, List<PageColors.Found>> read = Caffeine.newBuilder()
            .maximumWeight(LETTERS_AT_HAND)
            .weigher((String html, List<PageColors.Found> found) -> html.length() + 200 * found.size())
            .build();

    PairService(DraftService drafts, SiteService sites) {
        this.drafts = drafts;
        this.sites = sites;
    }

    PairsView pairs(long theme) {
        Draft draft = drafts.newest(theme);
        Map<Meeting, Integer> counts = new LinkedHashMap<>();
        Map<Meeting, TreeSet<String>> pages = new LinkedHashMap<>();
        Map<Meeting, Set<Optional<Scope>>> scopes = new LinkedHashMap<>();
        Map<Meeting, String> words = new LinkedHashMap<>();
        Map<String, List<Page>> worn = new LinkedHashMap<>();
        for (Site site : sites.all()) if (site.themeId() == theme) worn.put(site.slug(), sites.pages(site));
        // A theme that no site wears is looked at on its specimens.
        if (worn.isEmpty()) worn.put("specimen", Specimens.of(draft.theme()));
        worn.forEach((site, its) -> its.forEach(page -> {
            for (PageColors.Found found : read.get(page.html(), html -> PageColors.of(html, Map.of()))) {
                counts.merge(found.meeting(), found.count(), Integer::sum);
                pages.computeIfAbsent(found.meeting(), key -> new TreeSet<>()).add(site + "/" + page.slug());
                scopes.computeIfAbsent(found.meeting(), key -> new HashSet<>())
                        .add(Optional.of(Scope.kind(page.kind())).filter(draft.theme()::writesAt));
                words.putIfAbsent(found.meeting(), found.words());
            }
        }));
        Map<Combination, Worn> looks = new LinkedHashMap<>();
        for (Combination look : draft.theme().looks(MOST_COMBINATIONS))
            looks.put(look, Worn.of(Resolution.of(draft.theme(), look)));
        List<PairView> each = new ArrayList<>();
        counts.forEach((meeting, count) -> {
            List<PairCell> cells = new ArrayList<>();
            looks.forEach((look, wearing) ->
                    cells.add(scopes.get(meeting).contains(look.scope()) ? cell(meeting, wearing) : ELSEWHERE));
            each.add(view(meeting, count, List.copyOf(pages.get(meeting)), words.get(meeting), cells));
        });
        return new PairsView(looks.keySet().stream().map(LookView::of).toList(), merged(each));
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
        double ratio = Contrast.ratio(front.get(), ground.get());
        return new PairCell(
                front.get().hex(),
                ground.get().hex(),
                Math.floor(ratio * 100) / 100,
                meeting.level(ratio, large).name().toLowerCase(Locale.ROOT),
                large);
    }
}
