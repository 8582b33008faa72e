package org.umberloom.core.contract;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.format.TokensJson;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;

class HomesTest {
    private static ThemeDocument theme(Map<String, String> sets) {
        Map<String, ThemeDocument.TokenSet> built = new LinkedHashMap<>();
        sets.forEach((name, json) -> built.put(name, new ThemeDocument.TokenSet("", TokensJson.read(name, json))));
        return new ThemeDocument(
                "Sets of any name",
                "",
                built,
                Map.of(),
                built.keySet().stream().map(ThemeDocument.OrderEntry::set).toList(),
                Map.of());
    }

    @Test
    void somethingNewGoesWhereMostOfItsKindStand() {
        Map<String, String> homes = Homes.of(Starter.ALL.get(0).theme("Usual"));
        assertThat(homes)
                .containsEntry("role", "set:roles")
                .containsEntry("hue", "set:base")
                .containsEntry("choice", "set:roles")
                .containsEntry("fontFamily", "set:base");
    }

    @Test
    void noNameOfASetIsAssumed() {
        String color =
                "{\"ink\": {\"$type\": \"color\", \"$value\": {\"colorSpace\": \"srgb\", \"components\": [0, 0, 0]}}}";
        String number = "{\"n\": {\"$type\": \"number\", \"$value\": 1}}";
        Map<String, String> two = new LinkedHashMap<>();
        two.put("dye", color);
        two.put("measure", number);
        assertThat(Homes.of(theme(two)))
                .containsEntry("hue", "set:dye")
                .containsEntry("number", "set:measure")
                .containsEntry("role", "")
                .containsEntry("choice", "set:measure");
        assertThat(Homes.of(theme(Map.of("all", number))))
                .as("one set takes everything")
                .containsEntry("hue", "set:all")
                .containsEntry("role", "set:all");
        assertThat(Homes.of(theme(Map.of())).values()).as("none").allMatch(String::isEmpty);
        assertThat(List.of("role", "hue", "choice"))
                .allSatisfy(kind -> assertThat(Homes.of(theme(two))).containsKey(kind));
    }
}
