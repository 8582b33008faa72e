package org.umberloom.app.deliver;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.account.AccountService;

/** Hosts: their keys, how to get in, and whether they can do what a delivery needs. */
@RestController
@RequestMapping("/api/hosts")
class HostController {
    record HostAt(@NotBlank @Size(max = 255) String address, @NotNull Integer port) {}

    /** @param fingerprint of the key that it shows: SHA256:… */
    record HostShown(String fingerprint) {}

    private final HostService hosts;
    private final AccountService accounts;

    HostController(HostService hosts, AccountService accounts) {
        this.hosts = hosts;
        this.accounts = accounts;
    }

    @GetMapping
    HostService.Hosts hosts() {
        return hosts.all();
    }

    /** The key that a host shows, before anybody trusts it. */
    @PostMapping("/key")
    HostShown key(@Valid @RequestBody HostAt at) {
        return new HostShown(hosts.look(at.address(), at.port()));
    }

    @PostMapping
    HostService.Hosts add(@Valid @RequestBody HostWanted wanted, Principal principal) {
        return hosts.add(wanted, accounts.get(principal.getName()));
    }

    @PutMapping("/{id}")
    HostService.Hosts change(@PathVariable long id, @Valid @RequestBody HostWanted wanted) {
        return hosts.change(id, wanted);
    }

    @DeleteMapping("/{id}")
    HostService.Hosts remove(@PathVariable long id) {
        return hosts.remove(id);
    }

    /** Tries everything that a delivery does, in a folder that is removed again. */
    @PostMapping("/{id}/trial")
    List<HostService.Trial> tried(@PathVariable long id) {
        return hosts.tried(id);
    }
}
