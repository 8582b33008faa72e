package org.umberloom.core.wish;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.umberloom.core.shape.Light;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.DimensionValue;
import org.umberloom.core.token.ShadowListValue;
import org.umberloom.core.token.ShadowValue;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenValue;

/**
 * What a theme's first light changes besides its own shadows: each shadow that stood by itself is thrown by it from now on, at the
 * height whose blur is nearest. Those that fall inward stay, for no light throws them, and so does what throws none.
 */
final class FirstLight {
    private FirstLight() {}

    /** @param path of the light’s group, which stands nowhere yet */
    static List<Edit> taking(ThemeDocument theme, TokenPath path, Light light) {
        List<Edit> edits = new ArrayList<>();
        for (Place place : theme.places())
            theme.at(place).forEachToken((at, token, declared) -> {
                double blur = blur(token);
                if (blur >= 0 && !token.detached()) edits.add(new Edit.SetValue(place, at, nearest(light, path, blur)));
            });
        return edits;
    }

    private static Alias nearest(Light light, TokenPath path, double blur) {
        List<Double> heights = light.heights();
        int at = IntStream.range(0, heights.size())
                .boxed()
                .min(Comparator.comparing(i -> Math.abs(light.softness() * heights.get(i) - blur)))
                .orElseThrow();
        return new Alias(path.child(Integer.toString(at + 1)));
    }

    /** Of the softest shadow that is written there, in px; below nothing for what is no shadow of its own, or none that falls outward. */
    private static double blur(Token token) {
        TokenValue value = token.value();
        List<? extends TokenValue> all = value instanceof ShadowListValue list ? list.shadows() : List.of(value);
        double softest = -1;
        for (TokenValue one : all) {
            if (!(one instanceof ShadowValue shadow) || shadow.inset()) return -1;
            boolean seen = !(shadow.color() instanceof ColorValue color)
                    || color.color().alpha() > 0;
            if (seen && shadow.blur() instanceof DimensionValue length) softest = Math.max(softest, length.toPx());
        }
        return softest;
    }
}
