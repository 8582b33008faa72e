package org.umberloom.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.umberloom.core.finding.AllFindings;
import org.umberloom.core.font.Families;
import org.umberloom.core.ground.Pictures;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.ThemeDocument;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
        name = "check",
        mixinStandardHelpOptions = true,
        description = "Runs every check of a theme in all its looks: contrast, text, space, shape and order.",
        footer = "Exits with 1 when something weighs as much as --fail-on, or more.")
final class Check implements Callable<Integer> {
    private static final int MOST_COMBINATIONS = 64;

    /** How findings are written. */
    enum Format {
        text,
        sarif,
        junit
    }

    @Parameters(paramLabel = "FILE", description = "A kit, folder, resolver document or token file.")
    private Path file;

    @Option(
            names = "--format",
            defaultValue = "text",
            description = "One of: ${COMPLETION-CANDIDATES}. Default: ${DEFAULT-VALUE}.")
    private Format format;

    @Option(
            names = "--fail-on",
            paramLabel = "WEIGHT",
            defaultValue = "must",
            description = "must, should or note. Default: ${DEFAULT-VALUE}.")
    private String failOn;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        ThemeDocument theme = Source.read(file).theme();
        List<Finding> findings = AllFindings.everywhere(theme, Families.NONE, Pictures.UNREAD, MOST_COMBINATIONS);
        String name = file.getFileName().toString();
        spec.commandLine()
                .getOut()
                .println(
                        switch (format) {
                            case text -> text(findings);
                            case sarif -> Reports.sarif(name, findings);
                            case junit -> Reports.junit(theme.name(), findings);
                        });
        Finding.Weight least = weight(failOn);
        return findings.stream().anyMatch(one -> one.weight().compareTo(least) <= 0) ? Main.FOUND : Main.GOOD;
    }

    private static Finding.Weight weight(String text) {
        try {
            return Finding.Weight.valueOf(text.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("“" + text + "” is no weight: it is must, should or note.", e);
        }
    }

    private static String text(List<Finding> findings) {
        if (findings.isEmpty()) return "Nothing was found.";
        StringBuilder text = new StringBuilder();
        for (Finding.Weight weight : Finding.Weight.values())
            findings.stream()
                    .filter(one -> one.weight() == weight)
                    .forEach(one -> text.append(String.format(
                            Locale.ROOT,
                            "%-6s %s [%s]%n       %s%n",
                            weight.name().toLowerCase(Locale.ROOT),
                            one.message(),
                            one.code(),
                            one.remedy())));
        return text.toString().stripTrailing();
    }
}
