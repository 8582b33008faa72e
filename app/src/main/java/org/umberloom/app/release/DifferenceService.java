package org.umberloom.app.release;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.umberloom.core.change.Change;
import org.umberloom.core.change.Changes;
import org.umberloom.core.change.Telling;
import org.umberloom.core.site.RoleGroups;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/** How two states of a theme differ, as people read it. */
@Service
class DifferenceService {
    private static final int MOST_CHANGES = 400;
    private static final int MOST_FOLLOWERS = 60;

    /**
     * @param group     of roles that it belongs to
     * @param sentence  what happened
     * @param before    as it was written; empty where it was not there
     * @param was       what it came to, without references; empty where that cannot be said
     * @param beforeHex of what it came to; empty where that is no color
     * @param size      how much the two differ, in its own measure
     * @param felt      the same in tenths of what everybody sees
     * @param follows   how many tokens follow
     * @param follow    the first of them
     */
    record ToldChange(
            String kind,
            String step,
            String path,
            String group,
            String sentence,
            String before,
            String after,
            String was,
            String is,
            String beforeHex,
            String afterHex,
            String size,
            double felt,
            List<String> places,
            int follows,
            List<String> follow) {}

    /** @param more changes that are not listed */
    record DifferenceView(
            String from,
            int fromRevision,
            String to,
            int toRevision,
            boolean any,
            String step,
            List<ToldChange> changes,
            int more,
            List<ReleaseService.ReasonView> shifts) {}

    private final States states;

    DifferenceService(States states) {
        this.states = states;
    }

    /** @param from a state by its name, as {@link States} knows them */
    DifferenceView between(long theme, String from, String to) {
        States.State before = states.of(theme, from);
        States.State after = states.of(theme, to);
        Changes changes = Changes.between(before.theme(), after.theme());
        List<ToldChange> told = new ArrayList<>();
        changes.changes().stream().limit(MOST_CHANGES).forEach(change -> told.add(told(change)));
        return new DifferenceView(
                before.name(),
                before.revision(),
                after.name(),
                after.revision(),
                changes.any(),
                changes.step().id(),
                told,
                changes.changes().size() - told.size(),
                changes.shifts().stream()
                        .map(reason ->
                                new ReleaseService.ReasonView(reason.step().id(), reason.sentence()))
                        .toList());
    }

    private static ToldChange told(Change change) {
        return new ToldChange(
                change.kind().id(),
                change.step().id(),
                change.path().dotted(),
                change.type()
                        .map(type -> RoleGroups.of(change.path().dotted(), type))
                        .orElseGet(() -> RoleGroups.of(change.path().dotted(), TokenType.NUMBER)),
                Telling.sentence(change),
                change.before(),
                change.after(),
                change.old().map(ValueText::write).orElse(""),
                change.fresh().map(ValueText::write).orElse(""),
                hex(change.old()),
                hex(change.fresh()),
                change.size().words(),
                change.size().felt(),
                change.places().stream().map(Object::toString).toList(),
                change.follow().size(),
                change.follow().stream()
                        .limit(MOST_FOLLOWERS)
                        .map(TokenPath::dotted)
                        .toList());
    }

    private static String hex(Optional<TokenValue> value) {
        return value.filter(ColorValue.class::isInstance)
                .map(one -> ((ColorValue) one).color().hex())
                .orElse("");
    }
}
