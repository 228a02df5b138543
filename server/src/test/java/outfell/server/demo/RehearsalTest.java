package outfell.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import outfell.server.Outfell;

class RehearsalTest {
    @Test
    void the_work_of_a_day_is_gone_through_and_all_of_it_is_there() {
        // a call that is not there, or fails, breaks it off
        try (ConfigurableApplicationContext rehearsed = SpringApplication.run(
                Outfell.class,
                "--outfell.rehearsal=true",
                "--outfell.demo=true",
                "--outfell.memory=rehearsal",
                "--server.port=0")) {
            assertThat(rehearsed.isActive()).as("it has ended by itself").isFalse();
        }
    }
}
