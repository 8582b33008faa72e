package org.umberloom.app.theme;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.umberloom.app.account.Account;
import org.umberloom.core.theme.Difference;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.ValueText;

/** What was done to a theme: the log, names on its states, two states compared, one of them made the newest again. */
@Service
class HistoryService {
    private static final int MOST_DIFFERENCES = 500;
    private static final int LONGEST_NAME = 120;

    /** A token that differs; a text is empty where the token is not there, a hex where it is no color of its own. */
    record ChangeView(String place, String path, String before, String after, String beforeHex, String afterHex) {}

    /** @param structure whether sets, modifiers, contexts or their order differ, too */
    record CompareView(int from, int to, int count, boolean structure, List<ChangeView> changes) {}

    private final ThemeMapper themes;
    private final DraftService drafts;
    private final Clock clock;

    HistoryService(ThemeMapper themes, DraftService drafts, Clock clock) {
        this.themes = themes;
        this.drafts = drafts;
        this.clock = clock;
    }

    /** Entries below a number, the newest first. */
    List<ThemeMapper.HistoryRow> entries(long id, int before, int most) {
        return themes.history(id, before, Math.max(1, Math.min(most, 500)));
    }

    List<ThemeMapper.HistoryRow> checkpoints(long id) {
        return themes.checkpoints(id);
    }

    /** Names a state, or takes its name away when the name is empty. */
    @Transactional
    public void mark(long id, int number, String name, Account by) {
        if (themes.revision(id, number).isEmpty())
            throw new IllegalArgumentException("The theme has no revision " + number + " to name.");
        String trimmed = Names.safe("A checkpoint’s name", name.trim());
        if (trimmed.length() > LONGEST_NAME)
            throw new IllegalArgumentException("A checkpoint’s name has at most " + LONGEST_NAME + " characters.");
        if (trimmed.isEmpty()) themes.unmark(id, number);
        else themes.mark(id, number, trimmed, by.id(), LocalDateTime.now(clock));
    }

    CompareView compare(long id, int from, int to) {
        ThemeDocument before = drafts.stateAt(id, from);
        ThemeDocument after = drafts.stateAt(id, to);
        List<Difference.Entry> entries = Difference.entries(before, after);
        boolean structure =
                !before.order().equals(after.order()) || !before.places().equals(after.places());
        return new CompareView(
                from,
                to,
                entries.size(),
                structure,
                entries.stream()
                        .limit(MOST_DIFFERENCES)
                        .map(entry -> new ChangeView(
                                entry.place().toString(),
                                entry.path().dotted(),
                                text(entry.before()),
                                text(entry.after()),
                                hex(entry.before()),
                                hex(entry.after())))
                        .toList());
    }

    /** Makes an older state the newest, as an edit that can be undone. */
    Draft restore(long id, int number, Account by) {
        String name = themes.checkpoints(id).stream()
                .filter(row -> row.number() == number)
                .map(row -> " “" + row.checkpoint() + "”")
                .findFirst()
                .orElse("");
        ThemeDocument back = drafts.stateAt(id, number);
        return drafts.amend(id, newest -> Difference.edit("restore revision " + number + name, newest, back), by);
    }

    private static String text(Optional<Token> token) {
        return token.map(t -> ValueText.write(t.value())).orElse("");
    }

    private static String hex(Optional<Token> token) {
        return token.map(Token::value)
                .filter(ColorValue.class::isInstance)
                .map(v -> ((ColorValue) v).color().hex())
                .orElse("");
    }
}
