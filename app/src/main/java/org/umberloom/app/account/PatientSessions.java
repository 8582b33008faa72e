package org.umberloom.app.account;

import java.util.Collections;
import java.util.Set;
import java.util.WeakHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.transaction.TransactionException;

/**
 * Sessions in the database. When somebody was here last is noted with every request; where that cannot be written, as on a disk
 * that is full, the request itself goes on: what is stored can still be read.
 */
final class PatientSessions<S extends Session> implements SessionRepository<S> {
    private static final Logger LOG = LoggerFactory.getLogger(PatientSessions.class);

    private final SessionRepository<S> sessions;
    /** Those that were there already; sessions are equal only to themselves. */
    private final Set<S> found = Collections.synchronizedSet(Collections.newSetFromMap(new WeakHashMap<>()));

    PatientSessions(SessionRepository<S> sessions) {
        this.sessions = sessions;
    }

    @Override
    public S createSession() {
        return sessions.createSession();
    }

    @Override
    public void save(S session) {
        try {
            sessions.save(session);
        } catch (DataAccessException | TransactionException e) {
            if (!found.contains(session)) throw e;
            LOG.warn("a session could not be noted as used: {}", e.getMessage());
        }
    }

    @Override
    public S findById(String id) {
        S session = sessions.findById(id);
        if (session != null) found.add(session);
        return session;
    }

    @Override
    public void deleteById(String id) {
        sessions.deleteById(id);
    }
}
