package org.umberloom.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.ProblemDetail;
import org.springframework.security.web.firewall.RequestRejectedException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Around everything else: what fails before a controller is reached, such as a session that cannot be read while the database
 * is away, is answered like all other problems; a person who opens a page is told in one.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class Outages extends OncePerRequestFilter {
    private static final Logger LOG = LoggerFactory.getLogger(Outages.class);
    private final ProblemWriter problems;
    private final Problems known;

    Outages(ProblemWriter problems, Problems known) {
        this.problems = problems;
        this.known = known;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RequestRejectedException e) {
            answer(request, response, Problems.plain(400));
        } catch (RuntimeException e) {
            answer(request, response, known.of(e));
        } catch (ServletException e) {
            LOG.error("request failed", e);
            answer(
                    request,
                    response,
                    e.getRootCause() instanceof RuntimeException cause ? known.of(cause) : Problems.plain(500));
        }
    }

    private void answer(HttpServletRequest request, HttpServletResponse response, ProblemDetail problem)
            throws IOException {
        if (response.isCommitted()) return;
        response.reset();
        problems.answer(request, response, problem);
    }
}
