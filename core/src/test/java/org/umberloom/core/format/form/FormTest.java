package org.umberloom.core.format.form;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.color.Color;
import org.umberloom.core.format.PaletteText;
import org.umberloom.core.format.ThemeFiles;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.RandomThemes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenType;

class FormTest {
    private final ThemeDocument theme = Samples.starter();

    private String only(Form form) {
        return form.write(theme).values().iterator().next();
    }

    @Test
    void aPaletteComesBackWithEveryOpaqueColor() {
        PaletteText.Palette palette = PaletteText.read(only(Form.byId("gpl")));
        assertThat(palette.passedOver()).isEmpty();
        List<FormValues.Line> colors = FormValues.of(theme).colors().stream()
                .filter(line -> ((ColorValue) line.value()).color().alpha() == 1)
                .toList();
        Map<String, String> back = new java.util.LinkedHashMap<>();
        palette.colors()
                .forEach(color -> back.putIfAbsent(color.name(), color.color().hex()));
        assertThat(back).isNotEmpty();
        colors.stream().filter(line -> back.containsKey(line.name())).forEach(line -> assertThat(back)
                .containsEntry(line.name(), line.css()));
    }

    /** What the style sheet form says is read by the reader of custom properties, and comes to the same colors in both schemes. */
    @Test
    void customPropertiesComeBackAsTheSameTheme() {
        ThemeDocument back = ThemeFiles.reading(Map.of("variables.css", only(Form.byId("css"))))
                .theme();
        Resolution there = Resolution.of(back, back.defaults());
        long colors = FormValues.of(theme).colors().stream()
                .peek(line -> assertThat(there.tokens().values().stream()
                                .filter(token ->
                                        token.path().dotted().replace('.', '-').equals(line.name()))
                                .map(token -> token.value())
                                .filter(ColorValue.class::isInstance)
                                .map(value -> ((ColorValue) value).color().hex()))
                        .as(line.name())
                        .contains(line.css()))
                .count();
        assertThat(colors).isGreaterThan(50);
        assertThat(back.modifiers().values().stream()
                        .anyMatch(modifier -> modifier.contexts().containsKey("dark")))
                .isTrue();
    }

    @Test
    void theSheetIsAWholePageAndSaysEveryColorAndPair() {
        Document sheet = Jsoup.parse(only(Form.byId("sheet")));
        assertThat(sheet.select("h2").eachText()).containsExactly("Colors", "Text styles", "Lengths", "Pairs");
        assertThat(sheet.select("table").first().select("tbody tr"))
                .hasSize(FormValues.of(theme).colors().size());
        assertThat(sheet.select("script, link")).isEmpty();
    }

    @Test
    void flatJsonHoldsWhatDiffersInTheDark() {
        Map<String, Object> json = Json.readObject("flat", only(Form.byId("json")));
        Map<?, ?> tokens = (Map<?, ?>) json.get("tokens");
        Map<?, ?> dark = (Map<?, ?>) ((Map<?, ?>) ((Map<?, ?>) json.get("contexts")).get("scheme")).get("dark");
        assertThat(dark).isNotEmpty();
        dark.forEach((name, value) -> assertThat(tokens.get(name)).isNotEqualTo(value));
    }

    /** Names that would be one are told apart, and none can end its line or break out of where it stands. */
    @Test
    void namesAreToldApartAndHarmless() {
        Group group = Group.EMPTY;
        for (String path : List.of("color.a-b", "color.a.b", "color.a b", "color.</style>", "color.1; */ x: y", "9.a"))
            group = Samples.with(group, path, new ColorValue(Color.rgb(1, 2, 3)));
        FormValues values = FormValues.of(Samples.of(group));
        assertThat(values.values().stream().map(FormValues.Line::name))
                .doesNotHaveDuplicates()
                .allMatch(name -> name.matches("[A-Za-z_-][A-Za-z0-9_-]*"));
        assertThat(values.values()).allMatch(line -> line.type() == TokenType.COLOR);
        for (Form form : Form.ALL)
            for (String text : form.write(values).values())
                // What is text for people on a page may stand there, as text.
                assertThat(
                                form.id().equals("sheet")
                                        ? Jsoup.parse(text)
                                                        .select("style, body > *")
                                                        .size() + ""
                                        : text)
                        .doesNotContain("</style>", "*/ x");
    }

    /** Equal themes give equal bytes, also after they were written and read. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void whateverThemeItIsAllFormsAreWrittenTheSame(long seed) {
        ThemeDocument random = new RandomThemes(seed).theme();
        ThemeDocument again = ThemeJson.readInline(ThemeJson.writeInline(random));
        for (Form form : Form.ALL)
            assertThat(form.write(random)).isEqualTo(form.write(again)).isNotEmpty();
    }

    @Test
    void aFormThatIsNoneIsRefusedWithAllNames() {
        assertThatThrownBy(() -> Form.byId("less"))
                .hasMessageContaining("css, scss, tailwind, module, json, gpl, sheet");
    }
}
