package org.umberloom.core.check;

import java.util.ArrayList;
import java.util.List;
import org.umberloom.core.color.ColorRange;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Finding;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.ColorValue;
import org.umberloom.core.token.ValueText;

/** Components of colors that lie outside the ranges that the format gives them. */
final class Ranges {
    private Ranges() {}

    static List<Finding> findings(ThemeDocument theme) {
        List<Finding> findings = new ArrayList<>();
        for (Place place : theme.places())
            theme.at(place).forEachToken((path, token, type) -> {
                if (!(token.value() instanceof ColorValue value)) return;
                ColorRange.outside(value.color())
                        .ifPresent(component -> findings.add(new Finding(
                                        "range",
                                        Finding.Weight.SHOULD,
                                        path.dotted(),
                                        path + " holds the component " + ValueText.number(component, 4)
                                                + ", outside the range of "
                                                + value.color().space().id() + ".",
                                        "Other programs may refuse it or show another color.",
                                        List.of(new Finding.Fix(
                                                "Keep it within",
                                                new Edit.SetValue(
                                                        place,
                                                        path,
                                                        new ColorValue(ColorRange.within(value.color()))))))
                                .at(place)));
            });
        return findings;
    }
}
