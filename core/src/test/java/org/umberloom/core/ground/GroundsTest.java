package org.umberloom.core.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.umberloom.core.color.Blend;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Tones;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.finding.AllFindings;
import org.umberloom.core.font.Families;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;

class GroundsTest {
    private static final ThemeDocument PLAIN = Samples.starter();
    private static final Place ROLES = Place.set("roles");
    private static final Place DARK = Place.context("scheme", "dark");
    private static final TokenPath DEEP = TokenPath.of("surface.deep");
    private static final Pictures BRIGHT =
            name -> name.equals("bay.jpg") ? Optional.of(Tones.of(Color.rgb(250, 250, 250))) : Optional.empty();

    private static Ground ground(Ground.Kind kind, String source, boolean scrim) {
        return new Ground(kind, source, "center top", "no-repeat", "cover", Blend.NORMAL, 180, "border", scrim);
    }

    private static ThemeDocument standing(ThemeDocument theme, Place place, TokenPath surface, Ground ground) {
        return new Edit.SetMeta(
                        place,
                        surface,
                        Ground.with(theme.at(place).group(surface).orElseThrow().meta(), Optional.of(ground)))
                .applyTo(theme)
                .theme();
    }

    private static Grounds.Placed deep(ThemeDocument theme, Pictures pictures, String scheme) {
        return Grounds.of(theme, Resolution.of(theme, theme.defaults().with("scheme", scheme)), pictures)
                .get("deep");
    }

    private static String css(ThemeDocument theme, Pictures pictures) {
        return Stylesheet.compile(theme, Usage.ALL, List.of(), pictures);
    }

    @Nested
    class InADocument {
        @Test
        void everyFieldComesBackFromTheFiles() {
            ThemeDocument theme = standing(
                    PLAIN,
                    ROLES,
                    DEEP,
                    new Ground(
                            Ground.Kind.GRADIENT,
                            "gradient.dusk",
                            "left bottom",
                            "repeat-x",
                            "240px",
                            Blend.SOFT_LIGHT,
                            30,
                            "border",
                            false));
            Map<String, String> files = ThemeJson.writeFiles(theme);
            ThemeDocument again = ThemeJson.read(files.values().iterator().next(), files::get);
            assertThat(Ground.of(again.at(ROLES).group(DEEP).orElseThrow()))
                    .contains(new Ground(
                            Ground.Kind.GRADIENT,
                            "gradient.dusk",
                            "left bottom",
                            "repeat-x",
                            "240px",
                            Blend.SOFT_LIGHT,
                            30,
                            "border",
                            false));
        }

        @Test
        void aFieldOutOfRangeIsRefusedWithWhatIsPossible() {
            assertThatThrownBy(() -> ground(Ground.Kind.PATTERN, "tartan", true))
                    .hasMessageContaining("tartan")
                    .hasMessageContaining("twill");
            assertThatThrownBy(() -> ground(Ground.Kind.PICTURE, "../../secret.jpg", true))
                    .hasMessageContaining("not the name of a picture");
            assertThatThrownBy(() -> new Ground(
                            Ground.Kind.PICTURE, "a.jpg", "middle", "repeat", "cover", Blend.NORMAL, 0, "border", true))
                    .hasMessageContaining("position");
            assertThatThrownBy(() -> new Ground(
                            Ground.Kind.PICTURE,
                            "a.jpg",
                            "left top",
                            "repeat",
                            "50em",
                            Blend.NORMAL,
                            0,
                            "border",
                            true))
                    .hasMessageContaining("50em");
        }

        @Test
        void unreadableDataIsAFindingAndTheRestStillResolves() {
            ThemeDocument theme = new Edit.SetMeta(
                            ROLES,
                            DEEP,
                            PLAIN.at(ROLES)
                                    .group(DEEP)
                                    .orElseThrow()
                                    .meta()
                                    .withOwn("ground", Optional.of(Map.of("kind", "hologram"))))
                    .applyTo(PLAIN)
                    .theme();
            Resolution resolution = Resolution.of(theme, theme.defaults());
            assertThat(Grounds.findings(theme, resolution, BRIGHT))
                    .extracting(Finding::message)
                    .singleElement()
                    .asString()
                    .contains("hologram");
            assertThat(Grounds.of(theme, resolution, BRIGHT)).isEmpty();
        }

        @Test
        void aContextsOwnGroundWins() {
            ThemeDocument theme = standing(
                    standing(PLAIN, ROLES, DEEP, ground(Ground.Kind.PATTERN, "twill", true)),
                    DARK,
                    DEEP,
                    ground(Ground.Kind.PATTERN, "dots", true));
            assertThat(deep(theme, BRIGHT, "light").ground().source()).isEqualTo("twill");
            assertThat(deep(theme, BRIGHT, "dark").ground().source()).isEqualTo("dots");
            assertThat(deep(theme, BRIGHT, "dark").place()).isEqualTo(DARK);
        }
    }

    @Nested
    class TheVeil {
        @Test
        void isComputedForEachScheme() {
            ThemeDocument theme = standing(PLAIN, ROLES, DEEP, ground(Ground.Kind.PICTURE, "bay.jpg", true));
            assertThat(deep(theme, BRIGHT, "light").alpha()).isBetween(0.3, 1.0);
            assertThat(deep(theme, BRIGHT, "light").readable()).isZero();
            assertThat(deep(theme, BRIGHT, "light").laid())
                    .isEqualTo(deep(theme, BRIGHT, "light").alpha());
        }

        @Test
        void turnedOffLeavesAFindingThatLaysItAgain() {
            ThemeDocument theme = standing(PLAIN, ROLES, DEEP, ground(Ground.Kind.PICTURE, "bay.jpg", false));
            Resolution resolution = Resolution.of(theme, theme.defaults());
            Finding finding = Grounds.findings(theme, resolution, BRIGHT).get(0);
            assertThat(finding.message()).contains("deep").contains("only 0 %").contains("light");
            assertThat(deep(theme, BRIGHT, "light").laid()).isZero();
            ThemeDocument mended = finding.fixes().get(0).edit().applyTo(theme).theme();
            assertThat(Grounds.findings(mended, Resolution.of(mended, mended.defaults()), BRIGHT))
                    .isEmpty();
            assertThat(finding.fixes()
                            .get(0)
                            .edit()
                            .applyTo(theme)
                            .inverse()
                            .applyTo(mended)
                            .theme())
                    .isEqualTo(theme);
        }

        @Test
        void aMissingPictureShowsThePlainColorAndSaysSo() {
            ThemeDocument theme = standing(PLAIN, ROLES, DEEP, ground(Ground.Kind.PICTURE, "gone.jpg", true));
            assertThat(Grounds.findings(theme, Resolution.of(theme, theme.defaults()), BRIGHT))
                    .extracting(Finding::message)
                    .singleElement()
                    .asString()
                    .contains("gone.jpg")
                    .contains("not there");
            assertThat(css(theme, BRIGHT)).doesNotContain("gone.jpg");
        }
    }

    @Nested
    class Compiled {
        @Test
        void aPictureLiesUnderItsVeilOnItsSurfaceOnly() {
            ThemeDocument theme = standing(PLAIN, ROLES, DEEP, ground(Ground.Kind.PICTURE, "bay.jpg", true));
            String css = css(theme, BRIGHT);
            assertThat(css)
                    .containsPattern(
                            "--ground-image: linear-gradient\\(rgb\\(\\d+ \\d+ \\d+ / 0\\.\\d+\\), rgb[^)]+\\)\\), "
                                    + "url\\(\"ground/bay\\.jpg\"\\);")
                    .contains(
                            "--ground-position: 0 0, center top;",
                            "--ground-size: auto, cover;",
                            "--ground-image: none;")
                    .contains("background-image: var(--ground-image,none);");
        }

        @Test
        void aThemeWithoutGroundsCarriesNothingOfThem() {
            assertThat(Stylesheet.compile(
                            PLAIN,
                            Usage.of(java.util.Set.of("h1", "[data-surface]"), java.util.Set.of("deep")),
                            List.of()))
                    .doesNotContain("ground-image");
            assertThat(css(PLAIN, BRIGHT)).doesNotContain("--ground-image:");
        }

        @Test
        void aPatternIsDrawnInItsRolesColorOfEachScheme() {
            ThemeDocument theme = standing(PLAIN, ROLES, DEEP, ground(Ground.Kind.PATTERN, "grid", true));
            for (String scheme : List.of("light", "dark")) {
                Resolution resolution = Resolution.of(theme, theme.defaults().with("scheme", scheme));
                String ink = org.umberloom.core.css.CustomProperties.text(
                        resolution.find("surface.deep.border").orElseThrow().value());
                assertThat(css(theme, BRIGHT)).contains("linear-gradient(90deg, " + ink + " 1px, transparent 1px)");
            }
        }
    }

    /** The check of everything sees what the bench shows: the pictures themselves. */
    @Nested
    class AmongAllFindings {
        private static final ThemeDocument BARE =
                standing(PLAIN, ROLES, DEEP, ground(Ground.Kind.PICTURE, "bay.jpg", false));

        private static List<String> found(Pictures pictures) {
            return AllFindings.everywhere(BARE, Families.NONE, pictures, 16).stream()
                    .map(Finding::code)
                    .filter(List.of("ground", "scrim")::contains)
                    .distinct()
                    .toList();
        }

        @Test
        void aPictureThatIsThereLacksItsScrimAndIsNotMissing() {
            assertThat(found(BRIGHT)).containsExactly("scrim");
        }

        @Test
        void onlyAPictureThatWasLookedForIsMissing() {
            assertThat(found(Pictures.NONE)).containsExactly("ground");
            assertThat(found(Pictures.UNREAD)).isEmpty();
        }
    }
}
