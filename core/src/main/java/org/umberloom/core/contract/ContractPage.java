package org.umberloom.core.contract;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.umberloom.core.sheet.Selector;
import org.umberloom.core.token.ValueText;

/** The contract as a page of Markdown for people: every role and choice, part by part. */
public final class ContractPage {
    private static final int MOST_SELECTORS = 8;

    private ContractPage() {}

    /** Writes the page to standard output. */
    public static void main(String[] arguments) {
        System.out.writeBytes(of(Contract.standard()).getBytes(StandardCharsets.UTF_8));
        System.out.flush();
    }

    public static String of(Contract contract) {
        StringBuilder page = new StringBuilder(
                """
                # The contract

                Everything that pages read from a theme. A **role** is filled by a token at its path; while it has none, it stands on its
                fallback, and nothing on a page is ever undefined. `surface.*` stands for every surface of a theme. A **choice** has a
                closed list of values, each with rules of its own. This page is written by `./loom contract` from the folders in
                `core/src/main/resources/parts`; a test checks that it is current.
                """);
        for (Part part : contract.parts()) {
            page.append("\n## ")
                    .append(part.title())
                    .append("\n\n")
                    .append(part.purpose())
                    .append(". Folder `")
                    .append(part.name())
                    .append("`, cascade layer `")
                    .append(part.layer().css())
                    .append("`.\n");
            if (!part.roles().isEmpty())
                page.append("\n| role | type | stands on | for | governs |\n| --- | --- | --- | --- | --- |\n");
            for (Role role : part.roles())
                page.append("| `")
                        .append(role.path())
                        .append('`')
                        .append(role.core() ? " (core)" : "")
                        .append(" | ")
                        .append(role.type().id())
                        .append(" | ")
                        .append(fallback(role.fallback()))
                        .append(" | ")
                        .append(role.purpose())
                        .append(role.decorative() ? "; decorates" : "")
                        .append(role.onPictures() ? "; lies on pictures" : "")
                        .append(" | ")
                        .append(governs(contract, role))
                        .append(" |\n");
            if (!part.choices().isEmpty()) page.append("\n| choice | values | for |\n| --- | --- | --- |\n");
            for (Choice choice : part.choices())
                page.append("| `")
                        .append(choice.name())
                        .append("` | ")
                        .append(choice.values().entrySet().stream()
                                .map(value -> "`" + value.getKey() + "`"
                                        + (value.getKey().equals(choice.standard()) ? " (standard)" : "") + ": "
                                        + value.getValue())
                                .collect(Collectors.joining("<br>")))
                        .append(choice.stands().isPresent() ? "<br>any surface of the theme, by its path" : "")
                        .append(" | ")
                        .append(choice.purpose())
                        .append(" |\n");
        }
        return page.toString();
    }

    private static String fallback(Fallback fallback) {
        if (fallback instanceof Fallback.ToRole to) return "`" + to.path() + "`";
        if (fallback instanceof Fallback.Literal literal) return ValueText.write(literal.value());
        if (fallback instanceof Fallback.Readable readable)
            return readable.preferred()
                            .map(path -> "`" + path + "`")
                            .or(() -> readable.color().map(color -> color.hex()))
                            .map(first -> first + ", else black or white")
                            .orElse("black or white")
                    + ", at " + ValueText.number(readable.ratio(), 2) + ":1 on `" + readable.on() + "`";
        Fallback.Style style = (Fallback.Style) fallback;
        String own = List.of("fontFamily", "fontSize", "fontWeight", "letterSpacing", "lineHeight").stream()
                .filter(style.own()::containsKey)
                .map(member -> member + " " + ValueText.write(style.own().get(member)))
                .collect(Collectors.joining(", "));
        return style.path()
                .map(path -> "`" + path + "`" + (own.isEmpty() ? "" : " with " + own))
                .orElse(own);
    }

    private static String governs(Contract contract, Role role) {
        TreeSet<String> selectors = new TreeSet<>();
        for (PartRule rule : contract.rules())
            if (role.readings().stream().anyMatch(rule.readings()::contains))
                rule.rule().selectors().stream().map(Selector::text).forEach(selectors::add);
        String shown = selectors.stream()
                .limit(MOST_SELECTORS)
                .map(selector -> "`" + selector + "`")
                .collect(Collectors.joining(", "));
        if (selectors.isEmpty()) return "what stands on it";
        return selectors.size() > MOST_SELECTORS
                ? shown + " and " + (selectors.size() - MOST_SELECTORS) + " more"
                : shown;
    }
}
