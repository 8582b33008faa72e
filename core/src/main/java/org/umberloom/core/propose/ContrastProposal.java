package org.umberloom.core.propose;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.check.Contrasts;
import org.umberloom.core.check.Pair;
import org.umberloom.core.color.Contrast;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.DerivedValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Operation;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.ValueText;

/**
 * More contrast, for readers who ask their system for it: a modifier whose context {@code more} holds every declared pair
 * as a derivation that reaches the stricter ratio on whatever ground it meets, so that it serves light and dark alike.
 * Source: WCAG 2.2, 1.4.6 (7:1 for text); Media Queries 5, prefers-contrast.
 */
public final class ContrastProposal {
    private ContrastProposal() {}

    /** @throws IllegalArgumentException when no role refers to a shade of a hue */
    public static Edit of(ThemeDocument theme) {
        Resolution resolution = Resolution.of(theme, theme.defaults());
        Group more = Group.EMPTY;
        int count = 0;
        for (String surface : Surfaces.names(resolution))
            for (Pair pair : Contrasts.declared(Choices.of(theme, theme.defaults()))) {
                Optional<Token> token = solved(resolution, surface, pair);
                if (token.isEmpty()) continue;
                more = more.with(TokenPath.of(Surfaces.path(surface, pair.role())), token.get());
                count++;
            }
        if (count == 0)
            throw new IllegalArgumentException("No role refers to a shade of a hue, so there is nothing to solve.");
        List<Edit> edits = new ArrayList<>();
        Optional<Meaning.Contrast> contrast = Meaning.contrast(theme);
        if (contrast.isPresent())
            edits.add(new Edit.PutAll(
                    Place.context(contrast.get().modifier(), contrast.get().more()), more));
        else {
            Map<String, Group> contexts = new LinkedHashMap<>();
            contexts.put("standard", Group.EMPTY);
            contexts.put(Meaning.MORE, more);
            edits.add(new Structure.AddModifier(
                    Meaning.Kind.CONTRAST.id(),
                    new Modifier("For readers who ask for more contrast", contexts, "standard"),
                    -1,
                    theme.order().size()));
        }
        return new Edit.Batch("propose more contrast for " + count + " pairs", edits);
    }

    /** On-accent and its like are solved against the ground that stands in this context, too. */
    private static Optional<Token> solved(Resolution resolution, String surface, Pair pair) {
        if (!pair.ground().equals("ground") && !pair.ground().equals("field-ground")) return Optional.empty();
        return resolution
                .find(Surfaces.path(surface, pair.role()))
                .map(role -> role.written().value())
                .filter(value ->
                        value instanceof Alias alias && alias.target().parent().isPresent())
                .map(value -> {
                    double needed = pair.needed() >= Contrast.TEXT ? Contrast.STRICT : Contrast.TEXT;
                    return new Token(
                                    new DerivedValue(Operation.REACH.withTexts(
                                            value,
                                            List.of(
                                                    "{"
                                                            + ((Alias) value)
                                                                    .target()
                                                                    .parent()
                                                                    .orElseThrow() + "}",
                                                    "{" + Surfaces.path(surface, pair.ground()) + "}",
                                                    ValueText.number(needed, 2)))),
                                    Meta.typed(TokenType.COLOR))
                            .withProposed(true);
                });
    }
}
