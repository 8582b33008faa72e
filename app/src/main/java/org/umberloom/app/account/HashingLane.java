package org.umberloom.app.account;

import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.umberloom.app.web.Lane;

/**
 * A password encoder whose work goes one after the other, so that many sign-ins leave the other core to those at work. Who finds
 * too many waiting is told by an {@link AuthenticationServiceException}.
 */
final class HashingLane implements PasswordEncoder {
    private static final int MOST_WAITING = 30;
    private static final long LONGEST_WAIT_S = 10;

    private final PasswordEncoder encoder;
    private final Lane lane = new Lane(
            1, MOST_WAITING, LONGEST_WAIT_S, () -> new AuthenticationServiceException("too many sign in at once"));

    HashingLane(PasswordEncoder encoder) {
        this.encoder = encoder;
    }

    @Override
    public String encode(CharSequence password) {
        return lane.in(() -> encoder.encode(password));
    }

    @Override
    public boolean matches(CharSequence password, String hash) {
        return lane.in(() -> encoder.matches(password, hash));
    }

    @Override
    public boolean upgradeEncoding(String hash) {
        return encoder.upgradeEncoding(hash);
    }
}
