package org.umberloom.app.release;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import org.springframework.stereotype.Service;
import org.umberloom.app.asset.FontShelf;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.site.WornBySites;
import org.umberloom.core.finding.AllFindings;
import org.umberloom.core.site.SiteDocument;
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
    private final PictureStore pictures;

    FoundAfter(
            StandingService standing,
            States states,
            SiteService sites,
            WornBySites worn,
            FontShelf fonts,
            PictureStore pictures) {
        this.standing = standing;
        this.states = states;
        this.sites = sites;
        this.worn = worn;
        this.fonts = fonts;
        this.pictures = pictures;
    }

    /** Of the stages that went. @throws NoSuchElementException when the theme has no such roll-out */
    List<StageFound> of(long theme, long rollout) {
        StandingService.RolloutView view = standing.rollouts(theme).stream()
                .filter(one -> one.id() == rollout)
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("The theme has no such roll-out."));
        Looking looking = new Looking(theme);
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
                            .map(member -> of(member, view.release(), looking))
                            .toList(),
                    stage.sites().size() - looked.size()));
        }
        return found;
    }

    /** A site that stood on nothing has nothing to compare with: then only what is heaviest is told. */
    private SiteFound of(StandingService.MemberView member, String release, Looking looking) {
        Map<Place.InScope, Group> written =
                sites.find(sites.get(member.slug())).map(SiteDocument::written).orElse(Collections.emptySortedMap());
        boolean compared = !member.was().isEmpty();
        Map<String, Finding> now = looking.at(release, written);
        Map<String, Finding> then = compared ? looking.at(member.was(), written) : Map.of();
        List<Finding> fresh = now.entrySet().stream()
                .filter(entry -> !then.containsKey(entry.getKey()))
                .map(Map.Entry::getValue)
                .filter(finding -> compared || finding.weight() == Finding.Weight.MUST)
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

    /** What is found in releases as sites wear them; sites that write the same are looked at once. */
    private final class Looking {
        private record Seen(String release, Map<Place.InScope, Group> written) {}

        private final long theme;
        private final Map<String, ThemeDocument> releases = new HashMap<>();
        private final Map<Seen, Map<String, Finding>> found = new HashMap<>();

        Looking(long theme) {
            this.theme = theme;
        }

        Map<String, Finding> at(String release, Map<Place.InScope, Group> written) {
            return found.computeIfAbsent(
                    new Seen(release, written),
                    seen -> findings(
                            releases.computeIfAbsent(
                                    release, name -> states.of(theme, name).theme()),
                            written));
        }

        /** By what they say; the same in several combinations is one. */
        private Map<String, Finding> findings(ThemeDocument document, Map<Place.InScope, Group> written) {
            Map<String, Finding> all = new LinkedHashMap<>();
            ThemeDocument state = worn.of(document, written);
            for (Finding finding : AllFindings.everywhere(state, fonts.atHand(), pictures.of(state), MOST_COMBINATIONS))
                all.putIfAbsent(finding.code() + '\n' + finding.path() + '\n' + finding.message(), finding);
            return all;
        }
    }
}
