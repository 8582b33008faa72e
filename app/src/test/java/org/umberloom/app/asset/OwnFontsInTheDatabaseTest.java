package org.umberloom.app.asset;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.umberloom.app.RealDatabase;
import org.umberloom.core.font.Cut;
import org.umberloom.core.font.FontFile;
import org.umberloom.core.font.FontTables;
import org.umberloom.kit.font.FontCatalog;
import org.umberloom.kit.font.FontFiles;

/** Fonts that people bring, with the Liberation fonts as Debian ships them: four static files of each family. */
class OwnFontsInTheDatabaseTest {
    private static final List<Path> FOLDERS =
            List.of(Path.of("/usr/share/fonts/truetype/liberation"), Path.of("/usr/share/fonts/truetype/liberation2"));
    /** OpenType 1.9.1, OS/2: usWeightClass, usWidthClass and fsType are at 4, 6 and 8. */
    private static final int WIDTH_CLASS = 6;

    private static final int FS_TYPE = 8;

    private final RealDatabase database = RealDatabase.shared();
    private final OwnFontMapper mapper = database.bean(OwnFontMapper.class);
    private final OwnFonts fonts = new OwnFonts(mapper);
    private final FontShelf shelf = new FontShelf(fonts);

    @BeforeEach
    @AfterEach
    void empty() {
        new JdbcTemplate(database.bean(DataSource.class)).update("delete from own_font");
    }

    private static byte[] liberation(String name) {
        return FOLDERS.stream()
                .map(folder -> folder.resolve("Liberation" + name + ".ttf"))
                .filter(Files::exists)
                .findFirst()
                .map(file -> {
                    try {
                        return Files.readAllBytes(file);
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                })
                .orElseThrow(() -> new IllegalStateException("install fonts-liberation"));
    }

    /** The same font, saying something else in two bytes of its part OS/2. */
    private static byte[] saying(byte[] font, int at, int value) {
        FontTables tables = FontTables.read(font);
        Map<String, byte[]> changed = new TreeMap<>(tables.tables());
        byte[] os2 = changed.get("OS/2").clone();
        os2[at] = (byte) (value >> 8);
        os2[at + 1] = (byte) value;
        changed.put("OS/2", os2);
        return new FontTables(tables.flavor(), new TreeMap<>(changed)).file();
    }

    private OwnFonts.Brought bring(String name) {
        return fonts.bring(name + ".ttf", liberation(name), "Ada");
    }

    @Test
    void fourFilesBecomeOneFamilyThatLeadsTheOthers() {
        Stream.of("Sans-Bold", "Sans-Italic", "Sans-Regular", "Sans-BoldItalic").forEach(name -> assertThat(bring(name))
                .matches(OwnFonts.Brought::kept)
                .extracting(OwnFonts.Brought::family)
                .isEqualTo("Liberation Sans"));
        FontCatalog.Family family = shelf.now().catalog().families().get(0);
        assertThat(family.name()).isEqualTo("Liberation Sans");
        assertThat(family.generic()).isEqualTo("sans-serif");
        assertThat(family.files())
                .extracting(part -> part.style() + " " + part.weights())
                .containsExactly("normal 400", "normal 700", "italic 400", "italic 700");
        assertThat(family.weights().words()).isEqualTo("400, 700");
        assertThat(family.weights().has(600)).isFalse();
    }

    @Test
    void aFileIsServedAsWoff2ThatHoldsTheSameFont() {
        bring("Mono-Regular");
        FontFiles files = shelf.now();
        FontCatalog.Family family = files.catalog().find("Liberation Mono").orElseThrow();
        byte[] served = files.catalog().read(family.basic().file());
        assertThat(new String(served, 0, 4, java.nio.charset.StandardCharsets.ISO_8859_1))
                .isEqualTo("wOF2");
        FontFile there = FontFile.read(served);
        FontFile was = FontFile.read(liberation("Mono-Regular"));
        assertThat(there.metrics()).isEqualTo(was.metrics());
        assertThat(there.coverage()).isEqualTo(was.coverage());
        assertThat(family.generic()).isEqualTo("monospace");
        // Liberation Mono 2.1: each character is 1229 of 2048 units wide.
        assertThat(files.mean(new Cut(List.of("Liberation Mono"), 400, 100)).orElseThrow())
                .isEqualTo(1229 / 2048.0);
    }

    @Test
    void aFamilyMayOnlyTravelWhereAllItsFilesMay() {
        bring("Serif-Regular");
        assertThat(fonts.families().get(0).travels()).isTrue();
        // fsType 2: restricted license embedding.
        fonts.bring("bold.ttf", saying(liberation("Serif-Bold"), FS_TYPE, 2), "Ada");
        FontCatalog.Family family = fonts.families().get(0);
        assertThat(family.travels()).isFalse();
        assertThat(family.rights()).isEqualTo("may not travel without its maker’s leave");
        assertThat(new String(fonts.read(family.licenseFile()), java.nio.charset.StandardCharsets.UTF_8))
                .contains("700 normal: may not travel")
                .contains("Licensed under the Liberation Fonts license");
    }

    @Test
    void narrowLettersAreFacesOfTheirOwn() {
        bring("Sans-Regular");
        // usWidthClass 3: condensed, 75 %.
        fonts.bring("narrow.ttf", saying(liberation("Sans-Regular"), WIDTH_CLASS, 3), "Ada");
        assertThat(fonts.families().get(0).files())
                .extracting(FontCatalog.FontPart::stretch)
                .containsExactly("", "75%");
    }

    @Test
    void whatCannotBeUsedIsRefusedWithItsReasonAndNothingOfItIsKept() {
        byte[] damaged = liberation("Sans-Regular");
        damaged[damaged.length / 2] ^= 1;
        assertThat(fonts.bring("torn.ttf", damaged, "Ada"))
                .isEqualTo(new OwnFonts.Brought(
                        "torn.ttf",
                        false,
                        "",
                        "“torn.ttf”: its part “glyf” is damaged: its checksum is another. It was not kept."));
        assertThat(fonts.bring(
                                "letter.txt",
                                "Dear sir or madam".getBytes(java.nio.charset.StandardCharsets.UTF_8),
                                "Ada")
                        .what())
                .contains("it is no font file");
        assertThat(fonts.bring("figtree.woff2", FontCatalog.shipped().read("figtree-latin.woff2"), "Ada")
                        .what())
                .contains("its family, Figtree, is here already: it ships");
        assertThat(fonts.families()).isEmpty();
    }

    @Test
    void theSameFileTwiceIsOneAndAnotherVersionTakesItsPlace() {
        bring("Sans-Regular");
        assertThat(bring("Sans-Regular").what()).contains("was here already");
        // fsType 8: editable embedding; else the same letters.
        OwnFonts.Brought newer = fonts.bring("newer.ttf", saying(liberation("Sans-Regular"), FS_TYPE, 8), "Ada");
        assertThat(newer.what()).contains("in the place of an earlier file");
        assertThat(fonts.families().get(0).files()).hasSize(1);
        assertThat(fonts.families().get(0).rights()).isEqualTo("may travel with pages that are edited");
    }

    @Test
    void aFamilyThatWasRemovedComesBackAsItWas() {
        bring("Sans-Regular");
        bring("Sans-Bold");
        FontFiles before = shelf.now();
        List<String> files = fonts.remove("Liberation Sans");
        FontFiles without = shelf.now();
        assertThat(without).isNotSameAs(before);
        assertThat(without.catalog().find("Liberation Sans")).isEmpty();
        assertThat(fonts.read(files.get(0)))
                .as("pages that are open still load it")
                .isNotEmpty();
        assertThatThrownBy(() -> fonts.remove("Liberation Sans"))
                .hasMessageContaining("no family “Liberation Sans” of your own");
        fonts.putBack(files);
        assertThat(shelf.now().catalog().families()).isEqualTo(before.catalog().families());
        assertThat(shelf.now()).as("while nothing comes or goes").isSameAs(shelf.now());
    }

    @Test
    void anotherProcessHearsOfIt() {
        FontShelf other = new FontShelf(new OwnFonts(mapper));
        assertThat(other.now().catalog().find("Liberation Sans")).isEmpty();
        bring("Sans-Regular");
        assertThat(other.now().catalog().find("Liberation Sans")).isPresent();
    }

    @Test
    void whatBelongsToNobodyIsNotFound() {
        String file = OwnFonts.FOLDER + UUID.randomUUID() + ".woff2";
        assertThatThrownBy(() -> fonts.read(file)).hasMessageContaining("There is no font file");
        assertThatThrownBy(() -> fonts.putBack(List.of(file))).hasMessageContaining("Nothing was put back");
    }
}
