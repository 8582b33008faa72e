package org.umberloom.app.theme;

import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.AccountService;
import org.umberloom.core.css.BaseLayer;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.Trace;
import org.umberloom.core.token.ValueText;

/** Themes: the library, the bench, edits and their history. */
@RestController
@RequestMapping("/api")
class ThemeController {
    record NewThemeRequest(@NotBlank @Size(max = 200) String name, @NotBlank String starter, String seed) {
    }

    record Created(long id) {
    }

    record StarterView(String id, String name, String description, String seed, List<String> families,
                       ThemeViews.Weave weave) {
    }

    record HistoryView(int number, String kind, String label, String person, String at) {
    }

    record CandidateView(String place, String written, boolean wins) {
    }

    record HopView(String path, String member, String recipe, List<CandidateView> candidates) {
    }

    record TraceView(String path, List<HopView> hops) {
    }

    private final ThemeService themes;
    private final AccountService accounts;

    ThemeController(ThemeService themes, AccountService accounts) {
        this.themes = themes;
        this.accounts = accounts;
    }

    @GetMapping("/themes")
    List<ThemeViews.Card> library() {
        return themes.library();
    }

    @GetMapping("/starters")
    List<StarterView> starters() {
        return Starter.ALL.stream().map(starter -> new StarterView(starter.id(), starter.name(), starter.description(),
                starter.seed().hex(), List.of(starter.headings().get(0), starter.text().get(0)),
                ThemeViews.Weave.of(starter.theme(starter.name())))).toList();
    }

    @PostMapping("/themes")
    Created create(@Valid @RequestBody NewThemeRequest request, Principal principal) {
        return new Created(themes.create(request.name(), request.starter(), request.seed(),
                accounts.get(principal.getName())));
    }

    @GetMapping("/themes/{id}")
    ThemeViews.Bench bench(@PathVariable long id) {
        return themes.bench(id);
    }

    @PostMapping("/themes/{id}/probe")
    ThemeViews.Probe probe(@PathVariable long id, @Valid @RequestBody EditRequest request, HttpServletResponse response) {
        long began = System.nanoTime();
        ThemeViews.Probe probe = themes.probe(id, request);
        response.setHeader("Server-Timing", "probe;dur=" + (System.nanoTime() - began) / 1_000 / 1_000.0);
        return probe;
    }

    @PostMapping("/themes/{id}/edits")
    ThemeViews.Bench edit(@PathVariable long id, @Valid @RequestBody EditRequest request, Principal principal) {
        return themes.edit(id, request, accounts.get(principal.getName()));
    }

    @PostMapping("/themes/{id}/undo")
    ThemeViews.Bench undo(@PathVariable long id, Principal principal) {
        return themes.undo(id, accounts.get(principal.getName()));
    }

    @PostMapping("/themes/{id}/redo")
    ThemeViews.Bench redo(@PathVariable long id, Principal principal) {
        return themes.redo(id, accounts.get(principal.getName()));
    }

    @GetMapping("/themes/{id}/history")
    List<HistoryView> history(@PathVariable long id) {
        return themes.history(id).stream().map(row -> new HistoryView(row.number(), row.kind(), row.label(), row.person(),
                row.madeAt() + "Z")).toList();
    }

    @GetMapping("/themes/{id}/trace")
    TraceView trace(@PathVariable long id, @RequestParam String scheme, @RequestParam String path) {
        Trace trace = themes.trace(id, scheme, path);
        return new TraceView(path, trace.hops().stream().map(hop -> new HopView(hop.path().dotted(), hop.member(),
                hop.recipe(), hop.candidates().stream().map(candidate -> new CandidateView(candidate.place().toString(),
                        ValueText.write(candidate.written()), candidate.wins())).toList())).toList());
    }

    /** Which roles govern each element of plain HTML, by element and by color, type, space and width. */
    @GetMapping("/roles")
    Map<String, Map<String, String>> roles() {
        return BaseLayer.rolesByElement();
    }
}
