package org.umberloom.app.theme;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Optional;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.color.RampShape;
import org.umberloom.core.space.SpaceScale;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;
import org.umberloom.core.type.TypeScale;

/**
 * An edit as the front end asks for it.
 *
 * @param base   the revision it was made on
 * @param op     {@code value} (text), {@code member} (member, text), {@code ramp}, {@code typeScale},
 *               {@code spaceScale}, {@code attach}, {@code hue} (path, text: a new hue from a seed), {@code remove}
 *               or {@code name} (text)
 * @param place  where it is written, such as {@code set:base}
 * @param path   the token or group
 */
record EditRequest(@NotNull Integer base, @NotBlank String op, String place, String path, String member, String text,
                   RampRequest ramp, TypeScaleRequest typeScale, SpaceScaleRequest spaceScale) {

    record RampRequest(List<Double> stops, double hueLight, double hueDark, double chromaLight, double chromaDark) {
    }

    record TypeScaleRequest(double narrowBase, double narrowRatio, double wideBase, double wideRatio,
                            double narrowViewport, double wideViewport, int smallest, int largest) {
    }

    record SpaceScaleRequest(double base, List<Double> factors) {
    }

    /**
     * @param standard the theme resolved with everything at its default
     * @throws IllegalArgumentException with a sentence for people when it does not make sense for this theme
     */
    Edit toEdit(ThemeDocument theme, Resolution standard) {
        if (op.equals("name")) return new Edit.SetName(required(text, "text").trim());
        Place where = Place.parse(required(place, "place"));
        TokenPath at = TokenPath.of(required(path, "path"));
        return switch (op) {
            case "value" -> new Edit.SetValue(where, at, value(standard, at));
            case "member" -> new Edit.SetValue(where, at, withMember(theme, standard, where, at));
            case "ramp" -> new Edit.SetRecipe(where, at, new Recipe.HueRamp(required(ramp, "ramp").stops,
                    new RampShape(ramp.hueLight, ramp.hueDark, ramp.chromaLight, ramp.chromaDark)));
            case "typeScale" -> new Edit.SetRecipe(where, at, new Recipe.TypeSteps(scale(required(typeScale, "typeScale"))));
            case "spaceScale" -> new Edit.SetRecipe(where, at, new Recipe.SpaceSteps(
                    new SpaceScale(required(spaceScale, "spaceScale").base, spaceScale.factors)));
            case "attach" -> new Edit.Attach(where, at);
            case "hue" -> newHue(theme, where, at);
            case "remove" -> new Edit.Remove(where, at);
            default -> throw new IllegalArgumentException("“" + op + "” is not an edit that is known here.");
        };
    }

    private TokenValue value(Resolution standard, TokenPath at) {
        TokenType type = standard.find(at.dotted()).orElseThrow(() ->
                new IllegalArgumentException("There is no token “" + at + "” to set.")).type();
        TokenValue value = ValueText.parse(type, required(text, "text"));
        if (value instanceof Alias alias) checkTarget(standard, alias, type);
        return value;
    }

    private TokenValue withMember(ThemeDocument theme, Resolution standard, Place where, TokenPath at) {
        Optional<Token> token = theme.at(where).token(at);
        if (token.isEmpty() || !(token.get().value() instanceof TypographyValue style))
            throw new IllegalArgumentException("“" + at + "” is not a text style here.");
        TokenType type = TypographyValue.memberType(required(member, "member"));
        TokenValue value = ValueText.parse(type, required(text, "text"));
        if (value instanceof Alias alias) checkTarget(standard, alias, type);
        return style.with(member, value);
    }

    private static void checkTarget(Resolution standard, Alias alias, TokenType type) {
        TokenType actual = standard.find(alias.target().dotted()).orElseThrow(() ->
                new IllegalArgumentException("There is no token “" + alias.target() + "” to refer to.")).type();
        if (actual != type)
            throw new IllegalArgumentException("“" + alias.target() + "” is a " + actual.id() + "; a " + type.id()
                    + " is needed here.");
    }

    private Edit newHue(ThemeDocument theme, Place where, TokenPath at) {
        if (theme.at(where).find(at).isPresent())
            throw new IllegalArgumentException("There is already a hue “" + at.name() + "”. Choose another name.");
        return new Edit.Batch("new hue " + at.name(), List.of(
                new Edit.Put(where, at, Starter.hue(CssColor.parse(required(text, "text"))), -1)));
    }

    private static TypeScale scale(TypeScaleRequest r) {
        return new TypeScale(new TypeScale.End(r.narrowBase, r.narrowRatio), new TypeScale.End(r.wideBase, r.wideRatio),
                r.narrowViewport, r.wideViewport, r.smallest, r.largest);
    }

    private static <T> T required(T value, String field) {
        if (value == null) throw new IllegalArgumentException("The edit lacks its “" + field + "”.");
        return value;
    }
}
