package org.umberloom.core.css;

import static org.assertj.core.api.Assertions.assertThat;

import com.helger.css.decl.CSSLayerRule;
import com.helger.css.decl.CSSMediaRule;
import com.helger.css.decl.CSSStyleRule;
import com.helger.css.decl.CascadingStyleSheet;
import com.helger.css.decl.ICSSTopLevelRule;
import com.helger.css.reader.CSSReader;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.umberloom.core.color.Color;
import org.umberloom.core.theme.HostileThemes;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Samples;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;

/** A name in any place of a document writes exactly the rules that a harmless name writes there, and no other. */
class NamesInCssTest {
    static Stream<String> names() {
        return HostileThemes.NAMES.stream();
    }

    /** A surface, a hue, a family, a modifier and a context of that name; null where a document cannot have it. */
    private static ThemeDocument named(String surface, String family, String modifier, String context) {
        ThemeDocument theme = Samples.starter();
        Place roles = Place.set("roles");
        Group page = theme.at(roles).group(TokenPath.of("surface.page")).orElseThrow();
        TokenPath.checkName(surface);
        theme = theme.with(roles, theme.at(roles).with(TokenPath.of("surface").child(surface), page));
        Place base = Place.set("base");
        theme = theme.with(
                base, theme.at(base).with(TokenPath.of("family.text"), Token.of(new FontFamilyValue(List.of(family)))));
        Map<String, Group> contexts = new LinkedHashMap<>();
        contexts.put("plain", Group.EMPTY);
        contexts.put(
                context,
                Group.EMPTY.with(TokenPath.of("surface.page.text"), Token.of(new ColorValue(Color.rgb(1, 2, 3)))));
        return new Structure.AddModifier(
                        modifier,
                        new Modifier("", contexts, "plain"),
                        -1,
                        theme.order().size())
                .applyTo(theme)
                .theme();
    }

    private static List<String> shape(String css) {
        CascadingStyleSheet sheet = CSSReader.readFromString(css);
        assertThat(sheet).isNotNull();
        List<String> shape = new ArrayList<>();
        rules(sheet.getAllRules(), "", shape);
        return shape;
    }

    private static void rules(Iterable<? extends ICSSTopLevelRule> rules, String around, List<String> shape) {
        for (ICSSTopLevelRule rule : rules) {
            if (rule instanceof CSSLayerRule layer) rules(layer.getAllRules(), around + "layer ", shape);
            else if (rule instanceof CSSMediaRule media) rules(media.getAllRules(), around + "media ", shape);
            else if (rule instanceof CSSStyleRule style) {
                List<String> declared = new ArrayList<>();
                style.getAllDeclarations().forEach(declaration -> declared.add(declaration.getProperty()));
                shape.add(around + style.getSelectorCount() + " " + declared);
            } else shape.add(around + rule.getClass().getSimpleName());
        }
    }

    private static boolean possible(String name) {
        try {
            named(name, name.isBlank() ? "x" : name, name, name);
            return true;
        } catch (IllegalArgumentException refused) {
            return false;
        }
    }

    @ParameterizedTest
    @MethodSource("names")
    void theRulesAreThoseOfAHarmlessName(String name) {
        if (List.of("page", "scheme").contains(name)) return;
        List<String> harmless =
                shape(Stylesheet.compile(named("harmless", "Harmless", "harmless", "other"), Usage.ALL, List.of()));
        String family = name.isBlank() ? "x" : name;
        assertThat(shape(Stylesheet.compile(named("harmless", family, "harmless", "other"), Usage.ALL, List.of())))
                .isEqualTo(harmless);
        if (!possible(name)) return;
        assertThat(shape(Stylesheet.compile(named(name, "Harmless", "harmless", "other"), Usage.ALL, List.of())))
                .isEqualTo(harmless);
        assertThat(shape(Stylesheet.compile(named("harmless", "Harmless", name, "other"), Usage.ALL, List.of())))
                .isEqualTo(harmless);
        assertThat(shape(Stylesheet.compile(named("harmless", "Harmless", "harmless", name), Usage.ALL, List.of())))
                .isEqualTo(harmless);
    }

    @ParameterizedTest
    @MethodSource("names")
    void noTwoModifiersHaveOneAttribute(String name) {
        for (String other : HostileThemes.NAMES)
            if (!other.equals(name)) assertThat(Stylesheet.attribute(other)).isNotEqualTo(Stylesheet.attribute(name));
        assertThat(Stylesheet.attribute(name))
                .matches("data-[a-z0-9_-]*")
                .isNotIn("data-surface", "data-width", "data-part", "data-state");
    }
}
