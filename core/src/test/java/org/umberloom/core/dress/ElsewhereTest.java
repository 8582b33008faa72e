package org.umberloom.core.dress;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.ThemeFiles;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.propose.MeaningProposal;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenValue;

/**
 * Token collections and style sheets of general-purpose open packages come in and are dressed by the proposal alone; where
 * they are from is said in elsewhere/README.md and collections/README.md.
 */
public class ElsewhereTest {
    /** All files, in the order in which they are reported. */
    public static final List<String> FILES = List.of(
            "collections/open-props.flat.json",
            "elsewhere/eds-light.json",
            "elsewhere/kaizen-heart.json",
            "elsewhere/radix-colors.json",
            "elsewhere/tailwind3-default.json",
            "elsewhere/pico.css",
            "elsewhere/water.css",
            "elsewhere/simple.css",
            "elsewhere/tailwind4-theme.css",
            "elsewhere/bootstrap-reboot.css");

    /** A file as it comes in. */
    public static ThemeJson.Reading reading(String file) {
        try (InputStream in = ElsewhereTest.class.getResourceAsStream("/" + file)) {
            return ThemeFiles.reading(Map.of(
                    file.substring(file.indexOf('/') + 1), new String(in.readAllBytes(), StandardCharsets.UTF_8)));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** The same, dressed by the proposal alone. */
    public static ThemeDocument dressed(String file) {
        ThemeDocument theme = MeaningProposal.recorded(reading(file).theme(), new java.util.ArrayList<>());
        Map<String, TokenValue> values = new LinkedHashMap<>();
        Dressing.propose(theme).forEach(one -> values.put(one.role(), one.value()));
        return values.isEmpty()
                ? theme
                : Dressing.edit(theme, values).applyTo(theme).theme();
    }

    /** @param least how many of the roles that have proposals' words are set by the proposal, as was seen; fewer is a step back */
    @ParameterizedTest
    @CsvSource({
        "collections/open-props.flat.json,19",
        "elsewhere/eds-light.json,15",
        "elsewhere/kaizen-heart.json,30",
        "elsewhere/radix-colors.json,4",
        "elsewhere/tailwind3-default.json,26",
        "elsewhere/pico.css,28",
        "elsewhere/water.css,8",
        "elsewhere/simple.css,25",
        "elsewhere/tailwind4-theme.css,23",
        "elsewhere/bootstrap-reboot.css,29"
    })
    void everyTextPairCanBeRead(String file, int least) {
        ThemeDocument theme = dressed(file);
        int set = Dressing.written(theme).size();
        for (Combination combination : theme.combinations(8)) {
            Resolution resolution = Resolution.of(theme, combination);
            assertThat(Contrasts.findings(
                            theme, resolution, Contrasts.measure(resolution, Choices.of(theme, combination))))
                    .as(combination.key())
                    .isEmpty();
        }
        assertThat(set).isGreaterThanOrEqualTo(least);
        assertThat(Stylesheet.compile(theme, Usage.ALL, List.of())).isNotEmpty();
        Map<String, TokenValue> again = Dressing.written(theme);
        Edit same = Dressing.edit(theme, again);
        assertThat(same.applyTo(theme).theme()).isEqualTo(theme);
    }
}
