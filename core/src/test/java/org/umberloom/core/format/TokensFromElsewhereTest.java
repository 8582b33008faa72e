package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ValueText;

/** Tokens in the forms in which people have them. */
class TokensFromElsewhereTest {
    private static ThemeJson.Reading read(String file, String text) {
        return Incoming.settled(ThemeFiles.reading(Map.of(file, text)), List.of(text));
    }

    private static ThemeFiles.Read together(String... namesAndTexts) {
        Map<String, String> files = new LinkedHashMap<>();
        for (int i = 0; i < namesAndTexts.length; i += 2) files.put(namesAndTexts[i], namesAndTexts[i + 1]);
        return ThemeFiles.read(files, ThemeFiles.Said.NOTHING);
    }

    private static String value(ThemeDocument theme, String path, String... contexts) {
        var combination = theme.defaults();
        for (int i = 0; i < contexts.length; i += 2) combination = combination.with(contexts[i], contexts[i + 1]);
        return Resolution.of(theme, combination)
                .find(path)
                .map(token -> ValueText.write(token.value()))
                .orElse("none");
    }

    @Nested
    class FlatJson {
        @Test
        void namesAndValuesComeInWithTheirPaths() {
            ThemeDocument theme = read(
                            "flat.json",
                            "{\"color.brand\": \"#123456\", \"--space-small\": \"4px\", \"radius\": \"2px\","
                                    + " \"color/link\": \"{color.brand}\"}")
                    .theme();
            assertThat(value(theme, "color.brand")).isEqualTo("#123456");
            assertThat(value(theme, "space.small")).isEqualTo("4px");
            assertThat(value(theme, "radius")).isEqualTo("2px");
            assertThat(value(theme, "color.link")).isEqualTo("#123456");
        }

        @Test
        void aListOfTokensComesInToo() {
            ThemeDocument theme = read(
                            "list.json",
                            "[{\"name\": \"color/brand\", \"value\": \"#123456\", \"type\": \"color\"},"
                                    + "{\"name\": \"space.small\", \"value\": \"4px\", \"type\": \"dimension\"}]")
                    .theme();
            assertThat(value(theme, "color.brand")).isEqualTo("#123456");
            assertThat(value(theme, "space.small")).isEqualTo("4px");
            assertThatThrownBy(() -> read("list.json", "[{\"value\": 1}]"))
                    .hasMessageContaining("Entry 1 of list.json has no name");
        }
    }

    @Nested
    class OutOfRange {
        private static String color(String space, String components) {
            return "{\"c\": {\"$type\": \"color\", \"$value\": {\"colorSpace\": \"" + space + "\", \"components\": ["
                    + components + "]}}}";
        }

        /** Source of the ranges: Color Module 2025.10. */
        @Test
        void componentsAreBroughtIntoTheirRangeAndTold() {
            for (String[] one : new String[][] {
                {"srgb", "255, 0, 0", "srgb 255 0 0 became srgb 1 0 0"},
                {"hsl", "200, 101, 50", "hsl 200 101 50 became hsl 200 100 50"},
                {"hsl", "360, 50, 50", "hsl 360 50 50 became hsl 0 50 50"},
                {"oklch", "-0.1, 0.1, 20", "oklch -0.1 0.1 20 became oklch 0 0.1 20"}
            })
                assertThat(read("c.json", color(one[0], one[1])).notes())
                        .as(one[0])
                        .anyMatch(note -> note.contains("c " + one[2]));
            assertThat(read("c.json", color("srgb", "1, 0, 0.5")).notes()).isEmpty();
        }

        @Test
        void spacesWithinReferencesAreTold() {
            assertThat(read(
                                    "s.json",
                                    "{\"a\": {\"$type\": \"number\", \"$value\": 1},"
                                            + " \"b\": {\"$type\": \"number\", \"$value\": \"{ a }\"}}")
                            .notes())
                    .anyMatch(note -> note.contains("without them: { a }"));
        }

        @Test
        void referencesThatLeadNowhereAreToldBeforeAnythingIsStored() {
            assertThat(read("r.json", "{\"b\": {\"$type\": \"color\", \"$value\": \"{palette.blue}\"}}")
                            .notes())
                    .anyMatch(note -> note.startsWith("1 reference leads to tokens that are in none of the files: b"));
        }
    }

    @Nested
    class SeveralFiles {
        private static final String BASE =
                "{\"blue\": {\"$type\": \"color\", \"$value\": {\"colorSpace\": \"srgb\", \"components\": [0, 0, 1]}},"
                        + "\"white\": {\"$type\": \"color\", \"$value\": {\"colorSpace\": \"srgb\", \"components\": [1, 1, 1]}}}";

        private static String link(String target) {
            return "{\"link\": {\"$type\": \"color\", \"$value\": \"{" + target + "}\"}}";
        }

        @Test
        void lightAndDarkAreContextsAndReferencesBetweenFilesResolve() {
            ThemeFiles.Read read = together(
                    "acme/base.json",
                    BASE,
                    "acme/theme.light.json",
                    link("blue"),
                    "acme/theme.dark.json",
                    link("white"));
            ThemeDocument theme = read.reading().theme();
            assertThat(theme.sets()).containsOnlyKeys("base");
            assertThat(theme.modifiers().get("scheme").contexts()).containsOnlyKeys("light", "dark");
            assertThat(theme.modifiers().get("scheme").defaultContext()).isEqualTo("light");
            assertThat(value(theme, "link")).isEqualTo("#0000ff");
            assertThat(value(theme, "link", "scheme", "dark")).isEqualTo("#ffffff");
            assertThat(read.reading().notes()).anyMatch(note -> note.contains("scheme: light or dark"));
        }

        @Test
        void filesOfOneFolderThatSetTheSameAreBrands() {
            ThemeDocument theme = together(
                            "base.json", BASE, "brands/ferry.json", link("blue"), "brands/cafe.json", link("white"))
                    .reading()
                    .theme();
            assertThat(theme.modifiers().get("brand").contexts()).containsOnlyKeys("ferry", "cafe");
        }

        @Test
        void whatTheyAreCanBeSaidOtherwise() {
            Map<String, String> files = new LinkedHashMap<>();
            files.put("base.json", BASE);
            files.put("dark.json", link("white"));
            ThemeDocument theme = ThemeFiles.read(
                            files,
                            new ThemeFiles.Said(
                                    List.of(
                                            new TokenFiles.Part("base.json", "", "", 0),
                                            new TokenFiles.Part("dark.json", "", "", 0)),
                                    ""))
                    .reading()
                    .theme();
            assertThat(theme.modifiers()).isEmpty();
            assertThat(theme.sets()).containsOnlyKeys("base", "dark");
            assertThat(value(theme, "link")).isEqualTo("#ffffff");
        }

        @Test
        void anArchiveOfThemNeedsNoResolverDocument() {
            Map<String, byte[]> files = new LinkedHashMap<>();
            files.put("base.json", BASE.getBytes(StandardCharsets.UTF_8));
            files.put("dark.json", link("white").getBytes(StandardCharsets.UTF_8));
            files.put("package.json", "{\"name\": \"x\", \"version\": \"1.0.0\"}".getBytes(StandardCharsets.UTF_8));
            ThemeDocument theme = KitManifest.reading(files).theme();
            assertThat(theme.sets()).containsOnlyKeys("base");
            assertThat(value(theme, "link", "scheme", "dark")).isEqualTo("#ffffff");
        }
    }

    @Nested
    class StyleSheets {
        private static ThemeDocument css(String text) {
            return read("d.css", text).theme();
        }

        @Test
        void schemesThatAttributesAndClassesSayBecomeContexts() {
            for (String selector : List.of(
                    "[data-theme=\"dark\"]",
                    ".dark",
                    "[data-color-mode=\"dark\"][data-dark-theme=\"dark\"]",
                    "html.dark")) {
                ThemeDocument theme = css(":root{--bg:#ffffff}\n" + selector + "{--bg:#111111}");
                assertThat(theme.modifiers()).as(selector).hasSize(1);
                String modifier = theme.modifiers().keySet().iterator().next();
                assertThat(value(theme, "bg", modifier, "dark")).as(selector).isEqualTo("#111111");
                assertThat(value(theme, "bg")).as(selector).isEqualTo("#ffffff");
            }
        }

        @Test
        void aSelectorThatStandsForThePageIsOfferedAndCanBeChosen() {
            String text = ":root{--a:1px}\n.app{--bg:#ffffff;--fg:#111111}";
            ThemeFiles.Read read = ThemeFiles.read(Map.of("d.css", text), ThemeFiles.Said.NOTHING);
            assertThat(read.selectors()).containsEntry(".app", 2);
            ThemeDocument theme = ThemeFiles.read(Map.of("d.css", text), new ThemeFiles.Said(List.of(), ".app"))
                    .reading()
                    .theme();
            assertThat(value(theme, "bg")).isEqualTo("#ffffff");
        }
    }

    @Nested
    class Variables {
        @Test
        void variablesAndMapsOfScssComeIn() {
            ThemeJson.Reading reading = read(
                    "_theme.scss",
                    "// The brand\n$brand: #123456 !default;\n$link: $brand;\n"
                            + "$space: (small: 4px, large: (inner: 8px, outer: 16px));\n$gap: map-get($space, small);\n"
                            + "$dim: darken($brand, 10%);\n.rule { color: $link; }\n$after: 2px;");
            ThemeDocument theme = reading.theme();
            assertThat(value(theme, "brand")).isEqualTo("#123456");
            assertThat(value(theme, "link")).isEqualTo("#123456");
            assertThat(value(theme, "space.large.outer")).isEqualTo("16px");
            assertThat(value(theme, "gap")).isEqualTo("4px");
            assertThat(value(theme, "after")).isEqualTo("2px");
            assertThat(reading.notes()).anyMatch(note -> note.contains("$dim"));
        }
    }

    @Nested
    class Palettes {
        private static void text(ByteBuffer out, String text) {
            out.putShort((short) (text.length() + 1));
            out.put(text.getBytes(StandardCharsets.UTF_16BE)).putShort((short) 0);
        }

        private static void color(ByteBuffer out, String name, String model, float... components) {
            out.putShort((short) 1).putInt(2 + (name.length() + 1) * 2 + 4 + components.length * 4 + 2);
            text(out, name);
            out.put(model.getBytes(StandardCharsets.US_ASCII));
            for (float component : components) out.putFloat(component);
            out.putShort((short) 2);
        }

        /** The layout of the blocks is from memory. */
        private static byte[] file() {
            ByteBuffer out = ByteBuffer.allocate(400);
            out.put("ASEF".getBytes(StandardCharsets.US_ASCII))
                    .putShort((short) 1)
                    .putShort((short) 0)
                    .putInt(5);
            out.putShort((short) 0xC001).putInt(2 + 12);
            text(out, "Ferry");
            color(out, "Sea", "RGB ", 0, 0.4f, 0.8f);
            out.putShort((short) 0xC002).putInt(0);
            color(out, "Ash", "Gray", 0.5f);
            color(out, "Ink", "CMYK", 0, 0, 0, 1);
            return java.util.Arrays.copyOf(out.array(), out.position());
        }

        @Test
        void swatchesComeInWithTheirGroups() {
            ThemeJson.Reading reading = ThemeFiles.binaryPalette("ferry.ase", file());
            assertThat(value(reading.theme(), "color.Ferry.Sea")).isEqualTo("#0066cc");
            assertThat(value(reading.theme(), "color.Ash")).isEqualTo("#808080");
            assertThat(value(reading.theme(), "color.Ink")).isEqualTo("#000000");
            assertThat(reading.notes()).anyMatch(note -> note.contains("CMYK"));
        }

        @Test
        void oneThatIsCutOffIsRefused() {
            byte[] cut = java.util.Arrays.copyOf(file(), 60);
            assertThatThrownBy(() -> ThemeFiles.binaryPalette("ferry.ase", cut))
                    .hasMessageContaining("ends in the middle");
        }
    }
}
