package org.umberloom.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** The core without a server: what a build asks of themes and kits. Exit codes: 0 good, 1 something was found, 2 could not be done. */
@Command(
        name = "umber-loom",
        mixinStandardHelpOptions = true,
        version = "umber-loom 0.1.0",
        description = "Reads token files, resolver documents, style sheets and kits.",
        subcommands = {Validate.class, Compile.class, Diff.class, Check.class, Convert.class})
public final class Main implements Runnable {
    static final int GOOD = 0;
    static final int FOUND = 1;
    static final int FAILED = 2;

    @Spec
    private CommandSpec spec;

    public static void main(String[] arguments) {
        System.exit(run(arguments));
    }

    /** @return the exit code */
    static int run(String... arguments) {
        return line().execute(arguments);
    }

    static CommandLine line() {
        CommandLine line = new CommandLine(new Main());
        // A sentence for people in place of a trace of the program.
        line.setExecutionExceptionHandler((e, command, parsed) -> {
            command.getErr().println(e.getMessage() == null ? e.toString() : e.getMessage());
            return FAILED;
        });
        line.setExecutionStrategy(new CommandLine.RunLast());
        return line;
    }

    @Override
    public void run() {
        throw new ParameterException(spec.commandLine(), "Say what to do.");
    }
}
