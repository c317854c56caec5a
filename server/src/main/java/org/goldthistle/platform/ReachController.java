package org.goldthistle.platform;

import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.boot.autoconfigure.web.ServerProperties;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** How a tablet on the same network reaches this server; no address when it listens on the loopback alone. */
@RestController
class ReachController {
    private final ServerProperties server;
    private final ServletWebServerApplicationContext running;

    ReachController(ServerProperties server, ServletWebServerApplicationContext running) {
        this.server = server;
        this.running = running;
    }

    /** Where the application can be reached from other devices. */
    @GetMapping("/api/reach")
    @ForAnybody
    ReachDto showReach() throws SocketException {
        InetAddress bound = server.getAddress();
        if (bound == null || bound.isLoopbackAddress()) {
            return new ReachDto(List.of());
        }
        int port = running.getWebServer().getPort();
        Stream<InetAddress> addresses = bound.isAnyLocalAddress() ? ownAddresses() : Stream.of(bound);
        return new ReachDto(addresses
                .map(address -> "https://" + address.getHostAddress() + ":" + port)
                .toList());
    }

    private static Stream<InetAddress> ownAddresses() throws SocketException {
        return Collections.list(NetworkInterface.getNetworkInterfaces()).stream()
                .flatMap(network -> Collections.list(network.getInetAddresses()).stream())
                .filter(address -> address instanceof Inet4Address && !address.isLoopbackAddress());
    }

    /** Addresses to open on another device of the same network; may be empty. */
    record ReachDto(List<String> addresses) {}
}
