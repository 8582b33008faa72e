package org.umberloom.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SheetReaderTest {
    private static Selector selector(String text) {
        return SheetReader.read(text + " { color: red }")
                .rules()
                .get(0)
                .selectors()
                .get(0);
    }

    /** Source: Selectors 4, section 17, the examples of calculating specificity, and those of :is(), :where() and :not(). */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "*|0 0 0",
                "LI|0 0 1",
                "UL LI|0 0 2",
                "UL OL+LI|0 0 3",
                "H1 + *[REL=up]|0 1 1",
                "UL OL LI.red|0 1 3",
                "LI.red.level|0 2 1",
                "#x34y|1 0 0",
                "#s12:not(FOO)|1 0 1",
                ".foo :is(.bar, #baz)|1 1 0",
                ":is(em, #foo)|1 0 0",
                ".qux:where(em, #foo#bar#baz)|0 1 0",
                ":not(em, strong#foo)|1 0 1",
                "a::before|0 0 2",
                "a:hover|0 1 1",
                "label:has(:checked)|0 1 1",
                "body:has(> [data-part=\"x\"])|0 1 1"
            })
    void specificity(String text, String expected) {
        Specificity specificity = selector(text).specificity();
        assertThat(specificity.ids() + " " + specificity.classes() + " " + specificity.elements())
                .isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a:where(:visited)|a|visited|a",
                "nav a[aria-current]:hover|nav a[aria-current]|hover|[aria-current],a,nav",
                "::selection|*|selection|''",
                ":focus-visible|*|focus-visible|''",
                "[data-part=\"notice\"] :focus-visible|[data-part=\"notice\"] *|focus-visible|[data-part=notice]",
                "label:has(:checked) + div|label + div|checked|div,label",
                "button[type]:disabled|button[type]|disabled|[type],button",
                "body:has(> [data-part=\"bar\"]) > main|body:has(>[data-part=\"bar\"]) > main|''|[data-part=bar],body,main",
                "main > :not([data-width=\"full\"]) + p|main > :not([data-width=\"full\"]) + p|''|main,p"
            })
    void statesAreTakenOffAndWhatIsNeededIsTold(String text, String resting, String state, String needs) {
        Selector selector = selector(text);
        assertThat(selector.resting()).isEqualTo(resting);
        assertThat(String.join(",", selector.states())).isEqualTo(state);
        assertThat(String.join(",", selector.needs().stream().sorted().toList()))
                .isEqualTo(needs);
    }

    @Test
    void variablesAreFoundAlsoInsideFunctions() {
        Declaration declaration = SheetReader.read(
                        "p { margin: calc(-1 * var(--gap-section)) max(1px, calc((100% - var(--width-wide, 70rem)) / 2)) }")
                .rules()
                .get(0)
                .declarations()
                .get(0);
        assertThat(declaration.variables())
                .containsExactly(
                        new Declaration.Variable("--gap-section", ""),
                        new Declaration.Variable("--width-wide", "70rem"));
    }

    @Test
    void rulesKnowTheAtRulesAroundThem() {
        Sheet sheet = SheetReader.read(
                "@layer base { @media (prefers-color-scheme: dark) { :root { --a: #fff } } } @theme { --color-sea-10: "
                        + "oklch(0.9 0.02 230) }");
        assertThat(sheet.rules()).singleElement().satisfies(rule -> assertThat(rule.within())
                .containsExactly("@layer base", "@media (prefers-color-scheme:dark)"));
        assertThat(sheet.blocks()).singleElement().satisfies(block -> {
            assertThat(block.name()).isEqualTo("@theme");
            assertThat(block.declarations()).extracting(Declaration::property).containsExactly("--color-sea-10");
        });
    }

    @Test
    void whatCannotBeReadIsSaidAndTheRestIsKept() {
        Sheet sheet = SheetReader.read("a { color: red }\n}{ b\np { margin: 0 }");
        assertThat(sheet.rules()).isNotEmpty();
        assertThat(sheet.faults()).isNotEmpty().allMatch(fault -> fault.words().contains("Line " + fault.line()));
        assertThatThrownBy(() -> SheetReader.read("x".repeat(5 << 20))).hasMessageContaining("million letters");
    }

    /** Source: CSS Custom Properties 1, section 2: a custom property may have an empty value. */
    @Test
    void customPropertiesMayBeEmpty() {
        Sheet sheet = SheetReader.read("a { --none:; --blank: ; color: red }");
        assertThat(sheet.faults()).isEmpty();
        assertThat(sheet.declarations())
                .extracting(Declaration::property, Declaration::value)
                .containsExactly(tuple("--none", ""), tuple("--blank", ""), tuple("color", "red"));
    }

    /** Source: CSS Syntax 3, 5.4: the end of a sheet closes what is open. */
    @Test
    void aBraceThatIsNeverClosedIsToldWithItsPlaceAndItsRuleIsKept() {
        Sheet sheet = SheetReader.read("a { color: red }\n  @media print { b { color: blue");
        assertThat(sheet.rules()).hasSize(2);
        assertThat(sheet.faults()).singleElement().satisfies(fault -> {
            assertThat(fault.words()).isEqualTo("Line 2, column 16: this { is never closed.");
            assertThat(fault.column()).isEqualTo(16);
        });
    }
}
