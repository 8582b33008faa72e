package org.umberloom.core.theme;

import java.util.Optional;
import org.umberloom.core.limit.Sizes;
import org.umberloom.core.token.Meta;

/**
 * A theme's own style sheet, beside all that tokens can say. Kept as CSS in the document under {@code $extensions.org.umberloom.css};
 * it is read again and written anew before any page is given it.
 */
public final class OwnStyle {
    private static final String FIELD = "css";
    /** Letters that it has at most. */
    public static final int LONGEST = Sizes.SHEET;

    private OwnStyle() {}

    /** The style sheet as it is kept; empty for none. */
    public static String of(ThemeDocument theme) {
        return Meta.own(theme.extensions(), FIELD)
                .filter(String.class::isInstance)
                .map(String.class::cast)
                .orElse("");
    }

    static ThemeDocument with(ThemeDocument theme, String css) {
        return theme.withExtensions(
                Meta.withOwn(theme.extensions(), FIELD, css.isEmpty() ? Optional.empty() : Optional.of(css)));
    }
}
