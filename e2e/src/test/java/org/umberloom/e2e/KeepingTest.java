package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.umberloom.core.format.KitArchive;
import org.umberloom.core.format.KitManifest;
import org.umberloom.core.format.SiteArchive;
import org.umberloom.core.format.ThemeJson;

/** Copying, putting away, deleting, taking everything home, and bringing it back from a backup. */
class KeepingTest {
    private final Loom loom = Loom.withDemo();

    private Client lead() throws Exception {
        return new Client(loom.address()).signedIn();
    }

    private static JsonArray cards(Client client, String query) throws Exception {
        JsonObject page = JsonParser.parseString(
                        client.send("GET", "/api/themes?" + query, "").body())
                .getAsJsonObject();
        return page.getAsJsonArray("cards");
    }

    /** A theme that cannot be shown once took the library down for everybody, for good. */
    @Test
    void oneThemeThatCannotBeShownLeavesTheOthersAndCanBeTakenHomeAndDeleted() throws Exception {
        Client client = lead();
        String id = client.newTheme("Torn cloth");
        loom.change(
                "update theme set document = '{\"torn\": 1', card_form = 0, revision = revision + 1 where id = " + id);
        assertThat(cards(client, "search=torn%20cl")
                        .get(0)
                        .getAsJsonObject()
                        .get("fault")
                        .getAsString())
                .contains("cannot be shown", "can be exported");
        assertThat(client.send("GET", "/api/themes", "").body()).contains("Torn cloth", "\"findings\"");
        assertThat(cards(client, "search=tern%20passage")
                        .get(0)
                        .getAsJsonObject()
                        .get("name")
                        .getAsString())
                .isEqualTo("Tern Passage");
        assertThat(client.send("GET", "/api/themes/" + id + "/document", "").body())
                .isEqualTo("{\"torn\": 1");
        Map<String, byte[]> everything = KitArchive.read(client.download("/api/everything.zip"));
        assertThat(new String(everything.get("themes/" + id + "/theme.resolver.json"), StandardCharsets.UTF_8))
                .isEqualTo("{\"torn\": 1");

        Page page = Browsers.atLibrary(loom, ColorScheme.LIGHT);
        page.getByLabel("Search themes by name").fill("torn");
        assertThat(page.getByText("This theme cannot be shown.")).isVisible();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Export its document")))
                .isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("More for Torn cloth"))
                .click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Put away"))
                .click();
        assertThat(page.getByText("No theme is called so")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("1 put away"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("More for Torn cloth"))
                .click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Delete for good"))
                .click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("its history of 2 revisions");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Delete for good"))
                .click();
        assertThat(page.getByText("Torn cloth").first()).isHidden();
        page.context().close();
        assertThat(client.send("GET", "/api/themes/" + id + "/card", "").statusCode())
                .isEqualTo(404);
    }

    @Test
    void aThemeIsCopiedPutAwayAndBroughtBackAndOneThatIsWornStays() throws Exception {
        Client client = lead();
        String id = client.newTheme("Quiet cloth");
        String copy =
                client.send("POST", "/api/themes/" + id + "/copy", "{}").body().replaceAll("\\D", "");
        assertThat(cards(client, "search=quiet%20cloth")).hasSize(2);
        assertThat(client.send("PUT", "/api/themes/" + copy + "/put-away", "{\"away\":true}")
                        .statusCode())
                .isEqualTo(200);
        assertThat(cards(client, "search=quiet%20cloth")).hasSize(1);
        assertThat(cards(client, "search=quiet%20cloth&putAway=true")
                        .get(0)
                        .getAsJsonObject()
                        .get("name")
                        .getAsString())
                .isEqualTo("Copy of Quiet cloth");
        client.send("PUT", "/api/themes/" + copy + "/put-away", "{\"away\":false}");
        assertThat(cards(client, "search=quiet%20cloth")).hasSize(2);
        assertThat(cards(client, "search=%25"))
                .as("the pattern letters of SQL stand for themselves")
                .isEmpty();
        client.send("PUT", "/api/themes/1/put-away", "{\"away\":true}");
        assertThat(client.send("DELETE", "/api/themes/1", "").body()).contains("is worn by Crossings");
        client.send("PUT", "/api/themes/1/put-away", "{\"away\":false}");
        for (String one : List.of(id, copy)) {
            assertThat(client.send("DELETE", "/api/themes/" + one, "").body()).contains("put it away first");
            client.send("PUT", "/api/themes/" + one + "/put-away", "{\"away\":true}");
            assertThat(client.send("DELETE", "/api/themes/" + one, "").statusCode())
                    .isEqualTo(200);
        }
    }

    @Test
    void everythingIsTakenHomeInOpenFormats() throws Exception {
        Client client = lead();
        Map<String, byte[]> everything = KitArchive.read(client.download("/api/everything.zip"));
        assertThat(everything)
                .containsKeys(
                        "themes/1/kit.json",
                        "themes/1/theme.css",
                        "sites/crossings/site.json",
                        "sites/crossings/index.html",
                        "sites/crossings/pictures/lamp.svg");
        Map<String, byte[]> site = new java.util.LinkedHashMap<>();
        everything.forEach((name, content) -> {
            if (name.startsWith("sites/galley/")) site.put(name.substring(13), content);
        });
        assertThat(SiteArchive.read("x", site).site().written()).isNotEmpty();
        Map<String, byte[]> theme = new java.util.LinkedHashMap<>();
        everything.forEach((name, content) -> {
            if (name.startsWith("themes/1/")) theme.put(name.substring(9), content);
        });
        assertThat(KitManifest.theme(theme))
                .isEqualTo(ThemeJson.readInline(
                        client.send("GET", "/api/themes/1/document", "").body()));
    }

    /** What was acknowledged before a backup began is in it, and nothing in it is half, though people go on working. */
    @Test
    void aBackupThatIsMadeWhilePeopleWorkIsWholeAndIsTheSameWhereItIsRestored(@TempDir Path folder) throws Exception {
        Client client = lead();
        String id = client.newTheme("Kept");
        AtomicBoolean working = new AtomicBoolean(true);
        List<Integer> acknowledged = new ArrayList<>(List.of(0));
        Thread person = new Thread(() -> {
            try {
                for (int base = 0; working.get(); base++)
                    if (client.send(
                                            "POST",
                                            "/api/themes/" + id + "/edits",
                                            Asked.edit(
                                                    base, Asked.value("shape.radius", base % 40 + "." + base + "px")))
                                    .statusCode()
                            == 200) acknowledged.set(0, base + 1);
            } catch (IOException | InterruptedException e) {
                throw new IllegalStateException(e);
            }
        });
        person.start();
        while (acknowledged.get(0) < 10) TimeUnit.MILLISECONDS.sleep(10);
        int before = acknowledged.get(0);
        Path file = folder.resolve("kept.gz");
        loom("backup", loom.database(), folder, file.toString());
        working.set(false);
        person.join();

        loom.change("create database if not exists umberloom_elsewhere");
        loom("restore", "umberloom_elsewhere", folder, file.toString());
        Path again = folder.resolve("again.gz");
        loom("backup", "umberloom_elsewhere", folder, again.toString());
        assertThat(Files.mismatch(file, again))
                .as("restored elsewhere and kept again it is the same")
                .isEqualTo(-1);
        int kept = Integer.parseInt(loom.read("select revision from umberloom_elsewhere.theme where id = " + id)
                .get(0));
        assertThat(kept).isGreaterThanOrEqualTo(before);
        assertThat(loom.read("select count(*) from umberloom_elsewhere.revision where theme_id = " + id))
                .containsExactly(Integer.toString(kept + 1));
        assertThat(loom.read("select count(*) from umberloom_elsewhere.SPRING_SESSION"))
                .as("nobody is signed in by it")
                .containsExactly("0");

        Path damaged = Files.write(folder.resolve("cut.gz"), java.util.Arrays.copyOf(Files.readAllBytes(file), 2_000));
        assertThat(refused("restore", "umberloom_elsewhere", folder, damaged.toString()))
                .contains("not a whole backup", "nothing was changed");
        assertThat(loom.read("select revision from umberloom_elsewhere.theme where id = " + id))
                .containsExactly(Integer.toString(kept));
        loom.change("drop database umberloom_elsewhere");
        for (String replaced : loom.read(
                "select schema_name from information_schema.schemata where schema_name like 'umberloom\\_elsewhere\\_before\\_%'"))
            assertThat(output(on("umberloom_elsewhere", command(folder, "discard", replaced)), 0))
                    .contains(replaced + " is gone");
    }

    /** A folder that only its owner may enter, as the home of root is: the database's user cannot, and it works by itself. */
    @Test
    void aPrivateFolderIsNoHindrance(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("kept.gz");
        loom("backup", loom.database(), folder, file.toString());
        Path home = Files.createDirectory(folder.resolve("private"));
        Files.setPosixFilePermissions(home, PosixFilePermissions.fromString("rwx------"));
        ProcessBuilder restore = command(home, "restore", file.toString());
        restore.environment().remove("LOOM_DB_URL");
        assertThat(output(restore, 0)).contains("Restored from");
        Path again = folder.resolve("again.gz");
        ProcessBuilder backup = command(home, "backup", again.toString());
        backup.environment().remove("LOOM_DB_URL");
        assertThat(output(backup, 0)).contains("Kept in");
        assertThat(Files.mismatch(file, again)).isEqualTo(-1);
    }

    /** It is said before anything is built. */
    @Test
    void aPortThatIsTakenIsSaidAtOnce(@TempDir Path folder) throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            assertThat(output(command(folder, "demo", "--port", Integer.toString(taken.getLocalPort())), 1))
                    .contains("is taken by another program")
                    .doesNotContain("Building");
        }
        assertThat(output(command(folder, "demo", "--port", "seven"), 1)).contains("from 1 to 65535");
    }

    /** Processes that do not listen to being asked: they are ended all the same, and soon. */
    @Test
    void stopEndsWhatHangs(@TempDir Path folder) throws Exception {
        List<Process> deaf = new ArrayList<>();
        for (String name : List.of("umber-loom-app", "mariadbd")) {
            Process process = new ProcessBuilder("bash", "-c", "trap '' TERM; exec -a " + name + " sleep 300").start();
            Files.writeString(
                    folder.resolve(name.equals("mariadbd") ? "db.pid" : "app.pid"), Long.toString(process.pid()));
            deaf.add(process);
        }
        TimeUnit.MILLISECONDS.sleep(300);
        Process stop = command(folder, "stop").start();
        assertThat(stop.waitFor(30, TimeUnit.SECONDS)).isTrue();
        for (Process process : deaf)
            assertThat(process.waitFor(5, TimeUnit.SECONDS)).isTrue();
    }

    private ProcessBuilder command(Path state, String... arguments) {
        List<String> all = new ArrayList<>(List.of(Loom.HOME.resolve("loom").toString()));
        all.addAll(List.of(arguments));
        ProcessBuilder builder =
                new ProcessBuilder(all).directory(Loom.HOME.toFile()).redirectErrorStream(true);
        builder.environment().put("LOOM_STATE", state.toString());
        return builder;
    }

    private String output(ProcessBuilder builder, int code) throws Exception {
        Process process = builder.start();
        String output = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(output).isEqualTo(code);
        return output;
    }

    private void loom(String what, String database, Path state, String file) throws Exception {
        output(on(database, command(state, what, file)), 0);
    }

    private String refused(String what, String database, Path state, String file) throws Exception {
        return output(on(database, command(state, what, file)), 1);
    }

    private static ProcessBuilder on(String database, ProcessBuilder builder) {
        builder.environment().put("LOOM_DB_URL", System.getenv("LOOM_DB_URL").replaceAll("/[^/]*$", "/" + database));
        return builder;
    }
}
