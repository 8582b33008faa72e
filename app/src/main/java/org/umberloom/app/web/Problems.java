package org.umberloom.app.web;

import java.util.NoSuchElementException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Errors as problem details (RFC 9457) that say what happened, what was kept and what to do. */
@RestControllerAdvice
public class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    /** The problem that an error comes to, also for what is not asked for by a request of its own. */
    @ExceptionHandler(RuntimeException.class)
    public ProblemDetail of(RuntimeException e) {
        if (e instanceof IllegalArgumentException) return problem(HttpStatus.BAD_REQUEST, "That was not accepted", e.getMessage());
        if (e instanceof NoSuchElementException) return problem(HttpStatus.NOT_FOUND, "Not found", e.getMessage());
        if (e instanceof Conflict conflict) return conflict(conflict);
        LOG.error("request failed", e);
        return problem(HttpStatus.INTERNAL_SERVER_ERROR, "Something went wrong here",
                "The request could not be finished. Nothing was changed; try again.");
    }

    private static ProblemDetail conflict(Conflict e) {
        ProblemDetail problem = problem(HttpStatus.CONFLICT, "Changed meanwhile", e.getMessage());
        problem.setProperty("path", e.path());
        problem.setProperty("yours", e.yours());
        problem.setProperty("theirs", e.theirs());
        return problem;
    }

    @Override
    protected org.springframework.http.ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException e, org.springframework.http.HttpHeaders headers,
            org.springframework.http.HttpStatusCode status, org.springframework.web.context.request.WebRequest request) {
        return org.springframework.http.ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE)
                .body(problem(HttpStatus.CONTENT_TOO_LARGE, "Too large",
                        "The file is larger than 32 MB, so it was not read. Nothing was imported and nothing was changed."));
    }

    private static ProblemDetail problem(HttpStatus status, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail == null ? title : detail);
        problem.setTitle(title);
        return problem;
    }
}
