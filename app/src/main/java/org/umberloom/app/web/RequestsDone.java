package org.umberloom.app.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Clock;
import java.time.Duration;
import java.util.Set;
import javax.sql.DataSource;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.HandlerInterceptor;
import org.umberloom.core.token.Fingerprint;

/**
 * What requests have changed already. Whoever is not told how a request ended sends it again under the same name, which is noted
 * in the very transaction that it changes something in: a repeat is then told that it is stored, and changes nothing. Source of the
 * header: the IETF draft “The Idempotency-Key HTTP Header Field”.
 */
@Component
public class RequestsDone implements TransactionExecutionListener, HandlerInterceptor {
    public static final String HEADER = "Idempotency-Key";
    /** Transactions of the application have names of its own; those of sessions have none. */
    public static final String NAMES = "org.umberloom";

    private static final String DONE = RequestsDone.class.getName();
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");
    private static final int LONGEST = 100;
    private static final Duration KEPT = Duration.ofDays(1);

    private final JdbcTemplate sql;
    private final Clock clock;
    private final ProblemWriter problems;

    RequestsDone(DataSource database, Clock clock, ProblemWriter problems) {
        sql = new JdbcTemplate(database);
        this.clock = clock;
        this.problems = problems;
    }

    /** The request was stored before: this one is a repeat, and is taken back whole. */
    static final class StoredAlready extends RuntimeException {
        private static final long serialVersionUID = 1;

        StoredAlready() {
            super("stored already", null, false, false);
        }
    }

    /** What is known of the transactions of a request. */
    private enum Outcome {
        STORED,
        UNKNOWN,
        TAKEN_BACK
    }

    public static boolean isRepeat(RuntimeException e) {
        return e instanceof StoredAlready;
    }

    /** Whether this request has changed something by now, whatever becomes of its answer. */
    static boolean hasStored() {
        return outcome() == Outcome.STORED;
    }

    /** Whether this request may have changed something before its connection to the database was lost. */
    static boolean mayHaveStored() {
        return outcome() == Outcome.UNKNOWN
                || outcome() == null
                        && RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                        && id(request.getRequest()) != null;
    }

    private static Outcome outcome() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        return request == null ? null : (Outcome) request.getAttribute(DONE, RequestAttributes.SCOPE_REQUEST);
    }

    private static void note(TransactionExecution transaction, Outcome outcome) {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null && ofApplication(transaction) && !hasStored())
            request.setAttribute(DONE, outcome, RequestAttributes.SCOPE_REQUEST);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws Exception {
        String id = READING.contains(request.getMethod()) ? null : id(request);
        if (id == null || sql.queryForObject("select count(*) from request_done where id = ?", Integer.class, id) == 0)
            return true;
        problems.write(response, Problems.storedAlready());
        return false;
    }

    @Override
    public void beforeCommit(TransactionExecution transaction) {
        if (!ofApplication(transaction) || hasStored()) return;
        String id = id();
        if (id == null) return;
        try {
            sql.update("insert into request_done (id, made_at) values (?, ?)", id, ApplicationClock.now(clock));
        } catch (DuplicateKeyException repeated) {
            throw new StoredAlready();
        }
    }

    @Override
    public void afterCommit(TransactionExecution transaction, Throwable failure) {
        note(transaction, failure == null ? Outcome.STORED : Outcome.UNKNOWN);
    }

    @Override
    public void afterRollback(TransactionExecution transaction, Throwable failure) {
        if (outcome() != Outcome.UNKNOWN) note(transaction, Outcome.TAKEN_BACK);
    }

    private static boolean ofApplication(TransactionExecution transaction) {
        return transaction.isNewTransaction()
                && !transaction.isReadOnly()
                && transaction.getTransactionName().startsWith(NAMES);
    }

    private static String id() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                ? id(request.getRequest())
                : null;
    }

    /** Nobody meets the names of somebody else. */
    private static String id(HttpServletRequest request) {
        String named = request.getHeader(HEADER);
        if (named == null || named.isBlank() || named.length() > LONGEST) return null;
        Principal person = request.getUserPrincipal();
        return Fingerprint.of((person == null ? "" : person.getName()) + "\n" + request.getMethod() + "\n"
                + request.getRequestURI() + "\n" + named);
    }

    /** Nobody asks again after a day. */
    @Scheduled(fixedDelayString = "PT1H", initialDelayString = "PT10M")
    void forget() {
        sql.update(
                "delete from request_done where made_at < ?",
                ApplicationClock.now(clock).minus(KEPT));
    }
}
