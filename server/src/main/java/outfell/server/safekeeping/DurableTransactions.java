package outfell.server.safekeeping;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.DefaultTransactionStatus;

/**
 * A transaction that has ended well is on the disk: the database hands it to the system at commit, and the system hands it
 * to the device before anybody is answered. Without room on the disk none begins.
 */
final class DurableTransactions extends JdbcTransactionManager {
    private static final long serialVersionUID = 1L;
    private final transient DiskRoom room;
    private final transient HikariDataSource pool;

    DurableTransactions(HikariDataSource pool, DiskRoom room) {
        super(pool);
        this.pool = pool;
        this.room = room;
    }

    @Override
    protected void doBegin(Object transaction, TransactionDefinition definition) {
        if (!definition.isReadOnly()) {
            room.demand();
        }
        super.doBegin(transaction, definition);
    }

    @Override
    protected void doCommit(DefaultTransactionStatus status) {
        try {
            super.doCommit(status);
            if (!status.isReadOnly()) {
                flush();
            }
        } catch (RuntimeException | SQLException failed) {
            throw notWritten(failed);
        }
    }

    /** A database that could not write has closed itself; the next connection opens it anew, as it was before. */
    private RuntimeException notWritten(Exception failed) {
        HikariPoolMXBean connections = pool.getHikariPoolMXBean();
        if (connections != null) {
            connections.softEvictConnections();
        }
        return DiskRoom.notWritten(failed);
    }

    /** A database that has closed itself has rolled back everything that was not written. */
    @Override
    protected void doRollback(DefaultTransactionStatus status) {
        try {
            super.doRollback(status);
        } catch (RuntimeException closed) {
            throw notWritten(closed);
        }
    }

    private void flush() throws SQLException {
        DataSource data = obtainDataSource();
        Connection connection = DataSourceUtils.getConnection(data);
        try (Statement sql = connection.createStatement()) {
            sql.execute("checkpoint sync");
        } finally {
            DataSourceUtils.releaseConnection(connection, data);
        }
    }
}
