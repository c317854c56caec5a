package org.goldthistle.position;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.goldthistle.ServerTest;
import org.goldthistle.core.plot.GeoPosition;
import org.junit.jupiter.api.Test;

/** The receiver as the server hears it over its socket. */
class ReceiverTest extends ServerTest {

    @Test
    void the_simulated_receiver_stands_in_kettle_moss() {
        JsonNode fix = signedIn("Dipper").get("/api/receiver/fix").expect(200);

        var there = new GeoPosition(
                fix.path("latitude").asDouble(), fix.path("longitude").asDouble());
        assertThat(there.distanceTo(new GeoPosition(55.03044, -20.38412))).isLessThan(20);
        assertThat(fix.path("simulated").asBoolean()).isTrue();
    }

    @Test
    void sentences_that_are_no_fix_are_passed_over() throws IOException {
        try (ServerSocket device = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            answer(
                    device,
                    "$GPGSV,nothing*00\r\n$GPGGA,091500.00,5501.8048,N,02023.0400,W,1,08,0.9,21.5,M,,M,,*58\r\n");

            var fix = new NmeaReceiver((InetSocketAddress) device.getLocalSocketAddress()).next(Duration.ofSeconds(5));

            assertThat(fix.orElseThrow().satellites()).isEqualTo(8);
        }
    }

    @Test
    void a_receiver_that_hangs_up_has_no_fix() throws IOException {
        try (ServerSocket device = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            answer(device, "");

            assertThat(new NmeaReceiver((InetSocketAddress) device.getLocalSocketAddress()).next(Duration.ofSeconds(5)))
                    .isEmpty();
        }
    }

    @Test
    void a_receiver_that_never_ends_a_line_or_drips_is_not_listened_to_for_ever() throws IOException {
        for (int pause : new int[] {0, 50}) {
            try (ServerSocket device = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
                drip(device, pause);
                long begun = System.nanoTime();

                assertThat(new NmeaReceiver((InetSocketAddress) device.getLocalSocketAddress())
                                .next(Duration.ofSeconds(1)))
                        .isEmpty();
                assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Duration.ofSeconds(10));
            }
        }
    }

    private static void drip(ServerSocket device, int pauseMillis) {
        Thread thread = new Thread(() -> {
            try (Socket listener = device.accept()) {
                while (true) {
                    listener.getOutputStream().write('x');
                    Thread.sleep(pauseMillis);
                }
            } catch (IOException | InterruptedException hungUp) {
                Thread.currentThread().interrupt(); // the receiver has heard enough
            }
        });
        thread.setDaemon(true);
        thread.start();
    }

    private static void answer(ServerSocket device, String text) {
        Thread thread = new Thread(() -> {
            try (Socket listener = device.accept()) {
                listener.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
            } catch (IOException broken) {
                throw new UncheckedIOException(broken);
            }
        });
        thread.setDaemon(true);
        thread.start();
    }
}
