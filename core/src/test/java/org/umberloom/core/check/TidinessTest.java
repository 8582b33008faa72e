package org.umberloom.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Color;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

class TidinessTest {
    private static final Place BASE = Place.set(Starter.BASE);
    private static final Place ROLE_SET = Place.set(Starter.ROLES);
    private static final TokenPath LINK = TokenPath.of("surface.page.link");

    private static ThemeDocument edited(Edit... edits) {
        return new Edit.Batch("", List.of(edits)).applyTo(Samples.starter()).theme();
    }

    private static List<Finding> of(ThemeDocument theme, String code) {
        return Tidiness.findings(theme).stream()
                .filter(finding -> finding.code().equals(code))
                .toList();
    }

    private static ThemeDocument fixed(ThemeDocument theme, Finding finding) {
        return finding.fixes().get(0).edit().applyTo(theme).theme();
    }

    @Test
    void aValueThatEveryContextHidesIsShadowed() {
        ThemeDocument theme =
                edited(new Edit.SetValue(Place.context("scheme", "light"), LINK, Alias.to("color.brand.80")));
        List<Finding> findings = of(theme, "shadowed");
        assertThat(findings).extracting(Finding::path).containsExactly("surface.page.link");
        assertThat(findings.get(0).message()).contains("set:roles").contains("scheme");
        assertThat(of(fixed(theme, findings.get(0)), "shadowed")).isEmpty();
    }

    @Test
    void aValueThatOneContextLetsThroughIsNotShadowed() {
        assertThat(of(Samples.starter(), "shadowed")).isEmpty();
    }

    @Test
    void whatNoRoleComesFromIsUnusedAndNamedByGroup() {
        ThemeDocument theme = edited(
                new Edit.SetValue(BASE, TokenPath.of("spare.one"), DimensionValue.px(77)),
                new Edit.SetValue(BASE, TokenPath.of("spare.two"), DimensionValue.px(78)));
        Finding finding = of(theme, "unused").stream()
                .filter(f -> f.path().startsWith("spare"))
                .findFirst()
                .orElseThrow();
        assertThat(finding.message()).isEqualTo("2 tokens of spare are used by no role: one, two.");
        assertThat(fixed(theme, finding).at(BASE).find(TokenPath.of("spare.one")))
                .isEmpty();
    }

    @Test
    void aShadeThatOnlyTheDarkUsesIsUsed() {
        ThemeDocument theme = edited(
                new Edit.SetValue(BASE, TokenPath.of("spare.one"), new ColorValue(Color.rgb(1, 2, 3))),
                new Edit.SetValue(Place.context("scheme", "dark"), LINK, Alias.to("spare.one")));
        assertThat(of(theme, "unused")).extracting(Finding::path).doesNotContain("spare.one");
    }

    @Test
    void equalValuesOfTheirOwnAreDuplicates() {
        ThemeDocument theme = edited(
                new Edit.SetValue(BASE, TokenPath.of("width.one"), DimensionValue.px(77)),
                new Edit.SetValue(BASE, TokenPath.of("width.two"), DimensionValue.px(77)));
        Finding finding = of(theme, "duplicate").stream()
                .filter(f -> f.path().equals("width.two"))
                .findFirst()
                .orElseThrow();
        ThemeDocument mended = fixed(theme, finding);
        assertThat(mended.at(BASE)
                        .token(TokenPath.of("width.two"))
                        .orElseThrow()
                        .value())
                .isEqualTo(Alias.to("width.one"));
        assertThat(of(mended, "duplicate")).extracting(Finding::path).doesNotContain("width.two");
    }

    @Test
    void aReferenceToADeprecatedGroupIsReportedWithItsReason() {
        Meta ink = Samples.starter()
                .at(BASE)
                .group(TokenPath.of("color.ink"))
                .orElseThrow()
                .meta();
        ThemeDocument theme =
                edited(new Edit.SetMeta(BASE, TokenPath.of("color.ink"), ink.withDeprecated(Optional.of("use slate"))));
        assertThat(of(theme, "deprecated")).isNotEmpty().allMatch(finding -> finding.message()
                .endsWith("deprecated: use slate."));
    }

    @Test
    void aContrastThatFailsOffersTheNearestShadeThatPasses() {
        ThemeDocument theme =
                edited(new Edit.SetValue(ROLE_SET, TokenPath.of("surface.page.text"), Alias.to("color.ink.40")));
        Finding finding = Contrasts.findings(theme, Resolution.of(theme, theme.defaults()))
                .get(0);
        assertThat(finding.fixes())
                .extracting(Finding.Fix::label)
                .containsExactly("Use color.ink.70", "Keep it readable");
        ThemeDocument mended = fixed(theme, finding);
        assertThat(Contrasts.findings(mended, Resolution.of(mended, mended.defaults())))
                .isEmpty();
        assertThat(mended.at(ROLE_SET).token(TokenPath.of("surface.page.text")).map(Token::value))
                .contains(Alias.to("color.ink.70"));
    }

    @Test
    void colorsThatCanHardlyBeToldApartAreMerged() {
        ThemeDocument theme = edited(
                new Edit.SetValue(BASE, TokenPath.of("color.brand.seed"), new ColorValue(Color.rgb(40, 80, 120))),
                new Edit.SetValue(BASE, TokenPath.of("stain.one"), new ColorValue(Color.rgb(41, 81, 121))));
        Finding finding = of(theme, "near-duplicate").stream()
                .filter(f -> f.path().equals("stain.one"))
                .findFirst()
                .orElseThrow();
        assertThat(finding.message()).contains("color.brand.seed");
        assertThat(fixed(theme, finding)
                        .at(BASE)
                        .token(TokenPath.of("stain.one"))
                        .orElseThrow()
                        .value())
                .isEqualTo(Alias.to("color.brand.seed"));
    }

    @Test
    void statesThatMeetWithoutGreenConesAreReported() {
        ThemeDocument theme = edited(
                new Edit.SetValue(
                        ROLE_SET, TokenPath.of("surface.page.good"), new ColorValue(Color.rgb(0x6b, 0x7a, 0x20))),
                new Edit.SetValue(
                        ROLE_SET, TokenPath.of("surface.page.bad"), new ColorValue(Color.rgb(0xa0, 0x5f, 0x20))));
        assertThat(of(theme, "states-meet"))
                .extracting(Finding::message)
                .anyMatch(message -> message.startsWith("without green cones, good and bad"));
    }
}
