package org.umberloom.app.account;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.List;

/**
 * What a password has to be. Source: NIST SP 800-63B-4, 3.1.1.2: at least 15 characters where it is all that is asked for, no
 * rules of composition, none that is common or easily guessed; any character counts, and the written form is normalized.
 */
final class Passwords {
    static final int SHORTEST = 15;
    /** What the hash takes in: bcrypt reads no more bytes than that. */
    static final int MOST_BYTES = 72;
    /** Of 0 to 4: below it, a list of common passwords, names and patterns finds it too soon. */
    private static final int LEAST_SCORE = 2;

    private static final Zxcvbn GUESSING = new Zxcvbn();

    private Passwords() {}

    /** The form that is hashed: the same letters typed on another keyboard are the same password. */
    static String written(String password) {
        return Normalizer.normalize(password, Normalizer.Form.NFC);
    }

    /** @throws IllegalArgumentException with what is wrong and what to do */
    static void check(String password, String... known) {
        String written = written(password);
        if (written.codePointCount(0, written.length()) < SHORTEST)
            throw new IllegalArgumentException("The new password has " + written.codePointCount(0, written.length())
                    + " characters; it needs at least " + SHORTEST
                    + ". Several words in a row are easy to keep in mind.");
        if (written.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES)
            throw new IllegalArgumentException("The new password is longer than " + MOST_BYTES
                    + " bytes (letters beyond English ones take two or more). Choose a shorter one.");
        List<String> own = new java.util.ArrayList<>(List.of("umber", "loom", "umberloom"));
        for (String word : known) own.addAll(List.of(word.split("[^\\p{Alnum}]+")));
        own.addAll(List.of(known));
        if (GUESSING.measure(written, own).getScore() < LEAST_SCORE)
            throw new IllegalArgumentException(
                    "The new password would soon be guessed: it is common, repeats itself, or is made of your own "
                            + "name. Choose other words.");
    }
}
