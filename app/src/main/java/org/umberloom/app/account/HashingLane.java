package org.umberloom.app.account;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.crypto.password.PasswordEncoder;

/** A password encoder whose work goes one after the other, so that many sign-ins leave the other core to those at work. */
final class HashingLane implements PasswordEncoder {
    private static final int MOST_WAITING = 30;
    private static final long LONGEST_WAIT_S = 10;

    private final PasswordEncoder encoder;
    private final Semaphore lane = new Semaphore(1, true);

    HashingLane(PasswordEncoder encoder) {
        this.encoder = encoder;
    }

    @Override
    public String encode(CharSequence password) {
        return inLane(() -> encoder.encode(password));
    }

    @Override
    public boolean matches(CharSequence password, String hash) {
        return inLane(() -> encoder.matches(password, hash));
    }

    @Override
    public boolean upgradeEncoding(String hash) {
        return encoder.upgradeEncoding(hash);
    }

    /** @throws AuthenticationServiceException when too many are waiting */
    private <T> T inLane(Supplier<T> hashing) {
        boolean entered = false;
        try {
            entered = lane.getQueueLength() < MOST_WAITING && lane.tryAcquire(LONGEST_WAIT_S, TimeUnit.SECONDS);
            if (!entered) throw new AuthenticationServiceException("too many sign in at once");
            return hashing.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new AuthenticationServiceException("interrupted", e);
        } finally {
            if (entered) lane.release();
        }
    }
}
