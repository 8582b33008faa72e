package org.umberloom.app.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.NoSuchElementException;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.umberloom.app.picture.PictureReader;
import org.umberloom.core.color.Color;
import org.umberloom.core.color.Tones;

class GroundPicturesTest {
    private final GroundPictureMapper mapper = mock(GroundPictureMapper.class);
    private final GroundPictures pictures = new GroundPictures(mapper, new PictureReader());

    private static byte[] painted(String format) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(20, 10, BufferedImage.TYPE_INT_RGB), format, bytes);
        return bytes.toByteArray();
    }

    @ParameterizedTest
    @CsvSource({"Evening Sky.PNG,png,evening-sky.png", "../../etc/passwd,png,passwd.png", "Fähre & Meer.jpeg,jpg,f-hre-meer.jpg", "???.png,png,picture.png"})
    void aNameBecomesSafeAndSaysWhatTheFileReallyIs(String given, String format, String name) throws IOException {
        assertThat(pictures.add(1, given, "CC0", painted(format))).isEqualTo(name);
        verify(mapper).put(eq(1L), eq(name), eq(format.equals("jpg") ? "image/jpeg" : "image/png"), eq("CC0"), any(), any());
    }

    @Test
    void whatIsRefusedIsNotKept() {
        byte[] hostile = "<svg xmlns=\"http://www.w3.org/2000/svg\" onload=\"x()\"/>".getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> pictures.add(1, "a.svg", "", hostile)).hasMessageContaining("script");
        assertThatThrownBy(() -> pictures.add(1, "a.png", "", new byte[9 << 20])).hasMessageContaining("8 MB");
        assertThatThrownBy(() -> pictures.add(1, "a.png", "", "no picture".getBytes(StandardCharsets.UTF_8))).hasMessageContaining("not a picture");
        verify(mapper, never()).put(anyLong(), anyString(), anyString(), anyString(), any(), any());
        assertThat(pictures.version()).isZero();
    }

    @Test
    void tonesAreReadOnceUntilThePictureChanges() throws IOException {
        when(mapper.tones(1, "a.png")).thenReturn(new GroundPictureMapper.Tones(Tones.of(Color.rgb(1, 2, 3)).toBytes()));
        assertThat(pictures.of(1).tones("a.png")).isPresent();
        assertThat(pictures.of(1).tones("a.png")).isPresent();
        verify(mapper, times(1)).tones(1, "a.png");
        pictures.add(1, "a.png", "", painted("png"));
        assertThat(pictures.of(1).tones("a.png")).isPresent();
        verify(mapper, times(2)).tones(1, "a.png");
        assertThat(pictures.version()).isEqualTo(1);
    }

    @Test
    void whatIsNotThereIsSaid() {
        assertThat(pictures.of(1).tones("gone.png")).isEmpty();
        assertThatThrownBy(() -> pictures.get(1, "gone.png")).isInstanceOf(NoSuchElementException.class).hasMessageContaining("gone.png");
        assertThatThrownBy(() -> pictures.remove(1, "gone.png")).isInstanceOf(NoSuchElementException.class);
    }
}
