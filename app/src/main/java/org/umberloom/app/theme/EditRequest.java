package org.umberloom.app.theme;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.color.Blend;
import org.umberloom.core.color.RampShape;
import org.umberloom.core.ground.Ground;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Names;
import org.umberloom.core.token.TokenPath;

/**
 * An edit as the front end asks for it. Which fields count depends on {@code op}; see {@link RequestedEdit}.
 *
 * @param base  the revision it was made on
 * @param combo the combination that the instruments show
 * @param bays  the combinations that the bays show
 * @param place where it is written, such as {@code set:base}
 * @param path  the token or group
 * @param roles of a dressing: what each role is to be, as people write values
 * @param lean  of a probe: whether surfaces and findings are left out, as they are while a pointer moves
 */
record EditRequest(@NotNull Integer base, @Size(max = 2000) String combo, @Size(max = 12) List<@NotNull @Size(max = 2000) String> bays,
                   @NotBlank @Size(max = 40) String op, String place, String path,
                   String member, String text, String to, String type, Boolean deprecated, List<@NotNull String> order,
                   List<@NotNull String> arguments, @Valid RampRequest ramp, TypeScaleRequest typeScale, @Valid SpaceScaleRequest spaceScale,
                   @Valid GroundRequest ground, @Size(max = 200) Map<@NotNull String, @NotNull String> roles, Boolean lean) {

    /**
     * @param tintFrom   group of the hue that the shades lean toward; empty for none
     * @param tintChroma OKLCH chroma of that tint
     */
    record RampRequest(@NotNull @Size(max = 60) List<@NotNull Double> stops, double hueLight, double hueDark, double chromaLight, double chromaDark,
                       String tintFrom, Double tintChroma) {
        Recipe.HueRamp recipe() {
            Optional<Recipe.Tint> tint = tintFrom == null || tintFrom.isEmpty() ? Optional.empty()
                    : Optional.of(new Recipe.Tint(TokenPath.of(tintFrom), 0, tintChroma == null ? 0 : tintChroma));
            return new Recipe.HueRamp(stops, new RampShape(hueLight, hueDark, chromaLight, chromaDark), tint);
        }
    }

    /** What lies on a surface's color, as {@link Ground} describes it. */
    record GroundRequest(@NotNull String kind, @NotNull String source, @NotNull String position, @NotNull String repeat,
                         @NotNull String size, @NotNull String blend, double angle, @NotNull String role, boolean scrim) {
        Ground ground() {
            Ground.Kind known = Arrays.stream(Ground.Kind.values()).filter(one -> one.name().equalsIgnoreCase(kind)).findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("“" + Names.shown(kind) + "” is not a kind of ground: it is picture, gradient or pattern."));
            return new Ground(known, source, position, repeat, size, Blend.byCss(blend), angle,
                    role, scrim);
        }
    }

    record TypeScaleRequest(double narrowBase, double narrowRatio, double wideBase, double wideRatio,
                            double narrowViewport, double wideViewport, int smallest, int largest) {
    }

    record SpaceScaleRequest(double base, @NotNull @Size(max = 60) List<@NotNull Double> factors) {
    }

    /**
     * @param standard the theme resolved in the combination that the instruments show
     * @throws IllegalArgumentException with a sentence for people when it does not make sense for this theme
     */
    Edit toEdit(ThemeDocument theme, Resolution standard) {
        return new RequestedEdit(this, theme, standard).edit();
    }

    List<String> baysOrNone() {
        return bays == null ? List.of() : bays;
    }

    String comboOrDefault() {
        return combo == null ? "" : combo;
    }
}
