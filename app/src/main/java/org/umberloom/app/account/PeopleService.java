package org.umberloom.app.account;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Base64;
import java.util.List;
import java.util.NoSuchElementException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.core.token.Names;

/** Who belongs here: inviting by a link, accepting, taking off the list. All of it is for leads. */
@Service
class PeopleService {
    private static final Duration HOLDS = Duration.ofDays(7);
    private static final int WORD_BYTES = 32;
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_ADDRESS = 190;
    private static final String LEAD = "lead";

    /** @param path of the link that accepts it, for the one time it is shown */
    record Sent(String path, LocalDateTime expiresAt) {}

    private final AccountMapper accounts;
    private final AccountService service;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    PeopleService(AccountMapper accounts, AccountService service, Clock clock) {
        this.accounts = accounts;
        this.service = service;
        this.clock = clock;
    }

    List<Account> all() {
        return accounts.all();
    }

    /** Those that still hold. */
    List<AccountMapper.Invitation> invitations() {
        LocalDateTime now = LocalDateTime.now(clock);
        return accounts.invitations().stream()
                .filter(one -> one.expiresAt().isAfter(now))
                .toList();
    }

    /** An earlier invitation of the same address no longer holds. @throws IllegalArgumentException for what is no address or name */
    Sent invite(String email, String name, Account by) {
        String address = AccountService.address(email);
        int at = address.indexOf('@');
        if (at < 1
                || at != address.lastIndexOf('@')
                || at == address.length() - 1
                || address.length() > LONGEST_ADDRESS
                || address.chars().anyMatch(c -> c <= ' '))
            throw new IllegalArgumentException("“" + Names.shown(address) + "” is not an e-mail address.");
        String called = called(name);
        if (accounts.byEmail(address).isPresent())
            throw new IllegalArgumentException("Somebody with the address " + address + " is here already.");
        byte[] word = new byte[WORD_BYTES];
        random.nextBytes(word);
        String written = Base64.getUrlEncoder().withoutPadding().encodeToString(word);
        LocalDateTime expires = LocalDateTime.now(clock).plus(HOLDS);
        accounts.invite(hash(written), address, called, LEAD, by.id(), expires);
        return new Sent("/invitation/" + written, expires);
    }

    void withdraw(long invitation) {
        if (accounts.withdraw(invitation) == 0) throw new NoSuchElementException("That invitation is no longer there.");
    }

    /** @throws NoSuchElementException when no invitation that holds has this word */
    AccountMapper.Invitation invitation(String word) {
        LocalDateTime now = LocalDateTime.now(clock);
        return accounts.invitation(hash(word))
                .filter(one -> one.expiresAt().isAfter(now))
                .orElseThrow(
                        () -> new NoSuchElementException(
                                "This invitation no longer holds: it was used, withdrawn, or is older than a week. Ask for a new one."));
    }

    /** Whoever has the word chooses name and password; it serves once. */
    @Transactional
    public void accept(String word, String name, String password) {
        AccountMapper.Invitation invitation = invitation(word);
        String called = called(name);
        Passwords.check(password, invitation.email(), called);
        if (accounts.accept(hash(word)) == 0) throw new NoSuchElementException("This invitation was just used.");
        service.add(invitation.email(), called, password, invitation.role());
    }

    /** They can no longer sign in, and what they have open ends; what they made stays under their name. */
    void remove(long id, Account by) {
        Account leaving =
                accounts.byId(id).orElseThrow(() -> new NoSuchElementException("That person is no longer here."));
        if (leaving.id() == by.id())
            throw new IllegalArgumentException("Nobody can take themselves off the list; ask another lead.");
        accounts.remove(id, LocalDateTime.now(clock));
        service.endSessions(leaving.email(), "");
    }

    private static String hash(String word) {
        return Fingerprint.of(word.getBytes(StandardCharsets.UTF_8));
    }

    /** @throws IllegalArgumentException when it is no name, or too long */
    private static String called(String name) {
        String called = Names.checked("A person", name.strip());
        if (called.length() > LONGEST_NAME)
            throw new IllegalArgumentException("A name has at most " + LONGEST_NAME + " letters.");
        return called;
    }
}
