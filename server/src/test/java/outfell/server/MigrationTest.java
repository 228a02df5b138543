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
    private static final String OTHER = "jdbc:h2:mem:migration-settings;DB_CLOSE_DELAY=-1";
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

    @Test
    void settings_of_before_are_numbered_in_the_order_in_which_they_were_set_and_a_visit_is_of_its_day()
            throws SQLException {
        flyway(OTHER, "5").migrate();
        try (Connection db = DriverManager.getConnection(OTHER, "sa", "");
                Statement sql = db.createStatement()) {
            for (int day = 3; day > 0; day--) {
                sql.execute(
                        "insert into practice_setting values (random_uuid(), 'currency', 'D%d', 'Runa', timestamp '2026-10-0%d 10:00:00')"
                                .formatted(day, day));
            }
            sql.execute(
                    "insert into practice_setting values (random_uuid(), 'yardstick/owned', '7', 'Runa', timestamp '2026-10-02 10:00:00')");
            sql.execute(
                    "insert into client (id, name, trade, added_at) values ('00000000-0000-0000-0000-000000000001', 'Una Fleet', 'rigger', now())");
            sql.execute(
                    "insert into visit (id, client_id, on_date, version, site, method, plan_month, outdoor_hours, make_up_days, "
                            + "sunscreen_days, morning_minutes, evening_minutes, most_steps, scent, swings, note) values ('"
                            + VISIT
                            + "', '00000000-0000-0000-0000-000000000001', date '2026-10-10', 3, 'x', 'classic', 'OCTOBER', 2, 1, 1, 8, 15, 6, 'ANY', true, '')");
        }
        flyway(OTHER, "latest").migrate();
        assertThat(rows(OTHER, "select set_to, nth from practice_setting where name = 'currency' order by nth"))
                .containsExactly("D1 0", "D2 1", "D3 2");
        assertThat(rows(OTHER, "select nth from practice_setting where name <> 'currency'"))
                .containsExactly("0");
        assertThat(rows(OTHER, "select cast(worked_at as date) from visit")).containsExactly("2026-10-10");
        assertThat(rows(OTHER, "select contact, note, version from client")).containsExactly("  0");
    }

    private static Flyway flyway(String target) {
        return flyway(URL, target);
    }

    private static Flyway flyway(String url, String target) {
        return Flyway.configure().dataSource(url, "sa", "").target(target).load();
    }

    private static List<String> rows(String query) throws SQLException {
        return rows(URL, query);
    }

    private static List<String> rows(String url, String query) throws SQLException {
        List<String> all = new ArrayList<>();
        try (Connection db = DriverManager.getConnection(url, "sa", "");
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
