package org.umberloom.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.wish.ScaleWish;
import org.umberloom.core.wish.ValueWish;

/** Thresholds by WCAG 2.2 and the W3C's techniques are named at the checks themselves. */
class ShapeChecksTest {
    private static final ThemeDocument THEME = Starter.ALL.get(0).theme("T");

    private static ThemeDocument with(ThemeDocument theme, String role, String text) {
        return new ValueWish.Role(Optional.of(Place.set("roles")), TokenPath.of(role), text)
                .in(new Seen(theme, Resolution.of(theme, theme.defaults())))
                .applyTo(theme)
                .theme();
    }

    private static List<Finding> findings(ThemeDocument theme, Map<String, String> chosen) {
        Map<String, String> all = new LinkedHashMap<>(Choices.of(theme, theme.defaults()));
        all.putAll(chosen);
        return ShapeChecks.findings(theme, Resolution.of(theme, theme.defaults()), all);
    }

    private static Optional<Finding> of(ThemeDocument theme, String code, Map<String, String> chosen) {
        return findings(theme, chosen).stream()
                .filter(finding -> finding.code().equals(code))
                .findFirst();
    }

    private static Optional<Finding> of(ThemeDocument theme, String code) {
        return of(theme, code, Map.of());
    }

    @Test
    void aStarterHasNone() {
        for (Starter starter : Starter.ALL)
            assertThat(findings(starter.theme("T"), Map.of())).isEmpty();
    }

    /** WCAG 2.2, 2.5.8: at least 24 by 24 CSS px. */
    @Test
    void buttonsAreHighEnoughToBeHit() {
        assertThat(of(with(with(THEME, "part.button.inset", "4px"), "type.button", "{type.small}"), "target-size"))
                .isEmpty();
        ThemeDocument tight = with(THEME, "part.button.inset", "0px");
        ThemeDocument small = new ValueWish.Member(Optional.empty(), TokenPath.of("type.button"), "lineHeight", "1")
                .in(new Seen(tight, Resolution.of(tight, tight.defaults())))
                .applyTo(tight)
                .theme();
        assertThat(of(small, "target-size")).hasValueSatisfying(finding -> {
            assertThat(finding.weight()).isEqualTo(Finding.Weight.MUST);
            assertThat(finding.message()).contains("2.5.8 asks for 24 px");
        });
    }

    /** Failure F78: no outline at all is a fault; a thin one is advised against (2.4.13). */
    @Test
    void whatTheKeyboardIsOnIsOutlined() {
        assertThat(of(with(THEME, "shape.ring", "0px"), "focus-ring")
                        .orElseThrow()
                        .weight())
                .isEqualTo(Finding.Weight.MUST);
        assertThat(of(with(THEME, "shape.ring", "1px"), "focus-ring")
                        .orElseThrow()
                        .weight())
                .isEqualTo(Finding.Weight.SHOULD);
        assertThat(of(with(THEME, "shape.ring", "2px"), "focus-ring")).isEmpty();
    }

    @Test
    void aHeaderThatStaysLeavesRoomOnAPhone() {
        ThemeDocument airy = with(THEME, "part.header.air", "70px");
        assertThat(of(airy, "tall-header")).as("it leaves with the page").isEmpty();
        assertThat(of(airy, "tall-header", Map.of("header-stays", "stays"))).isPresent();
        assertThat(of(airy, "tall-header", Map.of("header-stays", "shrinks")))
                .as("the air above goes")
                .isEmpty();
    }

    /** Failure F73 and technique G183: 3 to 1 between links and text where color alone tells them. */
    @Test
    void linksAreKnownByMoreThanAColorThatIsNearlyTheTexts() {
        ThemeDocument alike = with(THEME, "surface.page.link", "{surface.page.text}");
        assertThat(of(alike, "links-by-color")).isEmpty();
        assertThat(of(alike, "links-by-color", Map.of("links", "never"))
                        .orElseThrow()
                        .message())
                .contains("1 to 1");
    }

    @Test
    void aGapOffTheScaleTakesTheNearestStepInOneStep() {
        ThemeDocument off = with(THEME, "gap.flow", "17px");
        Finding finding = of(off, "gap-off-scale").orElseThrow();
        ThemeDocument mended = finding.fixes().get(0).edit().applyTo(off).theme();
        assertThat(of(mended, "gap-off-scale")).isEmpty();
    }

    @Test
    void stepsThatNobodyTellsApartAreSaid() {
        ThemeDocument alike = new ScaleWish.SpaceSteps(
                        Place.set("base"), TokenPath.of("space"), 16, List.of(1.0, 1.05, 2.0))
                .in(new Seen(THEME, Resolution.of(THEME, THEME.defaults())))
                .applyTo(THEME)
                .theme();
        assertThat(of(alike, "steps-alike").orElseThrow().message()).contains("16 px and 16.8 px");
    }

    @Test
    void cornersThatLieCloseRunAlong() {
        ThemeDocument close = with(with(THEME, "part.card.inset", "6px"), "part.button.radius", "4px");
        assertThat(of(with(close, "part.card.radius", "4px"), "corners")
                        .orElseThrow()
                        .remedy())
                .contains("With 10 px");
        assertThat(of(with(close, "part.card.radius", "10px"), "corners")).isEmpty();
        assertThat(of(with(with(close, "part.card.radius", "4px"), "part.card.inset", "24px"), "corners"))
                .as("too far apart to be seen")
                .isEmpty();
    }
}
