package org.goldthistle.position;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.time.Duration;
import java.util.Optional;
import org.goldthistle.formats.NmeaFix;

/** A receiver that speaks NMEA 0183 over a socket, as many do over a serial line behind one. */
final class NmeaReceiver implements PositionReceiver {
    private static final int LONGEST_LINE = 1024; // characters; a sentence has 82

    private final InetSocketAddress address;

    NmeaReceiver(InetSocketAddress address) {
        this.address = address;
    }

    @Override
    public Optional<NmeaFix> next(Duration patience) throws IOException {
        long end = System.nanoTime() + patience.toNanos();
        try (Socket socket = new Socket()) {
            socket.connect(address, (int) patience.toMillis());
            InputStream bytes = socket.getInputStream();
            while (true) {
                Optional<String> line = line(socket, bytes, end);
                if (line.isEmpty()) {
                    return Optional.empty();
                }
                Optional<NmeaFix> fix = NmeaFix.read(line.get());
                if (fix.isPresent()) {
                    return fix;
                }
            }
        } catch (SocketTimeoutException nothingCame) {
            return Optional.empty();
        }
    }

    /** The next line, however slowly its bytes drip; empty: it hung up, the time is over, or no sentence is that long. */
    private static Optional<String> line(Socket socket, InputStream bytes, long end) throws IOException {
        StringBuilder line = new StringBuilder();
        while (line.length() < LONGEST_LINE) {
            long left = (end - System.nanoTime()) / 1_000_000;
            if (left <= 0) {
                return Optional.empty();
            }
            socket.setSoTimeout((int) left);
            int one = bytes.read();
            if (one < 0) {
                return Optional.empty();
            }
            if (one == '\n') {
                return Optional.of(line.toString().strip());
            }
            line.append((char) one);
        }
        return Optional.empty();
    }
}
