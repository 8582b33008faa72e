package org.umberloom.app.publish;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.security.Principal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.AccountService;
import org.umberloom.app.web.HeavyWork;

/** Builds of a site, and which is live. */
@RestController
@RequestMapping("/api/sites/{site}/builds")
class PublishController {
    record LiveRequest(@NotNull Integer number) {}

    private final PublishService publishing;
    private final AccountService accounts;
    private final HeavyWork heavy;

    PublishController(PublishService publishing, AccountService accounts, HeavyWork heavy) {
        this.publishing = publishing;
        this.accounts = accounts;
        this.heavy = heavy;
    }

    @GetMapping
    PublishService.Published builds(@PathVariable String site) {
        return publishing.of(site);
    }

    /** Makes a build of the site as it is; it is not live by that. */
    @PostMapping
    PublishService.Published build(@PathVariable String site, Principal principal) {
        return heavy.make(() -> publishing.build(site, accounts.get(principal.getName())));
    }

    /** Puts a build live; an earlier one is the way back. */
    @PutMapping("/live")
    PublishService.Published live(
            @PathVariable String site, @Valid @RequestBody LiveRequest request, Principal principal) {
        return publishing.putLiveHere(site, request.number(), accounts.get(principal.getName()));
    }
}
