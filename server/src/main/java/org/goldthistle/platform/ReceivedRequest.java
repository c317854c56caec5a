package org.goldthistle.platform;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;

/** A request whose body was taken in already, and is read from where it was put. */
final class ReceivedRequest extends HttpServletRequestWrapper {
    private final ServletInputStream body;

    ReceivedRequest(HttpServletRequest request, InputStream body) {
        super(request);
        this.body = new Received(body);
    }

    @Override
    public ServletInputStream getInputStream() {
        return body;
    }

    @Override
    public BufferedReader getReader() {
        return new BufferedReader(new InputStreamReader(body, StandardCharsets.UTF_8));
    }

    private static final class Received extends ServletInputStream {
        private final InputStream body;
        private boolean finished;

        private Received(InputStream body) {
            this.body = body;
        }

        @Override
        public int read() throws IOException {
            int one = body.read();
            finished |= one < 0;
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int many = body.read(into, from, length);
            finished |= many < 0;
            return many;
        }

        @Override
        public boolean isFinished() {
            return finished;
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
            throw new IllegalStateException("this body was taken in already");
        }
    }
}
