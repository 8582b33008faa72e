package org.umberloom.app.asset;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The families that can be chosen. */
@RestController
@RequestMapping("/api/fonts")
class FontController {
    private final FontCatalog catalog;
    private final FontFiles files;

    FontController(FontCatalog catalog, FontFiles files) {
        this.catalog = catalog;
        this.files = files;
    }

    @GetMapping
    List<FontCatalog.Family> fonts() {
        return catalog.families();
    }

    /** What they are like, to be chosen by. */
    @GetMapping("/facts")
    List<FontFiles.FamilyFacts> facts() {
        return files.facts();
    }
}
