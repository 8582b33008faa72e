package org.umberloom.core.format;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.RampShape;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.SharedPiece;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;

/** One edit of every kind that a log can hold. */
final class EditsOfEveryKind {
    private static final Place BASE = Place.set("base");
    private static final Place DARK = Place.context("scheme", "dark");
    private static final TokenPath PATH = TokenPath.of("color.moss");
    private static final ColorValue RED = new ColorValue(Color.rgb(200, 40, 30));
    private static final Group MIXED = new Group(
                    new LinkedHashMap<>(Map.of("n", Token.untyped(new NumberValue(2)))), Meta.NONE.described("d"))
            .with(TokenPath.of("deep.c"), Token.untyped(RED));

    static final List<Edit> ALL = List.of(
            new Edit.SetValue(BASE, PATH, RED),
            new Edit.SetValue(Place.context("a/b", "c"), PATH, new Alias(TokenPath.of("color.ink.60"))),
            new Edit.SetRecipe(
                    BASE,
                    PATH,
                    new Recipe.HueRamp(
                            List.of(20.0, 60.0),
                            new RampShape(1, 2, 0.5, 0.25),
                            Optional.of(new Recipe.Tint(TokenPath.of("color.brand"), 40, 0.02)))),
            new Edit.RemoveRecipe(BASE, PATH),
            new Edit.Attach(BASE, PATH),
            new Edit.Detach(DARK, PATH),
            new Edit.Put(BASE, PATH, Token.of(DimensionValue.px(3)), 2),
            new Edit.Put(BASE, PATH, Token.untyped(DimensionValue.px(3)), -1),
            new Edit.Put(BASE, PATH, MIXED, 0),
            new Edit.PutAll(DARK, Group.EMPTY.with(PATH, Token.of(RED))),
            new Edit.Remove(BASE, PATH),
            new Edit.SetMeta(
                    BASE, PATH, Meta.typed(TokenType.COLOR).described("green").withDeprecated(Optional.of("no more"))),
            new Edit.Move(PATH, TokenPath.of("color.lichen")),
            new Edit.SetName("Other"),
            new Edit.SetDescription("What it is"),
            new Edit.SetPicture(
                    "sea.png", Optional.of(new Picture("sea.png", "ab".repeat(32), "image/png", "CC0", 12))),
            new Edit.SetPicture("sea.png", Optional.empty()),
            new Edit.Batch(
                    "two",
                    List.of(new Edit.Remove(BASE, PATH), new Edit.Batch("inner", List.of(new Edit.SetName("N"))))),
            new Structure.AddSet(
                    "more",
                    new ThemeDocument.TokenSet(
                            "d", Group.EMPTY.with(PATH, Token.of(RED)), Map.of("com.example", List.of(1.0, "x"))),
                    1,
                    -1),
            new Structure.RemoveSet("more"),
            new Structure.AddModifier(
                    "air",
                    new Modifier(
                            "how dense",
                            new LinkedHashMap<>(Map.of("roomy", Group.EMPTY.with(PATH, Token.of(RED)))),
                            "roomy",
                            Map.of("org.umberloom", Map.of("meaning", Map.of("kind", "density")))),
                    0,
                    1),
            new Structure.RemoveModifier("air"),
            new Structure.AddContext("air", "tight", Group.EMPTY.with(PATH, Token.of(RED)), 1),
            new Structure.RemoveContext("air", "tight"),
            new Structure.SetDefault("air", "tight"),
            new Structure.Reorder(
                    List.of(ThemeDocument.OrderEntry.set("base"), ThemeDocument.OrderEntry.modifier("scheme"))),
            new Structure.Arrange("contexts", "air", List.of("tight", "roomy")),
            new Structure.RenamePlace(DARK, "night"),
            new Structure.RenameModifier("air", "density"),
            new Structure.Describe("modifier", "air", "how dense"),
            new Structure.SetMeaning("mode", new Meaning(Meaning.Kind.SCHEME, Map.of("light", "day", "dark", "night"))),
            new Structure.SetExtensions("mode", Map.of("com.example", Map.of("a", true))),
            new Edit.SetPiece(
                    "tide",
                    Optional.of(new SharedPiece("Tide", true, List.of("landing"), "<p data-piece=\"tide\">Low</p>"))),
            new Edit.SetPiece("tide", Optional.empty()),
            new Edit.SetStyle("h1 { rotate: 1deg; }"));

    /** How many of the last came after edits had one language. */
    static final int NEWER = 3;

    private EditsOfEveryKind() {}
}
