package org.goldthistle.review;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.goldthistle.platform.KeptJson;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Passes on to open pages which reviews changed, whichever instance changed them. It listens on a connection of its
 * own; while that is down pages still ask by themselves, only later.
 */
@Component
class NewsStream implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(NewsStream.class);
    private static final Duration LISTENED_AT_ONCE = Duration.ofSeconds(10);
    private static final Duration BEFORE_TRYING_AGAIN = Duration.ofSeconds(2);
    private static final Duration OPEN_FOR = Duration.ofMinutes(30); // then the page opens it anew, if still signed in

    private final HikariDataSource pool;
    private final KeptJson json;
    private final JdbcClient jdbc;
    private final Map<UUID, Set<Page>> pages = new ConcurrentHashMap<>();
    private volatile Thread listener;

    NewsStream(HikariDataSource pool, JdbcClient jdbc, KeptJson json) {
        this.pool = pool;
        this.jdbc = jdbc;
        this.json = json;
    }

    /** A page that listens, and the id of the session that it was opened in. */
    private record Page(SseEmitter stream, String session) {}

    /** A stream of the cases of a survey that change from now on; it ends with the session that it was opened in. */
    SseEmitter open(UUID surveyId, String session) {
        SseEmitter stream = new SseEmitter(OPEN_FOR.toMillis());
        Page page = new Page(stream, session);
        Set<Page> all = pages.computeIfAbsent(surveyId, id -> ConcurrentHashMap.newKeySet());
        all.add(page);
        stream.onCompletion(() -> all.remove(page));
        stream.onTimeout(stream::complete);
        stream.onError(gone -> all.remove(page));
        send(page, SseEmitter.event().comment("open"));
        return stream;
    }

    /** Closes the streams whose sessions have ended, before anything is passed on. */
    private void closeEnded() {
        Set<String> open =
                pages.values().stream().flatMap(Set::stream).map(Page::session).collect(Collectors.toSet());
        if (open.isEmpty()) {
            return;
        }
        Set<String> alive = new HashSet<>(
                jdbc.sql("select session_id from spring_session where session_id = any(?)" + " and expiry_time > ?")
                        .params(open.toArray(String[]::new), System.currentTimeMillis())
                        .query(String.class)
                        .list());
        pages.values()
                .forEach(all -> all.stream()
                        .filter(page -> !alive.contains(page.session()))
                        .forEach(page -> {
                            all.remove(page);
                            page.stream().complete();
                        }));
    }

    private void listen() {
        while (listener == Thread.currentThread()) {
            try (Connection connection = pool.getConnection()) {
                listen(connection);
            } catch (SQLException | DataAccessException down) {
                LOG.warn("the news of reviews stand still, since the database does not answer", down);
                rest();
            }
        }
    }

    private void listen(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            connection.setAutoCommit(true);
            statement.execute("listen " + News.CHANNEL);
            PGConnection postgres = connection.unwrap(PGConnection.class);
            toAll(() -> SseEmitter.event().name("again").data("")); // nobody heard what changed before
            while (listener == Thread.currentThread()) {
                passOn(postgres.getNotifications((int) LISTENED_AT_ONCE.toMillis()));
            }
        } finally {
            pool.evictConnection(connection); // broken unbeknown to the pool, or listening: nobody else is to get it
        }
    }

    private void passOn(PGNotification[] heard) {
        closeEnded();
        if (heard == null || heard.length == 0) {
            toAll(() -> SseEmitter.event().comment("still here")); // finds those who left
            return;
        }
        for (PGNotification one : heard) {
            News.Changed changed = json.read(one.getParameter(), News.Changed.class);
            pages.getOrDefault(changed.surveyId(), Set.of())
                    .forEach(page -> send(
                            page,
                            SseEmitter.event()
                                    .name("case")
                                    .data(changed.caseId().toString())));
        }
    }

    private void toAll(Supplier<SseEmitter.SseEventBuilder> event) {
        pages.values().forEach(all -> all.forEach(page -> send(page, event.get())));
    }

    private void send(Page page, SseEmitter.SseEventBuilder event) {
        try {
            page.stream().send(event);
        } catch (IOException | IllegalStateException gone) {
            pages.values().forEach(all -> all.remove(page)); // the page was closed
        }
    }

    private static void rest() {
        try {
            Thread.sleep(BEFORE_TRYING_AGAIN.toMillis());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void start() {
        Thread thread = new Thread(this::listen, "review-news");
        thread.setDaemon(true);
        listener = thread;
        thread.start();
    }

    /** Comes before the web server stops, which would wait for open streams. */
    @Override
    public void stop() {
        Thread was = listener;
        listener = null;
        if (was != null) {
            was.interrupt();
        }
        pages.values().forEach(all -> all.forEach(page -> page.stream().complete()));
        pages.clear();
    }

    @Override
    public boolean isRunning() {
        return listener != null;
    }
}
