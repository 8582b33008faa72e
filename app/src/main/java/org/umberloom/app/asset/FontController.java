package org.umberloom.app.asset;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.core.font.Pairing;

/** The families that can be chosen. */
@RestController
@RequestMapping("/api/fonts")
class FontController {
    private final FontCatalog catalog;

    FontController(FontCatalog catalog) {
        this.catalog = catalog;
    }

    @GetMapping
    List<FontCatalog.Family> fonts() {
        return catalog.families();
    }

    /** Families for headings that go with one for text, with the reason. */
    @GetMapping("/pairs")
    List<Pairing> pairs(@RequestParam String text) {
        return FontFiles.shipped().pairs(text);
    }

    /** What they are like, to be chosen by. @param like the family that those most like it come first to; none for no order */
    @GetMapping("/facts")
    List<FontFiles.FamilyFacts> facts(@RequestParam(defaultValue = "") String like) {
        return FontFiles.shipped().alike(like);
    }
}
