package org.umberloom.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import java.security.Principal;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
class SessionController {
    record SignInRequest(@NotBlank String email, @NotBlank String password) {
    }

    record Person(String name, String email, String role) {
    }

    private final AuthenticationManager authentication;
    private final SecurityContextRepository contexts;
    private final AccountService accounts;

    SessionController(AuthenticationManager authentication, SecurityContextRepository contexts, AccountService accounts) {
        this.authentication = authentication;
        this.contexts = contexts;
        this.accounts = accounts;
    }

    @GetMapping
    Person whoAmI(Principal principal) {
        Account account = accounts.get(principal.getName());
        return new Person(account.name(), account.email(), account.role());
    }

    @PostMapping
    Person signIn(@Valid @RequestBody SignInRequest request, HttpServletRequest http, HttpServletResponse response) {
        Authentication signedIn = authentication.authenticate(
                UsernamePasswordAuthenticationToken.unauthenticated(request.email(), request.password()));
        HttpSession session = http.getSession(false);
        if (session != null) http.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(signedIn);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, http, response);
        return whoAmI(signedIn);
    }

    @DeleteMapping
    ResponseEntity<Void> signOut(HttpServletRequest http) {
        HttpSession session = http.getSession(false);
        if (session != null) session.invalidate();
        SecurityContextHolder.clearContext();
        return ResponseEntity.noContent().build();
    }

    @ExceptionHandler(AuthenticationException.class)
    ProblemDetail notSignedIn() {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.UNAUTHORIZED,
                "The address and the password do not belong together. Check both and try again.");
        problem.setTitle("Not signed in");
        return problem;
    }
}
