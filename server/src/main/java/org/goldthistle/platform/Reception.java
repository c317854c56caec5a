package org.goldthistle.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.Duration;
import java.util.concurrent.Semaphore;

/**
 * Takes in what is sent before anything is done with it, so that whoever sends slowly holds nothing but their own turn:
 * in good time, and from not too many at once, of one address or of all.
 */
final class Reception {
    /** How long a body may take however short it is; the container waits no longer for its next byte either. */
    static final Duration GRACE = Duration.ofSeconds(10);

    /** Bytes a second that a body must bring after that: less than any network in the woods that carries a page. */
    static final int SLOWEST = 4 * 1024;

    private static final int PIECE = 8 * 1024;
    private static final long SECOND = 1_000_000_000; // nanoseconds

    private final Semaphore all;
    private final Busy byAddress;

    /**
     * @param atOnce bodies of all addresses
     * @param atOnceOfOne bodies of one address
     */
    Reception(int atOnce, int atOnceOfOne) {
        this.all = new Semaphore(atOnce);
        this.byAddress = new Busy(atOnceOfOne);
    }

    /**
     * Takes in the body of a request.
     *
     * @param most bytes after which no more is read
     * @return how many bytes were sent, at most one more than that
     * @throws Problem if too many send at once, or this one takes too long
     * @throws IOException if it breaks off
     */
    long take(HttpServletRequest request, long most, OutputStream to) throws IOException {
        String address = request.getRemoteAddr();
        if (!all.tryAcquire()) {
            throw Problem.busy();
        }
        try {
            if (!byAddress.enter(address)) {
                throw Problem.busy();
            }
            try {
                return copied(request.getInputStream(), most, to);
            } finally {
                byAddress.leave(address);
            }
        } finally {
            all.release();
        }
    }

    private static long copied(InputStream sent, long most, OutputStream to) throws IOException {
        byte[] piece = new byte[PIECE];
        long begun = System.nanoTime();
        long taken = 0;
        while (taken <= most) {
            int many = sent.read(piece, 0, (int) Math.min(PIECE, most + 1 - taken));
            if (many < 0) {
                return taken;
            }
            to.write(piece, 0, many);
            taken += many;
            if (System.nanoTime() - begun > GRACE.toNanos() + taken * SECOND / SLOWEST) {
                throw Problem.tooSlow();
            }
        }
        return taken;
    }
}
