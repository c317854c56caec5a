package org.goldthistle.platform;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Counts over many rows: sorted in memory, and what takes longest on a connection of its own beside the rest. */
@Component
public class Counting {
    private static final int BESIDE = 2; // at once, of everybody's

    private final JdbcClient jdbc;
    private final TransactionTemplate reading;
    private final ExecutorService hands = Executors.newFixedThreadPool(BESIDE, work -> new Thread(work, "counting"));

    Counting(JdbcClient jdbc, PlatformTransactionManager transactions) {
        this.jdbc = jdbc;
        this.reading = new TransactionTemplate(transactions);
        this.reading.setReadOnly(true);
    }

    @PreDestroy
    void rest() {
        hands.shutdownNow();
    }

    /** Counts now. */
    public <T> T counted(Supplier<T> count) {
        return reading.execute(status -> {
            jdbc.sql("set local work_mem = '64MB'").update(); // for this transaction alone
            return count.get();
        });
    }

    /** Begins to count beside what the caller does; who waits for it, by {@link #joined}, holds no connection meanwhile. */
    public <T> CompletableFuture<T> beside(Supplier<T> count) {
        return CompletableFuture.supplyAsync(() -> counted(count), hands);
    }

    /** Waits for what was counted beside; what went wrong there goes wrong here. */
    public static <T> T joined(CompletableFuture<T> beside) {
        try {
            return beside.join();
        } catch (CompletionException failed) {
            throw failed.getCause() instanceof RuntimeException cause ? cause : failed;
        }
    }
}
