package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.util.Collection;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a tablet comes to trust: an authority that is made once, and signs the server's certificate. */
class CertificateTest {
    @TempDir
    private Path folder;

    @Test
    void the_authority_is_made_once_and_signs_what_the_machine_is_reached_by() throws Exception {
        String make = "STATE=" + folder + "; serve_certificate";
        Shell.run(make);
        X509Certificate authority = authority();
        X509Certificate server = server();

        server.verify(authority.getPublicKey());
        assertThat(authority.getBasicConstraints()).isZero(); // it signs servers, no further authorities
        assertThat(server.getBasicConstraints()).isEqualTo(-1);
        Collection<List<?>> names = server.getSubjectAlternativeNames();
        assertThat(names).anyMatch(name -> name.get(1).equals("127.0.0.1"));
        for (String secret : List.of("authority.p12", "certificate.p12", "certificate.pass")) {
            assertThat(Files.getPosixFilePermissions(folder.resolve(secret)))
                    .as(secret)
                    .hasSize(2); // its owner alone reads and writes it
        }

        Shell.run(make);
        assertThat(server()).isEqualTo(server);
        Files.writeString(folder.resolve("certificate.names"), "ip:203.0.113.9\n"); // the machine has moved since
        Shell.run(make);
        assertThat(authority()).isEqualTo(authority);
        assertThat(server()).isNotEqualTo(server);
        server().verify(authority.getPublicKey());
    }

    private X509Certificate authority() throws Exception {
        try (InputStream in = Files.newInputStream(folder.resolve("authority.pem"))) {
            return (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in);
        }
    }

    private X509Certificate server() throws Exception {
        KeyStore store = KeyStore.getInstance(folder.resolve("certificate.p12").toFile(), passphrase());
        return (X509Certificate) store.getCertificate("goldthistle");
    }

    private char[] passphrase() throws IOException {
        return Files.readString(folder.resolve("certificate.pass")).strip().toCharArray();
    }
}
