package org.umberloom.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.umberloom.core.css.Stylesheet;
import org.umberloom.core.css.Usage;
import org.umberloom.core.page.PageUse;

/** A page gets what it needs, however many parts there are; sizes as they travel, by gzip (RFC 1952). */
class LeanTest {
    private static int size(List<String> pages) throws IOException {
        PageUse use = PageUse.of(pages);
        String css = Stylesheet.compile(Demo.theme(), Usage.of(use), List.of());
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(packed)) {
            out.write(css.getBytes(StandardCharsets.UTF_8));
        }
        return packed.size();
    }

    @Test
    void aHeaderTextAndAButtonTakeLittle() throws IOException {
        assertThat(size(List.of("<!doctype html><html lang=\"en\"><head><title>t</title></head><body>"
                        + "<header><a href=\"#\">Name</a><nav><ul><li><a href=\"#\">Menu</a></li></ul></nav></header>"
                        + "<main><h1>Title</h1><p>Text</p><button>Do it</button></main></body></html>")))
                .isLessThan(3 * 1024);
    }

    @Test
    void soDoAllPagesOfTheDemo() throws IOException {
        assertThat(size(Demo.pages(Demo.SITES).stream().map(Demo::read).toList()))
                .isLessThan(9 * 1024);
    }

    /** Nothing of a part is written for pages that have it not. */
    @Test
    void whatNoPageHasIsNotWritten() {
        PageUse use = PageUse.of(
                List.of(
                        "<!doctype html><html lang=\"en\"><head><title>t</title></head><body><main><h1>T</h1></main></body></html>"));
        String css = Stylesheet.compile(Demo.theme(), Usage.of(use), List.of());
        assertThat(css).doesNotContain("gallery", "sidebar", "tabs", "details", "comment", "data-part=\"bar\"");
    }
}
