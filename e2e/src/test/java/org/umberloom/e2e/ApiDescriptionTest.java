package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** The front end's types are generated from a file; it must be what the application says of itself. */
class ApiDescriptionTest {
    @Test
    void theFilesDescriptionIsTheApplicationsOwn() throws IOException {
        Loom loom = Loom.withDemo();
        Page page = Browsers.signedIn(loom, ColorScheme.LIGHT);
        String served = page.request().get(loom.address() + "/api/openapi").text();
        String kept = Files.readString(Loom.HOME.resolve("ui/src/lib/api/openapi.json"));
        JsonMapper json = JsonMapper.builder().build();
        assertThat(json.readTree(kept)).isEqualTo(json.readTree(served));
        page.context().close();
    }
}
