package org.umberloom.core.site;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.ThemeDocument;

/** In which contexts a site shows a theme: its look, density and scheme, as far as the theme has them. */
public final class SiteLook {
    private SiteLook() {}

    /** The combination in which readers see a site; where they choose the scheme, the theme's default. */
    public static Combination of(ThemeDocument theme, SiteDocument site) {
        return of(theme, site.look(), site.scheme());
    }

    public static Combination of(ThemeDocument theme, Map<String, String> look, SchemePolicy policy) {
        return new Combination(chosen(theme, look, policy)).completedFor(theme);
    }

    /**
     * What the root element of every page of a site says, so that a style sheet of all combinations shows the site's own: each modifier
     * whose context is not the theme's default, and a scheme that readers do not choose whether it is the default or not.
     */
    public static Map<String, String> onPages(ThemeDocument theme, SiteDocument site) {
        Map<String, String> said = chosen(theme, site.look(), site.scheme());
        forced(theme, site.scheme()).ifPresent(context -> said.put(schemeOf(theme), context));
        return said;
    }

    /** The contexts that are not the theme's defaults, in the theme's order; what the theme lacks counts for nothing. */
    public static Map<String, String> chosen(ThemeDocument theme, Map<String, String> look, SchemePolicy policy) {
        Map<String, String> contexts = new LinkedHashMap<>();
        String scheme = schemeOf(theme);
        theme.modifiers().forEach((name, modifier) -> {
            String wanted = name.equals(scheme) ? forced(theme, policy).orElse("") : look.getOrDefault(name, "");
            if (modifier.contexts().containsKey(wanted) && !wanted.equals(modifier.defaultContext()))
                contexts.put(name, wanted);
        });
        return contexts;
    }

    /** Empty where a theme has no scheme. */
    private static String schemeOf(ThemeDocument theme) {
        return Meaning.scheme(theme).map(Meaning.Scheme::modifier).orElse("");
    }

    private static Optional<String> forced(ThemeDocument theme, SchemePolicy policy) {
        return Meaning.scheme(theme)
                .filter(scheme -> policy != SchemePolicy.READER)
                .map(scheme -> policy == SchemePolicy.DARK ? scheme.dark() : scheme.light());
    }
}
