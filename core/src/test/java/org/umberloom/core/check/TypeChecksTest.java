package org.umberloom.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.font.Cut;
import org.umberloom.core.font.Families;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.Manner;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

class TypeChecksTest {
    private static final Families KNOWN = new Families() {
        @Override
        public OptionalDouble mean(Cut cut) {
            return OptionalDouble.of(0.45);
        }

        @Override
        public Optional<Weights> weights(String family) {
            return Optional.of(new Weights(List.of(new Span(300, 700))));
        }
    };

    private static ThemeDocument with(String style, String member, TokenValue value) {
        ThemeDocument theme = Starter.ALL.get(0).theme("T");
        Place roles = Place.set("roles");
        TokenPath path = TokenPath.of("type." + style);
        TypographyValue written =
                (TypographyValue) theme.at(roles).token(path).orElseThrow().value();
        return new Edit.SetValue(roles, path, written.withPart(member, value))
                .applyTo(theme)
                .theme();
    }

    private static List<Finding> of(ThemeDocument theme) {
        return TypeChecks.findings(theme, Resolution.of(theme, theme.defaults()), KNOWN);
    }

    @Test
    void startersHaveNone() {
        for (Starter starter : Starter.ALL)
            assertThat(of(starter.theme("T"))).as(starter.name()).isEmpty();
    }

    @Test
    void eachWeaknessIsNamedWithItsStyle() {
        assertThat(of(with("small", "fontSize", DimensionValue.px(11))))
                .extracting(Finding::code, Finding::path)
                .contains(org.assertj.core.groups.Tuple.tuple("small-text", "type.small"));
        double h2 = ((FluidValue) ((TypographyValue) Resolution.of(
                                        Starter.ALL.get(0).theme("T"),
                                        Starter.ALL.get(0).theme("T").defaults())
                                .tokens()
                                .get(TokenPath.of("type.h2"))
                                .value())
                        .fontSize())
                .wide()
                .toPx();
        assertThat(of(with("h3", "fontSize", DimensionValue.px(h2 * 1.02))))
                .extracting(Finding::code)
                .contains("alike-sizes");
        assertThat(of(with("h1", "fontWeight", new FontWeightValue(900))))
                .singleElement()
                .satisfies(one -> assertThat(one.message()).contains("would fake it"));
        assertThat(of(with("body", "fontSize", DimensionValue.px(14))))
                .extracting(Finding::code)
                .contains("long-lines");
        assertThat(of(with("h1", "fontSize", new FluidValue(DimensionValue.px(30), DimensionValue.px(96), 360, 1280))))
                .extracting(Finding::code)
                .contains("zoom");
        ThemeDocument many = with("h1", "fontFamily", new FontFamilyValue(List.of("A", "serif")));
        for (String style : List.of("h2", "h3", "h4")) {
            TypographyValue written = (TypographyValue) many.at(Place.set("roles"))
                    .token(TokenPath.of("type." + style))
                    .orElseThrow()
                    .value();
            many = new Edit.SetValue(
                            Place.set("roles"),
                            TokenPath.of("type." + style),
                            written.withPart("fontFamily", new FontFamilyValue(List.of("F" + style, "serif"))))
                    .applyTo(many)
                    .theme();
        }
        assertThat(of(many)).extracting(Finding::code).contains("families");
    }

    @Test
    void tightLinesAreMendedByTheirRemedy() {
        ThemeDocument tight = with("small", "lineHeight", new NumberValue(1.2));
        Finding finding = of(tight).get(0);
        assertThat(finding.code()).isEqualTo("tight-lines");
        assertThat(of(finding.fixes().get(0).edit().applyTo(tight).theme())).isEmpty();
    }

    @Test
    void aSizeBesideTheScaleTakesTheNearestStep() {
        ThemeDocument own = with("h3", "fontSize", DimensionValue.px(30));
        Finding finding = of(own).stream()
                .filter(one -> one.code().equals("off-scale"))
                .findFirst()
                .orElseThrow();
        assertThat(finding.message()).isEqualTo("h3 is 30 px, which is no step of the scale.");
        assertThat(of(finding.fixes().get(0).edit().applyTo(own).theme()))
                .extracting(Finding::code)
                .doesNotContain("off-scale");
    }

    @Test
    void capitalsAreOpenedUp() {
        ThemeDocument capitals = with("label", "textCase", Manner.CASE.parse("uppercase"));
        Finding finding = of(capitals).get(0);
        assertThat(finding.code()).isEqualTo("tight-capitals");
        assertThat(of(finding.fixes().get(0).edit().applyTo(capitals).theme())).isEmpty();
    }

    @Test
    void smallTextWithSerifsIsNoted() {
        ThemeDocument serif = with("small", "fontFamily", new FontFamilyValue(List.of("Lora", "serif")));
        TypographyValue written = (TypographyValue) serif.at(Place.set("roles"))
                .token(TokenPath.of("type.small"))
                .orElseThrow()
                .value();
        ThemeDocument small = new Edit.SetValue(
                        Place.set("roles"),
                        TokenPath.of("type.small"),
                        written.withPart("fontSize", DimensionValue.px(12)))
                .applyTo(serif)
                .theme();
        assertThat(of(small)).extracting(Finding::code).contains("small-serif");
    }

    private static double weight(String style) {
        ThemeDocument theme = Starter.ALL.get(0).theme("T");
        return ((FontWeightValue) Resolution.of(theme, theme.defaults())
                        .value("type." + style, TypographyValue.class)
                        .orElseThrow()
                        .fontWeight())
                .weight();
    }

    @Test
    void weightsThatCannotBeToldApartAreNoted() {
        assertThat(of(with("h2", "fontWeight", new FontWeightValue(weight("h1") + 50))))
                .extracting(Finding::code)
                .contains("alike-weights");
    }

    /** Ends of a size, px, between 360 and 1280 px: the wide one by the narrow one may be 2.5, which 500 % at that end makes up for. */
    @ParameterizedTest
    @CsvSource({"16, 18, true", "20, 40, true", "20, 50, true", "20, 52, false", "30, 96, false", "40, 40.5, true"})
    void textThatGrowsTooMuchCannotBeEnlarged(double narrow, double wide, boolean passes) {
        FluidValue size = new FluidValue(DimensionValue.px(narrow), DimensionValue.px(wide), 360, 1280);
        assertThat(TypeChecks.enlarges(size)).isEqualTo(passes);
    }
}
