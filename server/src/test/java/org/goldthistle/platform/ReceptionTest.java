package org.goldthistle.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.ServletInputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.DelegatingServletInputStream;
import org.springframework.mock.web.MockHttpServletRequest;

class ReceptionTest {
    private static MockHttpServletRequest from(String address, InputStream body) {
        var request = new MockHttpServletRequest() {
            @Override
            public ServletInputStream getInputStream() {
                return new DelegatingServletInputStream(body);
            }
        };
        request.setRemoteAddr(address);
        return request;
    }

    /** Blocks until it is let go, then ends. */
    private static InputStream heldBy(CountDownLatch held, CountDownLatch begun) {
        return new InputStream() {
            @Override
            public int read() throws IOException {
                begun.countDown();
                try {
                    held.await();
                } catch (InterruptedException stopped) {
                    throw new IOException(stopped);
                }
                return -1;
            }
        };
    }

    @Test
    void a_body_is_taken_in_up_to_one_byte_more_than_it_may_have() throws IOException {
        var reception = new Reception(2, 2);
        var to = new ByteArrayOutputStream();

        long whole = reception.take(from("10.0.0.1", new ByteArrayInputStream(new byte[100])), 100, to);
        long cut = reception.take(
                from("10.0.0.1", new ByteArrayInputStream(new byte[100_000])), 100, new ByteArrayOutputStream());

        assertThat(whole).isEqualTo(100);
        assertThat(to.size()).isEqualTo(100);
        assertThat(cut).isEqualTo(101);
    }

    @Test
    void whoever_sends_slowly_takes_their_own_turn_and_nobody_else_s() throws Exception {
        var reception = new Reception(3, 1);
        var held = new CountDownLatch(1);
        var begun = new CountDownLatch(1);
        CompletableFuture<Long> slow = CompletableFuture.supplyAsync(() -> {
            try {
                return reception.take(from("10.0.0.1", heldBy(held, begun)), 100, new ByteArrayOutputStream());
            } catch (IOException broken) {
                throw new IllegalStateException(broken);
            }
        });
        begun.await();

        assertThatThrownBy(() -> reception.take(
                        from("10.0.0.1", new ByteArrayInputStream(new byte[1])), 1, new ByteArrayOutputStream()))
                .hasMessageContaining("sent at once");
        assertThat(reception.take(
                        from("10.0.0.2", new ByteArrayInputStream(new byte[1])), 1, new ByteArrayOutputStream()))
                .isEqualTo(1);

        held.countDown();
        slow.join();
        assertThat(reception.take(
                        from("10.0.0.1", new ByteArrayInputStream(new byte[1])), 1, new ByteArrayOutputStream()))
                .isEqualTo(1);
    }
}
