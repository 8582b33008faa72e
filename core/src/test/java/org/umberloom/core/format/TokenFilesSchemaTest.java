package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;

/**
 * docs/tokens.schema.json, a JSON schema (draft 2020-12) written after the Format Module and the Color Module 2025.10 of the Design
 * Tokens Community Group, held against what is written and what is read here. Validator: networknt json-schema-validator.
 */
class TokenFilesSchemaTest {
    private static final Schema SCHEMA = schema();

    private static Schema schema() {
        try {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(Files.readString(Path.of("../docs/tokens.schema.json")), InputFormat.JSON);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static List<String> errors(String json) {
        return SCHEMA.validate(json, InputFormat.JSON).stream()
                .map(Error::toString)
                .toList();
    }

    private static Map<String, String> tokenFiles(ThemeDocument theme) {
        Map<String, String> files = new TreeMap<>();
        ThemeJson.writeFiles(theme).forEach((name, text) -> {
            if (name.endsWith(".tokens.json")) files.put(name, text);
        });
        return files;
    }

    @Test
    void whatIsWrittenIsValid() throws IOException {
        int files = 0;
        for (Starter starter : Starter.ALL)
            for (Map.Entry<String, String> file :
                    tokenFiles(starter.theme(starter.name())).entrySet()) {
                assertThat(errors(file.getValue()))
                        .as(starter.id() + " " + file.getKey())
                        .isEmpty();
                files++;
            }
        try (Stream<Path> demo = Files.walk(Path.of("../demo"))) {
            for (Path file : demo.filter(path -> path.toString().endsWith(".tokens.json"))
                    .toList()) {
                assertThat(errors(Files.readString(file))).as(file.toString()).isEmpty();
                files++;
            }
        }
        assertThat(files).isGreaterThan(12);
    }

    /** Each is a document; what the schema takes is read here, and what is read is taken by it. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'a': {'$type': 'color', '$value': {'colorSpace': 'oklch', 'components': [0.5, 'none', 20], 'alpha': 0.5}}}",
                "{'a': {'$type': 'color', '$value': {'colorSpace': 'srgb', 'components': [0, 0, 0], 'hex': '#000000'}}}",
                "{'$type': 'dimension', 'a': {'b': {'$value': {'value': -2.5, 'unit': 'rem'}}}}",
                "{'$type': 'dimension', 'a': {'$value': {'value': 1, 'unit': 'px'}}, 'b': {'$value': '{a}'}}",
                "{'a': {'$type': 'fontWeight', '$value': 350}, 'b': {'$type': 'fontWeight', '$value': 'semi-bold'}}",
                "{'a': {'$type': 'fontFamily', '$value': ['One', 'serif']}, 'b': {'$type': 'fontFamily', '$value': 'One'}}",
                "{'a': {'$type': 'cubicBezier', '$value': [0, -1, 1, 2]}}",
                "{'a': {'$type': 'duration', '$value': {'value': 200, 'unit': 'ms'}}}",
                "{'a': {'$type': 'strokeStyle', '$value': 'dashed'}}",
                "{'a': {'$type': 'strokeStyle', '$value': {'dashArray': [{'value': 1, 'unit': 'px'}], 'lineCap': 'butt'}}}",
                "{'c': {'$type': 'color', '$value': {'colorSpace': 'srgb', 'components': [0, 0, 0]}}, 'g': {'$type': 'gradient', "
                        + "'$value': [{'color': '{c}', 'position': 0}, {'color': '{c}', 'position': 1}]}}",
                "{'t': {'$type': 'typography', '$value': {'fontFamily': 'One', 'fontSize': {'value': 1, 'unit': 'rem'}, "
                        + "'fontWeight': 400, 'letterSpacing': {'value': 0, 'unit': 'px'}, 'lineHeight': 1.5}}}",
                "{'a': {'$description': 'words', '$deprecated': 'use b', '$extensions': {'x': 1}, '$type': 'number', '$value': 3}}",
                "{'a': {'$type': 'number', '$root': {'$value': 1}, 'more': {'$value': 2}}}",
                "{'a': {'$type': 'number', 'x': {'$value': 1}}, 'b': {'$extends': '{a}'}}"
            })
    void whatIsValidIsRead(String text) {
        String json = text.replace('\'', '"');
        assertThat(errors(json)).isEmpty();
        assertThat(reads(json)).as("read here").isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'a': {'$type': 'color', '$value': {'colorSpace': 'nowhere', 'components': [0, 0, 0]}}}",
                "{'a': {'$type': 'color', '$value': {'colorSpace': 'srgb', 'components': [0, 0]}}}",
                "{'a': {'$type': 'color', '$value': '#ff0000'}}",
                "{'a': {'$type': 'color', '$value': {'colorSpace': 'srgb', 'components': ['x', 0, 0]}}}",
                "{'$type': 'dimension', 'a': {'b': {'$value': {'value': 2, 'unit': 'em'}}}}",
                "{'$type': 'dimension', 'a': {'$value': 16}}",
                "{'a': {'$type': 'fontWeight', '$value': 'heavyish'}}",
                "{'a': {'$type': 'fontWeight', '$value': 0}}",
                "{'a': {'$type': 'fontWeight', '$value': 1001}}",
                "{'a': {'$type': 'fontFamily', '$value': [1]}}",
                "{'a': {'$type': 'cubicBezier', '$value': [0, 0, 1]}}",
                "{'a': {'$type': 'cubicBezier', '$value': [2, 0, 1, 0]}}",
                "{'a': {'$type': 'duration', '$value': {'value': 2, 'unit': 'h'}}}",
                "{'a': {'$type': 'strokeStyle', '$value': 'wavy'}}",
                "{'a': {'$type': 'strokeStyle', '$value': {'dashArray': 3, 'lineCap': 'butt'}}}",
                "{'a': {'$type': 'border', '$value': {'width': {'value': 1, 'unit': 'px'}, 'style': 'solid'}}}",
                "{'a': {'$type': 'number', '$value': 'three'}}",
                "{'t': {'$type': 'typography', '$value': {'fontFamily': 'One'}}}",
                "{'a': {'$type': 'number', '$value': 1, '$ref': '#/b'}}",
                "{'a': {'$type': 'number', '$value': 1, 'b': {'$value': 2}}}",
                "{'a.b': {'$type': 'number', '$value': 1}}",
                "{'{a}': {'$type': 'number', '$value': 1}}",
                "{'a': {'$type': 'number', '$value': 1, '$description': 5}}"
            })
    void whatIsNotValidIsRefusedHereToo(String text) {
        String json = text.replace('\'', '"');
        assertThat(errors(json)).isNotEmpty();
        assertThat(reads(json)).as("read here").isFalse();
    }

    private static boolean reads(String json) {
        try {
            ThemeJson.Reading reading = ThemeFiles.reading(Map.of("file.tokens.json", json));
            assertThat(Json.readObject("file", json)).isNotEmpty();
            // What is read only after it was brought to today's form is not valid.
            return reading.notes().isEmpty()
                    && Resolution.of(reading.theme(), reading.theme().defaults())
                            .findings()
                            .isEmpty();
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
