package org.umberloom.app.theme;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.AccountService;

/** The history of a theme. */
@RestController
@RequestMapping("/api/themes/{id}")
class HistoryController {
    record HistoryView(int number, String kind, String label, String person, String at, String checkpoint) {
        static HistoryView of(ThemeMapper.HistoryRow row) {
            return new HistoryView(
                    row.number(), row.kind(), row.label(), row.person(), row.madeAt() + "Z", row.checkpoint());
        }
    }

    record CheckpointRequest(@NotNull Integer number, @NotNull @Size(max = 120) String name) {}

    record RestoreRequest(@NotNull Integer number) {}

    record Restored(int revision) {}

    private final HistoryService history;
    private final AccountService accounts;

    HistoryController(HistoryService history, AccountService accounts) {
        this.history = history;
        this.accounts = accounts;
    }

    @GetMapping("/history")
    List<HistoryView> entries(
            @PathVariable long id,
            @RequestParam(defaultValue = "2147483647") int before,
            @RequestParam(defaultValue = "100") int most) {
        return history.entries(id, before, most).stream().map(HistoryView::of).toList();
    }

    @GetMapping("/checkpoints")
    List<HistoryView> checkpoints(@PathVariable long id) {
        return history.checkpoints(id).stream().map(HistoryView::of).toList();
    }

    @PutMapping("/checkpoints")
    List<HistoryView> mark(@PathVariable long id, @Valid @RequestBody CheckpointRequest request, Principal principal) {
        history.mark(id, request.number(), request.name(), accounts.get(principal.getName()));
        return checkpoints(id);
    }

    @GetMapping("/compare")
    HistoryService.CompareView compare(@PathVariable long id, @RequestParam int from, @RequestParam int to) {
        return history.compare(id, from, to);
    }

    @PostMapping("/restore")
    Restored restore(@PathVariable long id, @Valid @RequestBody RestoreRequest request, Principal principal) {
        return new Restored(history.restore(id, request.number(), accounts.get(principal.getName()))
                .revision());
    }
}
