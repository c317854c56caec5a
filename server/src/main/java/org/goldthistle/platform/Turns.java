package org.goldthistle.platform;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * The one way in which writes wait for each other, on whichever instance they are: turns are taken before anything that
 * could change meanwhile is read, and kept until the transaction ends.
 */
@Component
public class Turns {
    private final JdbcClient jdbc;

    Turns(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Waits for turns, in the order of their things. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void take(Turn... turns) {
        List<Turn> inOrder = Arrays.stream(turns)
                .sorted(Comparator.comparing(Turn::thing).thenComparing(Turn::key))
                .toList();
        String locks = inOrder.stream()
                .map(turn -> turn.beside() ? "pg_advisory_xact_lock_shared(?)" : "pg_advisory_xact_lock(?)")
                .collect(Collectors.joining(", "));
        jdbc.sql("select " + locks)
                .params(inOrder.stream().map(turn -> (Object) turn.key()).toList())
                .query(row -> {});
    }
}
