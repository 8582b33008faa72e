package org.umberloom.app.kit;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Base64;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.umberloom.app.account.Account;
import org.umberloom.app.theme.DraftService;
import org.umberloom.app.web.ApplicationClock;
import org.umberloom.core.token.Fingerprint;
import org.umberloom.core.token.Names;

/** Keys with which programs fetch kits: each for one theme or for all, until a day, shown once; only its hash is kept. */
@Service
class BuildKeys {
    private static final String START = "loom_";
    private static final int BYTES = 24;
    private static final int MOST_DAYS = 366;
    private static final int MOST_KEYS = 50;
    private static final int LONGEST_NAME = 120;
    /** How exactly it is known when a key was last used, so that not every request writes. */
    private static final Duration LAST_USE = Duration.ofMinutes(1);

    /** @param theme empty for all @param usedAt empty for never */
    record KeyView(
            long id, String name, String theme, String madeAt, String expiresAt, String usedAt, boolean expired) {}

    /** @param secret shown this once */
    record NewKey(String secret, List<KeyView> keys) {}

    private final BuildKeyMapper keys;
    private final DraftService drafts;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    BuildKeys(BuildKeyMapper keys, DraftService drafts, Clock clock) {
        this.drafts = drafts;
        this.keys = keys;
        this.clock = clock;
    }

    List<KeyView> all(Account of) {
        return keys.all(of.id()).stream()
                .map(row -> new KeyView(
                        row.id(),
                        row.name(),
                        row.theme(),
                        row.madeAt() + "Z",
                        row.expiresAt() + "Z",
                        row.usedAt() == null ? "" : row.usedAt() + "Z",
                        row.expiresAt().isBefore(now())))
                .toList();
    }

    /**
     * @param theme that it is for; none for all
     * @param days  that it holds, 1 to 366
     * @throws IllegalArgumentException with a sentence for a name or days that do not fit
     * @throws NoSuchElementException   when there is no such theme
     */
    NewKey make(String name, Long theme, int days, Account by) {
        if (theme != null) drafts.newest(theme);
        String called = Names.safe("The key’s name", name.trim());
        if (called.isEmpty() || called.length() > LONGEST_NAME)
            throw new IllegalArgumentException(
                    "A key has a name of 1 to " + LONGEST_NAME + " letters. No key was made.");
        if (days < 1 || days > MOST_DAYS)
            throw new IllegalArgumentException("A key holds 1 to " + MOST_DAYS + " days. No key was made.");
        if (keys.all(by.id()).size() >= MOST_KEYS)
            throw new IllegalArgumentException("You have " + MOST_KEYS + " keys. Revoke one first. No key was made.");
        byte[] bytes = new byte[BYTES];
        random.nextBytes(bytes);
        String secret = START + Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        keys.add(by.id(), called, theme, Fingerprint.of(secret), now(), now().plusDays(days));
        return new NewKey(secret, all(by));
    }

    /** @throws NoSuchElementException when the person has no such key */
    List<KeyView> revoke(long id, Account by) {
        if (keys.remove(by.id(), id) == 0) throw new NoSuchElementException("You have no such key.");
        return all(by);
    }

    /**
     * Whether a secret may fetch all that is asked for now; notes that it was used.
     *
     * @param themes every theme that something of what is asked for belongs to
     */
    boolean opens(String secret, Set<Long> themes) {
        if (!secret.startsWith(START)) return false;
        return keys.held(Fingerprint.of(secret))
                .filter(key -> key.expiresAt().isAfter(now()))
                .filter(key -> key.themeId() == null || Set.of(key.themeId()).containsAll(themes))
                .map(key -> {
                    if (key.usedAt() == null || key.usedAt().plus(LAST_USE).isBefore(now())) keys.used(key.id(), now());
                    return true;
                })
                .orElse(false);
    }

    private LocalDateTime now() {
        return ApplicationClock.now(clock);
    }
}
