package org.umberloom.app.release;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.check.FindingsService;
import org.umberloom.app.theme.Commits;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.theme.ThemeViews;
import org.umberloom.app.web.ApplicationClock;
import org.umberloom.app.web.Conflict;
import org.umberloom.core.change.Changes;
import org.umberloom.core.change.Reason;
import org.umberloom.core.change.ReleaseNumber;
import org.umberloom.core.change.Step;
import org.umberloom.core.change.Telling;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.core.token.Names;

/** Releases of a theme: what the next would be, and making it. */
@Service
public class ReleaseService {
    private static final int MOST_WEAVES = 2_000;
    private static final int MOST_LINES = 12;
    private static final int MOST_REASONS = 40;
    private static final int LONGEST_NOTES = 8_000;
    private static final int LONGEST_REASON = 400;

    /** A site and what it stands on; the number is empty for none. @param since when it came to it, empty for never */
    public record StandingView(String slug, String name, String release, String follows, String since) {}

    /** @param reason why it was released in spite of something heavy; empty where nothing was */
    public record ReleaseView(
            long id,
            String number,
            boolean trial,
            String step,
            String notes,
            String reason,
            String person,
            String at,
            int revision,
            String hash,
            ThemeViews.Weave weave) {}

    /** Why the next number is what it is. */
    public record ReasonView(String step, String sentence) {}

    /**
     * What a release of the draft would be.
     *
     * @param any     whether the draft differs from the last release at all
     * @param number  the lowest that it can have
     * @param trial   the number for trying it
     * @param numbers those that it can have, by how far they are: from the lowest up
     * @param notes   to begin with
     * @param heavy   what is wrong with the heaviest weight, in sentences
     */
    public record NextView(
            boolean any,
            String since,
            String step,
            String number,
            String trial,
            List<String> numbers,
            List<ReasonView> reasons,
            String notes,
            List<String> heavy) {}

    /** @param releases the newest first */
    public record ReleasesView(
            long theme,
            String name,
            int revision,
            ThemeViews.Weave weave,
            List<ReleaseView> releases,
            List<StandingView> sites,
            NextView next) {}

    /** A release came; sites may follow it. */
    record Released(long theme, long release, ReleaseNumber number, long by) {}

    private final ReleaseMapper releases;
    private final DraftService drafts;
    private final States states;
    private final FindingsService findings;
    private final Commits commits;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    /** The plaids of releases, which never change, by the keys of their rows. */
    private final Cache<Long, ThemeViews.Weave> weaves =
            Caffeine.newBuilder().maximumSize(MOST_WEAVES).build();

    ReleaseService(
            ReleaseMapper releases,
            DraftService drafts,
            States states,
            FindingsService findings,
            Commits commits,
            ApplicationEventPublisher events,
            Clock clock) {
        this.releases = releases;
        this.drafts = drafts;
        this.states = states;
        this.findings = findings;
        this.commits = commits;
        this.events = events;
        this.clock = clock;
    }

    /** @param of the state that the next release would be made of: draft, or r and a revision */
    ReleasesView of(long theme, String of) {
        Draft draft = drafts.newest(theme);
        List<ReleaseMapper.ReleaseRow> rows = releases.all(theme);
        List<ReleaseView> views = new ArrayList<>();
        for (ReleaseMapper.ReleaseRow row : rows) views.add(view(row, rows));
        return new ReleasesView(
                theme,
                draft.theme().name(),
                draft.revision(),
                ThemeViews.Weave.of(draft.theme()),
                views,
                standing(theme, rows),
                next(theme, releasable(theme, of).theme(), rows));
    }

    /** @throws IllegalArgumentException for a release, which is one already */
    private States.State releasable(long theme, String name) {
        States.State state = states.of(theme, name);
        if (state.release().isPresent())
            throw new IllegalArgumentException("“" + state.name() + "” is released already. Nothing was released.");
        return state;
    }

    private List<StandingView> standing(long theme, List<ReleaseMapper.ReleaseRow> rows) {
        Map<Long, String> numbers = numbers(rows);
        return releases.standing(theme).stream()
                .map(row -> new StandingView(
                        row.slug(),
                        row.name(),
                        row.releaseId() == null ? "" : numbers.getOrDefault(row.releaseId(), ""),
                        row.follows(),
                        row.since() == null ? "" : row.since() + "Z"))
                .toList();
    }

    private ReleaseView view(ReleaseMapper.ReleaseRow row, List<ReleaseMapper.ReleaseRow> all) {
        ReleaseNumber number = States.number(row);
        Optional<ReleaseNumber> before = all.stream()
                .map(States::number)
                .filter(one -> !one.isTrial() && one.compareTo(number) < 0)
                .max(ReleaseNumber::compareTo);
        return new ReleaseView(
                row.id(),
                number.toString(),
                number.isTrial(),
                before.map(one -> one.stepTo(number.full()).id()).orElse("first"),
                row.notes(),
                row.reason(),
                row.person(),
                row.madeAt() + "Z",
                row.revision(),
                row.hash(),
                weaves.get(row.id(), id -> weaveOf(row)));
    }

    /** One release that cannot be read is still listed. */
    private ThemeViews.Weave weaveOf(ReleaseMapper.ReleaseRow row) {
        try {
            return ThemeViews.Weave.of(states.whole(row).theme());
        } catch (IllegalArgumentException | IllegalStateException unreadable) {
            return new ThemeViews.Weave(List.of(), List.of());
        }
    }

    private NextView next(long theme, ThemeDocument document, List<ReleaseMapper.ReleaseRow> rows) {
        Optional<ReleaseNumber> lastNumber = States.latest(rows).map(States::number);
        Changes changes = sinceLast(document, rows);
        ReleaseNumber lowest = changes.next(lastNumber);
        List<Reason> reasons = changes.reasons();
        return new NextView(
                changes.any(),
                lastNumber.map(ReleaseNumber::toString).orElse(""),
                lastNumber.isEmpty() ? "first" : changes.step().id(),
                lowest.toString(),
                trial(lowest, rows).toString(),
                numbers(lastNumber, changes.step()),
                reasons.stream()
                        .limit(MOST_REASONS)
                        .map(reason -> new ReasonView(reason.step().id(), reason.sentence()))
                        .toList(),
                lastNumber.isPresent() ? Telling.notes(changes, MOST_LINES) : "- The first release.\n",
                findings.heavy(theme, document));
    }

    /** What a state changes; where nothing is released yet, all of it is new. */
    private Changes sinceLast(ThemeDocument document, List<ReleaseMapper.ReleaseRow> rows) {
        return States.latest(rows)
                .map(states::whole)
                .map(last -> Changes.between(last.theme(), document))
                .orElse(new Changes(List.of(), List.of(), true));
    }

    private static List<String> numbers(Optional<ReleaseNumber> last, Step lowest) {
        if (last.isEmpty()) return List.of(ReleaseNumber.FIRST.toString());
        return Arrays.stream(Step.values())
                .filter(step -> step.compareTo(lowest) >= 0)
                .map(step -> last.get().after(step).toString())
                .toList();
    }

    private static ReleaseNumber trial(ReleaseNumber number, List<ReleaseMapper.ReleaseRow> rows) {
        int most = rows.stream()
                .map(States::number)
                .filter(one -> one.full().equals(number))
                .mapToInt(ReleaseNumber::trial)
                .max()
                .orElse(0);
        return number.trial(most + 1);
    }

    /**
     * Releases the draft, or an earlier state that has a name.
     *
     * @param of     draft, or r and a revision
     * @param seen   the revision of the draft that the person looked at
     * @param number as it is to be called: none lower than what the changes ask for
     * @param reason needed where something of the heaviest weight is wrong
     * @throws Conflict when the draft or the last release is another than the person saw
     * @throws IllegalArgumentException with a sentence for a number that is too low, or a reason that is missing
     */
    ReleaseView release(long theme, String of, int seen, String number, String notes, String reason, Account by) {
        ReleaseNumber asked = ReleaseNumber.parse(number);
        String said = text("The notes", notes, LONGEST_NOTES);
        String why = text("The reason", reason, LONGEST_REASON);
        States.State state = releasable(theme, of);
        if (of.equals(States.DRAFT) && state.revision() != seen) throw changed();
        List<String> heavy = findings.heavy(theme, state.theme());
        if (!heavy.isEmpty() && why.isEmpty() && !asked.isTrial())
            throw new IllegalArgumentException(
                    heavy.get(0) + (heavy.size() > 1 ? " " + (heavy.size() - 1) + " more." : "")
                            + " Say why it is released all the same, or mend it first. Nothing was released.");
        String document = ThemeJson.writeInline(state.theme());
        try {
            long id = commits.store(() -> {
                int newest = releases.lock(theme).orElseThrow(ReleaseService::changed);
                if (of.equals(States.DRAFT) && newest != seen) throw changed();
                List<ReleaseMapper.ReleaseRow> rows = releases.all(theme);
                refuseUnfit(asked, state.theme(), rows);
                ReleaseMapper.NewRelease row = new ReleaseMapper.NewRelease(
                        theme,
                        asked,
                        state.revision(),
                        document,
                        Fingerprint.of(document),
                        said,
                        heavy.isEmpty() ? "" : why,
                        by.id(),
                        ApplicationClock.now(clock));
                releases.add(row);
                events.publishEvent(new Released(theme, row.id(), asked, by.id()));
                return row.id();
            });
            List<ReleaseMapper.ReleaseRow> rows = releases.all(theme);
            return view(releases.find(id).orElseThrow(), rows);
        } catch (DuplicateKeyException taken) {
            throw taken(asked);
        }
    }

    private static Conflict changed() {
        return new Conflict("The draft was changed since you looked at it. Nothing was released; "
                + "look at what is new and decide again.");
    }

    private static Conflict taken(ReleaseNumber number) {
        return new Conflict("There is a release " + number
                + " by now. Nothing was released; look at what it holds and decide again.");
    }

    private void refuseUnfit(ReleaseNumber asked, ThemeDocument document, List<ReleaseMapper.ReleaseRow> rows) {
        if (rows.stream().map(States::number).anyMatch(asked::equals)) throw taken(asked);
        Optional<ReleaseNumber> latest = States.latest(rows).map(States::number);
        Changes changes = sinceLast(document, rows);
        if (!changes.any())
            throw new IllegalArgumentException(
                    "Nothing changed since release " + latest.orElseThrow() + ", so there is nothing to release.");
        if (!numbers(latest, changes.step()).contains(asked.full().toString()))
            throw new IllegalArgumentException("The release cannot be called " + asked + ". It is "
                    + String.join(" or ", numbers(latest, changes.step()))
                    + ": a number can be raised, never lowered"
                    + changes.reasons().stream()
                            .findFirst()
                            .map(first -> "; " + first.sentence())
                            .orElse("."));
        if (asked.isTrial() && !asked.equals(trial(asked.full(), rows)))
            throw new IllegalArgumentException(
                    "The next for trying " + asked.full() + " is " + trial(asked.full(), rows) + ".");
    }

    private static String text(String what, String text, int longest) {
        String trimmed = text.trim();
        Names.safe(what, trimmed.replace("\n", " "));
        if (trimmed.length() > longest)
            throw new IllegalArgumentException(
                    what + " may have " + longest + " letters; there are " + trimmed.length() + ".");
        return trimmed;
    }

    /**
     * What a cloth and a bench are told of a theme.
     *
     * @param latest   its newest full release; empty for none
     * @param revision that it was made of
     * @param sites    what each stands on
     */
    public record StandingsView(String latest, int revision, List<StandingView> sites) {}

    StandingsView standings(long theme) {
        List<ReleaseMapper.ReleaseRow> rows = releases.all(theme);
        Optional<ReleaseMapper.ReleaseRow> latest = States.latest(rows);
        return new StandingsView(
                latest.map(row -> States.number(row).toString()).orElse(""),
                latest.map(ReleaseMapper.ReleaseRow::revision).orElse(0),
                standing(theme, rows));
    }

    /** The numbers of a theme's releases by the keys of their rows. */
    public Map<Long, String> numbers(long theme) {
        return numbers(releases.all(theme));
    }

    private static Map<Long, String> numbers(List<ReleaseMapper.ReleaseRow> rows) {
        return rows.stream().collect(Collectors.toMap(ReleaseMapper.ReleaseRow::id, row -> States.number(row)
                .toString()));
    }

    /** What a site stands on; empty for none. */
    public Optional<States.State> standing(String site) {
        return releases.standingOf(site)
                .flatMap(row -> Optional.ofNullable(row.releaseId()))
                .flatMap(releases::find)
                .map(states::whole);
    }
}
