package org.umberloom.app.deliver;

import java.nio.charset.StandardCharsets;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.crypto.encrypt.AesGcmBytesEncryptor;
import org.springframework.security.crypto.keygen.KeyGenerators;
import org.springframework.stereotype.Component;

/** What lets the application into hosts, as it is kept: AES-256 in GCM, with a key of the installation that no database holds. */
@Component
class Secrets {
    private static final int LEAST_LETTERS = 24;

    /** @param salt other for each secret */
    record Kept(String salt, byte[] secret) {}

    private final String key;

    Secrets(@Value("${umberloom.secrets-key}") String key) {
        this.key = key;
    }

    boolean canKeep() {
        return key.length() >= LEAST_LETTERS;
    }

    /** @throws IllegalArgumentException where the installation has no key */
    Kept keep(String secret) {
        if (!canKeep())
            throw new IllegalArgumentException(
                    "This installation has no key of its own, so that secrets cannot be kept safely. "
                            + "Start it with LOOM_SECRETS_KEY, at least " + LEAST_LETTERS
                            + " letters. Nothing was kept.");
        String salt = KeyGenerators.string().generateKey();
        return new Kept(
                salt,
                AesGcmBytesEncryptor.withPassword(key, salt).build().encrypt(secret.getBytes(StandardCharsets.UTF_8)));
    }

    /** @throws IllegalArgumentException where it was kept with another key */
    String open(Kept kept) {
        try {
            return new String(
                    AesGcmBytesEncryptor.withPassword(key, kept.salt()).build().decrypt(kept.secret()),
                    StandardCharsets.UTF_8);
        } catch (IllegalStateException e) {
            throw new IllegalArgumentException(
                    "The secret of this host was kept with another LOOM_SECRETS_KEY than the one of now. Give it again.",
                    e);
        }
    }
}
