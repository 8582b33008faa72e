package org.umberloom.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.format.ThemeKit;
import org.umberloom.core.format.form.Form;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
        name = "compile",
        mixinStandardHelpOptions = true,
        description = "Writes the whole style sheet of a theme and its token files, as a kit without a site has them.")
final class Compile implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "A kit, folder, resolver document or token file.")
    private Path file;

    @Option(
            names = {"-k", "--kit"},
            paramLabel = "ARCHIVE",
            description =
                    "Writes one archive instead, with manifest and licenses: the kit that the application makes without fonts "
                            + "and pages, to the byte.")
    private Path kit;

    @Option(
            names = {"-f", "--form"},
            paramLabel = "FORM",
            completionCandidates = Convert.Forms.class,
            description =
                    "A form that goes into the archive; may be said several times. One of: ${COMPLETION-CANDIDATES}.")
    private List<String> forms = List.of();

    @Option(
            names = {"-r", "--release"},
            paramLabel = "NUMBER",
            defaultValue = "",
            description = "The release that the archive is said to be made of.")
    private String release;

    @Mixin
    private Output output;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Source source = Source.read(file);
        if (kit != null) {
            Files.write(
                    kit,
                    KitArchive.write(ThemeKit.of(
                            source.theme(), forms.stream().map(Form::byId).toList(), release)));
            spec.commandLine().getOut().println(kit);
            return Main.GOOD;
        }
        Map<String, String> files = new LinkedHashMap<>();
        files.put(ThemeKit.STYLESHEET, Stylesheet.compile(source.theme(), Usage.ALL, List.of()));
        files.putAll(ThemeJson.writeFiles(source.theme()));
        output.write(files, spec.commandLine().getOut());
        return Main.GOOD;
    }
}
