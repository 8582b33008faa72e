package org.umberloom.app.theme;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where a family is worn. */
@RestController
class WornFamilyController {
    private final WornFamilies families;

    WornFamilyController(WornFamilies families) {
        this.families = families;
    }

    /** The themes in the library that wear a shipped family, the last changed first. */
    @GetMapping("/api/fonts/worn")
    List<WornFamilies.WearingTheme> worn(@RequestParam String family) {
        return families.wearing(family);
    }
}
