package org.umberloom.app.release;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import org.springframework.stereotype.Service;
import org.umberloom.app.asset.FontShelf;
import org.umberloom.app.site.Site;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.site.WornBySites;
import org.umberloom.core.finding.AllFindings;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;

/**
 * What was found after a stage of a roll-out went: findings of the release as each of its sites wears it, that were not there with
 * what the site stood on before.
 */
@Service
class FoundAfter {
    private static final int MOST_COMBINATIONS = 4;
    private static final int MOST_SITES = 24;
    private static final int MOST_TOLD = 4;

    /** @param weight must, should or note */
    record FoundThen(String weight, String message) {}

    /**
     * @param must  how many of the heaviest weight are new
     * @param fresh how many are new in all
     * @param told  the heaviest of them
     * @param gone  how many are no more
     */
    record SiteFound(String slug, String name, int must, int fresh, List<FoundThen> told, int gone) {}

    /** @param more sites of the stage that were not looked at */
    record StageFound(int position, List<SiteFound> sites, int more) {}

    private final StandingService standing;
    private final States states;
    private final SiteService sites;
    private final WornBySites worn;
    private final FontShelf fonts;

    FoundAfter(StandingService standing, States states, SiteService sites, WornBySites worn, FontShelf fonts) {
        this.standing = standing;
        this.states = states;
        this.sites = sites;
        this.worn = worn;
        this.fonts = fonts;
    }

    /** Of the stages that went. @throws NoSuchElementException when the theme has no such roll-out */
    List<StageFound> of(long theme, long rollout) {
        StandingService.RolloutView view = standing.rollouts(theme).stream()
                .filter(one -> one.id() == rollout)
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("The theme has no such roll-out."));
        Map<String, ThemeDocument> known = new HashMap<>();
        ThemeDocument after = states.of(theme, view.release()).theme();
        List<StageFound> found = new ArrayList<>();
        int left = MOST_SITES;
        for (StandingService.StageView stage : view.stages()) {
            if (stage.doneAt().isEmpty()) continue;
            List<StandingService.MemberView> looked =
                    stage.sites().stream().limit(left).toList();
            left -= looked.size();
            found.add(new StageFound(
                    stage.position(),
                    looked.stream()
                            .map(member -> of(
                                    member,
                                    after,
                                    member.was().isEmpty()
                                            ? null
                                            : known.computeIfAbsent(member.was(), name -> states.of(theme, name)
                                                    .theme())))
                            .toList(),
                    stage.sites().size() - looked.size()));
        }
        return found;
    }

    /** @param before none for a site that stood on nothing: then only what is heaviest is told */
    private SiteFound of(StandingService.MemberView member, ThemeDocument after, ThemeDocument before) {
        Site site = sites.get(member.slug());
        Map<Place.InScope, Group> written = sites.document(site).written();
        Map<String, Finding> now = findings(after, written);
        Map<String, Finding> then = before == null ? Map.of() : findings(before, written);
        List<Finding> fresh = now.entrySet().stream()
                .filter(entry -> !then.containsKey(entry.getKey()))
                .map(Map.Entry::getValue)
                .filter(finding -> before != null || finding.weight() == Finding.Weight.MUST)
                .sorted(Comparator.comparing(Finding::weight))
                .toList();
        return new SiteFound(
                member.slug(),
                member.name(),
                (int) fresh.stream()
                        .filter(one -> one.weight() == Finding.Weight.MUST)
                        .count(),
                fresh.size(),
                fresh.stream()
                        .limit(MOST_TOLD)
                        .map(one -> new FoundThen(one.weight().name().toLowerCase(Locale.ROOT), one.message()))
                        .toList(),
                (int) then.keySet().stream()
                        .filter(key -> !now.containsKey(key))
                        .count());
    }

    /** By what they say; the same in several combinations is one. */
    private Map<String, Finding> findings(ThemeDocument theme, Map<Place.InScope, Group> written) {
        Map<String, Finding> found = new LinkedHashMap<>();
        for (Finding finding : AllFindings.everywhere(worn.of(theme, written), fonts.atHand(), MOST_COMBINATIONS))
            found.putIfAbsent(finding.code() + '\n' + finding.path() + '\n' + finding.message(), finding);
        return found;
    }
}
