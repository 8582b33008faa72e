package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.ValueText;

/** Forms of earlier drafts of the Format Module, from memory. */
class OlderDraftTest {
    private final List<String> notes = new ArrayList<>();

    private String value(String json, String path) {
        Group group = TokensJson.read("old.json", json, notes);
        ThemeDocument theme = Samples.of(group);
        return ValueText.write(Resolution.of(theme, theme.defaults())
                .tokens()
                .get(TokenPath.of(path))
                .value());
    }

    @Test
    void colorsAsHexText() {
        assertThat(value("{\"a\":{\"$type\":\"color\",\"$value\":\"#7a4a2b80\"}}", "a"))
                .isEqualTo("#7a4a2b80");
        assertThat(notes)
                .containsExactly("old.json: Colors written as text were read as color space and components (a).");
    }

    @Test
    void lengthsAndTimesAsText() {
        assertThat(value(
                        "{\"a\":{\"$type\":\"dimension\",\"$value\":\"16px\"},\"b\":{\"$type\":\"dimension\",\"$value\":\"1.5rem\"},"
                                + "\"t\":{\"$type\":\"duration\",\"$value\":\"200ms\"}}",
                        "b"))
                .isEqualTo("1.5rem");
        assertThat(notes)
                .containsExactly(
                        "old.json: Lengths written as text were read as value and unit (2 times, first in a).",
                        "old.json: Times written as text were read as value and unit (t).");
    }

    @Test
    void textInsideCompositeValues() {
        assertThat(value(
                        """
                {"s":{"$type":"shadow","$value":[{"color":"#00000080","offsetX":"0px","offsetY":"2px","blur":"4px","spread":"0px"}]}}""",
                        "s"))
                .isEqualTo("0px 2px 4px 0px #00000080");
        assertThat(value(
                        """
                {"g":{"$type":"gradient","$value":[{"color":"#ffffff","position":0},{"color":"#000000","position":1}]}}""",
                        "g"))
                .isEqualTo("#ffffff 0%, #000000 100%");
    }

    @Test
    void fieldsWithoutDollarsAndReferencesThatEndInValue() {
        assertThat(value(
                        """
                {"color":{"type":"color","brand":{"value":"#ff0000","description":"ours"},"link":{"value":"{color.brand.value}"}}}""",
                        "color.link"))
                .isEqualTo("#ff0000");
        assertThat(notes)
                .hasSize(3)
                .anyMatch(note -> note.contains("without $"))
                .anyMatch(note -> note.contains(".value"));
    }

    @Test
    void todaysFormIsLeftAsItIsWithoutANote() {
        String json =
                "{\"value\":{\"$type\":\"number\",\"$value\":3,\"$description\":\"a token that is called value\"}}";
        assertThat(value(json, "value")).isEqualTo("3");
        assertThat(notes).isEmpty();
    }

    @Test
    void aTokenThatHoldsTokensBecomesAGroupWithARoot() {
        assertThat(value(
                        "{\"c\":{\"$type\":\"color\",\"$value\":\"#fff\",\"dark\":{\"$type\":\"color\",\"$value\":\"#000\"}}}",
                        "c.$root"))
                .isEqualTo("#ffffff");
        assertThat(notes).anyMatch(note -> note.contains("groups with a $root (c)"));
    }

    @Test
    void typesOfOtherToolsAreToldFromTheValue() {
        assertThat(value("{\"r\":{\"$type\":\"corner\",\"$value\":\"4px\"}}", "r"))
                .isEqualTo("4px");
        assertThat(value("{\"e\":{\"$type\":\"easing\",\"$value\":\"cubic-bezier(.2,0,0,1)\"}}", "e"))
                .isEqualTo("cubic-bezier(0.2, 0, 0, 1)");
    }

    /** Names of types in drafts of 2021 to 2023, from memory. */
    @Test
    void earlierNamesOfTypesAreKnown() {
        assertThat(value("{\"f\":{\"$type\":\"font\",\"$value\":[\"Work Sans\",\"serif\"]}}", "f"))
                .isEqualTo("Work Sans, serif");
        assertThat(notes).containsExactly("old.json: The type “font” of an earlier draft was read as fontFamily (f).");
    }

    @Test
    void aTypeThatIsNotKnownIsToldFromAValueThatIsNoText() {
        assertThat(value("{\"o\":{\"$type\":\"opacity\",\"$value\":0.5}}", "o")).isEqualTo("0.5");
        assertThat(value("{\"g\":{\"$type\":\"gap\",\"$value\":{\"value\":4,\"unit\":\"px\"}}}", "g"))
                .isEqualTo("4px");
        assertThat(notes).allMatch(note -> note.contains("told from the value")).hasSize(2);
    }

    @Test
    void aGroupsUnknownTypeIsThatOfItsTokens() {
        String json =
                "{\"gaps\":{\"$type\":\"spacing\",\"a\":{\"$value\":\"4px\"},\"b\":{\"$value\":\"{gaps.a}\"},\"c\":{\"$value\":\"some\"}}}";
        assertThat(value(json, "gaps.b")).isEqualTo("4px");
        assertThat(notes)
                .hasSize(4)
                .anyMatch(note ->
                        note.contains("“spacing” is not known; its values are kept as they are and not used (gaps.c)"))
                .anyMatch(note -> note.contains("of what they refer to (gaps.b)"));
        Group read = TokensJson.read("old.json", json, new ArrayList<>());
        assertThat(TokensJson.write(read)).contains("\"some\"", "\"spacing\"");
    }

    @Test
    void whatNoTypeCanHoldIsKeptAsText() {
        Group group = TokensJson.read("old.json", "{\"w\":{\"$type\":\"dimension\",\"$value\":\"15ch\"}}", notes);
        assertThat(TokensJson.write(group)).contains("15ch");
        assertThat(notes)
                .containsExactly("old.json: Values that no type of the format can hold were kept as text (w).");
    }

    @Test
    void aPlainTokenFileBecomesAThemeOfOneSet() {
        ThemeJson.Reading reading =
                ThemeJson.reading("brand.tokens.json", "{\"a\":{\"$type\":\"color\",\"$value\":\"#fff\"}}", file -> "");
        assertThat(reading.theme().name()).isEqualTo("brand");
        assertThat(reading.theme().sets()).containsOnlyKeys("tokens");
        assertThat(reading.notes()).hasSize(1);
    }
}
