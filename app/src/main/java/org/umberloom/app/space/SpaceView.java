package org.umberloom.app.space;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.umberloom.app.looking.Combos;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.dress.Recognized;
import org.umberloom.core.space.PageWidths;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.ValueText;
import org.umberloom.core.wish.MeasuredWidths;

/**
 * The Space and Widths instruments. All px at the default font size.
 *
 * @param parts lengths that parts have of their own
 */
public record SpaceView(
        List<SpaceScaleView> scales,
        List<FoundScaleView> found,
        List<LengthView> gaps,
        List<LengthView> shape,
        List<LengthView> widths,
        List<LengthView> parts,
        List<PageWidths.Bands> ruler) {
    private static final int RULER_START = 320;
    private static final int RULER_END = 2560;
    private static final int RULER_STEP = 10;

    /**
     * One length: as written, and in px at a narrow and a wide viewport. A role that is unset has no place and nothing written.
     *
     * @param purpose    what a role is for; empty for what is none
     * @param characters of running text that a width is said in; 0 for one that is said in px or rem
     */
    public record LengthView(
            String path,
            String name,
            String place,
            String written,
            double narrowPx,
            double widePx,
            String purpose,
            double characters) {}

    /**
     * Lengths that rise and have no recipe, smallest first.
     *
     * @param growth   linear, geometric or by_hand
     * @param by       px from step to step of a linear scale, ratio of a geometric one
     * @param residual how far a step lies from that growth at most, as a share of the step
     * @param ofType   whether its name says that these are sizes of type
     */
    public record FoundScaleView(
            String name,
            String group,
            List<LengthView> steps,
            String growth,
            double by,
            double residual,
            boolean ofType) {}

    /**
     * A spacing scale.
     *
     * @param grid   px that its steps are whole multiples of; 0 for any length
     * @param narrow share of its length that a step has in a narrow window
     */
    public record SpaceScaleView(
            String path,
            String place,
            double base,
            List<Double> factors,
            double grid,
            double narrow,
            List<LengthView> steps) {}

    public static SpaceView of(Combos combos) {
        Resolution standard = combos.standard();
        // A place that grows a scale itself shows in place of a wider one.
        Map<String, SpaceScaleView> scales = new LinkedHashMap<>();
        Set<String> grown = new HashSet<>();
        for (Place place : combos.applying())
            combos.theme().at(place).forEachGroup((path, group) -> {
                Recipe recipe = Recipes.of(group).orElse(null);
                if (recipe != null) grown.add(path.dotted());
                if (recipe instanceof Recipe.SpaceSteps steps)
                    scales.put(
                            path.dotted(),
                            new SpaceScaleView(
                                    path.dotted(),
                                    place.toString(),
                                    steps.scale().base(),
                                    steps.scale().factors(),
                                    steps.scale().grid(),
                                    steps.scale().narrow(),
                                    below(standard, path.dotted())));
            });
        Worn worn = Worn.of(standard);
        return new SpaceView(
                List.copyOf(scales.values()),
                found(standard, grown),
                roles(worn, "gap."),
                roles(worn, "shape."),
                roles(worn, "width."),
                roles(worn, "part."),
                ruler(worn));
    }

    /** @param grown groups that a recipe computes */
    private static List<FoundScaleView> found(Resolution resolution, Set<String> grown) {
        return Recognized.scales(resolution).stream()
                .filter(scale -> !grown.contains(scale.group().dotted())
                        && scale.steps().stream().noneMatch(step -> Contract.standard()
                                .filledBy(step.path().dotted())
                                .isPresent()))
                .map(scale -> new FoundScaleView(
                        scale.name(),
                        scale.group().dotted(),
                        scale.steps().stream()
                                .flatMap(step -> length(resolution.tokens().get(step.path()), "").stream())
                                .toList(),
                        scale.growth().name().toLowerCase(Locale.ROOT),
                        scale.by(),
                        scale.residual(),
                        Recognized.isOfType(scale)))
                .toList();
    }

    /** Every role of a group, set or not. */
    private static List<LengthView> roles(Worn worn, String group) {
        List<LengthView> lengths = new ArrayList<>();
        for (Role role : Contract.standard().roles().values()) {
            if (!role.path().startsWith(group) || role.type() != TokenType.DIMENSION) continue;
            Worn.Standing standing = worn.at(role, Surfaces.PAGE);
            if (standing.token().isPresent())
                lengths.addAll(
                        length(standing.token().get(), role.purpose()).stream().toList());
            else
                lengths.add(new LengthView(
                        role.path(),
                        role.path().substring(group.length()),
                        "",
                        "",
                        FluidValue.narrow(standing.value()),
                        FluidValue.wide(standing.value()),
                        role.purpose(),
                        0));
        }
        return lengths;
    }

    private static List<LengthView> below(Resolution resolution, String group) {
        TokenPath path = TokenPath.of(group);
        return resolution.tokens().values().stream()
                .filter(token -> token.path().isBelow(path))
                .flatMap(token -> length(token, "").stream())
                .toList();
    }

    private static Optional<LengthView> length(Resolved token, String purpose) {
        TokenValue value = token.value();
        if (!(value instanceof FluidValue) && !(value instanceof DimensionValue)) return Optional.empty();
        return Optional.of(new LengthView(
                token.path().dotted(),
                token.path().name(),
                token.winner().toString(),
                ValueText.write(token.written().value()),
                FluidValue.narrow(value),
                FluidValue.wide(value),
                purpose,
                MeasuredWidths.of(token.written()).orElse(0)));
    }

    private static List<PageWidths.Bands> ruler(Worn worn) {
        PageWidths widths = new PageWidths(
                FluidValue.wide(width(worn, "text")),
                FluidValue.wide(width(worn, "content")),
                FluidValue.wide(width(worn, "wide")),
                width(worn, "gutter"));
        return widths.between(RULER_START, RULER_END, RULER_STEP);
    }

    private static TokenValue width(Worn worn, String name) {
        return worn.find("width." + name).orElseThrow().value();
    }
}
