package org.goldthistle.position;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.time.Clock;
import java.util.Optional;
import org.goldthistle.platform.Settings;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Which receiver is listened to: {@code goldthistle.receiver} is "host:port" of one that speaks NMEA 0183; without it
 * the simulated one is.
 */
@Configuration
class ReceiverConfiguration {
    private final Optional<InetSocketAddress> real;

    ReceiverConfiguration(Settings settings) {
        String hostAndPort = settings.receiver();
        int colon = hostAndPort.lastIndexOf(':');
        this.real = colon < 0
                ? Optional.empty()
                : Optional.of(new InetSocketAddress(
                        hostAndPort.substring(0, colon), Integer.parseInt(hostAndPort.substring(colon + 1))));
    }

    @Bean
    SimulatedReceiver simulatedReceiver(Clock clock) throws IOException {
        return new SimulatedReceiver(clock);
    }

    @Bean
    PositionReceiver positionReceiver(SimulatedReceiver simulated) {
        return new NmeaReceiver(real.orElse(simulated.address()));
    }

    /** Whether what is told is made up. */
    boolean isSimulated() {
        return real.isEmpty();
    }
}
