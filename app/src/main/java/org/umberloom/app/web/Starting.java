package org.umberloom.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says that the application is starting until its tables are as they have to be and the demo's people and data are there. Before that
 * a right password would be refused as wrong. Whether it is ready is answered at {@code /api/ready}, to anybody.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Starting extends OncePerRequestFilter {
    private static final String READY = "/api/ready";

    private final ProblemWriter problems;
    private volatile boolean ready;

    Starting(ProblemWriter problems) {
        this.problems = problems;
    }

    @EventListener(ApplicationReadyEvent.class)
    void ready() {
        ready = true;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (ready && request.getRequestURI().equals(READY)) {
            response.setHeader("Cache-Control", "no-store");
            response.setContentType("application/json");
            response.getOutputStream().print("{\"ready\":true}");
        } else if (ready) chain.doFilter(request, response);
        else {
            ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "It prepares its data and answers in a few seconds. Nothing was changed; try again then.");
            problem.setTitle("Umber Loom is starting");
            response.setHeader("Retry-After", "2");
            problems.answer(request, response, problem);
        }
    }
}
