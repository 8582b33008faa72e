package org.umberloom.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
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

/** People and invitations. What begins with {@code /api/people} is for leads; an invitation is for whoever has its word. */
@RestController
@RequestMapping("/api")
class PeopleController {
    record InviteRequest(@NotBlank @Size(max = 190) String email, @NotBlank @Size(max = 120) String name) {}

    record AcceptRequest(@NotBlank @Size(max = 120) String name, @NotBlank @Size(max = 200) String password) {}

    /** @param you whether it is who asks */
    record PersonView(long id, String name, String email, String role, boolean you) {}

    record InvitationView(long id, String email, String name, String invitedBy, String expiresAt) {
        static InvitationView of(AccountMapper.Invitation one) {
            return new InvitationView(one.id(), one.email(), one.name(), one.invitedBy(), one.expiresAt() + "Z");
        }
    }

    record PeopleView(List<PersonView> people, List<InvitationView> invitations) {}

    /** @param path of the link, shown this once */
    record SentView(String path, String expiresAt) {}

    record InvitedView(String email, String name, String invitedBy, int shortestPassword) {}

    private final PeopleService people;
    private final AccountService accounts;
    private final Throttle throttle;

    PeopleController(PeopleService people, AccountService accounts, Throttle throttle) {
        this.people = people;
        this.accounts = accounts;
        this.throttle = throttle;
    }

    @GetMapping("/people")
    PeopleView people(Principal principal) {
        Account you = accounts.get(principal.getName());
        return new PeopleView(
                people.all().stream()
                        .map(one -> new PersonView(one.id(), one.name(), one.email(), one.role(), one.id() == you.id()))
                        .toList(),
                people.invitations().stream().map(InvitationView::of).toList());
    }

    @DeleteMapping("/people/{id}")
    void remove(@PathVariable long id, Principal principal) {
        people.remove(id, accounts.get(principal.getName()));
    }

    @PostMapping("/people/invitations")
    SentView invite(@Valid @RequestBody InviteRequest request, Principal principal) {
        PeopleService.Sent sent = people.invite(request.email(), request.name(), accounts.get(principal.getName()));
        return new SentView(sent.path(), sent.expiresAt() + "Z");
    }

    @DeleteMapping("/people/invitations/{id}")
    void withdraw(@PathVariable long id) {
        people.withdraw(id);
    }

    @GetMapping("/invitation/{word}")
    InvitedView invitation(@PathVariable String word, HttpServletRequest http) {
        return throttle.guarded("invitation", http.getRemoteAddr(), () -> {
            AccountMapper.Invitation one = people.invitation(word);
            return new InvitedView(one.email(), one.name(), one.invitedBy(), Passwords.SHORTEST);
        });
    }

    @PostMapping("/invitation/{word}")
    void accept(@PathVariable String word, @Valid @RequestBody AcceptRequest request, HttpServletRequest http) {
        throttle.guarded("invitation", http.getRemoteAddr(), () -> {
            people.accept(word, request.name(), request.password());
            return true;
        });
    }
}
