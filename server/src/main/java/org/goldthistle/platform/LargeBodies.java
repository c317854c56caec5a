package org.goldthistle.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedOutputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * Files and drafts of those who are signed in: taken in on the disk first, however slowly they come, and then worked on a
 * few at once, since each is held in memory while it is. It comes after the filters that look who sends it.
 */
@Component
class LargeBodies extends OncePerRequestFilter {
    /** Bytes of a draft's sheet. */
    static final long MOST_OF_A_DRAFT = 5 * 1024 * 1024;

    /** Bytes of a file; each kind has a smaller limit of its own, told by who reads it. */
    static final long MOST_OF_A_FILE = 101 * 1024 * 1024;

    private static final int WORKED_ON_AT_ONCE = 2;
    private static final int LONGEST_QUEUE = 30; // seconds

    private final HandlerExceptionResolver problems;
    private final Reception reception = new Reception(8, 4);
    private final Semaphore work = new Semaphore(WORKED_ON_AT_ONCE, true);

    LargeBodies(HandlerExceptionResolver handlerExceptionResolver) {
        this.problems = handlerExceptionResolver;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!RequestLimits.isLarge(request) || !RequestLimits.hasBody(request)) {
            chain.doFilter(request, response);
            return;
        }
        Path kept = Files.createTempFile("goldthistle-", ".sent");
        try {
            take(request, kept);
            begin();
            try (InputStream body = opened(request, kept)) {
                chain.doFilter(new ReceivedRequest(request, body), response);
            } finally {
                work.release();
            }
        } catch (Problem problem) {
            response.setHeader("Connection", "close");
            UnreadBodies.leave(request);
            problems.resolveException(request, response, null, problem);
        } finally {
            Files.deleteIfExists(kept);
        }
    }

    private void take(HttpServletRequest request, Path kept) throws IOException {
        boolean draft = RequestLimits.isDraft(request);
        long most = draft ? MOST_OF_A_DRAFT : MOST_OF_A_FILE;
        if (draft && request.getContentLengthLong() > most) {
            throw Problem.tooLarge(most);
        }
        try (OutputStream to = new BufferedOutputStream(Files.newOutputStream(kept))) {
            if (reception.take(request, most, to) > most && draft) {
                throw Problem.tooLarge(most);
            }
        }
    }

    private void begin() {
        try {
            if (!work.tryAcquire(LONGEST_QUEUE, TimeUnit.SECONDS)) {
                throw Problem.busy();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw Problem.busy();
        }
    }

    private static InputStream opened(HttpServletRequest request, Path kept) throws IOException {
        if (!RequestLimits.isDraft(request)) {
            return Files.newInputStream(kept, StandardOpenOption.READ);
        }
        byte[] sheet = Files.readAllBytes(kept);
        TextSigns.requireText(sheet);
        return new ByteArrayInputStream(sheet);
    }
}
