package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.shape.Corners;

/** The gap between two corners as Chromium draws them, measured along the arc. */
class CornersOfTheBrowserTest {
    /** From the middle of the inner arc outwards, at every fifth degree: from where the inner box ends to where the outer one does. */
    private static final String GAPS =
            """
            ([inner]) => {
              const box = document.getElementById('inner').getBoundingClientRect();
              const center = { x: box.left + inner, y: box.top + inner };
              const gaps = [];
              for (let angle = 0; angle <= 90; angle += 5) {
                const [x, y] = [Math.cos(angle * Math.PI / 180), Math.sin(angle * Math.PI / 180)];
                const reach = (id) => {
                  let far = 0;
                  for (let r = 0; r < 600; r += 0.25)
                    if (document.elementsFromPoint(center.x - x * r, center.y - y * r).some((one) => one.id === id)) far = r;
                  return far;
                };
                gaps.push(reach('outer') - reach('inner'));
              }
              return gaps;
            }""";

    private static Page page;

    @BeforeAll
    static void open() {
        page = Browsers.context(ColorScheme.LIGHT).newPage();
    }

    @AfterAll
    static void close() {
        page.context().close();
    }

    private static List<Double> gaps(double outer, double inner, double gap) {
        page.setContent("<!doctype html><style>body { margin: 40px } #outer { width: 400px; height: 300px; padding: "
                + gap
                + "px; border-radius: " + outer + "px } #inner { width: 400px; height: 300px; border-radius: " + inner
                + "px }</style><div id=outer><div id=inner></div></div>");
        @SuppressWarnings("unchecked")
        List<Number> all = (List<Number>) page.evaluate(GAPS, List.of(inner));
        return all.stream().map(Number::doubleValue).toList();
    }

    @ParameterizedTest
    @CsvSource({"40, 24", "12, 60", "80, 8", "0, 30"})
    void betweenFittingCornersItIsTheSameAllAlong(double inner, double gap) {
        assertThat(gaps(Corners.around(inner, gap), inner, gap))
                .allSatisfy(one -> assertThat(one).isBetween(gap - 1.5, gap + 1.5));
        assertThat(Corners.within(Corners.around(inner, gap), gap)).isEqualTo(inner);
    }

    @Test
    void betweenEqualOnesItIsNot() {
        List<Double> gaps = gaps(40, 40, 24);
        assertThat(gaps.get(gaps.size() / 2)).isGreaterThan(24 * 1.3);
    }
}
