package org.umberloom.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.umberloom.core.json.FormatException;

class KitArchiveTest {
    private static byte[] text(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static Map<String, byte[]> read(byte[] archive) {
        return KitArchive.read(archive);
    }

    private static byte[] zip(String name, byte[] content) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry(name));
            zip.write(content);
        }
        return bytes.toByteArray();
    }

    @Test
    void filesComeBackInTheirOrder() {
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("b.txt", text("two"));
        files.put("a/c.txt", text("one"));
        Map<String, byte[]> back = read(KitArchive.write(files));
        assertThat(back.keySet()).containsExactly("b.txt", "a/c.txt");
        assertThat(back.get("a/c.txt")).isEqualTo(text("one"));
    }

    /** ZIP keeps local time, so the zone of the machine once was in the bytes. */
    @Test
    void theTimeZoneIsNotInTheBytes() {
        Map<String, byte[]> files = Map.of("a.txt", text("one"));
        java.util.TimeZone here = java.util.TimeZone.getDefault();
        byte[] written = KitArchive.write(files);
        try {
            for (String zone : List.of("Pacific/Kiritimati", "America/St_Johns", "UTC")) {
                java.util.TimeZone.setDefault(java.util.TimeZone.getTimeZone(zone));
                assertThat(KitArchive.write(files)).as(zone).isEqualTo(written);
            }
        } finally {
            java.util.TimeZone.setDefault(here);
        }
    }

    @Test
    void equalFilesGiveEqualBytes() {
        Map<String, byte[]> files = Map.of("a.txt", text("one"));
        assertThat(KitArchive.write(files)).isEqualTo(KitArchive.write(files));
    }

    @ParameterizedTest
    @ValueSource(strings = {"../evil.txt", "a/../../evil.txt", "/etc/passwd", "a\\..\\b", "C:/x", "./a"})
    void aPathThatLeavesTheArchiveIsRefused(String name) throws IOException {
        byte[] archive = zip(name, text("x"));
        assertThatThrownBy(() -> read(archive))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("leaves it")
                .hasMessageContaining("Nothing was imported");
    }

    @Test
    void aDamagedArchiveIsRefused() {
        byte[] archive = KitArchive.write(Map.of("a.txt", new byte[5_000]));
        byte[] cut = Arrays.copyOf(archive, archive.length / 2);
        assertThatThrownBy(() -> read(cut)).isInstanceOf(FormatException.class).hasMessageContaining("damaged");
    }

    @Test
    void whatIsNoArchiveIsRefused() {
        assertThatThrownBy(() -> read(text("hello"))).hasMessageContaining("not a kit");
    }

    @Test
    void anArchiveThatUnpacksToTooMuchIsRefusedBeforeItIsUnpacked() throws IOException {
        byte[] bomb = zip("zeros", new byte[70 << 20]);
        assertThat(bomb.length).isLessThan(200_000);
        assertThatThrownBy(() -> read(bomb)).hasMessageContaining("64 MiB");
    }
}
