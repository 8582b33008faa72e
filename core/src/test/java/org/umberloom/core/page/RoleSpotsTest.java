package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Contract;

/** Which elements take which role, and which hide it; what Chromium makes of the same is a browser test. */
class RoleSpotsTest {
    private static Map<String, RoleSpots.Found> body(String markup) {
        return RoleSpots.of("<!doctype html><html><head></head><body>" + markup + "</body></html>");
    }

    @Test
    void onlyRolesAreNamed() {
        assertThat(RoleSpots.of(Specimen.page("page", Map.of())).keySet())
                .isNotEmpty()
                .allMatch(path -> Contract.standard().filledBy(path).isPresent());
    }

    @Test
    void aSpotTakesTheRoleOfTheSurfaceThatItStandsOnAndHidesItByAValueOfItsOwn() {
        Map<String, RoleSpots.Found> found = body(
                "<p><a href=\"#\">1</a></p><div data-surface=\"deep\"><a href=\"#\" style=\"color: red\">2</a></div>");
        assertThat(found.get("surface.page.link").taking()).isEqualTo(List.of(2));
        assertThat(found.get("surface.page.link").hiding()).isEmpty();
        assertThat(found.get("surface.deep.link").taking()).isEmpty();
        assertThat(found.get("surface.deep.link").hiding()).isEqualTo(List.of(4));
    }

    @Test
    void aRuleThatTakesNoRoleKeepsOthersFromBeingNamed() {
        // A link in a notice has the notice's color: it inherits.
        assertThat(body("<p data-part=\"notice\" data-state=\"good\">It is <a href=\"#\">done</a>.</p>"))
                .doesNotContainKey("surface.page.link");
    }
}
