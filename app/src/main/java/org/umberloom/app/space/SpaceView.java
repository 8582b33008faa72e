package org.umberloom.app.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.umberloom.app.theme.Combos;
import org.umberloom.core.space.PageWidths;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;

/** The Space and Widths instruments. All px at the default font size. */
public record SpaceView(List<SpaceScaleView> scales, List<LengthView> gaps, List<LengthView> shape, List<LengthView> widths,
                        List<PageWidths.Bands> ruler) {
    private static final int RULER_START = 320;
    private static final int RULER_END = 1920;
    private static final int RULER_STEP = 10;

    /** One length: as written, and in px at a narrow and a wide viewport. */
    public record LengthView(String path, String name, String place, String written, double narrowPx, double widePx) {
    }

    public record SpaceScaleView(String path, String place, double base, List<Double> factors, List<LengthView> steps) {
    }

    public static SpaceView of(Combos combos) {
        Resolution standard = combos.standard();
        List<SpaceScaleView> scales = new ArrayList<>();
        for (Place place : combos.applying()) combos.theme().at(place).forEachGroup((path, group) -> {
            if (Recipes.of(group).orElse(null) instanceof Recipe.SpaceSteps steps)
                scales.add(new SpaceScaleView(path.dotted(), place.toString(), steps.scale().base(),
                        steps.scale().factors(), below(standard, path.dotted())));
        });
        return new SpaceView(scales, below(standard, "gap"), below(standard, "shape"), below(standard, "width"),
                ruler(standard));
    }

    private static List<LengthView> below(Resolution resolution, String group) {
        TokenPath path = TokenPath.of(group);
        return resolution.tokens().values().stream().filter(token -> token.path().isBelow(path))
                .flatMap(token -> length(token).stream()).toList();
    }

    private static Optional<LengthView> length(Resolved token) {
        TokenValue value = token.value();
        double narrow;
        double wide;
        if (value instanceof FluidValue fluid) {
            narrow = fluid.narrow().toPx();
            wide = fluid.wide().toPx();
        } else if (value instanceof DimensionValue length) {
            narrow = length.toPx();
            wide = narrow;
        } else {
            return Optional.empty();
        }
        return Optional.of(new LengthView(token.path().dotted(), token.path().name(), token.winner().toString(),
                ValueText.write(token.written().value()), narrow, wide));
    }

    private static List<PageWidths.Bands> ruler(Resolution resolution) {
        Optional<PageWidths> widths = widths(resolution);
        if (widths.isEmpty()) return List.of();
        return Stream.iterate(RULER_START, w -> w <= RULER_END, w -> w + RULER_STEP)
                .map(w -> widths.get().at(w)).toList();
    }

    private static Optional<PageWidths> widths(Resolution resolution) {
        Optional<Double> text = px(resolution, "width.text");
        Optional<Double> content = px(resolution, "width.content");
        Optional<Double> wide = px(resolution, "width.wide");
        Optional<TokenValue> gutter = resolution.find("width.gutter").map(Resolved::value)
                .filter(value -> value instanceof FluidValue || value instanceof DimensionValue);
        if (text.isEmpty() || content.isEmpty() || wide.isEmpty() || gutter.isEmpty()) return Optional.empty();
        return Optional.of(new PageWidths(text.get(), content.get(), wide.get(), gutter.get()));
    }

    private static Optional<Double> px(Resolution resolution, String path) {
        return resolution.value(path, DimensionValue.class).map(DimensionValue::toPx);
    }
}
