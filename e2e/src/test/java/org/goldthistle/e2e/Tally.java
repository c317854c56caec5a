package org.goldthistle.e2e;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntFunction;
import java.util.stream.IntStream;

/** Counts what became of hostile requests. */
final class Tally {
    private final AtomicInteger tried = new AtomicInteger();
    private final AtomicInteger refused = new AtomicInteger();
    private final AtomicInteger done = new AtomicInteger();
    private final List<String> failed = new CopyOnWriteArrayList<>();

    /** Sends many at one instant. */
    void atOnce(int many, IntFunction<ApiClient.Answer> act) {
        ExecutorService hands = Executors.newFixedThreadPool(many);
        try {
            IntStream.range(0, many)
                    .mapToObj(i -> CompletableFuture.runAsync(() -> add(act.apply(i)), hands))
                    .toList()
                    .forEach(CompletableFuture::join);
        } finally {
            hands.shutdownNow();
        }
    }

    /** Counts an answer: a closed connection is a refusal, and 500 a failure of ours. */
    void add(ApiClient.Answer answer) {
        add(answer.status(), answer.text());
    }

    void add(int status, String what) {
        tried.incrementAndGet();
        if (status >= 500 && status != 503) {
            failed.add(status + ": " + what.substring(0, Math.min(300, what.length())));
        } else if (status == 0 || status >= 400) {
            refused.incrementAndGet();
        } else {
            done.incrementAndGet();
        }
    }

    /** Counts something that gets no answer. */
    void count() {
        tried.incrementAndGet();
    }

    int tried() {
        return tried.get();
    }

    int refused() {
        return refused.get();
    }

    /** How many were served. */
    int done() {
        return done.get();
    }

    int failed() {
        return failed.size();
    }

    /** The failures, the first few of them. */
    List<String> examples() {
        return failed.subList(0, Math.min(5, failed.size()));
    }
}
