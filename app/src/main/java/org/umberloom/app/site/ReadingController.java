package org.umberloom.app.site;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How the text of a site reads. */
@RestController
class ReadingController {
    private final ReadingService reading;

    ReadingController(ReadingService reading) {
        this.reading = reading;
    }

    @GetMapping("/api/sites/{site}/reading")
    ReadingService.SiteReading reading(@PathVariable String site) {
        return reading.of(site);
    }
}
