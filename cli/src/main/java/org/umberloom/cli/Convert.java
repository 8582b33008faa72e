package org.umberloom.cli;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.format.form.Form;
import org.umberloom.core.theme.ThemeDocument;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(name = "convert", mixinStandardHelpOptions = true, description = "Writes a theme in another form.")
final class Convert implements Callable<Integer> {
    private static final String TOKENS = "tokens";

    /** The names of all forms, for the help. */
    static final class Forms implements Iterable<String> {
        @Override
        public Iterator<String> iterator() {
            List<String> all = new ArrayList<>(List.of(TOKENS));
            Form.ALL.forEach(form -> all.add(form.id()));
            return all.iterator();
        }
    }

    @Parameters(
            paramLabel = "FILE",
            description = "A kit, folder, resolver document, token file, style sheet or palette.")
    private Path file;

    @Option(
            names = {"-t", "--to"},
            required = true,
            paramLabel = "FORM",
            completionCandidates = Forms.class,
            description = "One of: ${COMPLETION-CANDIDATES}.")
    private String form;

    @Mixin
    private Output output;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        ThemeDocument theme = Source.read(file).theme();
        Map<String, String> files = form.equals(TOKENS)
                ? ThemeJson.writeFiles(theme)
                : Form.byId(form).write(theme);
        output.write(files, spec.commandLine().getOut());
        return Main.GOOD;
    }
}
