package org.umberloom.app.release;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.umberloom.app.site.CoverageService;
import org.umberloom.app.site.SiteService;
import org.umberloom.app.site.SiteUses;
import org.umberloom.app.site.WornBySites;
import org.umberloom.core.change.Impact;
import org.umberloom.core.change.Size;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.page.ChoiceSpots;
import org.umberloom.core.page.RoleSpots;
import org.umberloom.core.site.SchemePolicy;
import org.umberloom.core.site.SiteDocument;
import org.umberloom.core.site.SiteLook;
import org.umberloom.core.site.SitePage;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.SitePlaces;
import org.umberloom.core.theme.ThemeDocument;

/** Which sites, pages and spots a state of a theme would change, before it is released and before it is taken. */
@Service
class ImpactService {
    private static final int MOST_PAGES = 12;
    private static final int MOST_ROLES = 8;
    private static final int MOST_CROSSINGS = 30;

    /**
     * A page that changes.
     *
     * @param spots that take a role which comes to another value, or look otherwise by a choice
     * @param roles and choices, the most changed ones
     */
    record PageTouched(String page, String title, int spots, List<String> roles) {}

    /**
     * @param standsOn  the state that it is compared with
     * @param spots     on all its pages that change
     * @param pages     the most changed first
     * @param more      changed pages that are not listed
     * @param untouched pages on which nothing changes
     * @param kept      spots where the theme changes and the site’s own values stay
     * @param choices   that are made otherwise for it
     * @param felt      the largest change, in tenths of what everybody sees
     * @param lost      pairs that are no longer readable
     */
    record SiteTouched(
            String slug,
            String name,
            String standsOn,
            int spots,
            List<PageTouched> pages,
            int more,
            int untouched,
            int kept,
            List<ChoiceTouched> choices,
            double felt,
            List<CrossingView> lost) {}

    /**
     * A choice that is made otherwise, in words.
     *
     * @param choice what is chosen
     * @param spots  that look otherwise by it
     */
    record ChoiceTouched(String choice, String before, String after, int spots) {
        static ChoiceTouched of(String name, Impact.Chosen made, int spots) {
            Choice choice = Contract.standard().choices().get(name);
            return new ChoiceTouched(choice.purpose(), choice.words(made.old()), choice.words(made.fresh()), spots);
        }
    }

    /** A pair that crosses the ratio that it needs. */
    record CrossingView(
            String surface, String role, String ground, String where, double before, double after, double needed) {}

    /** @param untouched sites on which nothing changes, by name */
    record ImpactView(
            String to,
            int spots,
            int pages,
            List<SiteTouched> sites,
            List<String> untouched,
            List<CrossingView> lost,
            List<CrossingView> won) {}

    /**
     * Elements of a page, as they are counted from its body on, each with the roles that come to another value there and the choices
     * made otherwise.
     */
    record SpotsTouched(String site, String page, Map<Integer, List<String>> spots) {}

    private final CoverageService coverage;
    private final SiteService sites;
    private final WornBySites worn;
    private final States states;
    private final ReleaseService releases;

    ImpactService(
            CoverageService coverage, SiteService sites, WornBySites worn, States states, ReleaseService releases) {
        this.coverage = coverage;
        this.sites = sites;
        this.worn = worn;
        this.states = states;
        this.releases = releases;
    }

    private record Pairing(ThemeDocument before, ThemeDocument after) {}

    private record Looked(long before, Combination look) {}

    /**
     * @param from the state to compare with for sites that stand on no release; those that do are compared with it
     * @param to   the state that would be taken
     */
    ImpactView of(long theme, String from, String to) {
        States.State fallback = states.of(theme, from);
        States.State after = states.of(theme, to);
        Map<String, String> standing = new HashMap<>();
        releases.standings(theme).sites().forEach(site -> standing.put(site.slug(), site.release()));
        Map<String, States.State> known = new HashMap<>();
        Map<Looked, Impact> plain = new HashMap<>();
        List<SiteTouched> touched = new ArrayList<>();
        List<String> untouched = new ArrayList<>();
        Map<List<Object>, CrossingView> crossing = new LinkedHashMap<>();
        for (CoverageService.SiteTaking site : coverage.taking(theme, after.theme())) {
            String stands = standing.getOrDefault(site.slug(), "");
            States.State before =
                    stands.isEmpty() ? fallback : known.computeIfAbsent(stands, name -> states.of(theme, name));
            SiteTouched one = touched(site, before, after, plain, crossing);
            if (one.spots == 0 && one.choices.isEmpty()) untouched.add(site.name());
            else touched.add(one);
        }
        touched.sort(Comparator.comparingInt(SiteTouched::spots).reversed());
        List<CrossingView> lost = crossing.values().stream()
                .filter(one -> one.after < one.needed)
                .limit(MOST_CROSSINGS)
                .toList();
        List<CrossingView> won = crossing.values().stream()
                .filter(one -> one.after >= one.needed)
                .limit(MOST_CROSSINGS)
                .toList();
        return new ImpactView(
                after.name(),
                touched.stream().mapToInt(SiteTouched::spots).sum(),
                touched.stream().mapToInt(site -> site.pages.size() + site.more).sum(),
                touched,
                untouched,
                lost,
                won);
    }

    /** The combinations that readers of a site see. */
    private static List<Combination> looks(ThemeDocument theme, Map<String, String> look, SchemePolicy policy) {
        Combination first = SiteLook.of(theme, look, policy);
        Optional<Meaning.Scheme> scheme = Meaning.scheme(theme);
        if (policy != SchemePolicy.READER || scheme.isEmpty()) return List.of(first);
        return List.of(
                first.with(scheme.get().modifier(), scheme.get().light()),
                first.with(scheme.get().modifier(), scheme.get().dark()));
    }

    private SiteTouched touched(
            CoverageService.SiteTaking site,
            States.State before,
            States.State after,
            Map<Looked, Impact> plain,
            Map<List<Object>, CrossingView> crossing) {
        List<Combination> looks = looks(after.theme(), site.look(), site.scheme());
        Optional<SiteDocument> own = site.own() ? sites.find(sites.get(site.slug())) : Optional.empty();
        Pairing themes = own.map(document -> new Pairing(
                        worn.of(before.theme(), document.written()), worn.of(after.theme(), document.written())))
                .orElse(new Pairing(before.theme(), after.theme()));
        Map<Combination, Impact> known = new HashMap<>();
        Map<String, Size> sizes = new LinkedHashMap<>();
        Map<String, Impact.Chosen> choices = new TreeMap<>();
        Map<String, Integer> chosenSpots = new TreeMap<>();
        List<CrossingView> lost = new ArrayList<>();
        List<PageTouched> pages = new ArrayList<>();
        int untouched = 0;
        int kept = 0;
        for (SiteUses.PageUses page : site.uses().pages()) {
            Set<String> moved = new LinkedHashSet<>();
            Set<String> ofTheme = new LinkedHashSet<>();
            Map<String, Impact.Chosen> chosen = new TreeMap<>();
            Map<String, Impact.Chosen> chosenByTheme = new TreeMap<>();
            for (Combination look : looks) {
                Impact bare = plain.computeIfAbsent(
                        new Looked(before.revision(), look),
                        key -> Impact.between(before.theme(), after.theme(), look));
                ofTheme.addAll(bare.roles().keySet());
                chosenByTheme.putAll(bare.choices());
                Impact here = own.map(document -> {
                            Combination there = look.at(SitePlaces.reaching(
                                            site.slug(),
                                            page.page(),
                                            document.page(page.page()).kind()))
                                    .completedFor(themes.after);
                            return known.computeIfAbsent(
                                    there, key -> Impact.between(themes.before, themes.after, key));
                        })
                        .orElse(bare);
                here.roles().forEach((path, role) -> {
                    moved.add(path);
                    sizes.merge(path, role.size(), (a, b) -> a.compareTo(b) >= 0 ? a : b);
                });
                chosen.putAll(here.choices());
                for (Impact.Crossing one : here.crossing()) {
                    CrossingView view = view(one, look);
                    crossing.putIfAbsent(List.of(one.pair(), look.key()), view);
                    if (one.lost() && !lost.contains(view)) lost.add(view);
                }
            }
            Map<String, Integer> looking = looking(page, chosen);
            int spots = moved.stream().mapToInt(page::taking).sum() + sum(looking);
            choices.putAll(chosen);
            looking.forEach((name, count) -> chosenSpots.merge(name, count, Integer::sum));
            ofTheme.removeAll(moved);
            chosenByTheme.keySet().removeAll(chosen.keySet());
            kept += ofTheme.stream().mapToInt(page::taking).sum() + sum(looking(page, chosenByTheme));
            // What is chosen otherwise is seen by everybody.
            List<String> taken = Stream.concat(
                            looking.entrySet().stream()
                                    .filter(one -> one.getValue() > 0)
                                    .map(one -> Choices.path(one.getKey()).toString()),
                            moved.stream()
                                    .filter(path -> page.taking(path) > 0)
                                    .sorted(Comparator.comparing(sizes::get, Comparator.reverseOrder())))
                    .toList();
            if (spots == 0) untouched++;
            else
                pages.add(new PageTouched(
                        page.page(),
                        page.title(),
                        spots,
                        taken.stream().limit(MOST_ROLES).toList()));
        }
        pages.sort(Comparator.comparingInt(PageTouched::spots).reversed());
        List<PageTouched> shown = pages.subList(0, Math.min(MOST_PAGES, pages.size()));
        return new SiteTouched(
                site.slug(),
                site.name(),
                before.name(),
                pages.stream().mapToInt(PageTouched::spots).sum(),
                List.copyOf(shown),
                pages.size() - shown.size(),
                untouched,
                kept,
                choices.entrySet().stream()
                        .map(one -> ChoiceTouched.of(one.getKey(), one.getValue(), chosenSpots.get(one.getKey())))
                        .toList(),
                sizes.values().stream().mapToDouble(Size::felt).max().orElse(0),
                lost);
    }

    /** How many spots look otherwise by each choice that is made otherwise. */
    private static Map<String, Integer> looking(SiteUses.PageUses page, Map<String, Impact.Chosen> chosen) {
        Map<String, Integer> spots = new TreeMap<>();
        chosen.forEach((name, made) -> spots.put(name, page.looking(name, made.old(), made.fresh())));
        return spots;
    }

    private static int sum(Map<String, Integer> spots) {
        return spots.values().stream().mapToInt(Integer::intValue).sum();
    }

    private static CrossingView view(Impact.Crossing one, Combination look) {
        return new CrossingView(
                one.pair().surface(),
                one.pair().role(),
                one.pair().ground(),
                String.join(" · ", look.contexts().values()).toLowerCase(Locale.ROOT),
                one.old(),
                one.fresh(),
                one.pair().needed());
    }

    /** The very elements of a page that change. */
    SpotsTouched spots(long theme, String from, String to, String site, String page, String scheme) {
        SiteDocument document = sites.document(sites.get(site));
        ThemeDocument before = worn.of(states.of(theme, from).theme(), document.written());
        ThemeDocument after = worn.of(states.of(theme, to).theme(), document.written());
        SitePage shown = document.page(page);
        SchemePolicy policy = scheme.isEmpty() ? document.scheme() : SchemePolicy.byId(scheme);
        Combination look =
                SiteLook.of(after, document.look(), policy).at(SitePlaces.reaching(site, page, shown.kind()));
        Map<Integer, List<String>> spots = new TreeMap<>();
        Impact impact = Impact.between(before, after, look);
        Map<String, String> chosen = Choices.of(after, look.completedFor(after));
        RoleSpots.of(shown.html(), chosen).forEach((path, found) -> {
            if (impact.roles().containsKey(path))
                found.taking().forEach(at -> spots.computeIfAbsent(at, key -> new ArrayList<>())
                        .add(path));
        });
        Map<String, Map<Integer, ChoiceSpots.Looks>> looking = ChoiceSpots.of(shown.html(), chosen);
        impact.choices().forEach((name, made) -> {
            Choice choice = Contract.standard().choices().get(name);
            looking.getOrDefault(name, Map.of()).forEach((at, looks) -> {
                if (looks.differ(choice, made.old(), made.fresh()))
                    spots.computeIfAbsent(at, key -> new ArrayList<>())
                            .add(Choices.path(name).toString());
            });
        });
        return new SpotsTouched(site, page, spots);
    }
}
