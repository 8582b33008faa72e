package org.umberloom.app.account;

import java.util.Locale;
import java.util.Optional;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** Who may sign in. */
@Service
public class AccountService implements UserDetailsService {
    private final AccountMapper accounts;
    private final PasswordEncoder passwords;

    AccountService(AccountMapper accounts, PasswordEncoder passwords) {
        this.accounts = accounts;
        this.passwords = passwords;
    }

    @Override
    public UserDetails loadUserByUsername(String email) {
        Account account = find(email).orElseThrow(() -> new UsernameNotFoundException(email));
        return User.withUsername(account.email()).password(account.passwordHash())
                .roles(account.role().toUpperCase(Locale.ROOT)).build();
    }

    public Optional<Account> find(String email) {
        return accounts.byEmail(email.trim().toLowerCase(Locale.ROOT));
    }

    /** @throws IllegalStateException when nobody has that address */
    public Account get(String email) {
        return find(email).orElseThrow(() -> new IllegalStateException("no account " + email));
    }

    public boolean isEmpty() {
        return accounts.count() == 0;
    }

    public void add(String email, String name, String password, String role) {
        accounts.add(email.toLowerCase(Locale.ROOT), name, passwords.encode(password), role);
    }
}
