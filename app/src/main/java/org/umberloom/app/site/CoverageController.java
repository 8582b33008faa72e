package org.umberloom.app.site;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where roles and tokens are taken across all sites. */
@RestController
@RequestMapping("/api/coverage")
class CoverageController {
    private final CoverageService coverage;

    CoverageController(CoverageService coverage) {
        this.coverage = coverage;
    }

    /** Every role that a page of a site takes, with how often, and how often something hides it. */
    @GetMapping
    List<CoverageService.RoleTaken> roles(@RequestParam long theme) {
        return coverage.roles(theme);
    }

    /** Every page on which a role, or a token through its roles, is taken. */
    @GetMapping("/spots")
    CoverageService.Taken taken(@RequestParam long theme, @RequestParam @NotBlank @Size(max = 600) String of) {
        return coverage.taken(theme, of);
    }
}
