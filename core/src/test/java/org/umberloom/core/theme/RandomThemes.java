package org.umberloom.core.theme;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.umberloom.core.color.Color;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.BorderValue;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.CubicBezierValue;
import org.umberloom.core.token.DerivedValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.DurationValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.GradientValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.Operation;
import org.umberloom.core.token.PropertyReference;
import org.umberloom.core.token.ShadowListValue;
import org.umberloom.core.token.ShadowValue;
import org.umberloom.core.token.StrokeStyleValue;
import org.umberloom.core.token.TemplateValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TransitionValue;

/** Themes with several looks, schemes and densities, and random edits of every kind; faults included on purpose. */
public final class RandomThemes {
    private static final List<String> NAMES = List.of("one", "two", "three", "four", "five", "six");
    private static final List<String> GROUPS = List.of("color", "role", "size", "misc.deep");

    private static final List<Scope> SCOPES = List.of(Scope.kind("article"), Scope.kind("long form/2, “=@~”"));

    private final Random random;

    public RandomThemes(long seed) {
        random = new Random(seed);
    }

    /** A whole starter with two more modifiers, every type of token, derivations and an extended group. */
    public ThemeDocument theme() {
        ThemeDocument theme = Samples.starter();
        ThemeDocument rich = new Structure.AddModifier(
                        "look", new Modifier("Brand", contexts("passage", "freight"), "passage"), -1, 2)
                .applyTo(theme)
                .theme();
        rich = new Structure.AddModifier("density", new Modifier("", contexts("roomy", "compact"), "roomy"), 0, 3)
                .applyTo(rich)
                .theme();
        Group more = Group.EMPTY;
        for (int i = 0; i < 30; i++)
            more = more.with(TokenPath.of(pick(GROUPS) + "." + pick(NAMES)), Token.of(value()));
        more = more.with(
                TokenPath.of("taken"),
                new Group(Map.of(), Meta.NONE.withExtended(java.util.Optional.of(TokenPath.of("role")))));
        return new Structure.AddSet(
                        "more", new ThemeDocument.TokenSet("", more, Map.of("com.example", List.of(1.0, "x"))), 1, 1)
                .applyTo(rich)
                .theme();
    }

    private static Map<String, Group> contexts(String... names) {
        Map<String, Group> contexts = new LinkedHashMap<>();
        for (String name : names) contexts.put(name, Group.EMPTY);
        return contexts;
    }

    public Combination combination(ThemeDocument theme) {
        Map<String, String> chosen = new LinkedHashMap<>();
        theme.modifiers()
                .forEach((name, modifier) ->
                        chosen.put(name, pick(List.copyOf(modifier.contexts().keySet()))));
        Combination combination = new Combination(chosen);
        return random.nextInt(3) == 0 ? combination.at(pick(SCOPES)) : combination;
    }

    /** A place that exists, or one at a scope, where the first value makes it. */
    private Place place(ThemeDocument theme) {
        if (random.nextInt(6) != 0) return pick(theme.places());
        String modifier = pick(List.copyOf(theme.modifiers().keySet()));
        String context = pick(List.copyOf(theme.modifier(modifier).contexts().keySet()));
        return random.nextBoolean() ? Place.scope(pick(SCOPES)) : Place.scope(pick(SCOPES), modifier, context);
    }

    /** An edit of any kind; it may be refused. */
    public Edit edit(ThemeDocument theme) {
        Place place = place(theme);
        List<TokenPath> here = new ArrayList<>();
        theme.at(place).forEachToken((path, token, type) -> here.add(path));
        TokenPath known = here.isEmpty() ? path() : pick(here);
        TokenPath group = known.parent().orElse(known);
        return switch (random.nextInt(20)) {
            case 0, 1, 2, 3, 4 -> new Edit.SetValue(place, known, value());
            case 5, 6, 7 -> new Edit.SetValue(place, path(), value());
            case 8 -> new Edit.Remove(place, random.nextInt(4) == 0 ? group : known);
            case 9 ->
                new Edit.Move(
                        random.nextInt(3) == 0 ? group : known,
                        TokenPath.of(pick(GROUPS) + ".moved" + random.nextInt(40)));
            case 10 ->
                new Edit.SetMeta(
                        place,
                        random.nextBoolean() ? known : group,
                        Meta.NONE
                                .described("text " + random.nextInt(9))
                                .withDeprecated(
                                        random.nextBoolean()
                                                ? java.util.Optional.of(true)
                                                : java.util.Optional.empty()));
            case 11 -> new Edit.Attach(place, known);
            case 12 -> new Edit.Detach(place, known);
            case 13 -> new Edit.RemoveRecipe(place, group);
            case 14 ->
                new Structure.AddContext(
                        pick(List.copyOf(theme.modifiers().keySet())),
                        "c" + random.nextInt(5),
                        Group.EMPTY.with(path(), Token.of(value())),
                        random.nextInt(3) - 1);
            case 15 -> structure(theme, place);
            case 16 ->
                new Structure.AddSet(
                        "s" + random.nextInt(4),
                        new ThemeDocument.TokenSet("d", Group.EMPTY.with(path(), Token.of(value()))),
                        random.nextInt(3) - 1,
                        random.nextInt(4) - 1);
            case 17 ->
                new Edit.Put(
                        place,
                        known,
                        new Group(Map.of("a", Token.of(value()), "b", Token.untyped(value())), Meta.NONE),
                        random.nextInt(3) - 1);
            case 18 ->
                new Edit.Batch(
                        "several",
                        List.of(
                                new Edit.SetValue(place, path(), value()),
                                new Edit.SetName("N" + random.nextInt(9)),
                                new Edit.SetDescription("D" + random.nextInt(9))));
            default -> Bulk.shift(theme, place, group, Operation.ADD, List.of("1px"));
        };
    }

    private Edit structure(ThemeDocument theme, Place place) {
        List<ThemeDocument.OrderEntry> order = new ArrayList<>(theme.order());
        java.util.Collections.shuffle(order, random);
        String modifier = pick(List.copyOf(theme.modifiers().keySet()));
        List<String> contexts =
                List.copyOf(theme.modifiers().get(modifier).contexts().keySet());
        return switch (random.nextInt(8)) {
            case 0 -> new Structure.Reorder(order);
            case 1 -> new Structure.SetDefault(modifier, pick(contexts));
            case 2 -> new Structure.RemoveContext(modifier, pick(contexts));
            case 3 -> new Structure.RenamePlace(place, "r" + random.nextInt(6));
            case 4 -> new Structure.RenameModifier(modifier, "m" + random.nextInt(6));
            case 5 -> new Structure.RemoveSet(pick(List.copyOf(theme.sets().keySet())));
            case 6 -> new Structure.Describe("modifier", modifier, "text");
            default ->
                new Structure.Arrange(
                        "sets", "", reversed(List.copyOf(theme.sets().keySet())));
        };
    }

    private static List<String> reversed(List<String> names) {
        List<String> reversed = new ArrayList<>(names);
        java.util.Collections.reverse(reversed);
        return reversed;
    }

    private TokenPath path() {
        return TokenPath.of(pick(GROUPS) + "." + pick(NAMES) + (random.nextInt(5) == 0 ? ".x" : ""));
    }

    private Alias alias() {
        return new Alias(
                random.nextInt(6) == 0 ? TokenPath.of("color.brand." + pick(List.of("20", "60", "seed"))) : path());
    }

    TokenValue value() {
        ColorValue color = new ColorValue(Color.rgb(random.nextInt(256), random.nextInt(256), random.nextInt(256)));
        DimensionValue length = random.nextBoolean()
                ? DimensionValue.px(random.nextInt(40))
                : DimensionValue.rem(random.nextInt(40) / 8.0);
        return switch (random.nextInt(16)) {
            case 0, 1, 2, 3 -> alias();
            case 4, 5 -> color;
            case 6 -> length;
            case 7 -> new FluidValue(DimensionValue.px(10), DimensionValue.px(20 + random.nextInt(9)), 300, 1200);
            case 8 -> new BorderValue(alias(), length, StrokeStyleValue.of(pick(StrokeStyleValue.KEYWORDS)));
            case 9 ->
                new ShadowListValue(List.of(
                        new ShadowValue(alias(), length, length, length, length, true),
                        new ShadowValue(color, length, length, length, length, false)));
            case 10 ->
                new GradientValue(List.of(
                        new GradientValue.Stop(color, new NumberValue(0)),
                        new GradientValue.Stop(alias(), new NumberValue(1))));
            case 11 ->
                new TransitionValue(
                        DurationValue.ms(random.nextInt(900)),
                        DurationValue.ms(0),
                        new CubicBezierValue(random.nextDouble(), 0, 1, random.nextDouble()));
            case 12 -> new PropertyReference(path(), List.of("components", "0"));
            case 13 ->
                new TemplateValue(
                        TokenType.COLOR,
                        Map.of(
                                "colorSpace",
                                "srgb",
                                "components",
                                List.of(
                                        Map.of(
                                                "$ref",
                                                new PropertyReference(path(), List.of("components", "1")).pointer()),
                                        0.25,
                                        0.5)));
            case 14 ->
                new DerivedValue(Operation.LIGHTEN.withTexts(alias(), List.of(String.valueOf(random.nextInt(30)))));
            default -> new DerivedValue(Operation.ON_COLOR.withTexts(alias(), List.of("{color.brand}", "4.5")));
        };
    }

    private <T> T pick(List<T> items) {
        return items.get(random.nextInt(items.size()));
    }
}
