package org.umberloom.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.AuthenticationServiceException;
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
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.app.web.Problems;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
class SessionController {
    record SignInRequest(@NotBlank @Size(max = 200) String email, @NotBlank @Size(max = 200) String password) {}

    record PasswordRequest(@NotBlank @Size(max = 200) String current, @NotBlank @Size(max = 200) String fresh) {}

    /** How many other sessions were ended. */
    record Ended(int sessions) {}

    record Person(String name, String email, String role) {}

    private final AuthenticationManager authentication;
    private final SecurityContextRepository contexts;
    private final AccountService accounts;
    private final Throttle throttle;
    private final ApplicationEventPublisher events;

    SessionController(
            AuthenticationManager authentication,
            SecurityContextRepository contexts,
            AccountService accounts,
            Throttle throttle,
            ApplicationEventPublisher events) {
        this.throttle = throttle;
        this.events = events;
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
        Authentication signedIn = throttle.signingIn(
                request.email(),
                http.getRemoteAddr(),
                () -> authentication.authenticate(UsernamePasswordAuthenticationToken.unauthenticated(
                        request.email(), Passwords.written(request.password()))));
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
        if (session != null) {
            String id = session.getId();
            session.invalidate();
            events.publishEvent(new SignedOut(id));
        }
        SecurityContextHolder.clearContext();
        return ResponseEntity.noContent().build();
    }

    /** Changes one's own password; one's other sessions end. A wrong current one counts as a wrong sign-in. */
    @PutMapping("/password")
    void changePassword(@Valid @RequestBody PasswordRequest request, Principal principal, HttpServletRequest http) {
        throttle.signingIn(principal.getName(), http.getRemoteAddr(), () -> {
            accounts.changePassword(
                    principal.getName(),
                    request.current(),
                    request.fresh(),
                    http.getSession().getId());
            return true;
        });
    }

    @DeleteMapping("/others")
    Ended endOthers(Principal principal, HttpServletRequest http) {
        return new Ended(
                accounts.endSessions(principal.getName(), http.getSession().getId()));
    }

    @ExceptionHandler(AuthenticationException.class)
    ResponseEntity<ProblemDetail> notSignedIn(AuthenticationException e) {
        if (e instanceof AuthenticationServiceException && Problems.isOutage(e)) return answer(Problems.outage());
        if (e instanceof AuthenticationServiceException)
            return answer(Problems.problem(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "Not signed in",
                    "Many people are signing in at this moment. Try again in a few seconds."));
        return answer(Problems.problem(
                HttpStatus.UNAUTHORIZED,
                "Not signed in",
                "The address and the password do not belong together. Check both and try again."));
    }

    private static ResponseEntity<ProblemDetail> answer(ProblemDetail problem) {
        return ResponseEntity.status(problem.getStatus())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }
}
