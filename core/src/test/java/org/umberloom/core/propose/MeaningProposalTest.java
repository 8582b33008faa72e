package org.umberloom.core.propose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.format.TokensJson;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;

class MeaningProposalTest {
    private static ThemeDocument theme(String name, Map<String, String> contexts, String standard) {
        Map<String, Group> groups = new LinkedHashMap<>();
        contexts.forEach((context, json) -> groups.put(context, TokensJson.read(context, json)));
        return new ThemeDocument(
                "From elsewhere",
                "",
                Map.of("all", new ThemeDocument.TokenSet("", Group.EMPTY)),
                Map.of(name, new Modifier("", groups, standard)),
                List.of(ThemeDocument.OrderEntry.set("all"), ThemeDocument.OrderEntry.modifier(name)),
                Map.of());
    }

    private static Map<String, String> two(String one, String first, String other, String second) {
        Map<String, String> contexts = new LinkedHashMap<>();
        contexts.put(one, first);
        contexts.put(other, second);
        return contexts;
    }

    private static String gray(double value) {
        return "{\"app-bg\":{\"$type\":\"color\",\"$value\":{\"colorSpace\":\"srgb\",\"components\":[" + value + ","
                + value + "," + value + "]}}}";
    }

    @Test
    void theLighterGroundIsTheLightOneWhateverItIsCalled() {
        ThemeDocument theme = theme("mode", two("salt", gray(0.1), "pepper", gray(0.95)), "salt");
        assertThat(MeaningProposal.of(theme, "mode"))
                .isEqualTo(new Meaning(Meaning.Kind.SCHEME, Map.of("light", "pepper", "dark", "salt")));
    }

    @Test
    void namesTellWhereColorsDoNot() {
        assertThat(MeaningProposal.of(theme("mode", two("day", "{}", "night", "{}"), "day"), "mode")
                        .contexts())
                .containsEntry("dark", "night")
                .containsEntry("light", "day");
        assertThat(MeaningProposal.of(
                                theme("contrast-level", two("usual", "{}", "high", "{}"), "usual"), "contrast-level")
                        .kind())
                .isEqualTo(Meaning.Kind.CONTRAST);
        assertThat(MeaningProposal.of(theme("spacing", two("cozy", "{}", "compact", "{}"), "cozy"), "spacing")
                        .kind())
                .isEqualTo(Meaning.Kind.DENSITY);
        assertThat(MeaningProposal.of(theme("brand", two("north", "{}", "south", "{}"), "north"), "brand"))
                .isEqualTo(Meaning.NOTHING);
    }

    @Test
    void itIsRecordedInTheDocumentAndSaid() {
        List<String> notes = new ArrayList<>();
        ThemeDocument recorded =
                MeaningProposal.recorded(theme("mode", two("day", gray(1), "night", gray(0)), "day"), notes);
        assertThat(notes).containsExactly("“mode” is taken as the scheme: day is light, night is dark.");
        assertThat(Meaning.scheme(recorded)).contains(new Meaning.Scheme("mode", "day", "night"));
        assertThat(ThemeJson.readInline(ThemeJson.writeInline(recorded))).isEqualTo(recorded);
        assertThat(MeaningProposal.recorded(Starter.ALL.get(0).theme("Usual names"), notes))
                .isEqualTo(Starter.ALL.get(0).theme("Usual names"));
    }

    @Test
    void itCanBeSaidAndTakenBack() {
        ThemeDocument theme = theme("mode", two("day", "{}", "night", "{}"), "day");
        Edit edit = new Structure.SetMeaning(
                "mode", new Meaning(Meaning.Kind.SCHEME, two("light", "day", "dark", "night")));
        Edit.Applied applied = edit.applyTo(theme);
        assertThat(Meaning.scheme(applied.theme())).isPresent();
        assertThat(applied.inverse().applyTo(applied.theme()).theme()).isEqualTo(theme);
        assertThat(EditJson.read(EditJson.write(edit))).isEqualTo(edit);
        assertThat(EditJson.read(EditJson.write(applied.inverse()))).isEqualTo(applied.inverse());
        assertThatThrownBy(() -> new Structure.SetMeaning(
                                "mode", new Meaning(Meaning.Kind.SCHEME, two("light", "day", "dark", "day")))
                        .applyTo(theme))
                .hasMessageContaining("cannot stand for scheme");
    }

    /** A theme that says day and night follows the reader's system, and its dark side can be proposed. */
    @Test
    void aSchemeOfAnyNameIsAScheme() {
        ThemeDocument usual = Starter.ALL.get(0).theme("Day and night");
        ThemeDocument named = new Structure.RenamePlace(
                        org.umberloom.core.theme.Place.context("scheme", "dark"), "night")
                .applyTo(usual)
                .theme();
        named = new Structure.RenamePlace(org.umberloom.core.theme.Place.context("scheme", "light"), "day")
                .applyTo(named)
                .theme();
        named = new Structure.RenameModifier("scheme", "mode").applyTo(named).theme();
        ThemeDocument recorded = MeaningProposal.recorded(named, new ArrayList<>());
        String css = Stylesheet.compile(recorded, Usage.ALL, List.of());
        assertThat(css.replace("data-mode", "data-scheme")
                        .replace("=\"day\"", "=\"light\"")
                        .replace("=\"night\"", "=\"dark\""))
                .isEqualTo(Stylesheet.compile(usual, Usage.ALL, List.of()));
        ThemeDocument proposed =
                SchemeProposal.of(recorded, "night", true).applyTo(recorded).theme();
        assertThat(Contrasts.findings(
                        proposed, Resolution.of(proposed, proposed.defaults().with("mode", "night"))))
                .isEmpty();
    }
}
