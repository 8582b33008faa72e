package org.umberloom.core.font;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.core.css.FontFace;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.theme.Starter;

class StandInTest {
    /** Debian’s fonts-liberation2 2.1.5, or fonts-liberation 1.07.4, which measures the same. */
    private static final List<Path> LIBERATION =
            List.of(Path.of("/usr/share/fonts/truetype/liberation2"), Path.of("/usr/share/fonts/truetype/liberation"));

    @ParameterizedTest
    @CsvSource({
        "sans-serif, LiberationSans, figtree-latin.woff2",
        "serif, LiberationSerif, lora-latin.woff2",
        "monospace, LiberationMono, jetbrains-mono-latin.woff2"
    })
    void runningTextIsAsWideInTheStandInAsInTheFont(String generic, String local, String shipped) throws IOException {
        FontFile font = ShippedFonts.font(shipped);
        List<StandIn> standIns = StandIn.of(font, generic);
        assertThat(standIns).extracting(StandIn::weights).containsExactly("1 599", "600 1000");
        for (StandIn standIn : standIns) {
            boolean bold = standIn.weights().startsWith("600");
            Path file = liberation(local + (bold ? "-Bold.ttf" : "-Regular.ttf"));
            double wide =
                    FontFile.read(Files.readAllBytes(file)).advances(Map.of()).mean(FontFile.RUNNING)
                            * standIn.size()
                            / 100;
            double wanted = font.advances(bold ? 700 : 400).mean(FontFile.RUNNING);
            assertThat(wide).isCloseTo(wanted, within(wanted * 0.0005));
            assertThat(standIn.ascent() / 100 * standIn.size() / 100)
                    .isCloseTo(font.metrics().ascent(), within(0.0005));
            assertThat(standIn.descent() / 100 * standIn.size() / 100)
                    .isCloseTo(font.metrics().descent(), within(0.0005));
        }
    }

    private static Path liberation(String file) {
        return LIBERATION.stream()
                .map(folder -> folder.resolve(file))
                .filter(Files::exists)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("install fonts-liberation"));
    }

    @Test
    void aStackNamesTheStandInBehindItsFont() {
        FontFace figtree = new FontFace(
                "Figtree",
                "normal",
                "300 900",
                "",
                "",
                "fonts/f.woff2",
                StandIn.of(ShippedFonts.font("figtree-latin.woff2"), "sans-serif"));
        String css = Stylesheet.compile(Starter.ALL.get(0).theme("T"), Usage.ALL, List.of(figtree));
        assertThat(css)
                .contains("src: local(\"Arial\"), local(\"Liberation Sans\");")
                .contains("\"Figtree\", \"Figtree stand-in\", sans-serif");
    }
}
