package org.umberloom.app.theme;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Single tokens of a theme. */
@RestController
@RequestMapping("/api")
class TokenController {
    private final TokenService tokens;

    TokenController(TokenService tokens) {
        this.tokens = tokens;
    }

    @GetMapping("/themes/{id}/tokens")
    TokenService.TokenList list(@PathVariable long id, @RequestParam(defaultValue = "") String combo) {
        return tokens.list(id, combo);
    }

    @GetMapping("/themes/{id}/token")
    TokenService.TokenView token(
            @PathVariable long id, @RequestParam(defaultValue = "") String combo, @RequestParam String path) {
        return tokens.token(id, combo, path);
    }

    @GetMapping("/themes/{id}/untidy")
    List<ThemeViews.FindingView> untidy(@PathVariable long id) {
        return tokens.untidy(id);
    }

    /** What a derivation can do. */
    @GetMapping("/operations")
    List<TokenService.OperationView> operations() {
        return tokens.operations();
    }
}
