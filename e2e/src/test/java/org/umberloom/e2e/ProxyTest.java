package org.umberloom.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The application behind a common proxy with TLS, by the very example in docs/operating.md. */
class ProxyTest {
    @Test
    void behindAProxyTheOriginIsThePublicOneAndCookiesAreSecure(@TempDir Path folder) throws Exception {
        Loom loom = Loom.empty();
        int port = Servers.freePort();
        Servers.run(
                "openssl",
                "req",
                "-x509",
                "-newkey",
                "rsa:2048",
                "-nodes",
                "-days",
                "2",
                "-subj",
                "/CN=localhost",
                "-addext",
                "subjectAltName=DNS:localhost",
                "-keyout",
                folder.resolve("key.pem").toString(),
                "-out",
                folder.resolve("cert.pem").toString());
        Matcher example = Pattern.compile("```nginx\n(.*?)```", Pattern.DOTALL)
                .matcher(Files.readString(Loom.HOME.resolve("docs/operating.md")));
        assertThat(example.find()).as("the example of the document").isTrue();
        String server = example.group(1)
                .replace("listen 443 ssl", "listen 127.0.0.1:" + port + " ssl")
                .replace("http2 on;", "")
                .replace("loom.example.org", "localhost")
                .replace("/etc/ssl/certs/loom.pem", folder.resolve("cert.pem").toString())
                .replace("/etc/ssl/private/loom.key", folder.resolve("key.pem").toString())
                .replace("http://127.0.0.1:8420", loom.address());
        Path configuration = Files.writeString(
                folder.resolve("nginx.conf"),
                "daemon off;\npid " + folder.resolve("pid") + ";\nerror_log " + folder.resolve("error.log") + ";\n"
                        + (Servers.root() ? "user root;\n" : "")
                        + "events {}\nhttp {\naccess_log off;\nclient_body_temp_path " + folder.resolve("b")
                        + ";\nproxy_temp_path " + folder.resolve("p")
                        + ";\nfastcgi_temp_path " + folder.resolve("f") + ";\nuwsgi_temp_path " + folder.resolve("u")
                        + ";\nscgi_temp_path " + folder.resolve("s") + ";\n" + server + "}\n");
        Process nginx = new ProcessBuilder("/usr/sbin/nginx", "-c", configuration.toString())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("out.log").toFile())
                .start();
        try (loom) {
            String address = "https://localhost:" + port;
            Page page = Browsers.insecure().newPage();
            for (int i = 0; i < 100; i++) {
                try {
                    page.navigate(address + "/sign-in");
                    break;
                } catch (com.microsoft.playwright.PlaywrightException notYet) {
                    if (!nginx.isAlive())
                        throw new IllegalStateException(Files.readString(folder.resolve("out.log")), notYet);
                    TimeUnit.MILLISECONDS.sleep(100);
                }
            }
            Browsers.fillSignIn(page);
            page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Library"))
                    .waitFor();
            assertThat(page.context().cookies()).isNotEmpty().allSatisfy(cookie -> assertThat(cookie.secure)
                    .as(cookie.name)
                    .isTrue());
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("New theme").setExact(true))
                    .click();
            page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Behind a proxy");
            page.getByText("Plain").first().click();
            com.microsoft.playwright.WebSocket line = page.waitForWebSocket(() -> page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("Create theme").setExact(true))
                    .click());
            assertThat(line.url()).startsWith("wss://localhost:" + port);
            line.waitForFrameReceived(
                    new com.microsoft.playwright.WebSocket.WaitForFrameReceivedOptions()
                            .setPredicate(frame -> frame.text().contains("revision")),
                    () -> {});
            page.context().close();

            // The address that is throttled is the visitor's, not the proxy's; nobody else's word for it counts.
            Client direct = new Client(loom.address());
            direct.signedIn();
            HttpResponse<String> faked = direct.send(
                    "GET", "/api/session", "", Map.of("X-Forwarded-Proto", "https", "X-Forwarded-For", "203.0.113.7"));
            assertThat(faked.statusCode()).isEqualTo(200);
        } finally {
            nginx.destroy();
            nginx.waitFor();
        }
    }
}
