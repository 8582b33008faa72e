package org.umberloom.app.release;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.theme.Commits;
import org.umberloom.app.web.ApplicationClock;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.change.ReleaseNumber;
import org.umberloom.core.change.Step;
import org.umberloom.core.token.Names;

/** What sites stand on: taken by hand, by themselves, or in stages; and the way back, which is as short. */
@Service
public class StandingService {
    static final String HAND = "hand";
    private static final Set<String> FOLLOWS = Set.of(HAND, "patch", "minor");
    private static final String SELF = "self";
    private static final String STAGE = "stage";
    private static final String BACK = "back";
    private static final String GOING = "going";
    private static final String PAUSED = "paused";
    private static final String DONE = "done";
    private static final String TAKEN = "taken";
    private static final String WAITING = "waiting";
    private static final int MOST_STAGES = 20;
    private static final int LONGEST_WAIT_HOURS = 24 * 60;
    /** Sites that one statement changes. */
    private static final int AT_ONCE = 500;

    /** A site on the way. @param was what it stood on before it took this; empty for none or while it waits */
    public record MemberView(String slug, String name, String state, String was) {}

    /** @param waitHours hours after the stage before it; −1 for by hand @param due when it goes by itself; empty for never or done */
    public record StageView(int position, int waitHours, String doneAt, String due, List<MemberView> sites) {}

    public record RolloutView(
            long id, String release, String state, String person, String at, List<StageView> stages) {}

    /** What a site stood on, from when, and how it came to it. */
    public record StoodView(String release, String way, String person, String since) {}

    /** A full release with what it says to editors. */
    public record NewerView(String release, String notes) {}

    /**
     * All that a site’s screen says of it.
     *
     * @param newer full releases after the one that it stands on, the newest first
     * @param notes of the release that it stands on
     */
    public record SiteStanding(
            String slug,
            long theme,
            String release,
            String notes,
            String follows,
            List<NewerView> newer,
            List<StoodView> stood) {}

    /** A stage as it is asked for. */
    public record StagePlan(List<String> sites, int waitHours) {}

    private final StandingMapper standings;
    private final ReleaseMapper releases;
    private final Commits commits;
    private final Clock clock;

    StandingService(StandingMapper standings, ReleaseMapper releases, Commits commits, Clock clock) {
        this.standings = standings;
        this.releases = releases;
        this.commits = commits;
        this.clock = clock;
    }

    /** @throws NoSuchElementException when there is no such site */
    SiteStanding of(String site, long theme) {
        ReleaseMapper.StandingRow row = row(site);
        List<ReleaseMapper.ReleaseRow> all = releases.all(theme);
        Map<Long, ReleaseNumber> numbers = numbers(all);
        Optional<ReleaseNumber> now = Optional.ofNullable(row.releaseId()).map(numbers::get);
        return new SiteStanding(
                site,
                theme,
                now.map(ReleaseNumber::toString).orElse(""),
                all.stream()
                        .filter(one -> Objects.equals(one.id(), row.releaseId()))
                        .map(ReleaseMapper.ReleaseRow::notes)
                        .findFirst()
                        .orElse(""),
                row.follows(),
                all.stream()
                        .filter(one -> one.trial() == 0
                                && now.map(than -> States.number(one).compareTo(than) > 0)
                                        .orElse(true))
                        .sorted(Comparator.comparing(States::number).reversed())
                        .map(one -> new NewerView(States.number(one).toString(), one.notes()))
                        .toList(),
                releases.stood(row.id()).stream()
                        .map(one -> new StoodView(
                                named(numbers, one.releaseId()), one.way(), one.person(), one.since() + "Z"))
                        .toList());
    }

    private ReleaseMapper.StandingRow row(String site) {
        return releases.standingOf(site)
                .orElseThrow(() -> new NoSuchElementException("There is no site “" + Names.shown(site) + "”."));
    }

    private Map<Long, ReleaseNumber> numbers(long theme) {
        return numbers(releases.all(theme));
    }

    private static Map<Long, ReleaseNumber> numbers(List<ReleaseMapper.ReleaseRow> rows) {
        Map<Long, ReleaseNumber> numbers = new LinkedHashMap<>();
        rows.forEach(row -> numbers.put(row.id(), States.number(row)));
        return numbers;
    }

    private static String named(Map<Long, ReleaseNumber> numbers, Long release) {
        return release == null || !numbers.containsKey(release)
                ? ""
                : numbers.get(release).toString();
    }

    private long release(long theme, String number) {
        ReleaseNumber wanted = ReleaseNumber.parse(number);
        return States.called(releases.all(theme), wanted)
                .map(ReleaseMapper.ReleaseRow::id)
                .orElseThrow(() -> new NoSuchElementException("The theme has no release " + wanted + "."));
    }

    /** Puts one site on a release; an earlier one too. */
    void take(long theme, String site, String number, Account by) {
        ReleaseMapper.StandingRow row = wearing(theme, site);
        long release = release(theme, number);
        if (Objects.equals(row.releaseId(), release)) return;
        Optional<ReleaseNumber> now = Optional.ofNullable(row.releaseId()).map(numbers(theme)::get);
        boolean back = now.isPresent() && ReleaseNumber.parse(number).compareTo(now.get()) < 0;
        commits.store(() -> {
            put(List.of(row.id()), release, back ? BACK : HAND, null, by.id());
            return null;
        });
    }

    private ReleaseMapper.StandingRow wearing(long theme, String site) {
        return releases.standing(theme).stream()
                .filter(one -> one.slug().equals(site))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("The site “" + Names.shown(site)
                        + "” does not wear this theme, or is put away. Nothing was changed."));
    }

    /** @param follows hand, patch or minor */
    void follow(String site, String follows) {
        if (!FOLLOWS.contains(follows))
            throw new IllegalArgumentException("A site follows by hand, or by itself within patch or minor.");
        standings.follow(row(site).id(), follows);
    }

    private void put(List<Long> sites, Long release, String way, Long rollout, long by) {
        LocalDateTime now = now();
        for (int from = 0; from < sites.size(); from += AT_ONCE) {
            List<Long> some = sites.subList(from, Math.min(from + AT_ONCE, sites.size()));
            standings.stand(some, release);
            standings.note(some, release, way, rollout, by, now);
        }
    }

    /** In the very transaction of the release: sites that follow by themselves within its step stand on it. */
    @EventListener
    void released(ReleaseService.Released released) {
        if (released.number().isTrial()) return;
        Map<Long, ReleaseNumber> numbers = numbers(released.theme());
        List<Long> following = new ArrayList<>();
        for (StandingMapper.FollowingRow site : standings.following(released.theme())) {
            ReleaseNumber now = numbers.get(site.releaseId());
            if (now == null || now.isTrial() || released.number().compareTo(now) <= 0) continue;
            Step most = site.follows().equals("minor") ? Step.MINOR : Step.PATCH;
            if (now.stepTo(released.number()).compareTo(most) <= 0) following.add(site.id());
        }
        put(following, released.release(), SELF, null, released.by());
    }

    /**
     * Sends a release on its way; the first stage goes at once.
     *
     * @throws IllegalArgumentException for stages without sites, a site twice, or one that does not wear the theme
     */
    RolloutView start(long theme, String number, List<StagePlan> stages, Account by) {
        long release = release(theme, number);
        if (stages.isEmpty() || stages.size() > MOST_STAGES)
            throw new IllegalArgumentException("A roll-out has 1 to " + MOST_STAGES + " stages.");
        Map<String, Long> wearing = new HashMap<>();
        releases.standing(theme).forEach(row -> wearing.put(row.slug(), row.id()));
        Set<String> seen = new HashSet<>();
        for (StagePlan stage : stages) {
            if (stage.sites().isEmpty()) throw new IllegalArgumentException("A stage needs at least one site.");
            if (stage.waitHours() < -1 || stage.waitHours() > LONGEST_WAIT_HOURS)
                throw new IllegalArgumentException(
                        "A stage waits up to " + LONGEST_WAIT_HOURS + " hours, or for a hand.");
            for (String site : stage.sites()) {
                if (!wearing.containsKey(site))
                    throw new IllegalArgumentException("The site “" + Names.shown(site)
                            + "” does not wear this theme, or is put away. Nothing was rolled out.");
                if (!seen.add(site)) throw new IllegalArgumentException("“" + site + "” stands in two stages.");
            }
        }
        long id = commits.store(() -> {
            releases.lock(theme);
            for (StandingMapper.RolloutRow other : standings.rollouts(theme))
                if (other.state().equals(GOING) || other.state().equals(PAUSED))
                    throw new Conflict(
                            "Another release is still on its way. End it or take it back first. Nothing was rolled out.");
            StandingMapper.NewRollout rollout = new StandingMapper.NewRollout(theme, release, by.id(), now());
            standings.add(rollout);
            for (int position = 0; position < stages.size(); position++) {
                standings.addStage(rollout.id(), position, stages.get(position).waitHours());
                standings.addSites(
                        rollout.id(),
                        position,
                        stages.get(position).sites().stream().map(wearing::get).toList());
            }
            go(rollout.id(), by.id());
            return rollout.id();
        });
        return view(id);
    }

    /** The next stage goes; after the last one it is done. Must run in a transaction. */
    private void go(long rollout, long by) {
        StandingMapper.RolloutRow row = standings.rollout(rollout).orElseThrow();
        List<StandingMapper.StageRow> stages = standings.stages(rollout);
        Optional<StandingMapper.StageRow> next =
                stages.stream().filter(stage -> stage.doneAt() == null).findFirst();
        if (next.isEmpty()) return;
        int position = next.get().position();
        List<Long> sites = standings.members(rollout).stream()
                .filter(member ->
                        member.position() == position && member.state().equals(WAITING))
                .map(StandingMapper.MemberRow::siteId)
                .toList();
        standings.take(rollout, position);
        put(sites, row.releaseId(), STAGE, rollout, by);
        standings.done(rollout, position, now());
        if (position == stages.get(stages.size() - 1).position()) standings.turn(rollout, DONE);
    }

    /** Locks it. @return the state that it is in */
    private String expecting(long rollout, String... states) {
        String state = standings
                .lock(rollout)
                .orElseThrow(() -> new NoSuchElementException("There is no roll-out " + rollout + "."));
        if (!List.of(states).contains(state))
            throw new Conflict("The roll-out is " + state + " by now. Nothing was changed; look again.");
        return state;
    }

    /** Lets the next stage go before its time, or when it waits for a hand. */
    RolloutView next(long rollout, Account by) {
        commits.store(() -> {
            expecting(rollout, GOING);
            go(rollout, by.id());
            return null;
        });
        return view(rollout);
    }

    RolloutView pause(long rollout, boolean paused) {
        commits.store(() -> {
            expecting(rollout, paused ? GOING : PAUSED);
            standings.turn(rollout, paused ? PAUSED : GOING);
            return null;
        });
        return view(rollout);
    }

    /** Puts every site of it back on what it stood on before, if it still stands on this; nothing more goes after that. */
    RolloutView back(long rollout, Account by) {
        commits.store(() -> {
            expecting(rollout, GOING, PAUSED, DONE);
            putBack(rollout, by, member -> true);
            standings.turn(rollout, BACK);
            return null;
        });
        return view(rollout);
    }

    /**
     * Puts the sites of one stage back, as {@link #back(long, Account)} does with all; what still waits is held, so that nothing
     * goes on by itself meanwhile.
     *
     * @param stage by its place, from 0
     * @throws NoSuchElementException when there is no such stage
     * @throws Conflict when no site of it stands on the release any more, or it has not gone yet
     */
    RolloutView back(long rollout, int stage, Account by) {
        commits.store(() -> {
            String state = expecting(rollout, GOING, PAUSED, DONE);
            if (standings.stages(rollout).stream().noneMatch(one -> one.position() == stage))
                throw new NoSuchElementException("The roll-out has no stage " + (stage + 1) + ".");
            if (putBack(rollout, by, member -> member.position() == stage) == 0)
                throw new Conflict("No site of that stage stands on the release. Nothing was changed; look again.");
            if (state.equals(GOING)) standings.turn(rollout, PAUSED);
            return null;
        });
        return view(rollout);
    }

    /** How many sites were put back. */
    private int putBack(long rollout, Account by, Predicate<StandingMapper.MemberRow> which) {
        long release = standings.rollout(rollout).orElseThrow().releaseId();
        Map<Optional<Long>, List<Long>> byBefore = new LinkedHashMap<>();
        for (StandingMapper.MemberRow member : standings.members(rollout))
            if (which.test(member) && member.state().equals(TAKEN) && Objects.equals(member.standsOn(), release))
                byBefore.computeIfAbsent(Optional.ofNullable(member.was()), key -> new ArrayList<>())
                        .add(member.siteId());
        byBefore.forEach((before, sites) -> {
            put(sites, before.orElse(null), BACK, rollout, by.id());
            for (int from = 0; from < sites.size(); from += AT_ONCE)
                standings.mark(rollout, sites.subList(from, Math.min(from + AT_ONCE, sites.size())), BACK);
        });
        return byBefore.values().stream().mapToInt(List::size).sum();
    }

    /** Stages whose time has come go; several processes may ask at one time. */
    void goOn() {
        LocalDateTime now = now();
        for (StandingMapper.DueRow due : standings.going()) {
            Optional<StandingMapper.StageRow> next = standings.stages(due.id()).stream()
                    .filter(stage -> stage.doneAt() == null)
                    .findFirst();
            if (next.isEmpty() || next.get().waitHours() < 0 || due.last() == null) continue;
            if (due.last().plusHours(next.get().waitHours()).isAfter(now)) continue;
            int position = next.get().position();
            commits.store(() -> {
                if (!standings.lock(due.id()).equals(Optional.of(GOING))) return null;
                boolean still = standings.stages(due.id()).stream()
                        .anyMatch(stage -> stage.position() == position && stage.doneAt() == null);
                if (still) go(due.id(), standings.startedBy(due.id()));
                return null;
            });
        }
    }

    List<RolloutView> rollouts(long theme) {
        Map<Long, ReleaseNumber> numbers = numbers(theme);
        return standings.rollouts(theme).stream().map(row -> view(row, numbers)).toList();
    }

    private RolloutView view(long rollout) {
        StandingMapper.RolloutRow row = standings.rollout(rollout).orElseThrow();
        return view(row, numbers(row.themeId()));
    }

    private RolloutView view(StandingMapper.RolloutRow row, Map<Long, ReleaseNumber> numbers) {
        List<StandingMapper.MemberRow> members = standings.members(row.id());
        List<StageView> stages = new ArrayList<>();
        LocalDateTime last = null;
        boolean first = true;
        for (StandingMapper.StageRow stage : standings.stages(row.id())) {
            boolean next = stage.doneAt() == null && first;
            if (next) first = false;
            String due = next
                            && stage.waitHours() >= 0
                            && last != null
                            && row.state().equals(GOING)
                    ? last.plusHours(stage.waitHours()) + "Z"
                    : "";
            stages.add(new StageView(
                    stage.position(),
                    stage.waitHours(),
                    stage.doneAt() == null ? "" : stage.doneAt() + "Z",
                    due,
                    members.stream()
                            .filter(member -> member.position() == stage.position())
                            .map(member -> new MemberView(
                                    member.slug(), member.name(), member.state(), named(numbers, member.was())))
                            .toList()));
            last = stage.doneAt();
        }
        return new RolloutView(
                row.id(), named(numbers, row.releaseId()), row.state(), row.person(), row.madeAt() + "Z", stages);
    }

    private LocalDateTime now() {
        return ApplicationClock.now(clock);
    }
}
