package org.umberloom.app.web;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Every screen is the one page of the front end, which then looks at the address. */
@Controller
class Screens {
    @GetMapping({
        "/",
        "/sign-in",
        "/library",
        "/fonts",
        "/hosts",
        "/people",
        "/invitation/{word}",
        "/bench/{theme}",
        "/kit/{theme}",
        "/dress/{theme}",
        "/coverage/{theme}",
        "/findings/{theme}",
        "/releases/{theme}",
        "/type-sheet/{theme}",
        "/pictures/{theme}",
        "/sites",
        "/sites/{site}",
        "/sites/{site}/{page}"
    })
    String screen() {
        return "forward:/index.html";
    }
}
