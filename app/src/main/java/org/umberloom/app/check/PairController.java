package org.umberloom.app.check;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The pairs of colors that occur on the pages of a theme's sites. */
@RestController
@RequestMapping("/api/themes/{id}/pairs")
class PairController {
    private final PairService pairs;

    PairController(PairService pairs) {
        this.pairs = pairs;
    }

    @GetMapping
    PairService.PairsView pairs(@PathVariable long id) {
        return pairs.pairs(id);
    }
}
