package org.umberloom.core.format.form;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.check.Pair;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.color.Depth;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.ValueText;

/** A page that prints well: colors in several notations, text styles, lengths and pairs. */
final class SheetForm implements Form {
    private static final String STYLE = "@page{size:A4;margin:14mm}"
            + "body{font:10pt/1.45 system-ui,sans-serif;color:#222;background:#fff;margin:2rem auto;max-width:60rem;padding:0 1rem}"
            + "h1{font-size:22pt;margin:0}h2{font-size:13pt;margin:2rem 0 .5rem;border-bottom:1px solid #999;break-after:avoid}"
            + "table{border-collapse:collapse;width:100%}td,th{text-align:left;padding:.2rem .6rem .2rem 0;border-bottom:1px solid #ddd;"
            + "vertical-align:middle}tr{break-inside:avoid}td.s{width:4rem;height:1.6rem;border:1px solid #999;print-color-adjust:exact;"
            + "-webkit-print-color-adjust:exact}code{font:9pt/1.3 ui-monospace,monospace}.bar{background:#444;height:.6rem;"
            + "max-width:100%;print-color-adjust:exact;-webkit-print-color-adjust:exact}.t{overflow-wrap:anywhere}"
            // A table that is wider than the window breaks its words rather than leave it.
            + "table{table-layout:fixed}td,th{overflow-wrap:anywhere}td.s{width:auto}th:empty{width:3.5rem}"
            + "@media(max-width:40rem){body{margin:1rem auto}td,th{padding-right:.3rem}code{font-size:8pt}}";

    @Override
    public String id() {
        return "sheet";
    }

    @Override
    public String title() {
        return "Style sheet to print";
    }

    @Override
    public Map<String, String> write(FormValues values) {
        String name = escaped(values.theme().name());
        StringBuilder html = new StringBuilder(
                        "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n")
                .append("<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">\n<title>")
                .append(name)
                .append(": style sheet</title>\n<style>")
                .append(STYLE)
                .append("</style>\n</head>\n<body>\n<main>\n<h1>")
                .append(name)
                .append("</h1>\n<p>")
                .append(escaped(values.theme().description()))
                .append("</p>\n");
        colors(html, values);
        styles(html, values);
        lengths(html, values);
        pairs(html, values);
        return Map.of("sheet.html", html.append("</main>\n</body>\n</html>\n").toString());
    }

    private static void colors(StringBuilder html, FormValues values) {
        html.append("<h2>Colors</h2>\n<table>\n<thead><tr><th></th><th>Name</th><th>sRGB</th>"
                + "<th>OKLCH</th><th>Depth</th></tr></thead>\n<tbody>\n");
        for (FormValues.Line line : values.colors()) {
            Color color = ((ColorValue) line.value()).color();
            html.append("<tr><td class=\"s\" style=\"background:")
                    .append(line.css())
                    .append("\"></td><td>")
                    .append(escaped(line.of().dotted()))
                    .append("</td><td><code>")
                    .append(color.hex())
                    .append("</code></td><td><code>")
                    .append(CssColor.write(color.to(ColorSpace.OKLCH)))
                    .append("</code></td><td>")
                    .append(ValueText.number(Depth.of(color).value(), 1))
                    .append("</td></tr>\n");
        }
        html.append("</tbody>\n</table>\n");
    }

    private static void styles(StringBuilder html, FormValues values) {
        Map<TokenPath, List<FormValues.Line>> styles = new LinkedHashMap<>();
        for (FormValues.Line line : values.values())
            if (line.type() == TokenType.TYPOGRAPHY)
                styles.computeIfAbsent(line.of(), key -> new ArrayList<>()).add(line);
        if (styles.isEmpty()) return;
        html.append("<h2>Text styles</h2>\n<table>\n<tbody>\n");
        styles.forEach((path, parts) -> {
            StringBuilder style = new StringBuilder();
            StringBuilder said = new StringBuilder();
            for (FormValues.Line part : parts) {
                style.append(part.part()).append(":").append(part.css()).append(";");
                said.append(said.isEmpty() ? "" : ", ").append(part.css());
            }
            html.append("<tr><td>")
                    .append(escaped(path.dotted()))
                    .append("<br><code>")
                    .append(escaped(said.toString()))
                    .append("</code></td><td class=\"t\" style=\"")
                    .append(escaped(style.toString()))
                    .append("\">The quick ferry</td></tr>\n");
        });
        html.append("</tbody>\n</table>\n");
    }

    private static void lengths(StringBuilder html, FormValues values) {
        List<FormValues.Line> lengths = values.values().stream()
                .filter(line -> line.type() == TokenType.DIMENSION)
                .toList();
        if (lengths.isEmpty()) return;
        html.append("<h2>Lengths</h2>\n<table>\n<tbody>\n");
        for (FormValues.Line line : lengths)
            html.append("<tr><td>")
                    .append(escaped(line.of().dotted()))
                    .append("</td><td><code>")
                    .append(line.css())
                    .append("</code></td><td style=\"width:50%\"><div class=\"bar\" style=\"width:")
                    .append(line.css())
                    .append("\"></div></td></tr>\n");
        html.append("</tbody>\n</table>\n");
    }

    private static void pairs(StringBuilder html, FormValues values) {
        Resolution resolution = Resolution.of(values.theme(), values.theme().defaults());
        List<Pair.Measured> pairs = Contrasts.measure(resolution);
        if (pairs.isEmpty()) return;
        html.append("<h2>Pairs</h2>\n<table>\n<thead><tr><th></th><th>Surface</th><th>Pair</th>"
                + "<th>Contrast</th><th>Needed</th></tr></thead>\n<tbody>\n");
        for (Pair.Measured pair : pairs)
            html.append("<tr><td class=\"s\" style=\"background:")
                    .append(pair.groundColor().hex())
                    .append(";color:")
                    .append(pair.foreground().hex())
                    .append("\">Aa</td><td>")
                    .append(escaped(pair.pair().surface()))
                    .append("</td><td>")
                    .append(escaped(pair.pair().role() + " on " + pair.pair().ground()))
                    .append("</td><td>")
                    .append(String.format(Locale.ROOT, "%.2f:1", Math.floor(pair.ratio() * 100) / 100))
                    .append(pair.passes() ? "" : " (too low)")
                    .append("</td><td>")
                    .append(ValueText.number(pair.pair().needed(), 1))
                    .append("</td></tr>\n");
        html.append("</tbody>\n</table>\n");
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}
