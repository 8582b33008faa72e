package org.umberloom.app.theme;

import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.AccountService;
import org.umberloom.core.theme.Starter;

/** Themes: starting one, the bench, probes and edits. */
@RestController
@RequestMapping("/api")
class ThemeController {
    record NewThemeRequest(
            @NotBlank @Size(max = 200) String name, @NotBlank String starter, @Size(max = 200) String seed) {}

    /** The revision that was seen when undo or redo was asked for, and the combinations that the instruments and the bays show. */
    record LookingRequest(
            @NotNull Integer base,
            @NotNull @Size(max = 2000) String combo,
            @NotNull @Size(max = 12) List<@NotNull @Size(max = 2000) String> bays) {}

    record Created(long id) {}

    record StarterView(
            String id, String name, String description, String seed, List<String> families, ThemeViews.Weave weave) {}

    /** They are the same as long as the application runs. */
    private static final List<StarterView> STARTERS = computed();

    private final ThemeService themes;
    private final AccountService accounts;

    ThemeController(ThemeService themes, AccountService accounts) {
        this.themes = themes;
        this.accounts = accounts;
    }

    @GetMapping("/starters")
    List<StarterView> starters() {
        return STARTERS;
    }

    private static List<StarterView> computed() {
        return Starter.ALL.stream()
                .map(starter -> new StarterView(
                        starter.id(),
                        starter.name(),
                        starter.description(),
                        starter.seed().hex(),
                        List.of(starter.headings().get(0), starter.text().get(0)),
                        ThemeViews.Weave.of(starter.theme(starter.name()))))
                .toList();
    }

    @PostMapping("/themes")
    Created create(@Valid @RequestBody NewThemeRequest request, Principal principal) {
        return new Created(
                themes.create(request.name(), request.starter(), request.seed(), accounts.get(principal.getName())));
    }

    /** @param bays keys of combinations, with | between them */
    @GetMapping("/themes/{id}")
    ThemeViews.Bench bench(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String combo,
            @RequestParam(defaultValue = "") String bays) {
        return themes.bench(id, looking(combo, bays.isEmpty() ? List.of() : List.of(bays.split("\\|"))));
    }

    private static Looking looking(String combo, List<String> bays) {
        return Looking.at(combo, List.copyOf(bays));
    }

    @PostMapping("/themes/{id}/probe")
    ThemeViews.Probe probe(
            @PathVariable long id, @Valid @RequestBody EditRequest request, HttpServletResponse response) {
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
    ThemeViews.Bench undo(@PathVariable long id, @Valid @RequestBody LookingRequest looking, Principal principal) {
        return themes.undo(
                id, looking.base(), looking(looking.combo(), looking.bays()), accounts.get(principal.getName()));
    }

    @PostMapping("/themes/{id}/redo")
    ThemeViews.Bench redo(@PathVariable long id, @Valid @RequestBody LookingRequest looking, Principal principal) {
        return themes.redo(
                id, looking.base(), looking(looking.combo(), looking.bays()), accounts.get(principal.getName()));
    }
}
