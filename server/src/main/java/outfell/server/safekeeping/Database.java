package outfell.server.safekeeping;

import com.zaxxer.hikari.HikariDataSource;
import java.time.Clock;
import javax.sql.DataSource;
import org.jooq.ExecuteContext;
import org.jooq.ExecuteListener;
import org.jooq.ExecuteType;
import org.jooq.impl.DefaultExecuteListenerProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The database of the practice: a folder that was opened before anything else, or memory for tests and for training. */
@Configuration(proxyBeanMethods = false)
class Database {
    private static final String IN_MEMORY = "jdbc:h2:mem:%s;DB_CLOSE_DELAY=-1" + DataFile.STATEMENTS;

    @Bean
    Place place() {
        return new Place(Opened.folder());
    }

    /** The schema is there before the pool opens: no connection of the pool ever makes a table. */
    @Bean(destroyMethod = "close")
    HikariDataSource dataSource(
            Place place,
            @Value("${outfell.memory:outfell}") String memory,
            @Value("${outfell.pool.life:30m}") java.time.Duration life) {
        String url = place.folder().map(PracticeFolder::url).orElseGet(() -> IN_MEMORY.formatted(memory));
        if (place.folder().isEmpty()) {
            DataFile.migrateInMemory(url);
        }
        HikariDataSource pool = new HikariDataSource();
        pool.setPoolName("practice");
        pool.setJdbcUrl(url);
        pool.setUsername("sa");
        pool.setPassword("");
        pool.setMaxLifetime(life.toMillis());
        return pool;
    }

    @Bean
    DiskRoom diskRoom(Place place) {
        return new DiskRoom(() ->
                place.folder().map(f -> f.folder().toFile().getUsableSpace()).orElse(Long.MAX_VALUE));
    }

    @Bean
    DurableTransactions transactionManager(HikariDataSource pool, DiskRoom room) {
        return new DurableTransactions(pool, room);
    }

    @Bean
    SafeKeeping safeKeeping(Place place, DataSource data, Clock clock) {
        return new SafeKeeping(place.folder(), data, clock);
    }

    /** A write outside a transaction would be answered before it is on the disk, so there is none. */
    @Bean
    DefaultExecuteListenerProvider writesAreTransactions() {
        return new DefaultExecuteListenerProvider(new ExecuteListener() {
            private static final long serialVersionUID = 1L;

            @Override
            public void start(ExecuteContext ctx) {
                if (ctx.type() != ExecuteType.READ && !TransactionSynchronizationManager.isActualTransactionActive()) {
                    throw new IllegalStateException(
                            "A write outside a transaction is not flushed; make it part of one.");
                }
            }
        });
    }
}
