package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Backups that somebody changed, with a header that fits: nothing in them runs, reaches elsewhere, or is put in place. */
class HostileBackupsTest {
    private static final String DATABASE = "umberloom_attacked";
    private static final String SUM = "-- sha256 ";
    private final Loom loom = Loom.withDemo();

    /** What a backup says of itself, and its dump. */
    private record Backup(String head, String dump) {
        static Backup read(Path file) throws IOException {
            try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(Files.readAllBytes(file)))) {
                String all = new String(in.readAllBytes(), StandardCharsets.ISO_8859_1);
                int sum = all.indexOf(SUM);
                return new Backup(all.substring(0, sum), all.substring(all.indexOf('\n', sum) + 1));
            }
        }

        Backup dumping(UnaryOperator<String> change) {
            String changed = change.apply(dump);
            assertThat(changed).isNotEqualTo(dump);
            return new Backup(head, changed);
        }

        Backup saying(String part, String other) {
            assertThat(head).contains(part);
            return new Backup(head.replace(part, other), dump);
        }

        Path write(Path file) throws Exception {
            byte[] content = dump.getBytes(StandardCharsets.ISO_8859_1);
            String sum = HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(content));
            try (OutputStream out = new GZIPOutputStream(Files.newOutputStream(file))) {
                out.write((head + SUM + sum + "\n").getBytes(StandardCharsets.ISO_8859_1));
                out.write(content);
            }
            return file;
        }
    }

    private static String run(Path state, int code, String... arguments) throws Exception {
        List<String> all = new ArrayList<>(List.of(Loom.HOME.resolve("loom").toString()));
        all.addAll(List.of(arguments));
        ProcessBuilder builder =
                new ProcessBuilder(all).directory(Loom.HOME.toFile()).redirectErrorStream(true);
        builder.environment().put("LOOM_STATE", state.toString());
        builder.environment().put("LOOM_DB_URL", System.getenv("LOOM_DB_URL").replaceAll("/[^/]*$", "/" + DATABASE));
        Process process = builder.start();
        String output = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(output).isEqualTo(code);
        return output;
    }

    @Test
    void aChangedBackupDoesNothing(@TempDir Path folder) throws Exception {
        Path kept = folder.resolve("kept.gz");
        loom.change("drop database if exists " + DATABASE);
        loom.change("create database " + DATABASE);
        Path whole = folder.resolve("whole.gz");
        ProcessBuilder backup = new ProcessBuilder(Loom.HOME.resolve("loom").toString(), "backup", whole.toString())
                .directory(Loom.HOME.toFile())
                .inheritIO();
        backup.environment().put("LOOM_STATE", folder.toString());
        backup.environment()
                .put("LOOM_DB_URL", System.getenv("LOOM_DB_URL").replaceAll("/[^/]*$", "/" + loom.database()));
        assertThat(backup.start().waitFor()).isZero();
        run(folder, 0, "restore", whole.toString());
        run(folder, 0, "backup", kept.toString());
        Backup good = Backup.read(kept);
        Path touched = folder.resolve("touched");

        for (String statement : List.of(
                "\\! touch " + touched,
                "system touch " + touched + ";",
                "tee " + touched,
                "select 'x' into outfile '" + touched + "';",
                "drop database " + DATABASE + ";",
                "delete from " + DATABASE + ".account;",
                "create trigger t before insert on theme for each row set new.name = 'x';",
                "create user somebody identified by 'x';"))
            refused(folder, kept, good.dumping(dump -> statement + "\n" + dump), "could not be read");
        refused(
                folder,
                kept,
                good.dumping(dump -> "create table unrelated (id int);\n" + dump),
                "are not those of version");
        refused(
                folder,
                kept,
                new Backup(good.head.replaceAll("-- rows .*\n", ""), "create table unrelated (id int);\n"),
                "are not those of version");
        refused(
                folder,
                kept,
                good.dumping(dump -> dump.replaceFirst("INSERT INTO `account` .*\n", "")),
                "the backup says that account has");
        refused(
                folder,
                kept,
                good.dumping(dump -> dump.replaceFirst("(CREATE TABLE `account` \\(\n)", "$1  `extra` int,\n")),
                "could not be read");
        refused(
                folder,
                kept,
                good.saying("-- tables of version ", "-- tables of version 9"),
                "was made by a newer version");
        Files.write(folder.resolve("plain.gz"), new byte[] {1, 2, 3});
        assertThat(run(folder, 1, "restore", folder.resolve("plain.gz").toString()))
                .contains("not a whole backup", "nothing was changed");
        byte[] flipped = Files.readAllBytes(kept);
        flipped[flipped.length / 2] ^= 1;
        Files.write(folder.resolve("flipped.gz"), flipped);
        assertThat(run(folder, 1, "restore", folder.resolve("flipped.gz").toString()))
                .contains("not a whole backup", "nothing was changed");
        assertThat(touched).doesNotExist();
        // The same with its own header is put in place, so what refused the others was what was changed.
        run(folder, 0, "restore", good.write(folder.resolve("same.gz")).toString());
        unchanged(folder, kept);
        for (String before : loom.read(
                "select schema_name from information_schema.schemata where schema_name like '" + DATABASE + "%'"))
            loom.change("drop database " + before);
    }

    private void refused(Path folder, Path kept, Backup attack, String why) throws Exception {
        assertThat(run(
                        folder,
                        1,
                        "restore",
                        attack.write(folder.resolve("attack.gz")).toString()))
                .contains(why, "nothing was changed");
        assertThat(loom.read("select count(*) from information_schema.schemata where schema_name = '" + DATABASE
                        + "_incoming'"))
                .as("nothing of it is left")
                .containsExactly("0");
        unchanged(folder, kept);
    }

    private static void unchanged(Path folder, Path kept) throws Exception {
        Path now = folder.resolve("now.gz");
        run(folder, 0, "backup", now.toString());
        assertThat(Files.mismatch(kept, now)).isEqualTo(-1);
    }
}
