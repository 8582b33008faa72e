package org.umberloom.app.kit;

import io.swagger.v3.oas.annotations.Parameter;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.umberloom.app.release.States;
import org.umberloom.core.format.Narrowing;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.ThemeDocument;

/**
 * What somebody wants in a kit.
 *
 * @param site    whose pages go in; empty for none
 * @param state   draft, the number of a release, or latest
 * @param forms   by their short names
 * @param fonts   whether font files go in
 * @param tokens  whether token files go in; without them a site's kit is its pages alone
 * @param without contexts that stay out, each as a combination writes it: {@code look=freight}
 */
record KitAsked(
        @Parameter(example = "crossings") String site,
        @Parameter(example = "latest") String state,
        @Parameter(example = "[\"css\", \"scss\"]") List<String> forms,
        @Parameter(example = "true") Boolean fonts,
        @Parameter(example = "true") Boolean tokens,
        @Parameter(example = "[\"scheme=dark\"]") List<String> without) {
    KitAsked {
        site = site == null ? "" : site;
        state = state == null || state.isEmpty() ? States.DRAFT : state;
        forms = forms == null ? List.of() : List.copyOf(forms);
        fonts = fonts == null || fonts;
        tokens = tokens == null || tokens;
        without = without == null ? List.of() : List.copyOf(without);
    }

    ThemeDocument narrowed(ThemeDocument theme) {
        if (without.isEmpty()) return theme;
        Map<String, Set<String>> contexts = new LinkedHashMap<>();
        for (String one : without)
            Combination.parse(one).contexts().forEach((modifier, context) -> contexts.computeIfAbsent(
                            modifier, key -> new LinkedHashSet<>())
                    .add(context));
        return Narrowing.of(theme, contexts);
    }
}
