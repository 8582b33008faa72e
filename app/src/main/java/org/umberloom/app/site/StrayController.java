package org.umberloom.app.site;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.Account;
import org.umberloom.app.account.AccountService;

/** Values written by hand, of one site or of all: back to the theme, kept, or taken into it. */
@RestController
@RequestMapping("/api")
class StrayController {
    record StraysChosen(
            Integer base, @NotNull @Size(max = 5000) List<@NotBlank String> strays, @Size(max = 300) String reason) {}

    record StrayOfSite(@NotBlank String site, @NotBlank String id) {}

    record StraysOfSites(@NotNull @Size(max = 5000) List<@NotNull @Valid StrayOfSite> strays) {}

    /** @param path of the token that they become */
    record StraysLifted(
            @NotNull Long theme,
            @NotBlank @Size(max = 600) String path,
            @Size(max = 300) String reason,
            @NotNull @Size(min = 1, max = 5000) List<@NotNull @Valid StrayOfSite> strays) {}

    record EntriesBack(@NotNull @Valid @Size(max = 2000) List<SiteWork.Entry> entries) {}

    private final SiteWork work;
    private final SiteViews views;
    private final AccountService accounts;

    StrayController(SiteWork work, SiteViews views, AccountService accounts) {
        this.work = work;
        this.views = views;
        this.accounts = accounts;
    }

    private Account by(Principal principal) {
        return accounts.get(principal.getName());
    }

    private static Map<String, List<String>> bySite(List<StrayOfSite> strays) {
        return strays.stream()
                .collect(Collectors.groupingBy(
                        StrayOfSite::site, TreeMap::new, Collectors.mapping(StrayOfSite::id, Collectors.toList())));
    }

    /** The strays of all sites that wear a theme, those that are one to the eye together. */
    @GetMapping("/strays")
    List<SiteViews.LikeView> strays(@RequestParam long theme) {
        return views.alike(theme);
    }

    /** Strays of any sites back to the theme, an entry in the log of each. */
    @PostMapping("/strays/return")
    List<SiteWork.Entry> giveBackAll(@Valid @RequestBody StraysOfSites named, Principal principal) {
        return work.giveBack(bySite(named.strays()), by(principal));
    }

    /** Strays of any sites as one token of the theme, which all those spots take from then on. */
    @PostMapping("/strays/lift")
    List<SiteWork.Entry> lift(@Valid @RequestBody StraysLifted lifted, Principal principal) {
        return work.lift(
                lifted.theme(),
                lifted.path(),
                lifted.reason() == null ? "" : lifted.reason(),
                bySite(lifted.strays()),
                by(principal));
    }

    /** Takes back what was just done in several sites, in each where nobody did anything since. */
    @PostMapping("/strays/take-back")
    void takeBack(@Valid @RequestBody EntriesBack back, Principal principal) {
        work.takeBack(back.entries(), by(principal));
    }

    @PostMapping("/sites/{site}/strays/return")
    SiteDrafts.Stacks giveBack(
            @PathVariable String site, @Valid @RequestBody StraysChosen chosen, Principal principal) {
        return work.giveBack(site, chosen.base(), chosen.strays(), by(principal));
    }

    @PostMapping("/sites/{site}/strays/keep")
    SiteDrafts.Stacks keep(@PathVariable String site, @Valid @RequestBody StraysChosen chosen, Principal principal) {
        return work.keep(
                site, chosen.base(), chosen.strays(), chosen.reason() == null ? "" : chosen.reason(), by(principal));
    }
}
