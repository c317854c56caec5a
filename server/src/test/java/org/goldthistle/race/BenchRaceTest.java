package org.goldthistle.race;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.BiFunction;
import org.goldthistle.Caller;
import org.goldthistle.SmallPicture;

/** Work on the Bench and on reviews, twice at one instant. */
class BenchRaceTest extends RaceCase {
    @Override
    List<Race> races() {
        List<Race> all = new ArrayList<>();
        bench(all);
        reviews(all);
        verifications(all);
        return all;
    }

    private void bench(List<Race> all) {
        String of = "PUT /api/surveys/{surveyId}/trees/{treeId}/";
        all.add(onBench(
                of + "circumstances",
                "/circumstances",
                Map.of("month", 9, "stage", "mature", "origin", "wild", "habitat", List.of())));
        all.add(onBench(of + "tier", "/tier", Map.of("tier", "tally")));
        all.add(onBench(of + "group", "/group", Map.of("groupId", "birches")));
        all.add(onBench(of + "newest-sheet", "/newest-sheet", Map.of()));
        all.add(onBench(of + "wounding-caution", "/wounding-caution", Map.of()));
        all.add(byOneAndByTwo(
                of + "gate/{markId}",
                "/gate/",
                (caller, path) -> caller.put(path, Map.of("item", "alternate-leaves", "mark", "fits"))));
        all.add(byOneAndByTwo(
                of + "readings/{readingId}", "/readings/", (caller, path) -> caller.put(path, reading())));
        all.add(byOneAndByTwo(
                of + "determinations/{determinationId}",
                "/determinations/",
                (caller, path) -> caller.put(path, signature("group"))));
        all.add(byOneAndByTwo(
                of + "photos/{photoId}", "/photos/", (caller, path) -> caller.putBytes(path, SmallPicture.png(1))));
        all.add(new Race(of + "readings/{readingId}", "the same one twice", () -> {
            UUID stem = newStem();
            String path = trees(stem) + "/readings/" + UUID.randomUUID();
            return same(() -> siskin.put(path, reading()), (one, other) -> {
                BOTH.of(one, other);
                assertThat(count(
                                "select count(*) from reading r join call c on c.id = r.call_id where c.tree_id = ?",
                                stem))
                        .isEqualTo(1);
            });
        }));
        all.add(new Race("POST /api/surveys/{surveyId}/trees/{treeId}/figure-differences", "two told at once", () -> {
            String path = trees(newStem()) + "/figure-differences";
            return same(() -> siskin.post(path, Map.of("where", ".points: 1 here, 2 there")), BOTH);
        }));
        all.add(new Race(
                "PUT /api/memory-aids/{groupId}/{characterId}",
                "two notes",
                () -> new Round(
                        () -> siskin.put("/api/memory-aids/bird-cherries/tooth-shape", Map.of("body", "one")),
                        () -> siskin.put("/api/memory-aids/bird-cherries/tooth-shape", Map.of("body", "")),
                        BOTH)));
    }

    /** The first thing that an observer does on a tree, from two tabs: both go through, and there is one call. */
    private Race onBench(String endpoint, String path, Object body) {
        return new Race(endpoint, "two tabs", () -> {
            UUID stem = newStem();
            return same(() -> siskin.put(trees(stem) + path, body), (one, other) -> {
                BOTH.of(one, other);
                assertThat(count("select count(distinct group_id) - count(*) from call where tree_id = ?", stem))
                        .isZero();
            });
        });
    }

    /** An id that two observers send: it is one's, and the other is told. */
    private Race byOneAndByTwo(String endpoint, String path, BiFunction<Caller, String, Caller.Answer> send) {
        return new Race(endpoint, "one id by two", () -> {
            String address = trees(newStem()) + path + UUID.randomUUID();
            return new Round(() -> send.apply(siskin, address), () -> send.apply(dipper, address), ONE);
        });
    }

    private int count(String sql, UUID id) {
        return jdbc.sql(sql).param(id).query(Integer.class).single();
    }

    private void reviews(List<Race> all) {
        String of = "/api/surveys/{surveyId}/review/{caseId}/";
        all.add(new Race("PUT " + of + "taken", "by two", () -> {
            String path = newCase();
            return new Round(
                    () -> redpoll.put(path + "/taken", Map.of()), () -> nuthatch.put(path + "/taken", Map.of()), ONE);
        }));
        all.add(new Race("DELETE " + of + "taken", "left while it is read", () -> {
            String path = newCase();
            redpoll.put(path + "/taken", Map.of()).expect(200);
            Map<String, Object> signed = signature(redpoll);
            return new Round(
                    () -> redpoll.delete(path + "/taken"),
                    () -> redpoll.put(treePath() + "/determinations/" + UUID.randomUUID(), signed),
                    (one, other) -> {
                        BOTH.of(one, other);
                        assertThat(redpoll.get(path).expect(200).path("state").asText())
                                .isEqualTo("table");
                    });
        }));
        all.add(new Race("PUT " + of + "words/{wordId}", "the same twice", () -> {
            String path = newCase() + "/words/" + UUID.randomUUID();
            return same(() -> siskin.put(path, Map.of("body", "Look at the fruit.")), BOTH);
        }));
        all.add(new Race("PUT " + of + "decisions/{decisionId}", "two decisions", () -> {
            String path = newCase();
            sign(redpoll, "group", null);
            JsonNode table = nuthatch.get(path).expect(200);
            return new Round(
                    () -> redpoll.put(path + "/decisions/" + UUID.randomUUID(), decision("agree", table, "", 0)),
                    () -> nuthatch.put(path + "/decisions/" + UUID.randomUUID(), decision("agree", table, "", 1)),
                    ONE);
        }));
    }

    private void verifications(List<Race> all) {
        all.add(new Race(
                "PUT /api/surveys/{surveyId}/review/{caseId}/verifications/{verificationId}", "two marks", () -> {
                    String path = newCase();
                    redpoll.put(path + "/taken", Map.of()).expect(200);
                    sign(redpoll, "taxon", "serotina");
                    JsonNode table = redpoll.get(path).expect(200);
                    redpoll.put(path + "/decisions/" + UUID.randomUUID(), decision("agree", table, "", 0))
                            .expect(200);
                    return new Round(
                            () -> lead.put(path + "/verifications/" + UUID.randomUUID(), Map.of("verified", true)),
                            () -> lead.put(path + "/verifications/" + UUID.randomUUID(), Map.of("verified", true)),
                            (one, other) -> {
                                BOTH.of(one, other);
                                assertThat(jdbc.sql("select count(*) from verification where case_id = ?::uuid")
                                                .param(path.substring(path.lastIndexOf('/') + 1))
                                                .query(Integer.class)
                                                .single())
                                        .isOne();
                            });
                }));
    }

    private String newCase() {
        tree = newStem();
        sign(siskin, "taxon", "serotina");
        return casePath(jdbc.sql("select id from review_case where tree_id = ?")
                .param(tree)
                .query(UUID.class)
                .single());
    }

    private static String casePath(UUID id) {
        return surveyPath() + "/review/" + id;
    }
}
