package org.umberloom.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.finding.AllFindings;
import org.umberloom.core.font.Families;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Scope;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.TokenPath;

/** A fix changes what is wrong, where it is wrong: no other page kind, no other scheme. */
class FixesChangeWhatIsWrongTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("T");
    private static final List<Scope> SCOPES = List.of(Scope.kind("article"), Scope.kind("landing"));
    private static final List<String> ROLES = List.of("text", "link", "ground", "muted", "heading", "accent");
    private static final int OVERRIDES = 6;

    private static ThemeDocument with(ThemeDocument theme, Place place, String path, String shade) {
        return new Edit.SetValue(place, TokenPath.of(path), new Alias(TokenPath.of(shade)))
                .applyTo(theme)
                .theme();
    }

    /** In every scheme, for pages of no kind in particular and for those of each kind. */
    private static List<Combination> looks(ThemeDocument theme) {
        List<Combination> all = new ArrayList<>();
        for (String scheme : List.of("light", "dark")) {
            Combination look = theme.defaults().with("scheme", scheme);
            all.add(look);
            SCOPES.forEach(scope -> all.add(look.at(scope)));
        }
        return all;
    }

    private static List<Finding> found(ThemeDocument theme, Combination look) {
        Resolution resolution = Resolution.of(theme, look);
        Map<String, String> chosen = Choices.of(theme, look);
        return AllFindings.of(theme, resolution, Families.NONE, chosen, Contrasts.measure(resolution, chosen));
    }

    /** What is wrong, of a pair with both its roles: a role may stand in several. */
    private static String what(Finding finding) {
        return finding.code() + " " + finding.path() + " " + finding.message().split(" reaches ")[0];
    }

    private static Set<String> wrong(ThemeDocument theme, Combination look) {
        return found(theme, look).stream().map(FixesChangeWhatIsWrongTest::what).collect(Collectors.toSet());
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void inRandomOverridesOfKindsAndSchemes(long seed) {
        Random random = new Random(seed);
        List<String> shades = THEME.at(Place.set(Starter.BASE)).paths().stream()
                .map(TokenPath::dotted)
                .filter(path -> path.matches("color\\.\\w+\\.\\d+"))
                .toList();
        List<Place> places = new ArrayList<>(List.of(Place.context("scheme", "dark")));
        for (Scope scope : SCOPES) {
            places.add(Place.scope(scope));
            places.add(Place.scope(scope, "scheme", "light"));
            places.add(Place.scope(scope, "scheme", "dark"));
        }
        ThemeDocument theme = THEME;
        for (int i = 0; i < OVERRIDES; i++)
            theme = with(
                    theme,
                    places.get(random.nextInt(places.size())),
                    "surface.page." + ROLES.get(random.nextInt(ROLES.size())),
                    shades.get(random.nextInt(shades.size())));
        Map<Combination, Set<String>> wrong = new LinkedHashMap<>();
        for (Combination look : looks(theme)) wrong.put(look, wrong(theme, look));
        int fixes = 0;
        for (Combination look : looks(theme))
            for (Finding finding : found(theme, look))
                for (Finding.Fix fix : finding.fixes()) {
                    fixes++;
                    ThemeDocument fixed = fix.edit().applyTo(theme).theme();
                    assertThat(wrong(fixed, look))
                            .as("seed %d, in %s after “%s”", seed, look.key(), fix.label())
                            .doesNotContain(what(finding));
                    for (Combination other : looks(theme))
                        if (!values(theme, other).equals(values(fixed, other)))
                            assertThat(wrong.get(other))
                                    .as(
                                            "seed %d, “%s” for %s also changes %s",
                                            seed, fix.label(), look.key(), other.key())
                                    .contains(what(finding));
                }
        assertThat(fixes).as("fixes that were tried").isPositive();
    }

    private static Map<TokenPath, Object> values(ThemeDocument theme, Combination look) {
        Map<TokenPath, Object> values = new LinkedHashMap<>();
        for (Resolved token : Resolution.of(theme, look).tokens().values()) values.put(token.path(), token.value());
        return values;
    }

    @Test
    void aPairThatFailsOnArticlePagesInTheDarkIsFixedThereAndSaysSo() {
        Place dark = Place.scope(Scope.kind("article"), "scheme", "dark");
        ThemeDocument theme = with(THEME, dark, "surface.page.ground", "color.brand.10");
        Combination look = theme.defaults().with("scheme", "dark").at(Scope.kind("article"));
        Finding finding = found(theme, look).stream()
                .filter(one -> one.code().equals("contrast") && one.path().equals("surface.page.link"))
                .findFirst()
                .orElseThrow();
        Finding.Fix fix = finding.fixes().get(0);
        assertThat(fix.label()).endsWith(" on article pages in dark");
        assertThat(((Edit.SetValue) fix.edit()).place()).isEqualTo(dark);
    }
}
