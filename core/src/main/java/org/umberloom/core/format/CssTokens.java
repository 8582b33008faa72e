package org.umberloom.core.format;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.umberloom.core.json.FormatException;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.Selector;
import org.umberloom.core.sheet.Sheet;
import org.umberloom.core.sheet.SheetReader;
import org.umberloom.core.sheet.StyleRule;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.TokenPath;

/**
 * A theme from style sheets: custom properties of the whole page as tokens, those that a media query or an attribute of the
 * page changes as contexts, and {@code @theme} blocks like the page's own. Source: CSS Custom Properties 1; Media Queries 5.
 */
final class CssTokens {
    private static final Pattern WHOLE = Pattern.compile("var\\((--[^,()\\s]+)(?:,.*)?\\)", Pattern.DOTALL);
    private static final Pattern PAGE =
            Pattern.compile("(:root|html|body|:host|\\*|::before|::after|::backdrop|:where\\((:root|html|:host)\\)|)+");
    private static final Pattern CHOSEN = Pattern.compile(
            "(?::root|html|body|:host|\\*)?(?:\\[([\\w-]+)=[\"']?([^\"'\\]]+)[\"']?]|\\.([\\w-]+))(?::root)?");
    private static final Pattern DARK_OR_LIGHT =
            Pattern.compile("@media .*\\(prefers-color-scheme:\\s*(dark|light)\\).*");
    private static final Pattern CONTRAST = Pattern.compile("@media .*\\(prefers-contrast:\\s*(more|high)\\).*");
    private static final Set<String> SCHEME_CLASSES = Set.of(
            "dark",
            "light",
            "night",
            "day",
            "dark-mode",
            "light-mode",
            "dark-theme",
            "light-theme",
            "theme-dark",
            "theme-light");
    private static final int MOST_HOPS = 12;
    private static final int MOST_SELECTORS = 6;
    private static final Pattern ATTRIBUTE = Pattern.compile("\\[([\\w-]+)=[\"']?([^\"'\\]]+)[\"']?]");
    /** What the attribute of a scheme holds beside light and dark. */
    private static final Set<String> SCHEME_VALUES = Set.of("light", "dark", "night", "day", "auto");

    /** Where declarations hold: empty names for the page as it is. */
    private record Where(String modifier, String context) {
        static final Where PAGE = new Where("", "");
    }

    private final Map<Where, Map<String, Declaration>> declared = new LinkedHashMap<>();
    private final Map<String, Integer> elsewhere = new LinkedHashMap<>();
    private final List<String> notes = new ArrayList<>();

    /** How many custom properties are declared on a part of pages, by its selector. */
    private final Map<String, Integer> parts = new LinkedHashMap<>();

    private final String page;

    private CssTokens(String page) {
        this.page = page;
    }

    private Map<String, Integer> mostDeclaring() {
        Map<String, Integer> most = new LinkedHashMap<>();
        parts.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .limit(MOST_SELECTORS)
                .forEach(entry -> most.put(entry.getKey(), entry.getValue()));
        return most;
    }

    /**
     * @param name  of the theme
     * @param texts the sheets, in the order in which a page has them
     * @param page  a selector that stands for the page, such as that of an element around everything; empty for none
     * @throws FormatException when there is no custom property in them that could be a token
     */
    static ThemeFiles.Read read(String name, List<String> texts, String page) {
        CssTokens reader = new CssTokens(page.strip());
        for (String text : texts) {
            Sheet sheet = SheetReader.read(text);
            sheet.blocks().stream()
                    .filter(block -> block.name().equals("@theme"))
                    .forEach(block -> reader.take(Where.PAGE, block.declarations()));
            sheet.rules().forEach(reader::take);
            sheet.faults().stream().limit(3).map(Sheet.Fault::words).forEach(reader.notes::add);
        }
        return new ThemeFiles.Read(reader.theme(name), List.of(), reader.mostDeclaring());
    }

    private void take(StyleRule rule) {
        Patience.ask();
        List<Declaration> own = rule.declarations().stream()
                .filter(one -> one.property().startsWith("--"))
                .toList();
        if (own.isEmpty()) return;
        Optional<Where> media = media(rule.within());
        Optional<Where> selected = selected(rule.selectors());
        if (media.isPresent() && selected.isEmpty())
            rule.selectors().stream()
                    .findFirst()
                    .ifPresent(selector -> parts.merge(selector.text(), own.size(), Integer::sum));
        if (media.isEmpty() || selected.isEmpty()) {
            elsewhere.merge(
                    media.isEmpty()
                            ? "they depend on the window or the device"
                            : "they stand on parts of a page, not on the page",
                    own.size(),
                    Integer::sum);
            return;
        }
        take(selected.get().equals(Where.PAGE) ? media.get() : selected.get(), own);
    }

    private void take(Where where, List<Declaration> own) {
        own.forEach(one ->
                declared.computeIfAbsent(where, key -> new LinkedHashMap<>()).put(one.property(), one));
    }

    /** What the at-rules around a rule choose; none for what is no choice of the reader's. */
    private static Optional<Where> media(List<String> within) {
        Where where = Where.PAGE;
        for (String rule : within) {
            Matcher scheme = DARK_OR_LIGHT.matcher(rule);
            if (rule.startsWith("@layer") || rule.startsWith("@supports")) continue;
            if (scheme.matches()) where = new Where("scheme", scheme.group(1));
            else if (CONTRAST.matcher(rule).matches()) where = new Where("contrast", "more");
            else if (!rule.matches("@media (all|screen)(,.*)?")) return Optional.empty();
        }
        return Optional.of(where);
    }

    /** What a rule's selectors choose: the page, or an attribute or a class of it. */
    private Optional<Where> selected(List<Selector> selectors) {
        Optional<Where> found = Optional.empty();
        for (Selector selector : selectors) {
            String text = selector.text().replaceAll(":not\\([^()]*\\)", "").trim();
            if (PAGE.matcher(text).matches()
                    || !page.isEmpty() && selector.text().equals(page)) return Optional.of(Where.PAGE);
            Optional<Where> scheme = schemeOf(text);
            if (scheme.isPresent() && found.isEmpty()) {
                found = scheme;
                continue;
            }
            Matcher chosen = CHOSEN.matcher(text);
            if (!chosen.matches() || found.isPresent()) continue;
            boolean ofPage = text.matches("(:root|html|body|:host).*")
                    || chosen.group(1) != null && chosen.group(1).startsWith("data-");
            if (chosen.group(1) != null && ofPage)
                found = Optional.of(new Where(chosen.group(1).replaceFirst("^data-", ""), chosen.group(2)));
            else if (chosen.group(3) != null
                    && SCHEME_CLASSES.contains(chosen.group(3).toLowerCase(java.util.Locale.ROOT)))
                found = Optional.of(new Where("scheme", plain(chosen.group(3))));
        }
        return found;
    }

    /** Several attributes that say together which scheme it is, as in {@code [data-color-mode="dark"][data-dark-theme="dark"]}. */
    private static Optional<Where> schemeOf(String selector) {
        if (!selector.matches("(:root|html|body)?(" + ATTRIBUTE.pattern() + "){2,}")) return Optional.empty();
        Matcher attributes = ATTRIBUTE.matcher(selector);
        String scheme = "";
        while (attributes.find()) {
            String value = attributes.group(2).toLowerCase(java.util.Locale.ROOT);
            if (!SCHEME_VALUES.contains(value)) return Optional.empty();
            if (!value.equals("auto")) scheme = value;
        }
        return scheme.isEmpty() ? Optional.empty() : Optional.of(new Where("scheme", scheme));
    }

    private static String plain(String name) {
        return name.toLowerCase(java.util.Locale.ROOT).replaceAll("-?(mode|theme)-?", "");
    }

    private ThemeJson.Reading theme(String name) {
        Map<String, Map<String, Map<String, Declaration>>> modifiers = modifiers();
        Map<String, Declaration> page = declared.getOrDefault(Where.PAGE, new LinkedHashMap<>());
        Set<String> known = new LinkedHashSet<>(page.keySet());
        modifiers.values().forEach(contexts -> contexts.values().forEach(one -> known.addAll(one.keySet())));
        Gathered base = gathered(page, page, known);
        Map<String, Map<String, Gathered>> contexts = new LinkedHashMap<>();
        List<Gathered> every = new ArrayList<>(List.of(base));
        modifiers.forEach((modifier, ones) -> ones.forEach((context, own) -> {
            Map<String, Declaration> lying = new LinkedHashMap<>(page);
            lying.putAll(own);
            Gathered one = gathered(own, lying, known);
            contexts.computeIfAbsent(modifier, key -> new LinkedHashMap<>()).put(context, one);
            every.add(one);
        }));
        if (every.stream().allMatch(Gathered::isEmpty))
            throw new FormatException(
                    "There is no custom property in it that could be a token: write --name: value; on :root, or in a block @theme.");
        Set<String> all = Gathered.all(every);
        Map<String, ThemeDocument.TokenSet> sets =
                new LinkedHashMap<>(Map.of("tokens", new ThemeDocument.TokenSet("", linked(base.tokens(all), all))));
        Map<String, Modifier> built = new LinkedHashMap<>();
        List<ThemeDocument.OrderEntry> order = new ArrayList<>(List.of(ThemeDocument.OrderEntry.set("tokens")));
        contexts.forEach((modifier, ones) -> {
            Map<String, Group> groups = new LinkedHashMap<>();
            String standard = standard(modifier, ones.keySet());
            if (!ones.containsKey(standard)) groups.put(standard, Group.EMPTY);
            ones.forEach((context, tokens) -> groups.put(context, linked(tokens.tokens(all), all)));
            built.put(modifier, new Modifier("", groups, standard));
            order.add(ThemeDocument.OrderEntry.modifier(modifier));
        });
        notes.add(
                0,
                "Read from custom properties: " + base.paths().size() + " of the page"
                        + (contexts.isEmpty()
                                ? ""
                                : ", and "
                                        + String.join(
                                                ", ",
                                                contexts.entrySet().stream()
                                                        .map(entry -> entry.getKey() + " with "
                                                                + String.join(
                                                                        " and ",
                                                                        entry.getValue()
                                                                                .keySet()))
                                                        .toList()))
                        + ".");
        Set<String> said = new LinkedHashSet<>();
        every.forEach(one -> said.addAll(one.notes()));
        notes.addAll(said);
        elsewhere.forEach((why, count) ->
                notes.add("Passed over, because " + why + ": " + count + (count == 1 ? " property." : " properties.")));
        return new ThemeJson.Reading(new ThemeDocument(name, "", sets, built, order, Map.of()), notes);
    }

    /** What a media query changes and what an attribute changes are one modifier where both mean the dark. */
    private Map<String, Map<String, Map<String, Declaration>>> modifiers() {
        Map<String, Map<String, Map<String, Declaration>>> modifiers = new LinkedHashMap<>();
        declared.forEach((where, own) -> {
            if (!where.equals(Where.PAGE))
                modifiers
                        .computeIfAbsent(where.modifier, key -> new LinkedHashMap<>())
                        .put(where.context, own);
        });
        Map<String, Map<String, Declaration>> scheme = modifiers.get("scheme");
        Optional<String> attribute = modifiers.entrySet().stream()
                .filter(entry ->
                        !entry.getKey().equals("scheme") && entry.getValue().containsKey("dark"))
                .map(Map.Entry::getKey)
                .findFirst();
        if (scheme != null && attribute.isPresent()) {
            modifiers.remove("scheme");
            scheme.forEach((context, own) -> modifiers.get(attribute.get()).merge(context, own, (mine, theirs) -> {
                Map<String, Declaration> both = new LinkedHashMap<>(theirs);
                both.putAll(mine);
                return both;
            }));
        }
        return modifiers;
    }

    private static String standard(String modifier, Set<String> contexts) {
        if (contexts.contains("light") || contexts.contains("dark")) return "light";
        return modifier.equals("contrast") ? "standard" : contexts.contains("default") ? "default" : "base";
    }

    private Gathered gathered(Map<String, Declaration> own, Map<String, Declaration> lying, Set<String> known) {
        Gathered gathered = new Gathered();
        own.forEach((property, declaration) -> {
            String value = declaration.value().trim();
            if (property.endsWith("*") || value.equals("initial")) return;
            Matcher whole = WHOLE.matcher(value);
            if (whole.matches()
                    && known.contains(whole.group(1))
                    && !whole.group(1).equals(property)) {
                gathered.put(path(property), Alias.to(path(whole.group(1))));
                return;
            }
            Optional<String> filled = filled(value, lying, 0);
            GuessedValue.Guess guess = filled.map(text -> GuessedValue.of(property, text))
                    .orElse(GuessedValue.Guess.none("it refers to what is not there"));
            guess.value()
                    .ifPresentOrElse(
                            found -> gathered.put(path(property), found),
                            () -> gathered.passOver(property, guess.why()));
        });
        return gathered;
    }

    /** A value with what it refers to put in its place; none where that is not there. */
    private static Optional<String> filled(String value, Map<String, Declaration> lying, int hops) {
        if (!value.contains("var(")) return Optional.of(value);
        if (hops == MOST_HOPS) return Optional.empty();
        Matcher inner = Pattern.compile("var\\((--[^,()\\s]+)\\s*(?:,([^()]*(?:\\([^()]*\\)[^()]*)*))?\\)")
                .matcher(value);
        StringBuilder text = new StringBuilder();
        while (inner.find()) {
            Declaration target = lying.get(inner.group(1));
            String replacement = target != null ? target.value() : inner.group(2);
            if (replacement == null || text.length() > 4_000) return Optional.empty();
            inner.appendReplacement(text, Matcher.quoteReplacement(replacement.trim()));
        }
        return filled(inner.appendTail(text).toString(), lying, hops + 1).filter(done -> !done.equals(value));
    }

    /** {@code --color-blue-500} is {@code color.blue.500}. */
    private static String path(String property) {
        StringBuilder path = new StringBuilder();
        for (String name : property.substring(2).split("-+")) {
            if (name.isEmpty()) continue;
            path.append(path.isEmpty() ? "" : ".").append(name.replaceAll("[{}.$\\\\]", "_"));
        }
        return path.isEmpty() ? "unnamed" : path.toString();
    }

    /** References to a token that others stand below mean their root. */
    private static Group linked(Group tokens, Set<String> all) {
        Group[] changed = {tokens};
        tokens.forEachToken((path, token, type) -> {
            if (!(token.value() instanceof Alias alias)) return;
            String target = Gathered.placed(alias.target().dotted(), all);
            if (!target.equals(alias.target().dotted()))
                changed[0] = changed[0].with(path, token.withValue(new Alias(TokenPath.of(target))));
        });
        return changed[0];
    }
}
