package org.goldthistle.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.SQLException;
import java.util.Arrays;
import org.goldthistle.call.CallRefusal;
import org.goldthistle.call.CallRefusedException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.mock.web.MockHttpServletResponse;

/** What nobody foresaw, told in words. */
class ProblemHandlerTest {
    private final ProblemHandler handler = new ProblemHandler();

    @Test
    void what_nobody_foresaw_says_so_and_tells_nothing_of_the_inside() {
        ProblemDetail told = handler.unforeseen(
                new IllegalStateException("table observer is upside down"), new MockHttpServletResponse());

        assertThat(told.getType()).hasToString("/problems/unforeseen");
        assertThat(told.getStatus()).isEqualTo(500);
        assertThat(told.getDetail()).doesNotContain("observer").contains("Nothing of this request was stored");
    }

    @Test
    void two_who_write_the_same_at_one_instant_are_told_so_and_a_broken_rule_is_no_collision() {
        assertThat(handler.atOneInstant(new CannotAcquireLockException("waited"))
                        .getType())
                .hasToString("/problems/at-one-instant");
        assertThat(handler.atOneInstant(new DataIntegrityViolationException("check", new SQLException("rule", "23514")))
                        .getType())
                .hasToString("/problems/unforeseen");
    }

    @ParameterizedTest
    @EnumSource
    void whatever_a_call_refuses_is_told_under_its_own_code(CallRefusal refusal) {
        ProblemDetail told = handler.callRefused(CallRefusedException.unfit(refusal, "no"));

        assertThat(told.getType()).hasToString("/problems/" + refusal.code());
    }

    @Test
    void a_kind_of_problem_is_told_under_its_own_statuses_and_no_other() {
        assertThat(ProblemType.values())
                .allSatisfy(type -> assertThat(type.statuses()).isNotEmpty());
        assertThat(Arrays.stream(ProblemType.values()).map(ProblemType::address))
                .doesNotHaveDuplicates();
        assertThatThrownBy(() -> Problem.missing(ProblemType.TOO_MANY_PHOTOS, "nowhere"))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(Problem.busy().toDetail().getType()).hasToString("/problems/busy");
        assertThat(Problem.tooSlow().toDetail().getType()).hasToString("/problems/too-slow");
        assertThat(Problem.tooSlow().toDetail().getStatus()).isEqualTo(HttpStatus.REQUEST_TIMEOUT.value());
    }
}
