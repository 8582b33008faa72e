package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Paint;
import org.umberloom.core.contract.PartRule;
import org.umberloom.core.contract.Role;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.page.Specimen;
import org.umberloom.core.sheet.Declaration;
import org.umberloom.core.sheet.Selector;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.TokenType;

/**
 * Every part in every state, against Chromium: each role gets a value that no other has, and every element computes to the value of
 * the role that wins for it by the ranks that the core gives to rules. What the roles come to is another test's.
 */
class StatesOfPartsTest {
    /** What a person brings about; disabled, invalid, chosen and such stand in the samples themselves. */
    private static final Map<String, List<String>> STATES = Map.of(
            "at rest",
            List.of(),
            "pointed at",
            List.of("hover"),
            "pressed",
            List.of("hover", "active"),
            "with the keyboard on it",
            List.of("focus", "focus-visible", "focus-within"));

    /** What is laid out computes to what room there is. */
    private static final Set<String> LAID_OUT =
            Set.of("width", "height", "inline-size", "block-size", "grid-template-columns");

    private static final String COMPARE =
            """
            ([rules, values]) => {
              // Shorthands and what they say, and sides that are said in several ways.
              const families = (one, other) => one !== other && (one.endsWith('radius') === other.endsWith('radius'))
                && (one.startsWith(other + '-') || other.startsWith(one + '-')
                  || ['border', 'padding', 'margin'].some((name) => one.startsWith(name) && other.startsWith(name)))
                && !(/-(block|inline)/.test(one) && /-(block|inline)/.test(other) && one.includes('-block') !== other.includes('-block'));
              const wrong = [], parts = new Set();
              let checked = 0, ofStates = 0;
              const matching = new Map();
              for (const rule of rules.toSorted((a, b) => b.rank - a.rank))
                for (const element of document.querySelectorAll(rule.selector))
                  if (matching.get(element)?.push(rule) === undefined) matching.set(element, [rule]);
              for (const element of document.querySelectorAll('body, body *')) {
                // Boxes and rounds that the system draws keep its form, whatever a rule says.
                if (element.matches('[type=radio], [type=checkbox]')) continue;
                const style = getComputedStyle(element);
                const reaching = matching.get(element) ?? [];
                const decided = new Set();
                reaching.forEach((rule, at) => {
                  for (const [property, said] of Object.entries(rule.said)) {
                    if (decided.has(property)) continue;
                    decided.add(property);
                    if (!said || !(said in values)) continue;
                    // A shorthand of a stronger rule, or one beside it, says part of it.
                    if (reaching.slice(0, at + 1).some((one) => Object.keys(one.said).some((other) => families(property, other)))) continue;
                    const computed = style.getPropertyValue(property === 'background' ? 'background-color' : property);
                    checked++;
                    if (rule.state) ofStates++;
                    parts.add(rule.part);
                    if (computed !== values[said])
                      wrong.push(`${rule.selector} { ${property}: ${said} } on <${element.localName}>: ${computed}, not ${values[said]}`);
                  }
                });
              }
              return { wrong: [...new Set(wrong)].slice(0, 20), parts: [...parts], checked, ofStates };
            }""";

    /** By their custom properties, the values of all roles that can be told apart. */
    private static Map<String, String> values() {
        Map<String, String> values = new LinkedHashMap<>();
        int number = 0;
        for (String reading : new TreeSet<>(Contract.standard().readings())) {
            number++;
            Role role = Contract.standard().ofReading(reading).orElse(null);
            if (role == null) continue;
            String name = CustomProperties.nameOf(reading);
            if (role.type() == TokenType.COLOR) values.put(name, "rgb(1, " + number / 256 + ", " + number % 256 + ")");
            else if (role.type() == TokenType.DIMENSION || reading.endsWith(".size"))
                values.put(name, 100 + number + "px");
            else if (reading.endsWith(".weight")) values.put(name, String.valueOf(number % 900 + 1));
        }
        return values;
    }

    /** By properties, the custom property that one of them is as a whole; empty where it says something else. */
    private static Map<String, String> said(Declaration declaration, Map<String, String> values) {
        List<String> names =
                declaration.variables().stream().map(Declaration.Variable::name).toList();
        // The line around what the keyboard is on is said in one.
        if (declaration.property().equals("outline"))
            return names.stream()
                    .collect(Collectors.toMap(
                            name -> values.get(name).startsWith("rgb") ? "outline-color" : "outline-width",
                            name -> name));
        boolean whole = names.size() == 1 && declaration.value().matches("var\\(" + names.get(0) + "(,.*)?\\)");
        return Map.of(declaration.property(), whole ? names.get(0) : "");
    }

    /** The rules that hold on a screen of any width with every choice at its standard. */
    private static List<Map<String, Object>> rules(Map<String, String> values) {
        List<Map<String, Object>> rules = new ArrayList<>();
        Map<String, String> chosen = Contract.standard().completed(Map.of());
        for (PartRule rule : Contract.standard().rules()) {
            if (!rule.holds(chosen) || !rule.rule().within().isEmpty()) continue;
            Map<String, String> said = new LinkedHashMap<>();
            for (Declaration declaration : rule.declarations())
                if (!LAID_OUT.contains(declaration.property())) said.putAll(said(declaration, values));
            for (Selector selector : rule.rule().selectors())
                if (selector.drawn().isEmpty() && !selector.states().contains("selection"))
                    rules.add(Map.of(
                            "selector",
                            selector.text(),
                            "rank",
                            (double) Paint.rank(rule, selector),
                            "part",
                            rule.part(),
                            "state",
                            !selector.states().isEmpty(),
                            "said",
                            said));
        }
        return rules;
    }

    @Test
    void everyElementComputesToTheRoleThatWinsInItsState() {
        Map<String, String> values = values();
        List<Map<String, Object>> rules = rules(values);
        Set<String> parts = new TreeSet<>();
        String css = Stylesheet.compile(Demo.theme(), Usage.LIVE, List.of()) + "* { transition: none !important; }";
        try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
            for (Map.Entry<String, String> shown : pages().entrySet()) {
                page.setContent(shown.getValue().replace("<head>", "<head><style>" + css + "</style>"));
                Contract.standard()
                        .completed(Map.of())
                        .forEach((choice, value) -> page.evaluate(
                                "([name, value]) => document.documentElement.setAttribute(name, value)",
                                List.of(Stylesheet.choiceAttribute(choice), value)));
                page.evaluate(
                        """
                        (values) => {
                          for (const one of [document.documentElement, ...document.querySelectorAll('[data-surface]')])
                            for (const [name, value] of Object.entries(values)) one.style.setProperty(name, value);
                        }""",
                        values);
                CDPSession session = page.context().newCDPSession(page);
                List<Integer> nodes = nodes(session);
                STATES.forEach((state, forced) -> {
                    force(session, nodes, forced);
                    Map<?, ?> found = (Map<?, ?>) page.evaluate(COMPARE, List.of(rules, values));
                    String where = state + " on " + shown.getKey();
                    assertThat((List<?>) found.get("wrong")).as(where).isEmpty();
                    assertThat((Integer) found.get("checked")).as(where).isGreaterThan(40);
                    if (!forced.isEmpty())
                        assertThat((Integer) found.get("ofStates")).as(where).isGreaterThan(5);
                    ((List<?>) found.get("parts")).forEach(part -> parts.add((String) part));
                });
                session.detach();
            }
        }
        Set<String> taking = new TreeSet<>();
        rules.forEach(rule -> {
            if (((Map<?, ?>) rule.get("said")).values().stream().anyMatch(values::containsKey))
                taking.add((String) rule.get("part"));
        });
        taking.removeAll(parts);
        assertThat(taking).as("parts of which nothing was compared").isEmpty();
    }

    /** All samples on a light and on a dark surface; and pages with the regions that stand on whole pages alone. */
    private static Map<String, String> pages() {
        Map<String, String> pages = new LinkedHashMap<>();
        for (String surface : List.of(Surfaces.PAGE, "deep")) pages.put(surface, Specimen.page(surface, Map.of()));
        for (String part : List.of("bar", "sidebar"))
            Demo.pages(Demo.SITES).stream()
                    .filter(file -> Demo.read(file).contains("data-part=\"" + part + "\""))
                    .findFirst()
                    .ifPresent(file -> pages.put(file.toString(), Demo.read(file)));
        pages.put(
                "skip",
                "<html><head></head><body><a data-part=\"skip\" href=\"#text\">To the text</a>"
                        + Specimen.page(Surfaces.PAGE, Map.of()).replaceAll("(?s).*<body[^>]*>", ""));
        return pages;
    }

    private static List<Integer> nodes(CDPSession session) {
        session.send("DOM.enable");
        session.send("CSS.enable");
        JsonObject depth = new JsonObject();
        depth.addProperty("depth", 0);
        JsonObject all = new JsonObject();
        all.addProperty(
                "nodeId",
                session.send("DOM.getDocument", depth)
                        .getAsJsonObject("root")
                        .get("nodeId")
                        .getAsInt());
        all.addProperty("selector", "body, body *");
        List<Integer> nodes = new ArrayList<>();
        for (JsonElement one : session.send("DOM.querySelectorAll", all).getAsJsonArray("nodeIds"))
            nodes.add(one.getAsInt());
        return nodes;
    }

    private static void force(CDPSession session, List<Integer> nodes, List<String> states) {
        JsonArray forced = new JsonArray();
        states.forEach(forced::add);
        for (int node : nodes) {
            JsonObject one = new JsonObject();
            one.addProperty("nodeId", node);
            one.add("forcedPseudoClasses", forced);
            session.send("CSS.forcePseudoState", one);
        }
    }
}
