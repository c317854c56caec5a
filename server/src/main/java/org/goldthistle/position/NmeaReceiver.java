package org.goldthistle.position;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Optional;
import org.goldthistle.formats.NmeaFix;

/** A receiver that speaks NMEA 0183 over a socket, as many do over a serial line behind one. */
final class NmeaReceiver implements PositionReceiver {
    private final InetSocketAddress address;

    NmeaReceiver(InetSocketAddress address) {
        this.address = address;
    }

    @Override
    public Optional<NmeaFix> next(Duration patience) throws IOException {
        long end = System.nanoTime() + patience.toNanos();
        try (Socket socket = new Socket()) {
            socket.connect(address, (int) patience.toMillis());
            BufferedReader lines =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII));
            for (long left = patience.toMillis(); left > 0; left = (end - System.nanoTime()) / 1_000_000) {
                socket.setSoTimeout((int) left);
                String line = lines.readLine();
                if (line == null) {
                    return Optional.empty(); // it hung up
                }
                Optional<NmeaFix> fix = NmeaFix.read(line);
                if (fix.isPresent()) {
                    return fix;
                }
            }
        } catch (SocketTimeoutException nothingCame) {
            return Optional.empty();
        }
        return Optional.empty();
    }
}
