package org.umberloom.core.css;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.TokenPath;

class StylesheetTest {
    private static final ThemeDocument THEME = Samples.starter();

    private static Set<String> matches(String css, String pattern) {
        Set<String> found = new TreeSet<>();
        Matcher matcher = Pattern.compile(pattern).matcher(css);
        while (matcher.find()) found.add(matcher.group(1));
        return found;
    }

    @Test
    void everyPropertyThatIsReadIsWrittenAndNoOther() {
        for (Usage usage : List.of(
                Usage.ALL,
                Usage.of(Set.of("h1", "p", "a"), Set.of()),
                Usage.of(Set.of("table", "[data-surface]"), Set.of("deep")))) {
            String css = Stylesheet.compile(THEME, usage, List.of());
            Set<String> written = matches(css, "(?m)^  (--[\\w-]+):");
            Set<String> read = matches(css, "var\\((--[\\w-]+)(?:, unset)?\\)");
            // Pages of one's own may read any role.
            if (usage.everything())
                Contract.standard().readings().forEach(reading -> read.add(CustomProperties.nameOf(reading)));
            // What no style says has no property: what reads it says what holds then.
            read.removeIf(name ->
                    name.matches("--type-.*-(slope|stretch|case|features|decoration)") && !written.contains(name));
            assertThat(written).isEqualTo(read);
        }
    }

    @Test
    void onlyWhatThePagesUseIsWritten() {
        String css = Stylesheet.compile(THEME, Usage.of(Set.of("h1", "p"), Set.of()), List.of());
        assertThat(css)
                .contains("h1 {")
                .doesNotContain("h2 {", "table", "fieldset", "data-surface", "--type-h2", "textarea");
    }

    @Test
    void layersStandInTheirOrder() {
        assertThat(Stylesheet.compile(THEME, Usage.ALL, List.of()))
                .startsWith("@layer tokens, base, parts, site, own;\n");
    }

    @Test
    void equalInputGivesEqualBytes() {
        assertThat(Stylesheet.compile(Samples.starter(), Usage.ALL, List.of()))
                .isEqualTo(Stylesheet.compile(Samples.starter(), Usage.ALL, List.of()));
    }

    @Test
    void aColorThatDiffersInTheDarkStandsOnceForBoth() {
        String css = Stylesheet.compile(THEME, Usage.ALL, List.of());
        assertThat(css.substring(0, css.indexOf("@layer base {")))
                .contains("--surface-ground: light-dark(var(--color-ink-2), var(--color-ink-110));")
                .doesNotContain("@media (prefers-color-scheme");
    }

    @Test
    void whatIsNoColorAndDiffersInTheDarkGetsABlockOfItsOwn() {
        ThemeDocument theme = new Edit.SetValue(
                        Place.context("scheme", "dark"), TokenPath.of("shape.radius"), DimensionValue.px(9))
                .applyTo(THEME)
                .theme();
        String css = Stylesheet.compile(theme, Usage.ALL, List.of());
        assertThat(css)
                .contains("@media (prefers-color-scheme: dark) {\n:root:not([data-scheme]) {\n"
                        + "  --shape-radius: 9px;\n}\n}")
                .contains(":root[data-scheme=\"dark\"] {\n  --shape-radius: 9px;\n}");
    }

    @Test
    void aColorOutsideSrgbStandsTwiceAndTheWiderFormOnlyWhereTheScreenShowsIt() {
        ThemeDocument theme = new Edit.SetValue(
                        Place.set("roles"),
                        TokenPath.of("surface.deep.accent"),
                        new ColorValue(CssColor.parse("color(display-p3 1 0.4 0)")))
                .applyTo(THEME)
                .theme();
        String css = Stylesheet.compile(theme, Usage.ALL, List.of());
        // Gamut mapping keeps hue and lightness; the hex is checked against the mapping itself, which has its own
        // tests.
        String hex = CssColor.parse("color(display-p3 1 0.4 0)").hex();
        assertThat(css)
                .containsPattern("\\[data-surface=\"deep\"] \\{\n[^}]*--surface-accent: " + hex + ";")
                .contains(
                        "@media (color-gamut: p3) {\n[data-surface=\"deep\"] {\n  --surface-accent: color(display-p3 1 0.4 0);\n}\n}");
        assertThat(Stylesheet.compile(THEME, Usage.ALL, List.of())).doesNotContain("color-gamut", "display-p3");
    }

    @Test
    void aWideColorOfOneSchemeIsPairedInBothForms() {
        ThemeDocument theme = new Edit.SetValue(
                        Place.context("scheme", "dark"),
                        TokenPath.of("surface.page.accent"),
                        new ColorValue(CssColor.parse("oklch(0.8 0.3 150)")))
                .applyTo(THEME)
                .theme();
        String css = Stylesheet.compile(theme, Usage.ALL, List.of());
        assertThat(css)
                .containsPattern("--surface-accent: light-dark\\(var\\(--color-brand-70\\), #[0-9a-f]{6}\\);")
                .containsPattern("@media \\(color-gamut: p3\\) \\{\n:root \\{\n  --surface-accent: "
                        + "light-dark\\(var\\(--color-brand-70\\), color\\(display-p3 [\\d. ]+\\)\\);");
    }

    /** The value of a root property as the cascade gives it: highest count of attributes, then latest. */
    private static String cascaded(String css, String property, java.util.Map<String, String> attributes) {
        Matcher block = Pattern.compile("(?m)^(:root[^{]*) \\{\\n([^}]*)}").matcher(css);
        String value = null;
        int best = -1;
        while (block.find()) {
            String selector = block.group(1);
            if (selector.contains("[data-surface") || selector.contains(":not")) continue;
            Matcher condition = Pattern.compile("\\[data-(\\w+)=\"(\\w+)\"]").matcher(selector);
            int count = 0;
            boolean matches = true;
            while (condition.find()) {
                count++;
                matches &= condition.group(2).equals(attributes.get(condition.group(1)));
            }
            Matcher declaration =
                    Pattern.compile("(?m)^  " + property + ": (.*);$").matcher(block.group(2));
            if (!matches || count < best || !declaration.find()) continue;
            best = count;
            value = declaration.group(1);
        }
        return value;
    }

    private static ThemeDocument withLooks() {
        java.util.Map<String, org.umberloom.core.token.Group> looks = new java.util.LinkedHashMap<>();
        looks.put("passage", org.umberloom.core.token.Group.EMPTY);
        looks.put("freight", org.umberloom.core.token.Group.EMPTY);
        Place freight = Place.context("look", "freight");
        Place dark = Place.context("scheme", "dark");
        Place compact = Place.context("density", "compact");
        return new Edit.Batch(
                        "",
                        List.of(
                                new org.umberloom.core.theme.Structure.AddModifier(
                                        "look", new org.umberloom.core.theme.Modifier("", looks, "passage"), 0, 2),
                                new org.umberloom.core.theme.Structure.AddModifier(
                                        "density",
                                        new org.umberloom.core.theme.Modifier(
                                                "",
                                                java.util.Map.of(
                                                        "roomy",
                                                        org.umberloom.core.token.Group.EMPTY,
                                                        "compact",
                                                        org.umberloom.core.token.Group.EMPTY),
                                                "roomy"),
                                        -1,
                                        4),
                                new Edit.SetValue(
                                        freight,
                                        TokenPath.of("surface.page.link"),
                                        org.umberloom.core.token.Alias.to("color.brand.90")),
                                new Edit.SetValue(freight, TokenPath.of("shape.radius"), DimensionValue.px(0)),
                                new Edit.SetValue(dark, TokenPath.of("shape.radius"), DimensionValue.px(9)),
                                new Edit.SetValue(compact, TokenPath.of("shape.line"), DimensionValue.px(3)),
                                new Edit.SetValue(compact, TokenPath.of("shape.radius"), DimensionValue.px(1))))
                .applyTo(THEME)
                .theme();
    }

    /** The cascade of the stylesheet gives, for every combination, what the resolver gives for it. */
    @Test
    void everyCombinationOfModifiersComesOutOfTheCascade() {
        ThemeDocument theme = withLooks();
        String css = Stylesheet.compile(theme, Usage.ALL, List.of());
        assertThat(theme.combinations(100)).hasSize(8);
        for (org.umberloom.core.theme.Combination combination : theme.combinations(100)) {
            Resolution resolution = Resolution.of(theme, combination);
            for (String role : List.of("shape.radius", "shape.line"))
                assertThat(cascaded(css, CustomProperties.nameOf(role), combination.contexts()))
                        .as("%s in %s", role, combination.key())
                        .isEqualTo(
                                CssText.of(resolution.find(role).orElseThrow().value()));
        }
        assertThat(cascaded(
                        css,
                        "--surface-link",
                        java.util.Map.of("look", "freight", "scheme", "light", "density", "roomy")))
                .isEqualTo("light-dark(var(--color-brand-90), var(--color-brand-40))");
    }

    @Test
    void aNewSeedChangesOnlyShadesThatAreUsed() {
        ThemeDocument changed = new Edit.SetValue(
                        Place.set(Starter.BASE),
                        TokenPath.of("color.brand.seed"),
                        new ColorValue(CssColor.parse("#204080")))
                .applyTo(THEME)
                .theme();
        CustomProperties before =
                LiveProperties.of(Resolution.of(THEME, THEME.defaults())).on(java.util.Map.of());
        CustomProperties after =
                LiveProperties.of(Resolution.of(changed, changed.defaults())).on(java.util.Map.of());
        assertThat(after.changedFrom(before)).containsOnlyKeys(CustomProperties.ROOT);
        assertThat(after.changedFrom(before).get(CustomProperties.ROOT).keySet())
                .isNotEmpty()
                .allMatch(name -> name.startsWith("--color-brand-"));
    }

    @Test
    void aSurfaceRoleThatRefersToAnotherSurfaceKeepsThatSurfacesColor() {
        ThemeDocument theme = new Edit.SetValue(
                        Place.set(Starter.ROLES),
                        TokenPath.of("surface.deep.text"),
                        org.umberloom.core.token.Alias.to("surface.page.heading"))
                .applyTo(THEME)
                .theme();
        CustomProperties live =
                LiveProperties.of(Resolution.of(theme, theme.defaults())).on(java.util.Map.of());
        assertThat(live.blocks().get("deep")).containsEntry("--surface-text", "var(--color-ink-110)");
    }

    /** CSS Values 4, clamp(): both ends and the line between them, worked by hand: 16 px at 400, 24 px at 1200. */
    @Test
    void aFluidSizeIsAClampedLine() {
        FluidValue fluid = new FluidValue(DimensionValue.rem(1), DimensionValue.rem(1.5), 400, 1200);
        assertThat(CssText.of(fluid)).isEqualTo("clamp(1rem, calc(0.75rem + 1vw), 1.5rem)");
        FluidValue falling = new FluidValue(DimensionValue.rem(1.5), DimensionValue.rem(1), 400, 1200);
        assertThat(CssText.of(falling)).isEqualTo("clamp(1rem, calc(1.75rem - 1vw), 1.5rem)");
    }

    @Test
    void familyNamesAreQuotedAndGenericOnesAreNot() {
        assertThat(CssText.of(new FontFamilyValue(List.of("My \"Own\" Face", "serif"))))
                .isEqualTo("\"My \\\"Own\\\" Face\", serif");
    }

    @Test
    void aFontFaceNamesItsFile() {
        assertThat(Stylesheet.compile(
                        THEME, Usage.ALL, List.of(new FontFace("Figtree", "normal", "300 900", "fonts/f.woff2"))))
                .contains("src: url(\"fonts/f.woff2\") format(\"woff2\");")
                .doesNotContain("stand-in");
    }
}
