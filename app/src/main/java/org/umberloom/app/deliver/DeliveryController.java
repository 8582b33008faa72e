package org.umberloom.app.deliver;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.AccountService;

/** Where a site is delivered to, and its deliveries. */
@RestController
@RequestMapping("/api/sites/{site}")
class DeliveryController {
    /** @param place the site’s folder there; empty for one with its own name */
    record ServeRequest(@NotNull Long host, @NotNull @Size(max = 60) String place) {}

    record DeliveryRequest(@NotNull Integer number) {}

    private final DeliveryService deliveries;
    private final AccountService accounts;

    DeliveryController(DeliveryService deliveries, AccountService accounts) {
        this.deliveries = deliveries;
        this.accounts = accounts;
    }

    @GetMapping("/deliveries")
    DeliveryService.SiteDelivery of(@PathVariable String site) {
        return deliveries.of(site);
    }

    @PutMapping("/host")
    DeliveryService.SiteDelivery serve(@PathVariable String site, @Valid @RequestBody ServeRequest request) {
        return deliveries.serve(site, request.host(), request.place());
    }

    @DeleteMapping("/host")
    DeliveryService.SiteDelivery takeOff(@PathVariable String site) {
        return deliveries.takeOff(site);
    }

    /** What a delivery of a build would do; nothing is sent. */
    @PostMapping("/deliveries/plan")
    DeliveryService.PlanView plan(@PathVariable String site, @Valid @RequestBody DeliveryRequest request) {
        return deliveries.plan(site, request.number());
    }

    /** Begins to bring a build to the site’s host; it is live when it arrived. */
    @PostMapping("/deliveries")
    DeliveryService.SiteDelivery start(
            @PathVariable String site, @Valid @RequestBody DeliveryRequest request, Principal principal) {
        return deliveries.start(site, request.number(), accounts.get(principal.getName()));
    }

    @DeleteMapping("/deliveries/{id}")
    DeliveryService.SiteDelivery stop(@PathVariable String site, @PathVariable long id) {
        return deliveries.stop(site, id);
    }
}
