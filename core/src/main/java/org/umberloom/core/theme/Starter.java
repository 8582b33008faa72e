package org.umberloom.core.theme;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.ColorSpace;
import org.umberloom.core.color.Ramp;
import org.umberloom.core.color.RampShape;
import org.umberloom.core.space.SpaceScale;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.CubicBezierValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.DurationValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.ShadowValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TransitionValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.type.TypeScale;

/**
 * Where a new theme begins. From one seed color it builds a whole theme that is readable in light and dark: two hues
 * (the brand's and a neutral tinted by it) and three for states, five surfaces, a type scale, spacing and widths.
 *
 * @param seed     color of the hue {@code brand}
 * @param headings family of headings and menu
 * @param text     family of running text
 * @param ratio    type ratio at the wide end, 1 to 2
 * @param base     spacing base in px
 * @param radius   corner radius in px
 */
public record Starter(
        String id,
        String name,
        String description,
        Color seed,
        List<String> headings,
        List<String> text,
        double ratio,
        double base,
        double radius) {
    public static final String BASE = "base";
    public static final String ROLES = "roles";
    public static final String SCHEME = "scheme";
    /** Chroma of a neutral that keeps a hint of the brand. Common practice. */
    private static final double NEUTRAL_CHROMA = 0.012;

    private static final ColorValue WHITE = new ColorValue(Color.rgb(255, 255, 255));
    /** Seeds of the states' hues: green, amber and red that stay apart without one kind of cone. */
    private static final Map<String, Color> STATE_SEEDS = Map.of(
            "good",
            Color.oklch(0.55, 0.11, 165),
            "warning",
            Color.oklch(0.7, 0.14, 75),
            "bad",
            Color.oklch(0.55, 0.19, 25));

    private static final String LIGHT_REST =
            "field-ground=ink.2 field-text=ink.100 field-border=ink.60 selection=brand.20 "
                    + "on-selection=ink.110 good=good.70 on-good=ink.2 warning=warning.70 on-warning=ink.2 bad=bad.90 on-bad=ink.2";
    private static final String DARK_STATES =
            "good=good.30 on-good=ink.110 warning=warning.20 on-warning=ink.110 bad=bad.40 " + "on-bad=ink.110";
    private static final double NARROW_BASE = 16;
    private static final double WIDE_BASE = 18;

    /** The starters that are offered, each named after a weave. */
    public static final List<Starter> ALL = List.of(
            new Starter(
                    "plain",
                    "Plain weave",
                    "One sans for all, even steps, nothing in the way of the text.",
                    Color.rgb(0x2f, 0x5d, 0x8a),
                    List.of("Figtree", "sans-serif"),
                    List.of("Figtree", "sans-serif"),
                    1.2,
                    16,
                    4),
            new Starter(
                    "herringbone",
                    "Herringbone",
                    "A bookish serif with a wide scale, for long reading.",
                    Color.rgb(0x7a, 0x3b, 0x2e),
                    List.of("Newsreader", "serif"),
                    List.of("Literata", "serif"),
                    1.25,
                    18,
                    2),
            new Starter(
                    "basket",
                    "Basket",
                    "Sturdy headings over an open text face, generous space.",
                    Color.rgb(0x3f, 0x6b, 0x3a),
                    List.of("Bitter", "serif"),
                    List.of("Work Sans", "sans-serif"),
                    1.28,
                    18,
                    8),
            new Starter(
                    "satin",
                    "Satin",
                    "High contrast of sizes, soft corners, a display face on top.",
                    Color.rgb(0x6a, 0x3f, 0x86),
                    List.of("Fraunces", "serif"),
                    List.of("Figtree", "sans-serif"),
                    1.333,
                    16,
                    10));

    public Starter withSeed(Color newSeed) {
        return new Starter(id, name, description, newSeed, headings, text, ratio, base, radius);
    }

    /** The whole theme. */
    public ThemeDocument theme(String themeName) {
        Map<String, ThemeDocument.TokenSet> sets = new LinkedHashMap<>();
        sets.put(BASE, new ThemeDocument.TokenSet("Values: hues, families, scales, widths", baseTokens()));
        sets.put(ROLES, new ThemeDocument.TokenSet("What each value is for on a page", roleTokens()));
        Map<String, Group> schemes = new LinkedHashMap<>();
        schemes.put(Meaning.LIGHT, Group.EMPTY);
        schemes.put(Meaning.DARK, darkTokens());
        return new ThemeDocument(
                themeName,
                description,
                sets,
                Map.of(SCHEME, new Modifier("Light or dark", schemes, Meaning.LIGHT)),
                List.of(
                        ThemeDocument.OrderEntry.set(BASE),
                        ThemeDocument.OrderEntry.set(ROLES),
                        ThemeDocument.OrderEntry.modifier(SCHEME)),
                Map.of());
    }

    /** A hue's group: its seed, and the ramp grown from it. */
    public static Group hue(Color seed) {
        Group group = new Group(
                Map.of(Recipe.HueRamp.SEED, Token.untyped(new ColorValue(seed))), Meta.typed(TokenType.COLOR));
        return Recipes.with(group, new Recipe.HueRamp(Ramp.DEFAULT_STOPS, RampShape.DEFAULT));
    }

    private Group baseTokens() {
        Color oklch = seed.to(ColorSpace.OKLCH);
        Color neutral =
                Color.oklch(0.55, Math.min(NEUTRAL_CHROMA, oklch.c2()), Double.isNaN(oklch.c3()) ? 0 : oklch.c3());
        Group group = Group.EMPTY
                .with(TokenPath.of("color.brand"), hue(seed))
                .with(TokenPath.of("color.ink"), hue(neutral.toSrgb8()));
        for (String state : Surfaces.STATES)
            group = group.with(
                    TokenPath.of("color." + state), hue(STATE_SEEDS.get(state).toSrgb8()));
        group = typed(group, "family", TokenType.FONT_FAMILY);
        group = put(group, "family.heading", new FontFamilyValue(headings));
        group = put(group, "family.text", new FontFamilyValue(text));
        group = put(group, "family.code", new FontFamilyValue(List.of("JetBrains Mono", "monospace")));
        group = typed(group, "weight", TokenType.FONT_WEIGHT);
        group = put(group, "weight.text", new FontWeightValue(400));
        group = put(group, "weight.label", new FontWeightValue(600));
        group = put(group, "weight.heading", new FontWeightValue(700));
        TypeScale scale = new TypeScale(
                new TypeScale.End(NARROW_BASE, 1 + (ratio - 1) * 0.7),
                new TypeScale.End(WIDE_BASE, ratio),
                360,
                1280,
                -2,
                6);
        group = group.with(TokenPath.of("size"), Recipes.with(Group.EMPTY, new Recipe.TypeSteps(scale)));
        group = group.with(
                TokenPath.of("space"),
                Recipes.with(Group.EMPTY, new Recipe.SpaceSteps(new SpaceScale(base, SpaceScale.DEFAULT_FACTORS))));
        group = typed(group, "width", TokenType.DIMENSION);
        group = put(group, "width.text", DimensionValue.rem(40));
        group = put(group, "width.content", DimensionValue.rem(50));
        group = put(group, "width.wide", DimensionValue.rem(72));
        group = put(group, "width.gutter", new FluidValue(DimensionValue.rem(1.125), DimensionValue.rem(3), 360, 1280));
        group = typed(group, "shape", TokenType.DIMENSION);
        group = put(group, "shape.radius", DimensionValue.px(radius));
        group = put(group, "shape.line", DimensionValue.px(1));
        return motion(shadows(group));
    }

    private static Group shadows(Group group) {
        Color shade = Color.rgb(0, 0, 0).withAlpha(0.12);
        return put(
                typed(group, "shadow", TokenType.SHADOW),
                "shadow.card",
                new ShadowValue(
                        new ColorValue(shade),
                        DimensionValue.px(0),
                        DimensionValue.px(1),
                        DimensionValue.px(3),
                        DimensionValue.px(0),
                        false));
    }

    /** Common practice: what follows a pointer answers within about a sixth of a second. */
    private static Group motion(Group group) {
        Group quick = group.with(TokenPath.of("motion.quick"), Token.of(DurationValue.ms(160)))
                .with(TokenPath.of("motion.still"), Token.of(DurationValue.ms(0)))
                .with(TokenPath.of("motion.ease"), Token.of(new CubicBezierValue(0.2, 0, 0.2, 1)));
        return quick.with(
                TokenPath.of("motion.hover"),
                Token.of(new TransitionValue(
                        Alias.to("motion.quick"), Alias.to("motion.still"), Alias.to("motion.ease"))));
    }

    private static Group roleTokens() {
        Group group = typed(Group.EMPTY, "surface", TokenType.COLOR);
        group = surface(
                group,
                "page",
                "ground=ink.2 text=ink.100 heading=ink.110 muted=ink.70 link=brand.70 "
                        + "link-hover=brand.90 link-visited=brand.80 accent=brand.70 on-accent=ink.2 accent-hover=brand.80 border=ink.20 "
                        + "focus=brand.60 " + LIGHT_REST);
        group = surface(
                group,
                "raised",
                "ground=white text=ink.100 heading=ink.110 muted=ink.70 link=brand.70 "
                        + "link-hover=brand.90 link-visited=brand.80 accent=brand.70 on-accent=ink.2 accent-hover=brand.80 border=ink.20 "
                        + "focus=brand.60 " + LIGHT_REST);
        group = surface(
                group,
                "tint",
                "ground=brand.5 text=ink.100 heading=ink.110 muted=ink.80 link=brand.80 "
                        + "link-hover=brand.100 link-visited=brand.90 accent=brand.70 on-accent=ink.2 "
                        + "accent-hover=brand.80 border=brand.20 "
                        + "focus=brand.60 " + LIGHT_REST);
        group = surface(
                group,
                "accent",
                "ground=brand.80 text=ink.2 heading=ink.2 muted=ink.10 link=brand.5 "
                        + "link-hover=ink.2 link-visited=brand.10 accent=ink.2 on-accent=brand.100 accent-hover=brand.10 border=brand.60 "
                        + "focus=ink.2 field-ground=brand.100 field-text=ink.5 field-border=brand.40 selection=brand.10 "
                        + "on-selection=ink.110 good=good.20 on-good=ink.110 warning=warning.10 on-warning=ink.110 "
                        + "bad=bad.2 on-bad=ink.110");
        group = surface(
                group,
                "deep",
                "ground=brand.100 text=ink.10 heading=ink.2 muted=ink.30 link=brand.20 "
                        + "link-hover=brand.5 link-visited=brand.30 accent=brand.30 on-accent=ink.110 "
                        + "accent-hover=brand.20 border=brand.80 "
                        + "focus=brand.40 field-ground=brand.110 field-text=ink.5 field-border=brand.50 selection=brand.30 "
                        + "on-selection=ink.110 " + DARK_STATES);
        group = typed(group, "type", TokenType.TYPOGRAPHY);
        group = style(group, "body", "text", "0", "text", 1.6, 0);
        group = style(group, "lead", "text", "1", "text", 1.5, 0);
        group = style(group, "small", "text", "minus-1", "text", 1.5, 0.1);
        group = style(group, "h1", "heading", "5", "heading", 1.1, -0.5);
        group = style(group, "h2", "heading", "4", "heading", 1.15, -0.25);
        group = style(group, "h3", "heading", "3", "heading", 1.2, 0);
        group = style(group, "h4", "heading", "2", "heading", 1.3, 0);
        group = style(group, "h5", "heading", "1", "heading", 1.35, 0);
        group = style(group, "h6", "heading", "0", "heading", 1.4, 0);
        group = style(group, "label", "text", "minus-1", "label", 1.3, 0.1);
        group = style(group, "menu", "heading", "minus-1", "label", 1.3, 0);
        group = style(group, "wordmark", "heading", "1", "heading", 1.1, 0);
        group = style(group, "quote", "heading", "2", "text", 1.4, 0);
        group = style(group, "code", "code", "minus-1", "text", 1.5, 0);
        group = typed(group, "gap", TokenType.DIMENSION);
        group = put(group, "gap.inset", Alias.to("space.2"));
        group = put(group, "gap.flow", Alias.to("space.5"));
        group = put(group, "gap.block", Alias.to("space.7"));
        return put(group, "gap.section", Alias.to("space.8"));
    }

    private static Group darkTokens() {
        Group group = typed(Group.EMPTY, "surface", TokenType.COLOR);
        group = surface(
                group,
                "page",
                "ground=ink.110 text=ink.10 heading=ink.5 muted=ink.40 link=brand.40 "
                        + "link-hover=brand.20 link-visited=brand.30 accent=brand.40 on-accent=ink.110 accent-hover=brand.30 border=ink.90 "
                        + "focus=brand.40 field-ground=ink.115 field-text=ink.10 field-border=ink.60 "
                        + "selection=brand.80 on-selection=ink.10 "
                        + DARK_STATES);
        group = surface(
                group,
                "raised",
                "ground=ink.100 text=ink.10 heading=ink.2 muted=ink.30 link=brand.30 "
                        + "link-hover=brand.10 link-visited=brand.20 accent=brand.30 on-accent=ink.110 accent-hover=brand.20 border=ink.80 "
                        + "focus=brand.40 field-ground=ink.110 field-text=ink.10 field-border=ink.50 "
                        + "selection=brand.80 on-selection=ink.10 "
                        + DARK_STATES);
        group = surface(
                group,
                "tint",
                "ground=ink.100 text=ink.10 heading=ink.2 muted=ink.30 link=brand.30 "
                        + "link-hover=brand.10 link-visited=brand.20 accent=brand.30 on-accent=ink.110 accent-hover=brand.20 border=ink.80 "
                        + "focus=brand.40 field-ground=ink.110 field-text=ink.10 field-border=ink.50 "
                        + "selection=brand.80 on-selection=ink.10 "
                        + DARK_STATES);
        group = surface(group, "accent", "ground=brand.90 border=brand.70 field-ground=brand.110");
        return surface(group, "deep", "ground=brand.110 border=brand.90 field-ground=brand.115 field-border=brand.60");
    }

    private static Group surface(Group group, String surface, String roles) {
        Group changed = group;
        for (String role : roles.split(" ")) {
            String[] parts = role.split("=");
            changed = put(
                    changed,
                    Surfaces.path(surface, parts[0]),
                    parts[1].equals("white") ? WHITE : Alias.to("color." + parts[1]));
        }
        return changed;
    }

    private static Group style(
            Group group, String role, String family, String size, String weight, double line, double spacing) {
        return put(
                group,
                "type." + role,
                new TypographyValue(
                        Alias.to("family." + family),
                        Alias.to("size." + size),
                        Alias.to("weight." + weight),
                        DimensionValue.px(spacing),
                        new NumberValue(line)));
    }

    private static Group typed(Group root, String group, TokenType type) {
        return root.with(TokenPath.of(group), new Group(Map.of(), Meta.typed(type)));
    }

    private static Group put(Group root, String path, TokenValue value) {
        return root.with(TokenPath.of(path), Token.untyped(value));
    }
}
