package org.goldthistle.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.autoconfigure.web.ServerProperties;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;

class ReachTest extends ServerTest {
    @TempDir
    private Path folder;

    @Test
    void on_the_loopback_there_is_nothing_to_reach_and_nothing_to_trust() {
        assertThat(stranger().get("/api/reach").expect(200).path("addresses")).isEmpty();
        assertThat(stranger().get("/api/reach").expect(200).has("authority")).isFalse();
        stranger().get("/api/reach/authority").expectProblem(404, "no-authority");
    }

    @Test
    void the_print_of_an_authority_is_that_of_the_certificate_that_is_handed_out() throws Exception {
        Path store = folder.resolve("authority.p12");
        Path file = folder.resolve("authority.pem");
        keytool("-genkeypair", "-keyalg", "EC", "-dname", "CN=Goldthistle test", "-keystore", store.toString());
        keytool("-exportcert", "-rfc", "-keystore", store.toString(), "-file", file.toString());
        Settings settings = mock(Settings.class);
        when(settings.authority()).thenReturn(file.toString());
        var reach =
                new ReachController(new ServerProperties(), mock(ServletWebServerApplicationContext.class), settings);

        String handedOut = new String(reach.exportAuthority().getBody(), StandardCharsets.US_ASCII);

        byte[] certificate = Base64.getMimeDecoder()
                .decode(handedOut.replaceAll("-----[A-Z ]+-----", "").strip());
        assertThat(reach.showReach().authority().replace(":", "")).isEqualToIgnoringCase(Sha256.of(certificate));
        assertThat(handedOut).isEqualTo(Files.readString(file));
    }

    private static void keytool(String... what) throws Exception {
        String[] command = new String[what.length + 7];
        command[0] = Path.of(System.getProperty("java.home"), "bin", "keytool").toString();
        System.arraycopy(what, 0, command, 1, what.length);
        String[] rest = {"-alias", "authority", "-storetype", "PKCS12", "-storepass", "of-this-test"};
        System.arraycopy(rest, 0, command, what.length + 1, rest.length);
        assertThat(new ProcessBuilder(command).redirectErrorStream(true).start().waitFor())
                .isZero();
    }
}
