package org.umberloom.app.web;

import jakarta.validation.ConstraintViolationException;
import java.nio.file.InvalidPathException;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.catalina.connector.ClientAbortException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.validation.FieldError;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.MissingRequestValueException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.umberloom.core.delivery.HostFault;

/**
 * Errors as problem details (RFC 9457) that say what happened, what was kept and what to do: sentences of our own, never a
 * class's or a parser's words. "Nothing was changed" is only said where that is known.
 */
@RestControllerAdvice
public class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);
    private static final String UNCHANGED = " Nothing was changed.";
    private static final int LONGEST = 600;
    /** Table, file or disk full, and the error of the system below. Source: MariaDB's list of error codes. */
    private static final Set<Integer> FULL = Set.of(1114, 1021, 1026, 1041, 3, 28);

    private static final String CONNECTION_LOST = "08";
    private static final int MOST_CAUSES = 40;

    /** The problem that an error comes to, also for what is not asked for by a request of its own. */
    public ProblemDetail of(RuntimeException e) {
        if (e instanceof MultipartException) return framework(e, HttpStatus.BAD_REQUEST);
        if (e instanceof InvalidPathException)
            return problem(
                    HttpStatus.BAD_REQUEST,
                    "That was not accepted",
                    "This cannot be the name of a folder or file." + UNCHANGED);
        if (e instanceof IllegalArgumentException)
            return problem(HttpStatus.BAD_REQUEST, "That was not accepted", sentence(e.getMessage()));
        if (e instanceof HeavyWork.TooLong)
            return problem(HttpStatus.BAD_REQUEST, "That takes too long", e.getMessage());
        if (e instanceof Unreadable) {
            LOG.warn("what is stored cannot be shown: {}", e.getMessage());
            return problem(HttpStatus.UNPROCESSABLE_CONTENT, "It cannot be shown", e.getMessage());
        }
        if (e instanceof NoSuchElementException) return problem(HttpStatus.NOT_FOUND, "Not found", e.getMessage());
        if (e instanceof Conflict conflict) return conflict(conflict);
        if (e instanceof HostFault)
            return problem(HttpStatus.UNPROCESSABLE_CONTENT, "The host did not", e.getMessage());
        if (e instanceof HeavyWork.Busy) return problem(HttpStatus.SERVICE_UNAVAILABLE, "Busy", e.getMessage());
        if (e instanceof MayBeStored) {
            LOG.warn("it is not known whether a change was stored: {}", String.valueOf(e.getCause()));
            return problem(HttpStatus.SERVICE_UNAVAILABLE, "Not known whether it is stored", e.getMessage());
        }
        if (e instanceof TooManyTries tries) {
            long seconds = tries.seconds();
            return problem(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "Too many tries",
                    "Too many tries went wrong. Try again in "
                            + (seconds < 90 ? seconds + " seconds." : (seconds + 59) / 60 + " minutes."));
        }
        if (RequestsDone.isRepeat(e)) return storedAlready();
        if (RequestsDone.hasStored()) {
            LOG.warn("what a request changed is stored, but could not be answered: {}", String.valueOf(e));
            return problem(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "Stored, but not shown",
                    "What you did is stored. What it led to could not be shown; load the page again to see it.");
        }
        if (isConnectionLost(e) && RequestsDone.mayHaveStored()) return of(new MayBeStored(e));
        if (isFull(e)) {
            LOG.error("the database has no room left: {}", e.getMessage());
            return problem(
                    HttpStatus.INSUFFICIENT_STORAGE,
                    "No room left",
                    "Nothing more can be stored: the disk of the database is full. "
                            + "What you had is safe. Make room there, then do it again.");
        }
        if (isOutage(e)) {
            LOG.warn("the database cannot be reached: {}", e.getMessage());
            return outage();
        }
        LOG.error("request failed", e);
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong here",
                "The request could not be finished. If it was to change something, that was not stored; load the page "
                        + "again to see what is there.");
    }

    @ExceptionHandler(RuntimeException.class)
    ResponseEntity<ProblemDetail> answer(RuntimeException e) {
        ProblemDetail problem = of(e);
        ResponseEntity.BodyBuilder answer =
                ResponseEntity.status(problem.getStatus()).contentType(MediaType.APPLICATION_PROBLEM_JSON);
        if (e instanceof TooManyTries tries) answer.header(HttpHeaders.RETRY_AFTER, Long.toString(tries.seconds()));
        return answer.body(problem);
    }

    /** Who asked has left. */
    @ExceptionHandler(ClientAbortException.class)
    void gone() {
        // There is nobody to tell.
    }

    @ExceptionHandler(ConstraintViolationException.class)
    ResponseEntity<ProblemDetail> violated(ConstraintViolationException e) {
        return body(problem(
                HttpStatus.BAD_REQUEST,
                "That was not accepted",
                e.getConstraintViolations().stream()
                        .map(one ->
                                String.valueOf(one.getPropertyPath()).replaceAll(".*\\.", "") + " " + one.getMessage())
                        .sorted()
                        .collect(Collectors.joining(", ", "What was sent is not complete: ", "." + UNCHANGED))));
    }

    /** The database cannot be reached at this moment. */
    public static ProblemDetail outage() {
        return problem(
                HttpStatus.SERVICE_UNAVAILABLE,
                "The database cannot be reached",
                "The database does not answer at this moment. Nothing was changed, and what was stored is safe; try "
                        + "again in a few seconds.");
    }

    /** Whether the database is what failed: no connection, or one that broke before anything was committed. */
    public static boolean isOutage(Throwable e) {
        for (Throwable cause : causes(e)) {
            if (cause instanceof DataAccessResourceFailureException
                    || cause instanceof CannotCreateTransactionException) return true;
            if (cause instanceof java.sql.SQLTransientConnectionException
                    || cause instanceof java.sql.SQLNonTransientConnectionException) return true;
            if (cause instanceof SQLException sql
                    && sql.getSQLState() != null
                    && sql.getSQLState().startsWith(CONNECTION_LOST)) return true;
        }
        return false;
    }

    /** Whether a connection broke that was there; one that could not be had did nothing. */
    private static boolean isConnectionLost(Throwable e) {
        for (Throwable cause : causes(e)) {
            if (cause instanceof CannotCreateTransactionException
                    || cause instanceof CannotGetJdbcConnectionException
                    || cause instanceof java.sql.SQLTransientConnectionException) return false;
            if (cause instanceof SQLException sql
                    && sql.getSQLState() != null
                    && sql.getSQLState().startsWith(CONNECTION_LOST)) return true;
        }
        return false;
    }

    /** What led to an error; behind a transaction that could not even be taken back, what went wrong in it. */
    private static List<Throwable> causes(Throwable e) {
        List<Throwable> all = new ArrayList<>();
        for (Throwable cause = e; cause != null && all.size() < MOST_CAUSES; ) {
            all.add(cause);
            cause = cause instanceof TransactionSystemException system && system.getApplicationException() != null
                    ? system.getApplicationException()
                    : cause.getCause();
        }
        return all;
    }

    /** A request that was sent again after it was stored. */
    static ProblemDetail storedAlready() {
        return problem(
                HttpStatus.CONFLICT,
                "Stored already",
                "This was stored already when it was sent before. Nothing was changed a second time.");
    }

    private static boolean isFull(Throwable e) {
        for (Throwable cause : causes(e))
            if (cause instanceof SQLException sql && FULL.contains(sql.getErrorCode())) return true;
        return false;
    }

    private static ProblemDetail conflict(Conflict e) {
        ProblemDetail problem = problem(HttpStatus.CONFLICT, "Changed meanwhile", e.getMessage());
        problem.setProperty("path", e.path());
        problem.setProperty("yours", e.yours());
        problem.setProperty("theirs", e.theirs());
        return problem;
    }

    private static ProblemDetail tooLarge(String detail) {
        return problem(HttpStatus.CONTENT_TOO_LARGE, "Too large", detail);
    }

    /** What the framework itself refuses, in our own words. */
    @Override
    protected ResponseEntity<Object> handleExceptionInternal(
            Exception e, Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail said = framework(e, status);
        return ResponseEntity.status(said.getStatus())
                .headers(headers)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(said);
    }

    private static ProblemDetail framework(Exception e, HttpStatusCode status) {
        for (Throwable cause : causes(e)) if (cause instanceof TooLargeBody body) return tooLarge(body.getMessage());
        if (e instanceof MaxUploadSizeExceededException)
            return tooLarge(
                    "The file is larger than 32 MB, so it was not read. Nothing was imported and nothing was changed.");
        if (e instanceof MethodArgumentNotValidException invalid)
            return problem(
                    HttpStatus.BAD_REQUEST,
                    "That was not accepted",
                    invalid.getBindingResult().getFieldErrors().stream()
                            .map(Problems::said)
                            .sorted()
                            .distinct()
                            .collect(Collectors.joining("; ", "What was sent cannot be used: ", "." + UNCHANGED)));
        if (e instanceof HttpMessageNotReadableException)
            return problem(
                    HttpStatus.BAD_REQUEST,
                    "Not readable",
                    "What was sent could not be read: it is not the JSON that is expected here." + UNCHANGED);
        if (e instanceof MissingServletRequestPartException || e instanceof MultipartException)
            return problem(
                    HttpStatus.BAD_REQUEST,
                    "No file",
                    "No file came with the request, or it was cut off on the way." + UNCHANGED);
        if (e instanceof MissingRequestValueException)
            return problem(
                    HttpStatus.BAD_REQUEST,
                    "Not complete",
                    "The request lacks something that is needed here." + UNCHANGED);
        return status.value() == 500 ? unknown(e) : plain(status.value());
    }

    private static ProblemDetail unknown(Exception e) {
        LOG.error("request failed", e);
        return plain(500);
    }

    private static String said(FieldError error) {
        return error.getField() + " "
                + (error.isBindingFailure() ? "is not what is expected there" : error.getDefaultMessage());
    }

    private static ResponseEntity<ProblemDetail> body(ProblemDetail problem) {
        return ResponseEntity.status(problem.getStatus())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }

    /** What a status alone says. */
    static ProblemDetail plain(int status) {
        return switch (status) {
            case 400 ->
                problem(
                        HttpStatus.BAD_REQUEST,
                        "Not understood",
                        "The address or what was sent with it is not understood here." + UNCHANGED);
            case 401 -> problem(HttpStatus.UNAUTHORIZED, "Not signed in", "Sign in to see this." + UNCHANGED);
            case 403 ->
                problem(
                        HttpStatus.FORBIDDEN,
                        "Not allowed",
                        "This session may not do that." + UNCHANGED + " Load the page again, or sign in anew.");
            case 404 -> problem(HttpStatus.NOT_FOUND, "Not found", "There is nothing at this address.");
            case 405 ->
                problem(
                        HttpStatus.METHOD_NOT_ALLOWED,
                        "Not possible",
                        "That cannot be done at this address." + UNCHANGED);
            case 406 ->
                problem(
                        HttpStatus.NOT_ACCEPTABLE,
                        "Not in that form",
                        "This is not to be had in the form that was asked for.");
            case 413 -> tooLarge("What was sent is too large, so it was not read." + UNCHANGED);
            case 415 ->
                problem(
                        HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                        "Not in that form",
                        "What was sent is not in a form that is understood here." + UNCHANGED);
            case 503 -> outage();
            default ->
                status >= 500
                        ? problem(
                                HttpStatus.INTERNAL_SERVER_ERROR,
                                "Something went wrong here",
                                "The request could not be finished. If it was to change something, look at what is "
                                        + "there before you do it again.")
                        : problem(HttpStatus.valueOf(status), "Not accepted", "That was not accepted." + UNCHANGED);
        };
    }

    /** A problem with a sentence of bounded length in which nothing is broken. */
    public static ProblemDetail problem(HttpStatus status, String title, String detail) {
        String said = detail == null ? title : detail;
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                status, said.length() <= LONGEST ? clean(said) : clean(said.substring(0, LONGEST)) + "…");
        problem.setTitle(title);
        return problem;
    }

    /** What an error comes to, as a sentence. */
    public static String words(RuntimeException e) {
        return e instanceof IllegalArgumentException || e instanceof Unreadable
                ? sentence(e.getMessage())
                : "It could not be written.";
    }

    /** What is said of a part of something is a sentence where it stands by itself. */
    private static String sentence(String text) {
        if (text == null || text.isBlank()) return "That was not accepted." + UNCHANGED;
        String ended = ".!?…".indexOf(text.charAt(text.length() - 1)) >= 0 ? text : text + ".";
        return Character.toUpperCase(ended.charAt(0)) + ended.substring(1);
    }

    private static String clean(String text) {
        for (int i = 0; i < text.length(); i++)
            if (Character.isSurrogate(text.charAt(i))) return text.replaceAll("\\p{Cs}", "\ufffd");
        return text;
    }
}
