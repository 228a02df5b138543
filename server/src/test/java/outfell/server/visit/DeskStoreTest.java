package outfell.server.visit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.NONE,
        properties = {"outfell.demo=true", "outfell.memory=desk-store"})
class DeskStoreTest {
    private static final String RULES = "these rules";
    /** As long as whoever reckons a line waits for a save that must wait for it: then the save would have gone first. */
    private static final long A_WHILE_MS = 300;

    @Autowired
    private DeskStore store;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private JdbcTemplate db;

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void a_line_that_is_reckoned_from_what_a_save_then_changed_is_stale_after_it(boolean wasThere) throws Exception {
        UUID client = Objects.requireNonNull(db.queryForObject("select min(id) from client", UUID.class));
        transaction.executeWithoutResult(tx -> db.update("delete from desk_line where client_id = ?", client));
        if (wasThere) {
            transaction.executeWithoutResult(tx -> store.put(client, DeskStore.Line.NONE, RULES));
        }
        CountDownLatch reads = new CountDownLatch(1);
        try (ExecutorService both = Executors.newFixedThreadPool(2)) {
            Future<?> save = both.submit(() -> {
                reads.await();
                transaction.executeWithoutResult(tx -> store.makeStale(client));
                return true;
            });
            transaction.executeWithoutResult(tx -> {
                store.hold(client);
                reads.countDown();
                waitFor(save);
                store.put(client, DeskStore.Line.NONE, RULES);
            });
            save.get();
        }
        assertThat(store.stale(RULES)).contains(client);
    }

    private static void waitFor(Future<?> save) {
        try {
            save.get(A_WHILE_MS, TimeUnit.MILLISECONDS);
        } catch (TimeoutException itWaits) {
            // as it should
        } catch (Exception broken) {
            throw new IllegalStateException(broken);
        }
    }
}
