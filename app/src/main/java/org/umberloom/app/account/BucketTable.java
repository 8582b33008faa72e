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
    private static final int HOURS_KEPT = 24;

    private final DataSource database;

    BucketTable(DataSource database) {
        super(ClientSideConfig.getDefault());
        this.database = database;
    }

    /** Drops buckets that are full again. */
    void clean() {
        try (Connection connection = database.getConnection(); PreparedStatement delete = connection.prepareStatement(
                "delete from bucket where expires_at < unix_timestamp()")) {
            delete.executeUpdate();
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    @Override
    public void removeProxy(String key) {
        try (Connection connection = database.getConnection(); PreparedStatement delete = connection.prepareStatement(
                "delete from bucket where id = ?")) {
            delete.setString(1, key);
            delete.executeUpdate();
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    @Override
    protected SelectForUpdateBasedTransaction allocateTransaction(String key, Optional<Long> timeout) {
        try {
            return new Row(database.getConnection(), key);
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    private static RuntimeException failed(SQLException e) {
        return new BucketExceptions.BucketExecutionException(e);
    }

    private record Row(Connection connection, String key) implements SelectForUpdateBasedTransaction {
        @Override
        public void begin(Optional<Long> timeout) {
            try {
                connection.setAutoCommit(false);
            } catch (SQLException e) {
                throw failed(e);
            }
        }

        @Override
        public LockAndGetResult tryLockAndGet(Optional<Long> timeout) {
            try (PreparedStatement select = connection.prepareStatement("select state from bucket where id = ? for update")) {
                select.setString(1, key);
                try (ResultSet rows = select.executeQuery()) {
                    return rows.next() ? LockAndGetResult.locked(rows.getBytes(1)) : LockAndGetResult.notLocked();
                }
            } catch (SQLException e) {
                throw failed(e);
            }
        }

        @Override
        public boolean tryInsertEmptyData(Optional<Long> timeout) {
            try (PreparedStatement insert = connection.prepareStatement("insert ignore into bucket (id, state, expires_at) values (?, null, "
                    + "unix_timestamp() + " + HOURS_KEPT * 3600 + ")")) {
                insert.setString(1, key);
                insert.executeUpdate();
                return true;
            } catch (SQLException e) {
                throw failed(e);
            }
        }

        @Override
        public void update(byte[] data, RemoteBucketState state, Optional<Long> timeout) {
            try (PreparedStatement update = connection.prepareStatement("update bucket set state = ?, expires_at = unix_timestamp() + "
                    + HOURS_KEPT * 3600 + " where id = ?")) {
                update.setBytes(1, data);
                update.setString(2, key);
                update.executeUpdate();
            } catch (SQLException e) {
                throw failed(e);
            }
        }

        @Override
        public void commit(Optional<Long> timeout) {
            try {
                connection.commit();
            } catch (SQLException e) {
                throw failed(e);
            }
        }

        @Override
        public void rollback() {
            try {
                connection.rollback();
            } catch (SQLException e) {
                throw failed(e);
            }
        }

        /** Back to the pool, which sets it as it was. */
        @Override
        public void release() {
            try {
                connection.close();
            } catch (SQLException e) {
                throw failed(e);
            }
        }
    }
}
