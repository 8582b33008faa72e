package org.umberloom.app.check;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.AccountService;

/** All findings of a theme and its sites, and those that are lived with. */
@RestController
@RequestMapping("/api/themes/{id}/findings")
class FindingsController {
    record LivedWithRequest(@NotBlank @Size(max = 400) String reason) {}

    private final FindingsService findings;
    private final AccountService accounts;

    FindingsController(FindingsService findings, AccountService accounts) {
        this.findings = findings;
        this.accounts = accounts;
    }

    @GetMapping
    FindingsService.FindingsReport findings(@PathVariable long id) {
        return findings.of(id);
    }

    @PutMapping("/{finding}")
    void accept(
            @PathVariable long id,
            @PathVariable String finding,
            @Valid @RequestBody LivedWithRequest request,
            Principal principal) {
        findings.accept(id, finding, request.reason().strip(), accounts.get(principal.getName()));
    }

    @DeleteMapping("/{finding}")
    void reopen(@PathVariable long id, @PathVariable String finding) {
        findings.reopen(id, finding);
    }
}
