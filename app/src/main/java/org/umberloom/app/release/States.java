package org.umberloom.app.release;

import java.util.Comparator;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.change.ReleaseNumber;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.core.token.Names;

/** The states of a theme that can be named: its draft, a revision, a release. */
@Component
public class States {
    /** The newest state. */
    public static final String DRAFT = "draft";

    private static final String REVISION = "r";
    private static final String LATEST = "latest";

    /**
     * A state by its name.
     *
     * @param name     {@code draft}, {@code r12} or {@code 1.4.0}
     * @param revision at which it can be shown
     * @param release  the number of its row; none for what is no release
     */
    public record State(String name, int revision, ThemeDocument theme, Optional<Long> release) {}

    private final ReleaseMapper releases;
    private final DraftService drafts;

    States(ReleaseMapper releases, DraftService drafts) {
        this.releases = releases;
        this.drafts = drafts;
    }

    /**
     * @param name {@code draft}, {@code r12}, {@code 1.4.0}, or {@code latest} for the newest full release
     * @throws NoSuchElementException when there is no such state
     * @throws IllegalArgumentException for a name that is none
     */
    public State of(long theme, String name) {
        if (name.equals(DRAFT)) {
            Draft draft = drafts.newest(theme);
            return new State(DRAFT, draft.revision(), draft.theme(), Optional.empty());
        }
        if (name.matches(REVISION + "\\d{1,9}")) {
            int revision = Integer.parseInt(name.substring(1));
            return new State(name, revision, drafts.stateAt(theme, revision), Optional.empty());
        }
        List<ReleaseMapper.ReleaseRow> all = releases.all(theme);
        return (name.equals(LATEST) ? latest(all) : called(all, ReleaseNumber.parse(name)))
                .map(this::whole)
                .orElseThrow(() -> new NoSuchElementException("The theme has no release " + Names.shown(name)
                        + ". Its releases are listed on its Releases screen."));
    }

    /** A release as it was stored; what is read back is what was released, or it is refused. */
    State whole(ReleaseMapper.ReleaseRow row) {
        ReleaseMapper.KeptRow kept = releases.kept(row.id()).orElseThrow();
        if (!Fingerprint.of(kept.document()).equals(kept.hash()))
            throw new IllegalStateException("Release " + number(row)
                    + " is no longer what was released: its document does not have the hash that was stored with it. "
                    + "Nothing was changed; bring the database back from a backup.");
        return new State(
                number(row).toString(), row.revision(), ThemeJson.readInline(kept.document()), Optional.of(row.id()));
    }

    static ReleaseNumber number(ReleaseMapper.ReleaseRow row) {
        return new ReleaseNumber(row.major(), row.minor(), row.patch(), row.trial());
    }

    static Optional<ReleaseMapper.ReleaseRow> called(List<ReleaseMapper.ReleaseRow> all, ReleaseNumber number) {
        return all.stream().filter(row -> number(row).equals(number)).findFirst();
    }

    /** The one with the highest number that is not for trying. */
    static Optional<ReleaseMapper.ReleaseRow> latest(List<ReleaseMapper.ReleaseRow> all) {
        return all.stream().filter(row -> row.trial() == 0).max(Comparator.comparing(States::number));
    }
}
