package org.umberloom.app.theme;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.umberloom.core.check.Tidiness;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Fallback;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.theme.ThemeGraph;
import org.umberloom.core.theme.Trace;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DerivedValue;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Operation;
import org.umberloom.core.token.Reference;
import org.umberloom.core.token.TemplateValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.UnknownMembers;
import org.umberloom.core.token.ValueText;

/** Single tokens of a theme: the list of all, one with its trace and what depends on it, and what is untidy. */
@Service
public class TokenService {
    private static final int MOST_DEPENDENTS = 200;
    /**
     * A token in the chosen combination.
     *
     * @param resolved its value without references; empty where it has none
     * @param css      the resolved value as CSS, to draw it with; empty where there is no single form
     * @param marks    any of {@code detached}, {@code recipe}, {@code derived}, {@code alias}, {@code role}, {@code deprecated}
     * @param users    how many tokens refer to it themselves
     */
    record TokenRow(
            String path,
            String type,
            String place,
            String written,
            String resolved,
            String css,
            List<String> marks,
            int users,
            List<ThemeViews.FindingView> findings) {}

    record TokenList(int revision, String combo, List<TokenRow> tokens) {}

    record CandidateView(String place, String written, boolean wins) {}

    /** @param unset of a role without a token: what it stands on, in words; empty for a token */
    record HopView(
            String path,
            String from,
            String member,
            String recipe,
            String type,
            String resolved,
            String css,
            List<CandidateView> candidates,
            String unset) {}

    /**
     * @param contexts every place of the theme that holds the token, also in other combinations
     * @param unknown  names of members that its value was read with and the format does not know, wherever it is written
     */
    record TokenView(
            String path,
            String type,
            String description,
            String deprecated,
            List<HopView> hops,
            List<String> dependents,
            int dependentCount,
            List<String> roles,
            List<PlaceView> contexts,
            List<String> unknown) {}

    public record PlaceView(String place, String written) {}

    /** An argument; {@code kind} is color, number, amount or hue, and the range counts for a number. */
    record ParameterView(String name, String kind, double min, double max, String words, String usual) {}

    record OperationView(String id, String words, List<ParameterView> parameters, boolean color, boolean shifts) {}

    private final DraftService drafts;
    private final ThemeGraphs graphs;
    private final WornSites sites;

    TokenService(DraftService drafts, ThemeGraphs graphs, WornSites sites) {
        this.sites = sites;
        this.drafts = drafts;
        this.graphs = graphs;
    }

    TokenList list(long id, String combo) {
        Draft draft = drafts.newest(id);
        ThemeGraph graph = graph(draft, combo);
        return new TokenList(
                draft.revision(),
                graph.combination().key(),
                graph.rows().stream().map(row -> row(draft.theme(), row)).toList());
    }

    private ThemeGraph graph(Draft draft, String combo) {
        return graphs.of(draft, Combination.parse(combo).completedFor(draft.theme()));
    }

    private static TokenRow row(ThemeDocument theme, ThemeGraph.Row row) {
        Optional<TokenValue> value = row.resolved().map(resolved -> resolved.value());
        return new TokenRow(
                row.path().dotted(),
                row.resolved()
                        .map(resolved -> resolved.type())
                        .or(row::declared)
                        .map(type -> type.id())
                        .orElse(""),
                row.place().toString(),
                ValueText.write(row.token().value()),
                value.map(ValueText::write).orElse(""),
                value.map(TokenService::css).orElse(""),
                marks(theme, row),
                row.users(),
                row.findings().stream().map(ThemeViews.FindingView::of).toList());
    }

    private static List<String> marks(ThemeDocument theme, ThemeGraph.Row row) {
        List<String> marks = new ArrayList<>(2);
        Token token = row.token();
        if (token.detached()) marks.add("detached");
        else if (Recipes.computing(theme.at(row.place()), row.path()).isPresent()) marks.add("recipe");
        if (token.value() instanceof DerivedValue) marks.add("derived");
        if (token.value() instanceof Reference) marks.add("alias");
        if (fillsARole(row.path())) marks.add("role");
        if (token.meta().deprecated().filter(said -> !said.equals(false)).isPresent()) marks.add("deprecated");
        return marks;
    }

    private static String css(TokenValue value) {
        if (value instanceof ColorValue color) return color.color().hex();
        return value instanceof TypographyValue ? "" : CustomProperties.text(value);
    }

    /** Why a token has its value in a combination, and what depends on it. */
    TokenView token(long id, String combo, String path) {
        Draft stored = drafts.newest(id);
        Draft draft = new Draft(
                stored.id(),
                stored.revision(),
                sites.lay(stored, Looking.at(combo, List.of())).theme());
        ThemeGraph graph = graph(draft, combo);
        TokenPath at = TokenPath.of(path);
        List<TokenPath> dependents = graph.dependents(at);
        List<HopView> hops = hops(graph, at);
        Meta meta = draft.theme().places().stream()
                .flatMap(place -> draft.theme().at(place).token(at).stream())
                .map(Token::meta)
                .filter(m -> m.description().isPresent() || m.deprecated().isPresent())
                .findFirst()
                .orElse(Meta.NONE);
        return new TokenView(
                path,
                hops.isEmpty() ? "" : hops.get(0).type(),
                meta.description().orElse(""),
                meta.deprecated()
                        .filter(said -> !said.equals(false))
                        .map(said -> said.equals(true) ? "deprecated" : said.toString())
                        .orElse(""),
                hops,
                dependents.stream()
                        .limit(MOST_DEPENDENTS)
                        .map(TokenPath::dotted)
                        .toList(),
                dependents.size(),
                roles(at, dependents),
                places(draft.theme(), at),
                unknown(draft.theme(), graph, at));
    }

    /** Where references stand in a value, what it comes to tells which of its members are known. */
    private static List<String> unknown(ThemeDocument theme, ThemeGraph graph, TokenPath path) {
        Optional<TokenValue> resolved = graph.resolution().find(path.dotted()).map(Resolved::value);
        return theme.places().stream()
                .flatMap(place -> theme.at(place).token(path).stream())
                .flatMap(token -> token.value() instanceof TemplateValue template && resolved.isPresent()
                        ? UnknownMembers.in(template.data(), resolved.get()).names().stream()
                        : token.unknown().names().stream())
                .distinct()
                .toList();
    }

    /** The chain of a token; that of a role that is unset leads over what it stands on. */
    private static List<HopView> hops(ThemeGraph graph, TokenPath at) {
        List<HopView> hops = new ArrayList<>();
        Worn worn = Worn.of(graph.resolution());
        String from = "";
        TokenPath next = at;
        for (Optional<Worn.Standing> role = worn.find(at.dotted());
                role.isPresent() && role.get().unset();
                role = worn.find(next.dotted())) {
            Worn.Standing standing = role.get();
            hops.add(new HopView(
                    next.dotted(),
                    from,
                    "",
                    "",
                    standing.role().type().id(),
                    ValueText.write(standing.value()),
                    css(standing.value()),
                    List.of(),
                    standing.on()
                            .map(on -> "unset, so it stands on " + on)
                            .orElse(
                                    standing.role().fallback() instanceof Fallback.Readable readable
                                            ? "unset, so it is what can be read on "
                                                    + readable.on().replace("*", Surfaces.PAGE)
                                            : "unset, so it is a value of the contract’s own")));
            if (standing.on().isEmpty()
                    || hops.size() > Contract.standard().roles().size()) return hops;
            from = next.dotted();
            next = TokenPath.of(standing.on().get());
        }
        String first = from;
        Trace.of(graph, next).hops().forEach(hop -> hops.add(hop(hop, hop.from().isEmpty() ? first : hop.from())));
        return hops;
    }

    /** The roles that show the token on a page: itself, or what comes from it. */
    private static List<String> roles(TokenPath path, List<TokenPath> dependents) {
        List<String> roles = new ArrayList<>();
        if (fillsARole(path)) roles.add(path.dotted());
        for (TokenPath dependent : dependents) if (fillsARole(dependent)) roles.add(dependent.dotted());
        return roles;
    }

    private static boolean fillsARole(TokenPath path) {
        return Contract.standard().filledBy(path.dotted()).isPresent();
    }

    private static List<PlaceView> places(ThemeDocument theme, TokenPath path) {
        List<PlaceView> places = new ArrayList<>();
        for (Place place : theme.places())
            theme.at(place)
                    .token(path)
                    .ifPresent(token -> places.add(new PlaceView(place.toString(), ValueText.write(token.value()))));
        return places;
    }

    private static HopView hop(Trace.Hop hop, String from) {
        Optional<TokenValue> result = hop.result();
        return new HopView(
                hop.path().dotted(),
                from,
                hop.member(),
                hop.recipe(),
                result.flatMap(TokenValue::type).map(type -> type.id()).orElse(""),
                result.map(ValueText::write).orElse(""),
                result.map(TokenService::css).orElse(""),
                hop.candidates().stream()
                        .map(candidate -> new CandidateView(
                                candidate.place().toString(), ValueText.write(candidate.written()), candidate.wins()))
                        .toList(),
                "");
    }

    /** What no page can show, or stands twice, in any combination. */
    List<ThemeViews.FindingView> untidy(long id) {
        List<Finding> findings = Tidiness.findings(drafts.newest(id).theme());
        return findings.stream().map(ThemeViews.FindingView::of).toList();
    }

    List<OperationView> operations() {
        return List.of(Operation.values()).stream()
                .map(operation -> new OperationView(
                        operation.id(),
                        operation.words(),
                        operation.parameters().stream()
                                .map(parameter -> new ParameterView(
                                        parameter.name(),
                                        parameter.kind().name().toLowerCase(Locale.ROOT),
                                        parameter.min(),
                                        parameter.max(),
                                        parameter.words(),
                                        parameter.usual()))
                                .toList(),
                        operation.makesColor(),
                        operation.shifts()))
                .toList();
    }
}
