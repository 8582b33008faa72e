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
                    "Writes one archive instead, with manifest and licenses: the kit that the application makes, to the byte. "
                            + "Of a kit, its pages, pictures and fonts go in again, dressed by its token files as they are now.")
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

    @Option(names = "--no-pages", description = "Leaves the pages of a kit out of the archive.")
    private boolean noPages;

    @Option(names = "--no-fonts", description = "Leaves the fonts of a kit out of the archive.")
    private boolean noFonts;

    @Mixin
    private Output output;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Source source = Source.read(file);
        if (kit != null) {
            Unpacked unpacked = new Unpacked(source.files());
            Map<String, byte[]> files = unpacked.again(
                    source.theme(),
                    !noPages,
                    !noFonts,
                    forms.stream().map(Form::byId).toList(),
                    release);
            Files.write(kit, KitArchive.write(files));
            unpacked.notes().forEach(spec.commandLine().getErr()::println);
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
