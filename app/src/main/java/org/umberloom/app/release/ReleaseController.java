package org.umberloom.app.release;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
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
import org.umberloom.app.account.Account;
import org.umberloom.app.account.AccountService;

/** Releases of a theme and what they mean for its sites. */
@RestController
@RequestMapping("/api/themes/{id}")
class ReleaseController {
    /** @param revision of the draft that the person looked at */
    record ReleaseRequest(
            @Size(max = 20) String state,
            @NotNull Integer revision,
            @NotNull @Size(max = 40) String number,
            @NotNull @Size(max = 20_000) String notes,
            @NotNull @Size(max = 1_000) String reason) {
        String of() {
            return state == null || state.isEmpty() ? States.DRAFT : state;
        }
    }

    record TakeRequest(@NotNull @Size(max = 120) String site, @NotNull @Size(max = 40) String release) {}

    record FollowRequest(@NotNull @Size(max = 120) String site, @NotNull @Size(max = 20) String follows) {}

    /** @param waitHours hours after the stage before it; −1 for by hand */
    record StageRequest(@NotNull @Size(max = 5_000) List<@NotNull String> sites, @NotNull Integer waitHours) {}

    record RolloutRequest(
            @NotNull @Size(max = 40) String release,
            @NotNull @Size(max = 100) List<@Valid @NotNull StageRequest> stages) {}

    /**
     * @param step  next, pause, resume or back
     * @param stage to take back alone, by its place, from 0; none or -1 for all
     */
    record RolloutStep(@NotNull @Size(max = 20) String step, @Min(-1) Integer stage) {}

    private final ReleaseService releases;
    private final DifferenceService differences;
    private final ImpactService impacts;
    private final SiteImpact details;
    private final StandingService standing;
    private final FoundAfter found;
    private final AccountService accounts;

    ReleaseController(
            ReleaseService releases,
            DifferenceService differences,
            ImpactService impacts,
            SiteImpact details,
            StandingService standing,
            FoundAfter found,
            AccountService accounts) {
        this.releases = releases;
        this.differences = differences;
        this.impacts = impacts;
        this.details = details;
        this.standing = standing;
        this.found = found;
        this.accounts = accounts;
    }

    /** All releases, the sites with what they stand on, and what the next release would be: of the draft, or of r and a revision. */
    @GetMapping("/releases")
    ReleaseService.ReleasesView releases(@PathVariable long id, @RequestParam(defaultValue = States.DRAFT) String of) {
        return releases.of(id, of);
    }

    /** What each site stands on, and the newest full release. */
    @GetMapping("/standings")
    ReleaseService.StandingsView standings(@PathVariable long id) {
        return releases.standings(id);
    }

    /** Releases the draft, or an earlier state. */
    @PostMapping("/releases")
    ReleaseService.ReleaseView release(
            @PathVariable long id, @Valid @RequestBody ReleaseRequest request, Principal principal) {
        return releases.release(
                id,
                request.of(),
                request.revision(),
                request.number(),
                request.notes(),
                request.reason(),
                by(principal));
    }

    /** How two states differ: each is draft, r and a revision, a release's number, or latest. */
    @GetMapping("/difference")
    DifferenceService.DifferenceView difference(
            @PathVariable long id, @RequestParam String from, @RequestParam String to) {
        return differences.between(id, from, to);
    }

    /** What a state would change on sites, each compared with what it stands on, else with another state. */
    @GetMapping("/impact")
    ImpactService.ImpactView impact(@PathVariable long id, @RequestParam String from, @RequestParam String to) {
        return impacts.of(id, from, to);
    }

    /** What a state would do to one site beyond its roles: lines of text, weight, strays that a role catches up with. */
    @GetMapping("/impact/site")
    SiteImpact.SiteDetail site(
            @PathVariable long id, @RequestParam String from, @RequestParam String to, @RequestParam String site) {
        return details.of(id, from, to, site);
    }

    /** The very elements of a page that change between two states, as they are counted in its body. */
    @GetMapping("/impact/spots")
    ImpactService.SpotsTouched spots(
            @PathVariable long id,
            @RequestParam String from,
            @RequestParam String to,
            @RequestParam String site,
            @RequestParam String page,
            @RequestParam(defaultValue = "") String scheme) {
        return impacts.spots(id, from, to, site, page, scheme);
    }

    /** Puts one site on a release. */
    @PostMapping("/standing")
    StandingService.SiteStanding take(
            @PathVariable long id, @Valid @RequestBody TakeRequest request, Principal principal) {
        standing.take(id, request.site(), request.release(), by(principal));
        return standing.of(request.site(), id);
    }

    @GetMapping("/standing")
    StandingService.SiteStanding standing(@PathVariable long id, @RequestParam String site) {
        return standing.of(site, id);
    }

    /** Says what a site takes by itself. */
    @PutMapping("/standing")
    StandingService.SiteStanding follow(@PathVariable long id, @Valid @RequestBody FollowRequest request) {
        standing.follow(request.site(), request.follows());
        return standing.of(request.site(), id);
    }

    @GetMapping("/rollouts")
    List<StandingService.RolloutView> rollouts(@PathVariable long id) {
        return standing.rollouts(id);
    }

    /** Sends a release on its way to sites; the first stage goes at once. */
    @PostMapping("/rollouts")
    StandingService.RolloutView start(
            @PathVariable long id, @Valid @RequestBody RolloutRequest request, Principal principal) {
        return standing.start(
                id,
                request.release(),
                request.stages().stream()
                        .map(stage -> new StandingService.StagePlan(stage.sites(), stage.waitHours()))
                        .toList(),
                by(principal));
    }

    /** What was found on the sites of the stages that went. */
    @GetMapping("/rollouts/{rollout}/found")
    List<FoundAfter.StageFound> found(@PathVariable long id, @PathVariable long rollout) {
        return found.of(id, rollout);
    }

    /** Lets the next stage go, holds it, lets it go on, or takes all of it or one stage back. */
    @PostMapping("/rollouts/{rollout}")
    StandingService.RolloutView step(
            @PathVariable long id,
            @PathVariable long rollout,
            @Valid @RequestBody RolloutStep request,
            Principal principal) {
        return switch (request.step()) {
            case "next" -> standing.next(rollout, by(principal));
            case "pause" -> standing.pause(rollout, true);
            case "resume" -> standing.pause(rollout, false);
            case "back" ->
                request.stage() == null || request.stage() < 0
                        ? standing.back(rollout, by(principal))
                        : standing.back(rollout, request.stage(), by(principal));
            default ->
                throw new IllegalArgumentException(
                        "A roll-out can go to its next stage, pause, resume or go back: next, pause, resume, back.");
        };
    }

    private Account by(Principal principal) {
        return accounts.get(principal.getName());
    }
}
