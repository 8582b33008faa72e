package org.umberloom.app.kit;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.AccountService;

/** A person's own keys for builds. */
@RestController
@RequestMapping("/api/keys")
class BuildKeyController {
    /** @param theme that it is for; none for all */
    record KeyRequest(@NotNull @Size(max = 200) String name, Long theme, @NotNull Integer days) {}

    private final BuildKeys keys;
    private final AccountService accounts;

    BuildKeyController(BuildKeys keys, AccountService accounts) {
        this.keys = keys;
        this.accounts = accounts;
    }

    @GetMapping
    List<BuildKeys.KeyView> keys(Principal principal) {
        return keys.all(accounts.get(principal.getName()));
    }

    /** Makes a key; its secret is in this answer and nowhere else. */
    @PostMapping
    BuildKeys.NewKey make(@Valid @RequestBody KeyRequest request, Principal principal) {
        return keys.make(request.name(), request.theme(), request.days(), accounts.get(principal.getName()));
    }

    @DeleteMapping("/{id}")
    List<BuildKeys.KeyView> revoke(@PathVariable long id, Principal principal) {
        return keys.revoke(id, accounts.get(principal.getName()));
    }
}
