package org.goldthistle.standins;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;

/**
 * A caliper that is not there: a service on the loopback as the one that comes with a caliper, which hands its lines on as
 * server-sent events at {@code /lines}, one an event; and at {@code /} a page with a jaw to drag and the button to press.
 */
public final class Caliper implements AutoCloseable {
    private static final int ALIVE_EVERY = 5000; // milliseconds, so that who went away is noticed
    private static final int LONGEST_PRESS = 200; // bytes

    private final HttpServer server;
    private final ExecutorService threads = Executors.newCachedThreadPool(Caliper::helper);
    private final Set<OutputStream> listeners = ConcurrentHashMap.newKeySet();
    private final CaliperDisplay display = new CaliperDisplay();

    private Caliper(int port) throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        server.createContext("/", this::showPage);
        server.createContext("/press", this::press);
        server.createContext("/lines", this::tell);
        server.setExecutor(threads);
        server.start();
    }

    /**
     * Starts one.
     *
     * @param port on the loopback; 0: one that is free
     */
    public static Caliper on(int port) throws IOException {
        return new Caliper(port);
    }

    /** Starts one on the port given, until the process is ended. */
    public static void main(String[] arguments) throws IOException {
        Caliper caliper = on(Integer.parseInt(arguments[0]));
        System.out.println("the caliper lies at " + caliper.address());
    }

    /** Where its page is. */
    public String address() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    private void showPage(HttpExchange exchange) throws IOException {
        boolean isPage = exchange.getRequestURI().getPath().equals("/");
        try (InputStream page = Caliper.class.getResourceAsStream("caliper.html")) {
            answer(exchange, isPage ? 200 : 404, "text/html;charset=UTF-8", isPage ? page.readAllBytes() : new byte[0]);
        }
    }

    /** Takes a press of the button, as a form of {@code mm}, {@code unit} and {@code worn}, and tells what it sent. */
    private void press(HttpExchange exchange) throws IOException {
        byte[] body = exchange.getRequestBody().readNBytes(LONGEST_PRESS);
        List<String> lines;
        try {
            Map<String, String> form = form(new String(body, StandardCharsets.UTF_8));
            synchronized (display) {
                lines = display.press(
                        Double.parseDouble(form.getOrDefault("mm", "")),
                        "in".equals(form.get("unit")),
                        "true".equals(form.get("worn")));
            }
        } catch (IllegalArgumentException noPress) {
            answer(
                    exchange,
                    400,
                    "text/plain;charset=UTF-8",
                    String.valueOf(noPress.getMessage()).getBytes(StandardCharsets.UTF_8));
            return;
        }
        lines.forEach(line -> send("data: " + line + "\n\n"));
        answer(
                exchange,
                200,
                "text/plain;charset=UTF-8",
                String.join("\n", lines).getBytes(StandardCharsets.UTF_8));
    }

    /** Keeps the line open to who listens, until they hang up. */
    private void tell(HttpExchange exchange) throws IOException {
        exchange.getResponseHeaders().set("Content-Type", "text/event-stream");
        exchange.getResponseHeaders().set("Cache-Control", "no-store");
        exchange.getResponseHeaders().set("Access-Control-Allow-Origin", "*");
        exchange.sendResponseHeaders(200, 0);
        OutputStream listener = exchange.getResponseBody();
        try (listener) {
            listeners.add(listener);
            write(listener, ": here\n\n");
            while (listeners.contains(listener)) {
                Thread.sleep(ALIVE_EVERY);
                write(listener, ": still here\n\n");
            }
        } catch (IOException hungUp) {
            listeners.remove(listener);
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    private void send(String event) {
        for (OutputStream listener : listeners) {
            try {
                write(listener, event);
            } catch (IOException hungUp) {
                listeners.remove(listener);
            }
        }
    }

    private static void write(OutputStream listener, String event) throws IOException {
        synchronized (listener) {
            listener.write(event.getBytes(StandardCharsets.UTF_8));
            listener.flush();
        }
    }

    private static Map<String, String> form(String body) {
        return Arrays.stream(body.split("&"))
                .map(pair -> pair.split("=", 2))
                .filter(pair -> pair.length == 2)
                .collect(Collectors.toMap(
                        pair -> pair[0], pair -> URLDecoder.decode(pair[1], StandardCharsets.UTF_8), (a, b) -> b));
    }

    private static void answer(HttpExchange exchange, int status, String type, byte[] body) throws IOException {
        exchange.getResponseHeaders().set("Content-Type", type);
        exchange.sendResponseHeaders(status, body.length == 0 ? -1 : body.length);
        try (OutputStream to = exchange.getResponseBody()) {
            to.write(body);
        }
    }

    private static Thread helper(Runnable work) {
        var thread = new Thread(work, "caliper");
        thread.setDaemon(true);
        return thread;
    }

    @Override
    public void close() {
        listeners.clear();
        threads.shutdownNow();
        server.stop(0);
    }
}
