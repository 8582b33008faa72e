package org.umberloom.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Resolution;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
        name = "validate",
        mixinStandardHelpOptions = true,
        description = "Reads themes and kits, follows every reference, and checks kits against their manifest.")
final class Validate implements Callable<Integer> {
    private static final int MOST_COMBINATIONS = 64;

    @Parameters(arity = "1..*", paramLabel = "FILE", description = "Kits, folders, resolver documents or token files.")
    private List<Path> files;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        PrintWriter out = spec.commandLine().getOut();
        int code = Main.GOOD;
        for (Path file : files) {
            Source source = Source.read(file);
            source.notes().forEach(note -> out.println(file + ": note: " + note));
            for (String fault : source.faults()) {
                out.println(file + ": error: " + fault);
                code = Main.FOUND;
            }
            int tokens = 0;
            java.util.Set<String> said = new java.util.LinkedHashSet<>();
            for (Combination look : source.theme().looks(MOST_COMBINATIONS)) {
                Resolution resolution = Resolution.of(source.theme(), look);
                tokens = Math.max(tokens, resolution.tokens().size());
                for (Finding finding : resolution.findings())
                    if (finding.weight() == Finding.Weight.MUST) said.add(finding.path() + ": " + finding.message());
            }
            for (String one : said) {
                out.println(file + ": error: " + one);
                code = Main.FOUND;
            }
            if (source.faults().isEmpty() && said.isEmpty())
                out.println(file + ": “" + source.theme().name() + "”, " + tokens + " tokens, in order.");
        }
        return code;
    }
}
