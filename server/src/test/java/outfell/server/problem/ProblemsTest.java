package outfell.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Objects;
import org.apache.catalina.connector.ClientAbortException;
import org.junit.jupiter.api.Test;
import org.springframework.http.ProblemDetail;

/** What nobody foresaw, and what is no fault at all. */
class ProblemsTest {
    private final Problems problems = new Problems();

    @Test
    void who_closed_the_page_while_it_was_sent_is_answered_nothing() {
        assertThat(problems.unforeseen(new ClientAbortException("gone"))).isNull();
    }

    @Test
    void whatever_else_fails_is_said_plainly_and_without_its_inner_name() {
        ProblemDetail told = Objects.requireNonNull(problems.unforeseen(new IllegalStateException("inner words")));
        assertThat(told.getStatus()).isEqualTo(500);
        assertThat(told.getDetail()).isNotNull().doesNotContain("inner words", "IllegalState");
    }
}
