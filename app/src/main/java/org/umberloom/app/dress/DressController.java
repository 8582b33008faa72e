package org.umberloom.app.dress;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A theme's own tokens beside the roles that pages read. */
@RestController
@RequestMapping("/api/themes/{id}/dress")
class DressController {
    private final DressService dressing;

    DressController(DressService dressing) {
        this.dressing = dressing;
    }

    /** What a ramp that was recognised would be if a recipe grew it. */
    @GetMapping("/ramp")
    DressService.TakeoverView ramp(@PathVariable long id, @RequestParam String group, @RequestParam String name) {
        return dressing.ramp(id, group, name);
    }

    @GetMapping
    DressService.DressView dress(@PathVariable long id) {
        return dressing.of(id);
    }
}
