package org.umberloom.app.account;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** Who may sign in. */
@Service
public class AccountService implements UserDetailsService {
    /** The password that had to be shown was not the right one. */
    static final class WrongPassword extends IllegalArgumentException {
        private static final long serialVersionUID = 1;

        WrongPassword(String message) {
            super(message);
        }
    }

    private final AccountMapper accounts;
    private final SessionMapper sessions;
    private final PasswordEncoder passwords;
    private final ApplicationEventPublisher events;

    AccountService(
            AccountMapper accounts,
            SessionMapper sessions,
            PasswordEncoder passwords,
            ApplicationEventPublisher events) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.passwords = passwords;
        this.events = events;
    }

    @Override
    public UserDetails loadUserByUsername(String email) {
        Account account = find(email).orElseThrow(() -> new UsernameNotFoundException(email));
        return User.withUsername(account.email())
                .password(account.passwordHash())
                .roles(account.role().toUpperCase(Locale.ROOT))
                .build();
    }

    public Optional<Account> find(String email) {
        return accounts.byEmail(address(email));
    }

    /** An address as it is kept. */
    static String address(String email) {
        return email.strip().toLowerCase(Locale.ROOT);
    }

    /** @throws IllegalStateException when nobody has that address */
    public Account get(String email) {
        return find(email).orElseThrow(() -> new IllegalStateException("no account " + email));
    }

    public boolean isEmpty() {
        return accounts.count() == 0;
    }

    /** One of the first accounts of an empty database. @throws org.springframework.dao.DuplicateKeyException when it is there */
    public void addFirst(String email, String name, String password, String role) {
        accounts.addFirst(address(email), name, passwords.encode(Passwords.written(password)), role);
    }

    /** Gives an account a password unless it has that one, as of a demo whose database was made with another. */
    public void keepPassword(String email, String password) {
        find(email)
                .filter(account -> !passwords.matches(Passwords.written(password), account.passwordHash()))
                .ifPresent(
                        account -> accounts.setPassword(account.id(), passwords.encode(Passwords.written(password))));
    }

    /** Adds somebody, or brings back who was taken off the list. */
    void add(String email, String name, String password, String role) {
        accounts.add(address(email), name, passwords.encode(Passwords.written(password)), role);
    }

    /**
     * Gives oneself another password, and ends one's other sessions.
     *
     * @param session the one that stays
     * @throws WrongPassword when the current one is wrong
     * @throws IllegalArgumentException when the new one is not good enough
     */
    void changePassword(String email, String current, String fresh, String session) {
        Account account = get(email);
        if (!passwords.matches(Passwords.written(current), account.passwordHash()))
            throw new WrongPassword("The current password is not right. Nothing was changed.");
        Passwords.check(fresh, account.email(), account.name());
        accounts.setPassword(account.id(), passwords.encode(Passwords.written(fresh)));
        endSessions(account.email(), session);
    }

    /** Ends all sessions of an account but one. @return how many */
    int endSessions(String email, String except) {
        List<String> ended = sessions.of(address(email), except);
        ended.forEach(id -> {
            sessions.end(id);
            events.publishEvent(new SignedOut(id));
        });
        return ended.size();
    }
}
