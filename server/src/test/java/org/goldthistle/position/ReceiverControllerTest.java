package org.goldthistle.position;

import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A receiver that fails, which a simulated one does not. */
class ReceiverControllerTest {
    private final PositionReceiver receiver = mock(PositionReceiver.class);
    private final ReceiverController controller = new ReceiverController(receiver, mock(ReceiverConfiguration.class));

    @Test
    void a_receiver_without_a_fix_is_told_apart_from_one_that_is_not_there() throws IOException {
        when(receiver.next(any())).thenReturn(Optional.empty()); // the problem no-fix
        assertThatThrownBy(controller::showFix).hasMessageContaining("has no fix");

        when(receiver.next(any())).thenThrow(new IOException("unplugged")); // the problem receiver-away
        assertThatThrownBy(controller::showFix).hasMessageContaining("cannot be reached");
    }
}
