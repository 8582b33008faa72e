package org.umberloom.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.format.form.Form;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.ThemeDocument;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;
import picocli.CommandLine;

class CliTest {
    private static final Path DEMO = Path.of("..", "demo", "themes", "tern-passage", "theme.resolver.json");

    @TempDir
    Path folder;

    private record Ran(int code, String out, String err) {}

    private static Ran run(Object... arguments) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        CommandLine line = Main.line();
        line.setOut(new PrintWriter(out, true));
        line.setErr(new PrintWriter(err, true));
        String[] texts = new String[arguments.length];
        for (int i = 0; i < arguments.length; i++) texts[i] = String.valueOf(arguments[i]);
        return new Ran(line.execute(texts), out.toString(), err.toString());
    }

    private Path file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    private Path tokens(String name, String... values) throws IOException {
        StringBuilder json = new StringBuilder("{\"color\":{\"$type\":\"color\"");
        for (String value : values) {
            String[] parts = value.split("=");
            json.append(",\"")
                    .append(parts[0])
                    .append("\":{\"$value\":")
                    .append(parts[1])
                    .append("}");
        }
        return file(name, json.append("}}").toString());
    }

    private static String rgb(double r, double g, double b) {
        return "{\"colorSpace\":\"srgb\",\"components\":[" + r + "," + g + "," + b + "]}";
    }

    @Test
    void validateReadsTheDemoAndSaysHowManyTokens() {
        Ran ran = run("validate", DEMO);
        assertThat(ran.code).isZero();
        assertThat(ran.out).matches("(?s).*“Tern Passage”, \\d{3} tokens, in order\\.\\s*");
    }

    @Test
    void validateNamesAReferenceThatLeadsNowhere() throws IOException {
        Ran ran = run("validate", tokens("a.tokens.json", "one=\"{color.two}\""));
        assertThat(ran.code).isEqualTo(1);
        assertThat(ran.out).contains("color.one").contains("color.two");
    }

    @ParameterizedTest
    @ValueSource(strings = {"{", "not json at all", ""})
    void whatCannotBeReadIsRefusedInASentence(String text) throws IOException {
        Ran ran = run("validate", file("bad.tokens.json", text));
        assertThat(ran.code).isEqualTo(2);
        assertThat(ran.out).isEmpty();
        assertThat(ran.err).isNotBlank().doesNotContain("Exception").doesNotContain("\tat ");
    }

    @Test
    void aFileThatIsNotThereIsSaid() {
        Ran ran = run("check", folder.resolve("nowhere.json"));
        assertThat(ran.code).isEqualTo(2);
        assertThat(ran.err).contains("nowhere.json").contains("is not there");
    }

    @Test
    void noFileOutsideOfTheDocumentsFolderIsRead() throws IOException {
        Files.createDirectories(folder.resolve("inner"));
        file("secret.json", "{}");
        Path document = Files.writeString(
                folder.resolve("inner/theme.resolver.json"),
                "{\"version\":\"2025.10\",\"sets\":{\"base\":{\"sources\":[{\"$ref\":\"../secret.json\"}]}},"
                        + "\"resolutionOrder\":[{\"$ref\":\"#/sets/base\"}]}");
        Ran ran = run("validate", document);
        assertThat(ran.code).isEqualTo(2);
        assertThat(ran.err).contains("outside");
    }

    /** The same bytes as the core gives to the application, wherever it runs. */
    @Test
    void compileAndConvertWriteWhatTheCoreWrites() throws IOException {
        Path out = folder.resolve("out");
        assertThat(run("compile", DEMO, "-o", out).code).isZero();
        ThemeDocument theme = Source.read(DEMO).theme();
        assertThat(out.resolve("theme.css")).hasContent(Stylesheet.compile(theme, Usage.ALL, List.of()));
        for (Map.Entry<String, String> file : ThemeJson.writeFiles(theme).entrySet())
            assertThat(Files.readString(out.resolve(file.getKey()))).isEqualTo(file.getValue());
        // What it wrote is the same theme again.
        assertThat(Source.read(out.resolve("theme.resolver.json")).theme()).isEqualTo(theme);
        for (Form form : Form.ALL) {
            Path there = folder.resolve(form.id());
            assertThat(run("convert", DEMO, "--to", form.id(), "-o", there).code)
                    .isZero();
            for (Map.Entry<String, String> file : form.write(theme).entrySet())
                assertThat(Files.readString(there.resolve(file.getKey()))).isEqualTo(file.getValue());
        }
        Ran none = run("convert", DEMO, "--to", "nope");
        assertThat(none.code).isEqualTo(2);
        assertThat(none.err).contains("css, scss, tailwind, module, json, gpl, sheet");
    }

    @Test
    void diffTellsWhatHappenedAndTheNextNumber() throws IOException {
        Path before = tokens("a.tokens.json", "one=" + rgb(0, 0, 0), "two=" + rgb(1, 1, 1));
        Path after = tokens("b.tokens.json", "one=" + rgb(0.5, 0, 0));
        Ran ran = run("diff", before, after, "--since", "1.4.2");
        assertThat(ran.code).isEqualTo(1);
        assertThat(ran.out)
                .contains("color.two is gone.")
                .contains("color.one changed")
                .contains("2.0.0");
        assertThat(run("diff", before, before).code).isZero();
        assertThat(run("diff", before, after, "--allow", "major").code).isZero();
        assertThat(run("diff", before, after, "--allow", "minor").code).isEqualTo(1);
        Map<String, Object> json = Json.readObject("diff", run("diff", before, after, "--json").out);
        assertThat(json).containsEntry("step", "major");
        assertThat((List<?>) json.get("changes")).hasSize(2);
    }

    private static Path unreadable(Path folder) throws IOException {
        String text = "{\"surface\":{\"page\":{\"$type\":\"color\",\"ground\":{\"$value\":" + rgb(1, 1, 1)
                + "},\"text\":{\"$value\":" + rgb(0.9, 0.9, 0.9) + "}}}}";
        return Files.writeString(folder.resolve("pale.tokens.json"), text);
    }

    @Test
    void checkFailsOnWhatMustBeMended() throws IOException {
        Path pale = unreadable(folder);
        Ran ran = run("check", pale);
        assertThat(ran.code).isEqualTo(1);
        assertThat(ran.out).contains("text on ground reaches 1.2").contains("[contrast]");
        assertThat(run("check", DEMO).code).isZero();
        assertThat(run("check", DEMO, "--fail-on", "note").code).isEqualTo(1);
    }

    /** Source: SARIF 2.1.0 (OASIS) and its schema: version, runs, a tool with rules that every result names, levels, locations. */
    @Test
    void checkWritesSarif() throws IOException {
        String text = run("check", unreadable(folder), "--format", "sarif").out;
        Schema schema;
        try (InputStream file = CliTest.class.getResourceAsStream("/schema/sarif-schema-2.1.0.json")) {
            schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_7)
                    .getSchema(new String(file.readAllBytes(), StandardCharsets.UTF_8), InputFormat.JSON);
        }
        assertThat(schema.validate(text, InputFormat.JSON)).isEmpty();
        assertThat(schema.validate(text.replace("\"ruleId\"", "\"rule\""), InputFormat.JSON))
                .as("the schema itself notices what is wrong")
                .isNotEmpty();
        Map<String, Object> report = Json.readObject("sarif", text);
        assertThat(report).containsEntry("version", "2.1.0");
        Map<?, ?> run = (Map<?, ?>) ((List<?>) report.get("runs")).get(0);
        Map<?, ?> driver = (Map<?, ?>) ((Map<?, ?>) run.get("tool")).get("driver");
        List<?> rules = ((List<?>) driver.get("rules"))
                .stream().map(rule -> ((Map<?, ?>) rule).get("id")).toList();
        List<?> results = (List<?>) run.get("results");
        assertThat(results).isNotEmpty();
        for (Object one : results) {
            Map<?, ?> result = (Map<?, ?>) one;
            assertThat(rules.contains(result.get("ruleId"))).isTrue();
            assertThat(result.get("level")).isIn("error", "warning", "note");
            assertThat(((Map<?, ?>) result.get("message")).get("text")).isInstanceOf(String.class);
            assertThat((List<?>) result.get("locations")).hasSize(1);
        }
        assertThat(results.stream().map(one -> ((Map<?, ?>) one).get("level"))).anyMatch("error"::equals);
    }

    @Test
    void checkWritesJunitXmlThatAParserReads() throws Exception {
        String xml = run("check", unreadable(folder), "--format", "junit").out;
        Document document =
                DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new StringReader(xml)));
        org.w3c.dom.Element suite =
                (org.w3c.dom.Element) document.getElementsByTagName("testsuite").item(0);
        assertThat(document.getElementsByTagName("testcase").getLength())
                .isEqualTo(Integer.parseInt(suite.getAttribute("tests")));
        assertThat(document.getElementsByTagName("failure").getLength())
                .isEqualTo(Integer.parseInt(suite.getAttribute("failures")))
                .isPositive();
    }

    @Test
    void aKitIsCheckedAgainstItsManifest() throws IOException {
        ThemeDocument theme = Source.read(DEMO).theme();
        Map<String, byte[]> files = new LinkedHashMap<>();
        Map<String, String> written = ThemeJson.writeFiles(theme);
        String first = written.keySet().iterator().next();
        files.put(
                KitManifest.FILE,
                new KitManifest(theme.name(), first, "theme.css", List.of(), List.of(), List.of(), List.of())
                        .write()
                        .getBytes(StandardCharsets.UTF_8));
        files.put("theme.css", "a{}".getBytes(StandardCharsets.UTF_8));
        written.forEach((name, text) -> files.put(name, text.getBytes(StandardCharsets.UTF_8)));
        Map<String, byte[]> sealed = KitManifest.sealed(files, "1.2.0");
        Path kit = folder.resolve("a.kit.zip");
        Files.write(kit, KitArchive.write(sealed));
        assertThat(run("validate", kit).code).isZero();
        assertThat(run("diff", kit, DEMO).code).isZero();

        Map<String, byte[]> changed = new LinkedHashMap<>(sealed);
        changed.put("theme.css", "b{}".getBytes(StandardCharsets.UTF_8));
        changed.put("more.txt", new byte[] {1});
        changed.remove(written.keySet().stream()
                .filter(name -> name.contains("dark"))
                .findFirst()
                .orElseThrow());
        assertThat(KitManifest.faults(changed)).hasSize(3);
        changed.keySet().removeIf(name -> name.equals("more.txt"));
        Map<String, byte[]> one = new LinkedHashMap<>(sealed);
        one.put("theme.css", "b{}".getBytes(StandardCharsets.UTF_8));
        Files.write(kit, KitArchive.write(one));
        Ran ran = run("validate", kit);
        assertThat(ran.code).isEqualTo(1);
        assertThat(ran.out).contains("“theme.css” is not the file that the kit was made with.");
    }

    @Test
    void helpNamesEveryCommandAndAWrongOneIsRefused() {
        assertThat(run("--help").out).contains("validate", "compile", "diff", "check", "convert");
        Ran wrong = run("weave");
        assertThat(wrong.code).isEqualTo(2);
        assertThat(wrong.err).contains("weave");
    }
}
