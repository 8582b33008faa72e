package org.umberloom.app.account;

import io.github.bucket4j.BucketExceptions;
import io.github.bucket4j.distributed.proxy.ClientSideConfig;
import io.github.bucket4j.distributed.proxy.generic.select_for_update.AbstractSelectForUpdateBasedProxyManager;
import io.github.bucket4j.distributed.proxy.generic.select_for_update.LockAndGetResult;
import io.github.bucket4j.distributed.proxy.generic.select_for_update.SelectForUpdateBasedTransaction;
import io.github.bucket4j.distributed.remote.RemoteBucketState;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Optional;
import javax.sql.DataSource;

/**
 * Buckets of the throttling library in the table {@code bucket}, by a row lock, so that all processes count together. (The
 * library's own for MySQL needs classes of another driver.)
 */
final class BucketTable extends AbstractSelectForUpdateBasedProxyManager<String> {
    /** A bucket that nobody asked for this long is full again, so it can go. */
    private static final int SECONDS_KEPT = 24 * 3600;

    private final DataSource database;

    BucketTable(DataSource database) {
        super(ClientSideConfig.getDefault());
        this.database = database;
    }

    /** Drops buckets that are full again. */
    void clean() {
        done(() -> {
            try (Connection connection = database.getConnection()) {
                change(connection, "delete from bucket where expires_at < unix_timestamp()");
            }
        });
    }

    @Override
    public void removeProxy(String key) {
        done(() -> {
            try (Connection connection = database.getConnection()) {
                change(connection, "delete from bucket where id = ?", key);
            }
        });
    }

    @Override
    protected SelectForUpdateBasedTransaction allocateTransaction(String key, Optional<Long> timeout) {
        return told(() -> new Row(database.getConnection(), key));
    }

    private static void change(Connection connection, String sql, Object... parameters) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            for (int i = 0; i < parameters.length; i++) statement.setObject(i + 1, parameters[i]);
            statement.executeUpdate();
        }
    }

    private interface Asking<T> {
        T ask() throws SQLException;
    }

    private interface Doing {
        void run() throws SQLException;
    }

    /** What the database says; where it fails, the library's own error. */
    private static <T> T told(Asking<T> asking) {
        try {
            return asking.ask();
        } catch (SQLException e) {
            throw new BucketExceptions.BucketExecutionException(e);
        }
    }

    private static void done(Doing doing) {
        told(() -> {
            doing.run();
            return true;
        });
    }

    private record Row(Connection connection, String key) implements SelectForUpdateBasedTransaction {
        @Override
        public void begin(Optional<Long> timeout) {
            done(() -> connection.setAutoCommit(false));
        }

        @Override
        public LockAndGetResult tryLockAndGet(Optional<Long> timeout) {
            return told(() -> {
                try (PreparedStatement select =
                        connection.prepareStatement("select state from bucket where id = ? for update")) {
                    select.setString(1, key);
                    try (ResultSet rows = select.executeQuery()) {
                        return rows.next() ? LockAndGetResult.locked(rows.getBytes(1)) : LockAndGetResult.notLocked();
                    }
                }
            });
        }

        @Override
        public boolean tryInsertEmptyData(Optional<Long> timeout) {
            done(() -> change(
                    connection,
                    "insert ignore into bucket (id, state, expires_at) values (?, null, unix_timestamp() + ?)",
                    key,
                    SECONDS_KEPT));
            return true;
        }

        @Override
        public void update(byte[] data, RemoteBucketState state, Optional<Long> timeout) {
            done(() -> change(
                    connection,
                    "update bucket set state = ?, expires_at = unix_timestamp() + ? where id = ?",
                    data,
                    SECONDS_KEPT,
                    key));
        }

        @Override
        public void commit(Optional<Long> timeout) {
            done(connection::commit);
        }

        @Override
        public void rollback() {
            done(connection::rollback);
        }

        /** Back to the pool, which sets it as it was. */
        @Override
        public void release() {
            done(connection::close);
        }
    }
}
