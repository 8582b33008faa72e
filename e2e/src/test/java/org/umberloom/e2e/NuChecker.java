package org.umberloom.e2e;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import nu.validator.client.EmbeddedValidator;
import org.xml.sax.SAXException;

/** The Nu HTML checker, with the CSS checker that it brings; version as in pom.xml. */
final class NuChecker {
    private static final String LAYER = "@layer";
    /** What the checker does not know yet, by its words: HTML Living Standard, the popover attribute; CSS Fonts 5, size-adjust. */
    private static final Set<String> NOT_KNOWN =
            Set.of("pseudo-element or pseudo-class “:popover-open”", "Property “size-adjust” doesn't exist");

    private NuChecker() {}

    /** What is wrong with a page, a line each. */
    static List<String> errors(byte[] page) throws IOException, SAXException {
        EmbeddedValidator validator = new EmbeddedValidator();
        validator.setOutputFormat(EmbeddedValidator.OutputFormat.GNU);
        return validator
                .validate(new ByteArrayInputStream(page))
                .lines()
                .filter(line -> line.contains("error"))
                .toList();
    }

    /** What is wrong with a stylesheet. The checker does not know cascade layers (CSS Cascade 5), so it is given what stands in them. */
    static List<String> errorsOfCss(String css) throws IOException, SAXException {
        String page = "<!doctype html><html lang=\"en\"><title>t</title><style>" + withoutLayers(css) + "</style><p>x";
        return errors(page.getBytes(StandardCharsets.UTF_8)).stream()
                .filter(line -> NOT_KNOWN.stream().noneMatch(line::contains))
                .toList();
    }

    private static String withoutLayers(String css) {
        StringBuilder rest = new StringBuilder();
        Deque<Boolean> blocks = new ArrayDeque<>();
        for (int i = 0; i < css.length(); i++) {
            char letter = css.charAt(i);
            if (css.startsWith(LAYER, i)) {
                int statement = css.indexOf(';', i);
                int block = css.indexOf('{', i);
                boolean opens = block >= 0 && (statement < 0 || block < statement);
                if (opens) blocks.push(true);
                i = opens ? block : statement;
                continue;
            }
            if (letter == '{') blocks.push(false);
            if (letter == '}' && blocks.pop()) continue;
            rest.append(letter);
        }
        return rest.toString();
    }
}
