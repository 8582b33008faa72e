package org.umberloom.cli;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.format.ThemeJson;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
        name = "compile",
        mixinStandardHelpOptions = true,
        description = "Writes the whole style sheet of a theme and its token files, as a kit without a site has them.")
final class Compile implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "A kit, folder, resolver document or token file.")
    private Path file;

    @Mixin
    private Output output;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Source source = Source.read(file);
        Map<String, String> files = new LinkedHashMap<>();
        files.put("theme.css", Stylesheet.compile(source.theme(), Usage.ALL, List.of()));
        files.putAll(ThemeJson.writeFiles(source.theme()));
        output.write(files, spec.commandLine().getOut());
        return Main.GOOD;
    }
}
