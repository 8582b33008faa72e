package org.umberloom.core.site;

import java.util.Arrays;
import java.util.Locale;
import org.umberloom.core.token.Names;

/** Which schemes the readers of a site see. */
public enum SchemePolicy {
    /** Light or dark, as their system asks. */
    READER,
    LIGHT,
    DARK;

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** @throws IllegalArgumentException when there is none of that name */
    public static SchemePolicy byId(String id) {
        return Arrays.stream(values())
                .filter(policy -> policy.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + Names.shown(id) + "” is no scheme policy: it is reader, light or dark."));
    }
}
