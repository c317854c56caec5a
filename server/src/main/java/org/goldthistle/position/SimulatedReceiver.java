package org.goldthistle.position;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.SocketException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.OptionalDouble;
import java.util.Random;
import org.goldthistle.core.plot.GeoPosition;
import org.goldthistle.formats.NmeaFix;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Stands in for a receiver: a server on the loopback that sends whoever connects a sentence each second, of a crew
 * that stands still in Kettle Moss while its fix wanders a few metres about, as fixes do under trees.
 */
final class SimulatedReceiver implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(SimulatedReceiver.class);
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HHmmss.SS").withZone(ZoneOffset.UTC);
    private static final GeoPosition STANDS = new GeoPosition(55.03044, -20.38412);
    private static final double WANDERS = 2.5; // metres, one standard deviation
    private static final long EVERY_MILLIS = 1000;

    private final ServerSocket server;
    private final Clock clock;

    SimulatedReceiver(Clock clock) throws IOException {
        this.server = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
        this.clock = clock;
        start("simulated receiver", this::serve);
    }

    InetSocketAddress address() {
        return (InetSocketAddress) server.getLocalSocketAddress();
    }

    @Override
    public void close() throws IOException {
        server.close();
    }

    private void serve() {
        while (!server.isClosed()) {
            try {
                Socket listener = server.accept();
                start("simulated fixes", () -> send(listener));
            } catch (SocketException closed) {
                return;
            } catch (IOException broken) {
                LOG.warn("the simulated receiver lost a listener", broken);
            }
        }
    }

    private void send(Socket listener) {
        Random random = new Random(clock.millis());
        try (listener;
                OutputStream out = listener.getOutputStream()) {
            while (!server.isClosed()) {
                GeoPosition at = STANDS.at(random.nextDouble() * 360, Math.abs(random.nextGaussian()) * WANDERS);
                NmeaFix fix = new NmeaFix(at, OptionalDouble.of(20 + random.nextDouble()), 6 + random.nextInt(5), 0.9);
                String sentence = fix.toSentence(TIME.format(clock.instant())) + "\r\n";
                out.write(sentence.getBytes(StandardCharsets.US_ASCII));
                out.flush();
                Thread.sleep(EVERY_MILLIS);
            }
        } catch (IOException hungUp) {
            LOG.debug("a listener hung up", hungUp); // which is how listeners leave
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static void start(String name, Runnable work) {
        Thread thread = new Thread(work, name);
        thread.setDaemon(true);
        thread.start();
    }
}
