package org.umberloom.cli;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.umberloom.core.json.Json;
import org.umberloom.core.theme.Finding;

/** Findings in the forms that build servers read. */
final class Reports {
    private static final String SARIF_SCHEMA = "https://json.schemastore.org/sarif-2.1.0.json";

    private Reports() {}

    /** Source: SARIF 2.1.0 (OASIS), 3.13, 3.14, 3.27. */
    static String sarif(String file, List<Finding> findings) {
        Set<String> codes = new LinkedHashSet<>();
        findings.forEach(one -> codes.add(one.code()));
        List<Object> results = new ArrayList<>();
        for (Finding one : findings) {
            Map<String, Object> result = new LinkedHashMap<>();
            result.put("ruleId", one.code());
            result.put("level", level(one.weight()));
            result.put("message", Map.of("text", one.message() + " " + one.remedy()));
            result.put(
                    "locations",
                    List.of(Map.of(
                            "physicalLocation",
                            Map.of("artifactLocation", Map.of("uri", file)),
                            "logicalLocations",
                            List.of(Map.of("fullyQualifiedName", one.path())))));
            results.add(result);
        }
        Map<String, Object> driver = new LinkedHashMap<>();
        driver.put("name", "umber-loom");
        driver.put("version", "0.1.0");
        driver.put("rules", codes.stream().map(code -> Map.of("id", code)).toList());
        Map<String, Object> run = new LinkedHashMap<>();
        run.put("tool", Map.of("driver", driver));
        run.put("results", results);
        Map<String, Object> report = new LinkedHashMap<>();
        report.put("$schema", SARIF_SCHEMA);
        report.put("version", "2.1.0");
        report.put("runs", List.of(run));
        return Json.write(report);
    }

    private static String level(Finding.Weight weight) {
        return switch (weight) {
            case MUST -> "error";
            case SHOULD -> "warning";
            case NOTE -> "note";
        };
    }

    /** A test case for each kind of check, failed by what must be mended. Source: the common JUnit XML form; common practice. */
    static String junit(String theme, List<Finding> findings) {
        Map<String, List<Finding>> byCode = new LinkedHashMap<>();
        findings.forEach(one ->
                byCode.computeIfAbsent(one.code(), key -> new ArrayList<>()).add(one));
        long failures = byCode.values().stream().filter(Reports::fails).count();
        StringBuilder xml = new StringBuilder("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<testsuites>\n");
        xml.append(String.format(
                Locale.ROOT,
                "  <testsuite name=\"%s\" tests=\"%d\" failures=\"%d\" errors=\"0\" skipped=\"0\">%n",
                escaped(theme),
                Math.max(1, byCode.size()),
                failures));
        if (byCode.isEmpty()) xml.append("    <testcase classname=\"theme\" name=\"every check\"/>\n");
        byCode.forEach((code, all) -> {
            xml.append("    <testcase classname=\"theme\" name=\"")
                    .append(escaped(code))
                    .append("\">\n");
            String text = String.join(
                    "\n",
                    all.stream().map(one -> one.message() + " " + one.remedy()).toList());
            if (fails(all))
                xml.append("      <failure message=\"")
                        .append(escaped(all.get(0).message()))
                        .append("\">")
                        .append(escaped(text))
                        .append("</failure>\n");
            else xml.append("      <system-out>").append(escaped(text)).append("</system-out>\n");
            xml.append("    </testcase>\n");
        });
        return xml.append("  </testsuite>\n</testsuites>").toString();
    }

    private static boolean fails(List<Finding> findings) {
        return findings.stream().anyMatch(one -> one.weight() == Finding.Weight.MUST);
    }

    /** Source: XML 1.0, 2.2 and 2.4: what no document may hold is left out. */
    private static String escaped(String text) {
        StringBuilder out = new StringBuilder();
        text.codePoints().forEach(c -> {
            boolean allowed =
                    c == '\t' || c == '\n' || c >= 0x20 && c < 0xD800 || c >= 0xE000 && c < 0xFFFE || c > 0xFFFF;
            if (!allowed) return;
            switch (c) {
                case '&' -> out.append("&amp;");
                case '<' -> out.append("&lt;");
                case '>' -> out.append("&gt;");
                case '"' -> out.append("&quot;");
                default -> out.appendCodePoint(c);
            }
        });
        return out.toString();
    }
}
