package org.umberloom.app.shape;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.umberloom.app.looking.Combos;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.css.CustomProperties;
import org.umberloom.core.shape.Corners;
import org.umberloom.core.shape.Light;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.CubicBezierValue;
import org.umberloom.core.token.DurationValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TransitionValue;
import org.umberloom.core.token.ValueText;

/** The Shape instrument, save the lengths, which stand with those of space. */
public record ShapeView(
        List<LightView> lights, List<ShadowView> shadows, List<NestView> nested, List<MotionView> motions) {
    /**
     * A role that is filled by a transition.
     *
     * @param place   where it is written; empty where it is unset
     * @param written as it is written; empty where it is unset
     * @param ms      how long it takes, and how long it waits first
     * @param curve   the two points of its easing curve: x1, y1, x2, y2
     */
    public record MotionView(
            String path, String purpose, String place, String written, double ms, double delayMs, List<Double> curve) {}

    private static final double MS_PER_SECOND = 1000;

    /**
     * A corner around another; px in a wide window.
     *
     * @param outer  path of the role of the outer radius
     * @param inner  path of that of the inner one
     * @param gap    path of what lies between
     * @param fitsPx the outer radius with which the gap is the same all along the corner
     */
    public record NestView(
            String outer, String inner, String gap, double outerPx, double innerPx, double gapPx, double fitsPx) {}

    /** @param height px above the ground @param css of the shadow, as {@code box-shadow} */
    public record HeightView(String path, String name, double height, String css) {}

    /** A light that shadows come from; numbers as in {@link Light}. */
    public record LightView(
            String path,
            String place,
            double angle,
            double reach,
            double softness,
            double strength,
            String color,
            List<HeightView> heights) {}

    /**
     * A role that is filled by a shadow.
     *
     * @param place   where it is written; empty where it is unset
     * @param written as it is written; empty where it is unset
     * @param css     what it comes to, as {@code box-shadow}
     */
    public record ShadowView(String path, String purpose, String place, String written, String css) {}

    public static ShapeView of(Combos combos) {
        Resolution standard = combos.standard();
        // A place that has a light of its own shows in place of a wider one.
        Map<TokenPath, LightView> lights = new LinkedHashMap<>();
        for (Place place : combos.applying())
            combos.theme().at(place).forEachGroup((path, group) -> {
                if (Recipes.of(group).orElse(null) instanceof Recipe.ShadowSteps steps)
                    lights.put(path, light(standard, place, path, steps.light()));
            });
        Worn worn = Worn.of(standard);
        List<ShadowView> shadows = new ArrayList<>();
        for (Role role : Contract.standard().roles().values())
            if (role.type() == TokenType.SHADOW) shadows.add(shadow(role, worn.at(role, Surfaces.PAGE)));
        List<MotionView> motions = new ArrayList<>();
        for (Role role : Contract.standard().roles().values())
            if (role.type() == TokenType.TRANSITION) motions.add(motion(role, worn.at(role, Surfaces.PAGE)));
        return new ShapeView(List.copyOf(lights.values()), shadows, nested(worn), motions);
    }

    private static List<NestView> nested(Worn worn) {
        List<NestView> nested = new ArrayList<>();
        for (Role role : Contract.standard().roles().values())
            role.around().ifPresent(around -> {
                double outer = px(worn, role.path());
                double inner = px(worn, around.inner());
                double gap = px(worn, around.gap());
                nested.add(new NestView(
                        role.path(), around.inner(), around.gap(), outer, inner, gap, Corners.around(inner, gap)));
            });
        return nested;
    }

    private static double px(Worn worn, String path) {
        return FluidValue.wide(worn.find(path).orElseThrow().value());
    }

    private static LightView light(Resolution standard, Place place, TokenPath path, Light light) {
        List<HeightView> heights = new ArrayList<>();
        for (int i = 0; i < light.heights().size(); i++) {
            String name = Integer.toString(i + 1);
            double height = light.heights().get(i);
            standard.find(path.child(name).dotted())
                    .filter(token -> token.type() == TokenType.SHADOW)
                    .ifPresent(token -> heights.add(
                            new HeightView(token.path().dotted(), name, height, CustomProperties.text(token.value()))));
        }
        return new LightView(
                path.dotted(),
                place.toString(),
                light.angle(),
                light.reach(),
                light.softness(),
                light.strength(),
                CssColor.write(light.color()),
                heights);
    }

    private static MotionView motion(Role role, Worn.Standing at) {
        TransitionValue value = (TransitionValue) at.value();
        CubicBezierValue curve = (CubicBezierValue) value.timingFunction();
        return new MotionView(
                role.path(),
                role.purpose(),
                place(at),
                written(at),
                ms(value.duration()),
                ms(value.delay()),
                List.of(curve.x1(), curve.y1(), curve.x2(), curve.y2()));
    }

    private static double ms(TokenValue value) {
        DurationValue duration = (DurationValue) value;
        return duration.unit() == DurationValue.Unit.S ? duration.amount() * MS_PER_SECOND : duration.amount();
    }

    private static ShadowView shadow(Role role, Worn.Standing at) {
        return new ShadowView(role.path(), role.purpose(), place(at), written(at), CustomProperties.text(at.value()));
    }

    private static String place(Worn.Standing at) {
        return at.token().map(token -> token.winner().toString()).orElse("");
    }

    private static String written(Worn.Standing at) {
        return at.token().map(token -> ValueText.write(token.written().value())).orElse("");
    }
}
