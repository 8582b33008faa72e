package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.page.RoleSpots;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenType;

/**
 * Where a role is taken, against Chromium: a role gets a value that nothing else has, and then the elements that compute to it
 * by a rule of their own are those that are said to take it.
 */
class CoverageOfTheBrowserTest {
    private static final String SENTINEL = "rgb(1, 254, 3)";
    private static final String SIZE = "77px";
    /** What eases to its value is not there yet when it is asked. */
    private static final String STILL = "* { transition: none !important; }";

    /** Elements whose color or ground is the sentinel without their parent's being it, and all that show it anywhere. */
    private static final String FIND =
            """
            ([name, surface, sentinel, other, properties]) => {
              const root = document.documentElement;
              const of = (e) => e === root ? '' : e.dataset.surface;
              for (const e of [root, ...document.querySelectorAll('[data-surface]')])
                e.style.setProperty(name, of(e) === surface ? sentinel : other);
              const all = [document.body, ...document.body.querySelectorAll('*')];
              const style = all.map((e) => getComputedStyle(e));
              const is = (i, property) => i >= 0 && style[i][property] === sentinel;
              const own = [], any = [];
              all.forEach((e, i) => {
                const parent = all.indexOf(e.parentElement);
                if (properties.some((p) => is(i, p) && (p === 'backgroundColor' || !is(parent, p)))) own.push(i);
                if ([...properties, 'borderTopColor', 'borderBottomColor', 'borderLeftColor',
                  'borderRightColor', 'textDecorationColor', 'accentColor']
                    .some((p) => is(i, p)) || style[i].boxShadow.includes(sentinel)) any.push(i);
              });
              for (const e of [root, ...document.querySelectorAll('[data-surface]')]) e.style.removeProperty(name);
              // Boxes and rounds that the system draws keep its border, whatever a rule says.
              all.forEach((e, i) => { if (e.matches('[type=radio], [type=checkbox]')) any.push(i); });
              return [own, any];
            }""";

    @Test
    void whatIsSaidToTakeARoleComputesToIt() {
        ThemeDocument theme = Demo.theme();
        String css = Stylesheet.compile(theme, Usage.LIVE, List.of());
        int checked = 0;
        try (Page page = Browsers.context(ColorScheme.LIGHT).newPage()) {
            for (Path file : Demo.pages(Demo.SITES)) {
                String html = Demo.read(file);
                page.setContent(html.replace("<head>", "<head><style>" + css + STILL + "</style>"));
                Contract.standard()
                        .completed(Map.of())
                        .forEach((choice, value) -> page.evaluate(
                                "([name, value]) => document.documentElement.setAttribute(name, value)",
                                List.of(Stylesheet.choiceAttribute(choice), value)));
                for (Map.Entry<String, RoleSpots.Found> entry :
                        RoleSpots.of(html).entrySet()) {
                    Role role = Contract.standard().filledBy(entry.getKey()).orElse(null);
                    if (role == null) continue;
                    boolean color = role.type() == TokenType.COLOR;
                    // Other text styles are taken in part: of a label the weight alone.
                    if (!color && !entry.getKey().matches("type\\.h[1-6]")) continue;
                    String surface = role.ofSurfaces() ? entry.getKey().split("\\.")[1] : "";
                    @SuppressWarnings("unchecked")
                    List<List<Integer>> found = (List<List<Integer>>) page.evaluate(
                            FIND,
                            List.of(
                                    CustomProperties.nameOf(role.general()) + (color ? "" : "-size"),
                                    surface.equals("page") ? "" : surface,
                                    color ? SENTINEL : SIZE,
                                    color ? "rgb(9, 9, 9)" : "11px",
                                    color ? List.of("color", "backgroundColor") : List.of("fontSize")));
                    Set<Integer> hiding = Set.copyOf(entry.getValue().hiding());
                    Set<Integer> said = entry.getValue().taking().stream()
                            .filter(at -> !hiding.contains(at))
                            .collect(Collectors.toCollection(TreeSet::new));
                    String where = entry.getKey() + " on " + Loom.HOME.relativize(file);
                    assertThat(entry.getValue().taking())
                            .as("all that take it are named: " + where)
                            .containsAll(found.get(0));
                    // Of a text style a rule can take one member and not the size.
                    if (color)
                        assertThat(found.get(1))
                                .as("what is named shows it: " + where)
                                .containsAll(said);
                    checked += said.size();
                }
            }
        }
        assertThat(checked).isGreaterThan(1_000);
    }
}
