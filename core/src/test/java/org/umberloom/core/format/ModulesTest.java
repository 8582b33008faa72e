package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.ValueText;
import tools.jackson.databind.json.JsonMapper;

/**
 * Documents, valid and invalid, for the rules of the Format, Color and Resolver modules 2025.10, each with the section
 * it tests and the outcome that section asks for. From memory: rules, section numbers and outcomes.
 */
class ModulesTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @TestFactory
    Stream<DynamicTest> formatAndColor() throws IOException {
        return cases("/modules/format.json")
                .map(sample -> DynamicTest.dynamicTest(name(sample), () -> {
                    if (sample.get("error") instanceof String error) {
                        assertThatThrownBy(() -> TokensJson.read("sample", json(sample.get("document"))))
                                .isInstanceOf(FormatException.class)
                                .hasMessageContaining("sample")
                                .hasMessageContaining(error);
                        return;
                    }
                    ThemeDocument theme = Samples.of(TokensJson.read("sample", json(sample.get("document"))));
                    check(sample, theme);
                    String written = TokensJson.write(theme.sets().get("base").tokens());
                    assertThat(TokensJson.write(TokensJson.read("again", written)))
                            .isEqualTo(written);
                    assertThat(TokensJson.read("again", written))
                            .isEqualTo(theme.sets().get("base").tokens());
                    if (sample.get("kept") instanceof String kept)
                        assertThat(written).contains(kept);
                }));
    }

    @TestFactory
    Stream<DynamicTest> resolver() throws IOException {
        return cases("/modules/resolver.json")
                .map(sample -> DynamicTest.dynamicTest(name(sample), () -> {
                    Map<?, ?> files = sample.get("files") instanceof Map<?, ?> map ? map : Map.of();
                    java.util.function.Function<String, String> read = file -> {
                        if (!files.containsKey(file)) throw new FormatException("there is no " + file);
                        return json(files.get(file));
                    };
                    if (sample.get("error") instanceof String error) {
                        assertThatThrownBy(() -> ThemeJson.read(json(sample.get("document")), read))
                                .isInstanceOf(FormatException.class)
                                .hasMessageContaining(error);
                        return;
                    }
                    ThemeDocument theme = ThemeJson.read(json(sample.get("document")), read);
                    check(sample, theme);
                    String written = ThemeJson.writeInline(theme);
                    assertThat(ThemeJson.readInline(written)).isEqualTo(theme);
                    assertThat(ThemeJson.writeInline(ThemeJson.readInline(written)))
                            .isEqualTo(written);
                    Map<String, String> asFiles = ThemeJson.writeFiles(theme);
                    assertThat(ThemeJson.read(asFiles.get("theme.resolver.json"), asFiles::get))
                            .isEqualTo(theme);
                    if (sample.get("kept") instanceof String kept)
                        assertThat(written).contains(kept);
                }));
    }

    private static void check(Map<String, Object> sample, ThemeDocument theme) {
        Combination combination =
                sample.get("combination") instanceof String key ? Combination.parse(key) : theme.defaults();
        Resolution resolution = Resolution.of(theme, combination);
        if (sample.get("finding") instanceof String code) {
            assertThat(resolution.findings()).extracting(Finding::code).containsExactly(code);
            return;
        }
        assertThat(resolution.findings()).isEmpty();
        if (sample.get("values") instanceof Map<?, ?> values)
            values.forEach((path, expected) -> assertThat(ValueText.write(
                            resolution.tokens().get(TokenPath.of((String) path)).value()))
                    .as("%s", path)
                    .isEqualTo(expected));
    }

    private static String name(Map<String, Object> sample) {
        return sample.get("section") + ": " + sample.get("name");
    }

    private static String json(Object data) {
        return JSON.writeValueAsString(data);
    }

    @SuppressWarnings("unchecked")
    private static Stream<Map<String, Object>> cases(String resource) throws IOException {
        try (InputStream in = ModulesTest.class.getResourceAsStream(resource)) {
            return ((List<Map<String, Object>>) JSON.readValue(in, List.class)).stream();
        }
    }
}
