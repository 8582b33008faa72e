package org.umberloom.core.contract;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.JarURLConnection;
import java.net.URISyntaxException;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.json.Json;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.Sheet;
import org.umberloom.core.sheet.SheetReader;
import org.umberloom.core.sheet.StyleRule;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;

/**
 * Reads the folders of all parts: {@code part.json} with roles and choices, {@code rules.css}, {@code sample.html}, and for
 * each choice a folder with a style sheet for each of its values. Whatever does not fit ends the start with a sentence.
 */
final class PartFolders {
    private static final String ROOT = "parts/";
    private static final String DATA = "/part.json";
    /** The part whose rules come first in its layer. */
    private static final String FIRST = "page";
    /** On a specimen, a part that does not say where comes after those that do. */
    private static final int LAST = 100;

    private final String part;
    private final PartRule.Layer layer;
    private final Map<String, Object> data;
    private final Set<String> given = new LinkedHashSet<>();
    private final List<PartRule> rules = new ArrayList<>();
    private int order;

    private PartFolders(String part, int order) {
        this.part = part;
        this.order = order;
        data = Json.readObject(part + DATA, text(part + DATA));
        layer = PartRule.Layer.valueOf(string("layer").toUpperCase(Locale.ROOT));
    }

    static List<Part> read() {
        List<String> names = new ArrayList<>(names());
        names.sort(Comparator.comparing((String name) -> !name.equals(FIRST)).thenComparing(Comparator.naturalOrder()));
        List<Part> parts = new ArrayList<>();
        int order = 0;
        for (String name : names) {
            Part part = new PartFolders(name, order).part();
            order += part.rules().size();
            parts.add(part);
        }
        return parts;
    }

    /** The folders, whether they lie in a directory or in an archive. */
    private static Set<String> names() {
        Set<String> names = new TreeSet<>();
        try {
            URL root = PartFolders.class.getClassLoader().getResource(ROOT);
            if (root == null) throw new IllegalStateException("the parts are not there");
            if (root.openConnection() instanceof JarURLConnection archive) {
                archive.getJarFile().stream()
                        .map(entry -> entry.getName())
                        .filter(name -> name.startsWith(ROOT) && name.endsWith(DATA))
                        .forEach(name -> names.add(name.substring(ROOT.length(), name.length() - DATA.length())));
            } else {
                try (Stream<Path> folders = Files.list(Path.of(root.toURI()))) {
                    folders.filter(Files::isDirectory)
                            .forEach(folder -> names.add(folder.getFileName().toString()));
                }
            }
        } catch (IOException | URISyntaxException e) {
            throw new IllegalStateException("the parts cannot be read", e);
        }
        return names;
    }

    private Part part() {
        if (data.containsKey("given")) Json.list(part, data.get("given")).forEach(name -> given.add((String) name));
        List<Role> roles = new ArrayList<>();
        section("roles").forEach((path, role) -> roles.add(role(path, Json.object(path, role))));
        Optional<String> always = find(part + "/rules.css");
        always.ifPresent(css -> take(css, Optional.empty()));
        List<Choice> choices = new ArrayList<>();
        section("choices").forEach((name, choice) -> choices.add(choice(name, Json.object(name, choice))));
        return new Part(
                part,
                string("title"),
                string("for"),
                layer,
                data.containsKey("shown") ? (int) Json.number(part, data.get("shown")) : LAST,
                (String) data.getOrDefault("region", ""),
                find(part + "/sample.html").orElse("").strip(),
                roles,
                choices,
                rules);
    }

    private Role role(String path, Map<String, Object> role) {
        TokenType type = TokenType.byId((String) role.get("type"))
                .orElseThrow(() -> fault("the role " + path + " has no type that is known"));
        return new Role(
                path,
                type,
                fallback(path, type, role),
                part,
                Boolean.TRUE.equals(role.get("core")),
                Boolean.TRUE.equals(role.get("decorative")),
                Boolean.TRUE.equals(role.get("onPictures")),
                Json.string(path, role.get("for")),
                Optional.ofNullable(role.get("pulled")).map(pulled -> {
                    Map<String, Object> how = Json.object(path, pulled);
                    return new Role.Pulled(Json.string(path, how.get("edge")), Json.number(path, how.get("times")));
                }),
                Optional.ofNullable(role.get("around")).map(around -> {
                    Map<String, Object> what = Json.object(path, around);
                    return new Role.Around(Json.string(path, what.get("inner")), Json.string(path, what.get("gap")));
                }));
    }

    private Fallback fallback(String path, TokenType type, Map<String, Object> role) {
        Optional<String> general = Optional.ofNullable((String) role.get("fallback"));
        if (type == TokenType.TYPOGRAPHY) {
            Map<String, TokenValue> own = new LinkedHashMap<>();
            if (role.containsKey("value"))
                Json.object(path, role.get("value"))
                        .forEach((name, text) -> own.put(name, TypographyValue.parse(name, (String) text)));
            if (general.isEmpty() && !own.keySet().containsAll(Member.ofTheFormat()))
                throw fault("the style " + path + " ends without a value for all its members");
            return new Fallback.Style(general, own);
        }
        if (role.get("readable") instanceof Map<?, ?> readable)
            return new Fallback.Readable(
                    Optional.ofNullable((String) readable.get("prefer")),
                    Optional.ofNullable((String) readable.get("value")).map(CssColor::parse),
                    (String) readable.get("on"),
                    Json.number(path, readable.get("ratio")));
        if (general.isPresent()) return new Fallback.ToRole(general.get());
        if (role.get("value") instanceof String text) return new Fallback.Literal(ValueText.parse(type, text));
        throw fault("the role " + path + " has no fallback");
    }

    private Choice choice(String name, Map<String, Object> choice) {
        Map<String, String> values = new LinkedHashMap<>();
        Json.object(name, choice.get("values")).forEach((value, words) -> {
            values.put(value, (String) words);
            // A surface is chosen for elements that have rules for standing on one already.
            if (!choice.containsKey("stands"))
                take(text(part + "/" + name + "/" + value + ".css"), Optional.of(new PartRule.Chosen(name, value)));
        });
        String standard = Json.string(name, choice.get("standard"));
        return new Choice(
                name,
                part,
                Json.string(name, choice.get("for")),
                values,
                standard,
                Json.string(name, choice.getOrDefault("dark", standard)),
                Json.list(name, choice.getOrDefault("colors", List.of())).stream()
                        .map(String.class::cast)
                        .toList(),
                Optional.ofNullable(choice.get("moved")).map(moved -> moved(name, Json.object(name, moved))),
                Optional.ofNullable((String) choice.get("stands")));
    }

    private static Choice.Moved moved(String name, Map<String, Object> moved) {
        Map<String, List<Double>> spots = new LinkedHashMap<>();
        Json.object(name, moved.get("spots"))
                .forEach((value, spot) -> spots.put(
                        value,
                        Json.list(name, spot).stream()
                                .map(share -> Json.number(name, share))
                                .toList()));
        return new Choice.Moved(Json.string(name, moved.get("within")), spots);
    }

    private void take(String css, Optional<PartRule.Chosen> chosen) {
        Sheet sheet = SheetReader.read(css);
        if (!sheet.faults().isEmpty())
            throw fault("its rules cannot be read: " + sheet.faults().get(0).words());
        for (StyleRule rule : sheet.rules()) {
            Set<String> readings = new LinkedHashSet<>();
            boolean gives = false;
            for (Declaration declaration : rule.declarations())
                for (Declaration.Variable variable : declaration.variables()) {
                    if (given.contains(variable.name())) gives = true;
                    else readings.add(reading(variable.name()));
                }
            rules.add(new PartRule(part, layer, order++, chosen, rule, readings, gives));
        }
    }

    /** What a declaration reads of roles, in order. */
    static List<String> readings(Declaration declaration) {
        return declaration.variables().stream()
                .map(variable -> reading(variable.name()))
                .toList();
    }

    /** {@code --surface-link-hover} reads {@code surface.link-hover}, {@code --type-h1-size} reads {@code type.h1.size}. */
    static String reading(String property) {
        String[] names = property.substring(2).split("-", 2);
        if (names.length < 2) return names[0];
        if (names[0].equals("part")) return "part." + names[1].replaceFirst("-", ".");
        int last = names[1].lastIndexOf('-');
        if (names[0].equals("type")
                && last > 0
                && Member.byId(names[1].substring(last + 1)).isPresent())
            return "type." + names[1].substring(0, last) + "." + names[1].substring(last + 1);
        return names[0] + "." + names[1];
    }

    private Map<String, Object> section(String name) {
        return data.containsKey(name) ? Json.object(part + DATA + ", " + name, data.get(name)) : Map.of();
    }

    private String string(String name) {
        return Json.string(part + DATA + ", " + name, data.get(name));
    }

    private IllegalArgumentException fault(String what) {
        return new IllegalArgumentException("The part “" + part + "” cannot be used: " + what + ".");
    }

    private static String text(String file) {
        return find(file).orElseThrow(() -> new IllegalArgumentException("The file parts/" + file + " is not there."));
    }

    private static Optional<String> find(String file) {
        try (InputStream in = PartFolders.class.getClassLoader().getResourceAsStream(ROOT + file)) {
            return in == null ? Optional.empty() : Optional.of(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
