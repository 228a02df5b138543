package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;

/** What a practice kept in the first schema is still there in the newest. */
class MigrationTest {
    private static final String URL = "jdbc:h2:mem:migration;DB_CLOSE_DELAY=-1";
    private static final String VISIT = "00000000-0000-0000-0000-000000000002";

    @Test
    void answers_events_and_probe_readings_of_the_first_schema_are_carried_over() throws SQLException {
        flyway("1").migrate();
        try (Connection db = DriverManager.getConnection(URL, "sa", "");
                Statement sql = db.createStatement()) {
            sql.execute(
                    "insert into client values ('00000000-0000-0000-0000-000000000001', 'Una Fleet', 'rigger', null, now())");
            sql.execute("insert into visit values ('" + VISIT + "', '00000000-0000-0000-0000-000000000001', "
                    + "date '2026-10-10', 3, 'skarrow-harbour', 'classic', 'OCTOBER', 2, 1, 1, 8, 15, 6, 'NEVER', true, "
                    + "'PREGNANT', true, 2, 1, 'Dr Ashdown by telephone', 'windy')");
            sql.execute("insert into visit_allergy values ('" + VISIT + "', 'lanolin', true)");
            sql.execute("insert into visit_allergy values ('" + VISIT + "', 'oarweed', false)");
            sql.execute("insert into visit_event values ('" + VISIT + "', 'OVER_EXFOLIATION', 4)");
            sql.execute("insert into probe_reading values ('" + VISIT + "', 'SEBUM', 'NOSE', 182.5)");
        }
        flyway("latest").migrate();
        assertThat(rows("select question, yes, on_date, asked from visit_answer order by question"))
                .containsExactly(
                        "lanolin TRUE null 2026-10-10",
                        "over-exfoliation TRUE 2026-10-06 2026-10-10",
                        "pregnant TRUE null 2026-10-10",
                        "prescribed-retinoid TRUE null 2026-10-10");
        assertThat(rows("select kind, word from visit_word")).containsExactly("ALLERGY oarweed");
        assertThat(rows("select quantity, zone, nth, reading from probe_spot")).containsExactly("SEBUM NOSE 0 182.50");
        assertThat(rows("select note from visit").getFirst()).contains("windy", "Dr Ashdown by telephone");
    }

    private static Flyway flyway(String target) {
        return Flyway.configure().dataSource(URL, "sa", "").target(target).load();
    }

    private static List<String> rows(String query) throws SQLException {
        List<String> all = new ArrayList<>();
        try (Connection db = DriverManager.getConnection(URL, "sa", "");
                Statement sql = db.createStatement();
                ResultSet found = sql.executeQuery(query)) {
            while (found.next()) {
                List<String> row = new ArrayList<>();
                for (int i = 1; i <= found.getMetaData().getColumnCount(); i++) {
                    row.add(String.valueOf(found.getObject(i)).replace("true", "TRUE"));
                }
                all.add(String.join(" ", row));
            }
        }
        return all;
    }
}
