package org.umberloom.core.color;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class StarterPalettesTest {
    @Test
    void colorsOfAPaletteStandApartAndCanBeSeeds() {
        assertThat(StarterPalettes.ALL).hasSizeGreaterThanOrEqualTo(8);
        StarterPalettes.ALL.forEach((name, palette) -> {
            List<Color> colors = List.copyOf(palette.values());
            assertThat(colors).as(name).hasSize(4);
            for (int i = 0; i < colors.size(); i++) {
                assertThat(Depth.of(colors.get(i)).value()).as("%s %d", name, i).isBetween(40.0, 105.0);
                for (int j = i + 1; j < colors.size(); j++)
                    assertThat(Ciede2000.between(colors.get(i), colors.get(j)))
                            .as("%s %d and %d", name, i, j)
                            .isGreaterThan(10);
            }
        });
    }
}
