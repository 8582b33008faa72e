package org.umberloom.app.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes a problem where no controller is: in filters and where the container itself gives up. */
@Component
class ProblemWriter {
    private final JsonMapper json;

    ProblemWriter(JsonMapper json) {
        this.json = json;
    }

    /** As a small page where a person opens one, else for programs. */
    void answer(HttpServletRequest request, HttpServletResponse response, ProblemDetail problem) throws IOException {
        String accepted = request.getHeader("Accept");
        if (accepted != null && accepted.contains("text/html")) ErrorPages.page(response, problem);
        else write(response, problem);
    }

    void write(HttpServletResponse response, ProblemDetail problem) throws IOException {
        response.setStatus(problem.getStatus());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setHeader("Cache-Control", "no-store");
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.getOutputStream().write(json.writeValueAsBytes(problem));
    }
}
