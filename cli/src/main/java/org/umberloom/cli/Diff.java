package org.umberloom.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.umberloom.core.change.Changes;
import org.umberloom.core.change.ReleaseNumber;
import org.umberloom.core.change.Step;
import org.umberloom.core.change.Telling;
import org.umberloom.core.json.Json;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
        name = "diff",
        mixinStandardHelpOptions = true,
        description = "Tells how a theme differs from another, and what number a release of it would have.",
        footer = "Exits with 0 when they are equal, or no further apart than --allow; with 1 when they are.")
final class Diff implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "BEFORE", description = "A kit, folder, resolver document or token file.")
    private Path before;

    @Parameters(index = "1", paramLabel = "AFTER", description = "Another.")
    private Path after;

    @Option(
            names = "--since",
            paramLabel = "NUMBER",
            description = "The number of the release before, to print the next one.")
    private String since;

    @Option(
            names = "--allow",
            paramLabel = "STEP",
            description = "How far they may be apart: patch, minor or major. Without it, not at all.")
    private String allow;

    @Option(names = "--json", description = "Prints JSON.")
    private boolean json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Changes changes =
                Changes.between(Source.read(before).theme(), Source.read(after).theme());
        Optional<String> next = Optional.ofNullable(since)
                .map(ReleaseNumber::parse)
                .map(number -> changes.any() ? changes.next(Optional.of(number)) : number)
                .map(ReleaseNumber::toString);
        PrintWriter out = spec.commandLine().getOut();
        if (json) out.println(Json.write(data(changes, next)));
        else print(out, changes, next);
        if (!changes.any()) return Main.GOOD;
        return allow != null && changes.step().compareTo(step(allow)) <= 0 ? Main.GOOD : Main.FOUND;
    }

    private static Step step(String text) {
        try {
            return Step.valueOf(text.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("“" + text + "” is no step: it is patch, minor or major.", e);
        }
    }

    private static void print(PrintWriter out, Changes changes, Optional<String> next) {
        if (!changes.any()) out.println("Nothing differs.");
        changes.changes().forEach(change -> out.println(word(change.step()) + Telling.sentence(change)));
        changes.shifts().forEach(shift -> out.println(word(shift.step()) + shift.sentence()));
        if (changes.any()) out.println("A release of it is a " + changes.step().id() + " one.");
        next.ifPresent(number -> out.println("Its number is " + number + "."));
    }

    private static String word(Step step) {
        return String.format(Locale.ROOT, "%-6s", step.id());
    }

    private static Map<String, Object> data(Changes changes, Optional<String> next) {
        Map<String, Object> data = new LinkedHashMap<>();
        data.put("differs", changes.any());
        data.put("step", changes.step().id());
        next.ifPresent(number -> data.put("number", number));
        List<Object> all = new ArrayList<>();
        changes.changes().forEach(change -> {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("kind", change.kind().id());
            one.put("step", change.step().id());
            one.put("path", change.path().dotted());
            change.was().ifPresent(was -> one.put("was", was.dotted()));
            one.put("places", change.places().stream().map(Object::toString).toList());
            one.put("before", change.before());
            one.put("after", change.after());
            one.put("size", change.size().words());
            one.put("follow", change.follow().stream().map(Object::toString).toList());
            all.add(one);
        });
        data.put("changes", all);
        data.put("besides", changes.shifts().stream().map(one -> one.sentence()).toList());
        return data;
    }
}
