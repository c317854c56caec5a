package org.goldthistle.platform;

import jakarta.annotation.Nullable;
import java.io.IOException;
import java.io.InputStream;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.Certificate;
import java.security.cert.CertificateFactory;
import java.util.Collections;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.boot.autoconfigure.web.ServerProperties;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** How a tablet on the same network reaches this server; no address when it listens on the loopback alone. */
@RestController
class ReachController {
    private final ServerProperties server;
    private final ServletWebServerApplicationContext running;
    private final Settings settings;

    ReachController(ServerProperties server, ServletWebServerApplicationContext running, Settings settings) {
        this.server = server;
        this.running = running;
        this.settings = settings;
    }

    /** Where the application can be reached from other devices. */
    @GetMapping("/api/reach")
    @ForAnybody
    ReachDto showReach() throws SocketException {
        InetAddress bound = server.getAddress();
        if (bound == null || bound.isLoopbackAddress()) {
            return new ReachDto(List.of(), authorityPrint());
        }
        int port = running.getWebServer().getPort();
        Stream<InetAddress> addresses = bound.isAnyLocalAddress() ? ownAddresses() : Stream.of(bound);
        return new ReachDto(
                addresses
                        .map(address -> "https://" + address.getHostAddress() + ":" + port)
                        .toList(),
                authorityPrint());
    }

    /** The certificate of the authority that signed this server's, to be installed on a tablet. */
    @GetMapping(path = "/api/reach/authority", produces = "application/x-x509-ca-cert")
    @ForAnybody
    ResponseEntity<byte[]> exportAuthority() throws IOException {
        if (settings.authority().isEmpty()) {
            throw Problem.missing(
                    ProblemType.NO_AUTHORITY,
                    "This server made no authority of its own, so there is no certificate to install. Ask whoever runs it"
                            + " how it is trusted.");
        }
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"goldthistle-authority.crt\"")
                .body(Files.readAllBytes(Path.of(settings.authority())));
    }

    /** Its SHA-256, as systems show it when a certificate is installed; null: there is none. */
    private @Nullable String authorityPrint() {
        if (settings.authority().isEmpty()) {
            return null;
        }
        try (InputStream in = Files.newInputStream(Path.of(settings.authority()))) {
            Certificate certificate = CertificateFactory.getInstance("X.509").generateCertificate(in);
            return HexFormat.ofDelimiter(":")
                    .withUpperCase()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(certificate.getEncoded()));
        } catch (IOException | GeneralSecurityException unreadable) {
            throw new IllegalStateException("the authority's certificate cannot be read", unreadable);
        }
    }

    private static Stream<InetAddress> ownAddresses() throws SocketException {
        return Collections.list(NetworkInterface.getNetworkInterfaces()).stream()
                .flatMap(network -> Collections.list(network.getInetAddresses()).stream())
                .filter(address -> address instanceof Inet4Address && !address.isLoopbackAddress());
    }

    /**
     * @param addresses to open on another device of the same network; may be empty
     * @param authority SHA-256 of the certificate of the authority that signed the server's; null: it has none of its own
     */
    record ReachDto(List<String> addresses, @Nullable String authority) {}
}
