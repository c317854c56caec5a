package org.goldthistle.core.stranger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;

class MisnamedTest {
    @Test
    void of_those_that_may_be_signed_a_share_is_contested_unless_none_may() {
        assertThat(new IfSomethingElse.Misnamed(0.5, 0.2, Optional.empty()).flaggedOfSignable())
                .hasValueSatisfying(share -> assertThat(share).isCloseTo(0.4, within(1e-12)));
        assertThat(new IfSomethingElse.Misnamed(0.5, 0.2, Optional.empty()).unnoticed())
                .isCloseTo(0.3, within(1e-12));
        assertThat(new IfSomethingElse.Misnamed(0, 0, Optional.empty()).flaggedOfSignable())
                .isEmpty();
    }
}
