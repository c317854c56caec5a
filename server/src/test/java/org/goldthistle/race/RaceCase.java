package org.goldthistle.race;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.goldthistle.Caller;
import org.goldthistle.review.TreeUnderReview;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/** Writes at one instant: each is done once, or refused in words, and leaves what one after the other would. */
abstract class RaceCase extends TreeUnderReview {
    private static final int ROUNDS = 20;

    static final Check BOTH =
            (one, other) -> assertThat(List.of(one.status(), other.status())).allMatch(status -> status < 300);

    /** One is done, the other refused. */
    static final Check ONE =
            (one, other) -> assertThat(Stream.of(one.status(), other.status()).filter(status -> status < 300))
                    .as("%s and %s", one.text(), other.text())
                    .hasSize(1);

    static final Check ANY = (one, other) -> {};

    Caller siskin;
    Caller dipper;
    Caller redpoll;
    Caller nuthatch;
    Caller lead;

    private ExecutorService hands;

    @BeforeEach
    void people() {
        hands = Executors.newFixedThreadPool(2);
        siskin = signedIn("Siskin");
        dipper = signedIn("Dipper");
        redpoll = signedIn("Redpoll");
        nuthatch = signedIn("Nuthatch");
        lead = signedIn("Treecreeper");
    }

    @AfterEach
    void rest() {
        hands.shutdownNow();
    }

    /** The races of some endpoints. */
    abstract List<Race> races();

    /**
     * Two writes at one instant.
     *
     * @param endpoint method and pattern of the first
     * @param round makes what they write to, and the writes
     */
    record Race(String endpoint, String what, Supplier<Round> round) {}

    /**
     * One round of a race.
     *
     * @param after what must hold once both were answered, given their answers
     */
    record Round(Supplier<Caller.Answer> one, Supplier<Caller.Answer> other, Check after) {}

    /** What must hold after a race. */
    interface Check {
        void of(Caller.Answer one, Caller.Answer other);
    }

    @TestFactory
    Stream<DynamicTest> raced() {
        return races().stream()
                .map(race -> DynamicTest.dynamicTest(race.endpoint() + ": " + race.what(), () -> {
                    for (int i = 0; i < ROUNDS; i++) {
                        run(race);
                    }
                }));
    }

    private void run(Race race) {
        Round round = race.round().get();
        var start = new CyclicBarrier(2);
        CompletableFuture<Caller.Answer> first = CompletableFuture.supplyAsync(() -> at(start, round.one()), hands);
        CompletableFuture<Caller.Answer> second = CompletableFuture.supplyAsync(() -> at(start, round.other()), hands);
        Caller.Answer one = first.join();
        Caller.Answer other = second.join();
        for (Caller.Answer answer : List.of(one, other)) {
            assertThat(answer.status())
                    .as("%s: %s", race.endpoint(), answer.text())
                    .isIn(200, 201, 204, 401, 403, 404, 409, 422);
        }
        round.after().of(one, other);
    }

    private static Caller.Answer at(CyclicBarrier start, Supplier<Caller.Answer> act) {
        try {
            start.await();
        } catch (Exception broken) {
            throw new IllegalStateException(broken);
        }
        return act.get();
    }

    /** The same write twice. */
    static Round same(Supplier<Caller.Answer> write, Check after) {
        return new Round(write, write, after);
    }

    String newPlot() {
        String path = surveyPath() + "/plots/" + UUID.randomUUID();
        siskin.put(path, plotBody("Wrack " + UUID.randomUUID())).expect(200);
        return path;
    }

    UUID newStem() {
        UUID stem = UUID.randomUUID();
        siskin.put(newPlot() + "/trees/" + stem, stemBody(1, "bird-cherries")).expect(200);
        return stem;
    }

    static String trees(UUID tree) {
        return surveyPath() + "/trees/" + tree;
    }

    static Map<String, Object> reading() {
        return Map.of("character", "tooth-shape", "states", List.of("incurved"), "certainty", "sure", "notSeen", false);
    }
}
