package org.umberloom.app.dress;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.web.HeavyWork;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.dress.Assignment;
import org.umberloom.core.dress.Dressing;
import org.umberloom.core.dress.Recognized;
import org.umberloom.core.dress.Takeover;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;

/** What dressing a theme starts from: the roles with proposals, and the theme's own tokens. */
@Service
class DressService {
    private static final int MOST_TOKENS = 1_500;

    /**
     * A role on the page.
     *
     * @param set        whether a token fills it that dressing did not write
     * @param written    what dressing wrote, or what fills it; empty where it is unset
     * @param on         what an unset one stands on; empty for a value of the contract's own
     * @param css        what it comes to, to draw it with; empty where there is no single form
     * @param proposed   what is proposed for it, as people write it; empty for nothing
     * @param confidence of the proposal, 0 to 1
     */
    record RoleRow(
            String path,
            String type,
            String part,
            String purpose,
            boolean core,
            boolean set,
            String written,
            String on,
            String css,
            String proposed,
            double confidence,
            String reason) {}

    /** A token of the theme's own; {@code run} is the ramp or the scale that it belongs to, or empty. */
    record TokenCell(String path, String type, String css, String written, String run) {}

    /** @param more tokens that are not listed, of a theme with very many */
    record DressView(int revision, String name, List<RoleRow> roles, List<TokenCell> tokens, int more) {}

    /** A shade as it is and as it would be; {@code difference} is CIEDE2000. */
    record TakenShade(String path, String before, String after, double difference) {}

    record TakeoverView(String hue, String seed, List<TakenShade> shades) {}

    private final DraftService drafts;
    private final HeavyWork heavy;

    DressService(DraftService drafts, HeavyWork heavy) {
        this.drafts = drafts;
        this.heavy = heavy;
    }

    DressView of(long id) {
        return heavy.read(() -> view(drafts.newest(id)));
    }

    TakeoverView ramp(long id, String group, String name) {
        return heavy.read(() -> {
            Takeover takeover = Takeover.of(drafts.newest(id).theme(), TokenPath.of(group), name);
            return new TakeoverView(
                    takeover.hue().dotted(),
                    takeover.seed().hex(),
                    takeover.rows().stream()
                            .map(row -> new TakenShade(
                                    row.path().dotted(),
                                    row.before().hex(),
                                    row.after().hex(),
                                    Math.round(row.difference() * 10) / 10.0))
                            .toList());
        });
    }

    private static DressView view(Draft draft) {
        ThemeDocument theme = draft.theme();
        Resolution resolution = Resolution.of(theme, theme.defaults());
        Worn worn = Worn.of(resolution);
        Map<String, Assignment> proposals = new HashMap<>();
        Dressing.propose(theme).forEach(one -> proposals.put(one.role(), one));
        Map<String, TokenValue> written = Dressing.written(theme);
        List<RoleRow> roles = new ArrayList<>();
        for (Role role : Contract.standard().roles().values()) {
            Worn.Standing standing = worn.at(role, Surfaces.PAGE);
            Assignment proposal = proposals.get(standing.path());
            TokenValue ours = written.get(standing.path());
            roles.add(new RoleRow(
                    standing.path(),
                    role.type().id(),
                    role.part(),
                    role.purpose(),
                    role.core(),
                    standing.token().isPresent() && ours == null,
                    ours != null
                            ? ValueText.write(ours)
                            : standing.token()
                                    .map(token ->
                                            ValueText.write(token.written().value()))
                                    .orElse(""),
                    standing.on().orElse(""),
                    css(standing.value()),
                    proposal == null ? "" : ValueText.write(proposal.value()),
                    proposal == null ? 0 : Math.round(proposal.confidence() * 100) / 100.0,
                    proposal == null ? "" : proposal.reason()));
        }
        Map<String, String> runs = new HashMap<>();
        Recognized.ramps(resolution).forEach(ramp -> ramp.shades()
                .forEach(shade -> runs.put(shade.path().dotted(), ramp.name())));
        Recognized.scales(resolution).forEach(scale -> scale.steps()
                .forEach(step -> runs.put(step.path().dotted(), scale.name())));
        List<Resolved> own = resolution.tokens().values().stream()
                .filter(token ->
                        Contract.standard().filledBy(token.path().dotted()).isEmpty() && usable(token.type()))
                .toList();
        return new DressView(
                draft.revision(),
                theme.name(),
                roles,
                own.stream()
                        .limit(MOST_TOKENS)
                        .map(token -> new TokenCell(
                                token.path().dotted(),
                                token.type().id(),
                                css(token.value()),
                                ValueText.write(token.written().value()),
                                runs.getOrDefault(token.path().dotted(), "")))
                        .toList(),
                Math.max(0, own.size() - MOST_TOKENS));
    }

    /** Types that some role has, or a member of a text style. */
    private static boolean usable(TokenType type) {
        return Contract.standard().roles().values().stream().anyMatch(role -> role.type() == type)
                || type == TokenType.FONT_FAMILY
                || type == TokenType.FONT_WEIGHT
                || type == TokenType.NUMBER;
    }

    private static String css(TokenValue value) {
        return Optional.of(value)
                .filter(one -> !(one instanceof TypographyValue))
                .map(CustomProperties::text)
                .orElse("");
    }
}
