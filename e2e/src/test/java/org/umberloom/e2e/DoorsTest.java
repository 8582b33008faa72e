package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.http.HttpResponse;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Who gets in, who is slowed down, who is put out. Numbers in the tests are those of OWASP ASVS 5.0.0, from memory. */
class DoorsTest {
    private static final String GOOD = "three ferries under a lantern";
    private final Loom loom = Loom.withDemo();

    private Client stranger() {
        return new Client(loom.address());
    }

    /** V6.3.1: guessing is slowed down; a right password from elsewhere is not. */
    @Test
    void whoGuessesIsSlowedDownByAccountAndAddress() throws Exception {
        Client client = stranger();
        HttpResponse<String> last = null;
        for (int i = 0; i < 12; i++) last = client.signIn("ivo@ternpassage.example", "wrong " + i);
        assertThat(last.statusCode()).isEqualTo(429);
        assertThat(last.body()).contains("Too many tries");
        assertThat(Integer.parseInt(last.headers().firstValue("Retry-After").orElseThrow()))
                .isBetween(1, 120);
        assertThat(stranger().signIn("ivo@ternpassage.example", Loom.PASSWORD).statusCode())
                .as("the right one, too, from where it was guessed")
                .isEqualTo(429);
        assertThat(stranger().signIn().statusCode()).as("another account").isEqualTo(200);
        assertThat(loom.read("select count(*) from bucket"))
                .as("kept for all processes")
                .doesNotContain("0");
        loom.change("delete from bucket");
    }

    /** V6.2.1 and V6.2.4, NIST SP 800-63B-4, 3.1.1.2: length, and no common ones; V7.4.3: other sessions end. */
    @Test
    void aPasswordIsChangedByItsOwnerAndTheOtherSessionsEnd() throws Exception {
        Client here = stranger();
        here.signedIn();
        String path = invite(here, "pia@ternpassage.example", "Pia Vell");
        assertThat(accept(path, "Pia Vell", GOOD).statusCode()).isEqualTo(200);
        Client pia = stranger();
        assertThat(pia.signIn("pia@ternpassage.example", GOOD).statusCode()).isEqualTo(200);
        Client elsewhere = stranger();
        assertThat(elsewhere.signIn("pia@ternpassage.example", GOOD).statusCode())
                .isEqualTo(200);

        assertThat(change(pia, "not it at all, sorry", "a kettle in the wheelhouse")
                        .body())
                .contains("The current password is not right");
        assertThat(change(pia, GOOD, "short").body()).contains("at least 15");
        assertThat(change(pia, GOOD, "passwordpassword").body()).contains("soon be guessed");
        assertThat(change(pia, GOOD, "aaaaaaaaaaaaaaaaaaaa").body()).contains("soon be guessed");
        assertThat(change(pia, GOOD, "pia@ternpassage.example").body()).contains("soon be guessed");
        assertThat(change(pia, GOOD, "ü".repeat(40)).body()).contains("longer than 72 bytes");
        assertThat(elsewhere.send("GET", "/api/session", "").statusCode()).isEqualTo(200);

        assertThat(change(pia, GOOD, "a kettle in the wheelhouse").statusCode()).isEqualTo(200);
        assertThat(pia.send("GET", "/api/session", "").statusCode()).isEqualTo(200);
        assertThat(elsewhere.send("GET", "/api/session", "").statusCode()).isEqualTo(401);
        assertThat(stranger().signIn("pia@ternpassage.example", GOOD).statusCode())
                .isEqualTo(401);

        Client third = stranger();
        third.signIn("pia@ternpassage.example", "a kettle in the wheelhouse");
        assertThat(pia.send("DELETE", "/api/session/others", "").body()).isEqualTo("{\"sessions\":1}");
        assertThat(third.send("GET", "/api/session", "").statusCode()).isEqualTo(401);

        Client.Socket open = pia.open("/api/themes/1/live", loom.address());
        String number = find(here.send("GET", "/api/people", "").body(), "\"id\":(\\d+),\"name\":\"Pia Vell\"");
        assertThat(here.send("DELETE", "/api/people/" + number, "").statusCode())
                .isEqualTo(200);
        assertThat(open.closed.get(20, TimeUnit.SECONDS)).isEqualTo(4401);
        assertThat(stranger()
                        .signIn("pia@ternpassage.example", "a kettle in the wheelhouse")
                        .statusCode())
                .isEqualTo(401);
        loom.change("delete from bucket");
    }

    @Test
    void anInvitationServesOnceAndItsWordIsNotKept() throws Exception {
        Client lead = stranger().signedIn();
        String path = invite(lead, "Odd.Case@Ternpassage.example", "Odd Case");
        String word = path.substring(path.lastIndexOf('/') + 1);
        assertThat(loom.read("select word from invitation where email = 'odd.case@ternpassage.example'"))
                .singleElement()
                .satisfies(kept -> assertThat(kept).hasSize(64).isNotEqualTo(word));
        assertThat(stranger().send("GET", "/api" + path, "").body())
                .contains("odd.case@ternpassage.example", "\"shortestPassword\":15");
        assertThat(accept(path, "Odd", "too short").body()).contains("at least 15");
        assertThat(accept(path, "Odd Case", GOOD).statusCode()).isEqualTo(200);
        assertThat(accept(path, "Odd Case", GOOD).body()).contains("no longer holds");
        assertThat(invite(lead, "odd.case@ternpassage.example", "Again")).contains("is here already");
        assertThat(invite(lead, "no address", "X")).contains("not an e-mail address");
        String number = find(lead.send("GET", "/api/people", "").body(), "\"id\":(\\d+),\"name\":\"Odd Case\"");
        lead.send("DELETE", "/api/people/" + number, "");
        loom.change("delete from bucket");
    }

    @Test
    void nobodyTakesThemselvesOffAndStrangersSeeNobody() throws Exception {
        Client lead = stranger().signedIn();
        String me = find(lead.send("GET", "/api/people", "").body(), "\"id\":(\\d+),\"name\":\"Maren Oake\"");
        assertThat(lead.send("DELETE", "/api/people/" + me, "").body()).contains("Nobody can take themselves off");
        assertThat(stranger().send("GET", "/api/people", "").statusCode()).isEqualTo(401);
    }

    /** The database's administrator has no password that another user of the machine could try, or leave out. */
    @Test
    void theDatabasesAdministratorIsKnownByTheSocketAlone() {
        for (String user : List.of("root", "mysql", ""))
            assertThatThrownBy(() -> DriverManager.getConnection(
                            System.getenv("LOOM_DB_URL").replaceAll("/[^/]*$", "/mysql"), user, ""))
                    .as(user)
                    .isInstanceOf(SQLException.class)
                    .hasMessageContaining("denied");
    }

    private String invite(Client lead, String email, String name) throws Exception {
        String answer = lead.send(
                        "POST", "/api/people/invitations", "{\"email\":\"" + email + "\",\"name\":\"" + name + "\"}")
                .body();
        Matcher path = Pattern.compile("\"path\":\"([^\"]*)\"").matcher(answer);
        return path.find() ? path.group(1) : answer;
    }

    private HttpResponse<String> accept(String path, String name, String password) throws Exception {
        Client client = stranger();
        client.send("GET", "/api/session", "");
        return client.send("POST", "/api" + path, "{\"name\":\"" + name + "\",\"password\":\"" + password + "\"}");
    }

    private static HttpResponse<String> change(Client client, String current, String fresh) throws Exception {
        return client.send(
                "PUT", "/api/session/password", "{\"current\":\"" + current + "\",\"fresh\":\"" + fresh + "\"}");
    }

    private static String find(String text, String pattern) {
        Matcher found = Pattern.compile(pattern).matcher(text);
        assertThat(found.find()).as(text).isTrue();
        return found.group(1);
    }
}
