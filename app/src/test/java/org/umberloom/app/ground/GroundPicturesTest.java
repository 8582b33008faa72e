package org.umberloom.app.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.awt.Dimension;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.app.account.Account;
import org.umberloom.app.picture.PictureStore;
import org.umberloom.app.picture.ShelvedPicture;
import org.umberloom.app.theme.Draft;
import org.umberloom.app.theme.DraftService;
import org.umberloom.core.ground.Ground;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.PictureFacts;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.TokenPath;

class GroundPicturesTest {
    private static final Account LEAD = new Account(7, "lead@example.org", "Lead", "", "lead");
    private static final String HASH = "a".repeat(64);

    private final DraftService drafts = mock(DraftService.class);
    private final PictureStore store = mock(PictureStore.class);
    private final GroundPictures pictures = new GroundPictures(drafts, store, List.of());
    private ThemeDocument theme = Starter.ALL.get(0).theme("T");

    @BeforeEach
    void oneTheme() {
        when(drafts.newest(1)).thenAnswer(call -> new Draft(1, 0, theme));
        when(drafts.amend(anyLong(), any(), eq(LEAD))).thenAnswer(call -> {
            theme = call.<Function<ThemeDocument, Edit>>getArgument(1)
                    .apply(theme)
                    .applyTo(theme)
                    .theme();
            return new Draft(1, 1, theme);
        });
    }

    private static PictureStore.Kept kept(String hash) {
        return new PictureStore.Kept(hash, "image/png", 10);
    }

    @ParameterizedTest
    @CsvSource({
        "Evening Sky.PNG,evening-sky.png",
        "../../etc/passwd,passwd.png",
        "Fähre & Meer.jpeg,fahre-meer.png",
        "???.png,picture.png",
        "Über.png,uber.png",
        "Straße.png,strasse.png",
        "日本.png,picture.png"
    })
    void aNameBecomesSafeAndSaysWhatTheFileReallyIs(String given, String name) {
        assertThat(GroundPictures.named(Map.of(), given, "CC0", kept(HASH)).name())
                .isEqualTo(name);
    }

    /** Names that fold to one once overwrote each other. */
    @Test
    void anotherPictureOfANameThatIsTakenGetsOneOfItsOwn() {
        when(store.keep(any(), any())).thenReturn(kept(HASH), kept("b".repeat(64)), kept(HASH));
        assertThat(pictures.add(1, "Sea view.png", "CC0", new byte[1], LEAD).name())
                .isEqualTo("sea-view.png");
        assertThat(pictures.add(1, "sea-view.png", "CC0", new byte[2], LEAD).name())
                .isEqualTo("sea-view-2.png");
        assertThat(pictures.add(1, "SEA VIEW.png", "CC0", new byte[1], LEAD).name())
                .isEqualTo("sea-view.png");
        assertThat(Picture.of(theme)).hasSize(2);
    }

    @Test
    void theShelfSaysWhatIsSaidOfAPictureAndWhichSurfacesStandOnIt() {
        when(store.keep(any(), any())).thenReturn(kept(HASH));
        when(store.size(HASH)).thenReturn(new Dimension(640, 480));
        pictures.add(1, "sea.png", "", new byte[1], LEAD);
        pictures.describe(1, "sea.png", new PictureFacts("CC0", "The quay", "The sea at noon", 0.25, 1, false), LEAD);
        theme = standing(theme, "page");
        assertThat(pictures.shelf(1)).singleElement().satisfies(sea -> {
            assertThat(sea.license()).isEqualTo("CC0");
            assertThat(sea.source()).isEqualTo("The quay");
            assertThat(sea.alt()).isEqualTo("The sea at noon");
            assertThat(sea.focalX()).isEqualTo(0.25);
            assertThat(sea.width()).isEqualTo(640);
            assertThat(sea.used()).extracting(ShelvedPicture.UsedView::words).containsExactly("the surface page");
        });
        assertThatThrownBy(() -> pictures.describe(1, "gone.png", PictureFacts.NONE, LEAD))
                .isInstanceOf(NoSuchElementException.class);
    }

    private static ThemeDocument standing(ThemeDocument theme, String name) {
        Place place = Place.set(Starter.ROLES);
        TokenPath surface = TokenPath.of("surface").child(name);
        return new Edit.SetMeta(
                        place,
                        surface,
                        Ground.with(
                                theme.at(place).group(surface).orElseThrow().meta(),
                                Optional.of(Ground.usual(Ground.Kind.PICTURE, "sea.png"))))
                .applyTo(theme)
                .theme();
    }

    @Test
    void oneThatASurfaceStandsOnCannotBeTakenAway() {
        when(store.keep(any(), any())).thenReturn(kept(HASH));
        pictures.add(1, "sea.png", "CC0", new byte[1], LEAD);
        ThemeDocument bare = theme;
        theme = standing(theme, "page");
        assertThatThrownBy(() -> pictures.remove(1, "sea.png", LEAD)).hasMessageContaining("stands the surface page");
        theme = bare;
        pictures.remove(1, "sea.png", LEAD);
        assertThat(Picture.of(theme)).isEmpty();
    }

    @Test
    void whatIsNotThereIsSaid() {
        assertThatThrownBy(() -> pictures.get(1, "gone.png"))
                .isInstanceOf(NoSuchElementException.class)
                .hasMessageContaining("gone.png");
        assertThatThrownBy(() -> pictures.remove(1, "gone.png", LEAD)).isInstanceOf(NoSuchElementException.class);
    }

    @Test
    void aNameOfAMillionLettersTakesNoTime() {
        Map<String, Picture> known = new LinkedHashMap<>();
        assertThat(GroundPictures.named(known, "-".repeat(1_000_000) + "a.png", "CC0", kept(HASH))
                        .name())
                .isEqualTo("a.png");
    }
}
