package org.goldthistle.e2e;

import java.io.Closeable;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Connections that are kept open and behave as no browser does, from another address than everybody else's. */
final class Sockets implements Closeable {
    private static final Pattern STATUS = Pattern.compile("HTTP/1\\.1 (\\d{3})");
    private static final int PATIENCE = 15_000; // ms
    private static final InetSocketAddress ELSEWHERE = new InetSocketAddress("127.0.0.66", 0);

    private final InetSocketAddress server;
    private final List<Socket> open = new ArrayList<>();

    Sockets(String url) {
        URI address = URI.create(url);
        this.server = new InetSocketAddress(address.getHost(), address.getPort());
    }

    /** Opens one more, sends something, and reads nothing. */
    void send(String bytes) throws IOException {
        var socket = new Socket();
        socket.setReceiveBufferSize(1024);
        socket.bind(ELSEWHERE);
        socket.connect(server, PATIENCE);
        open.add(socket);
        try {
            socket.getOutputStream().write(bytes.getBytes(StandardCharsets.ISO_8859_1));
            socket.getOutputStream().flush();
        } catch (IOException closed) {
            // refused already, which is as good
        }
    }

    /** The status that a request is answered with; 0: the connection was closed without one. */
    static int asked(String url, String request) throws IOException {
        URI address = URI.create(url);
        try (var socket = new Socket(address.getHost(), address.getPort())) {
            socket.setSoTimeout(PATIENCE);
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            socket.getOutputStream().flush();
            Matcher status =
                    STATUS.matcher(new String(socket.getInputStream().readNBytes(12), StandardCharsets.ISO_8859_1));
            return status.find() ? Integer.parseInt(status.group(1)) : 0;
        } catch (SocketTimeoutException silent) {
            throw new IOException("no answer to " + request, silent);
        } catch (IOException closed) {
            return 0;
        }
    }

    @Override
    public void close() throws IOException {
        for (Socket socket : open) {
            socket.close();
        }
    }
}
