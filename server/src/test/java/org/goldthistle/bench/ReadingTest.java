package org.goldthistle.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReadingTest extends ServerTest {
    private static final Map<String, Object> WARTS =
            Map.of("character", "twig-warts", "states", List.of("few"), "certainty", "fairly", "notSeen", false);

    @Test
    void the_figures_are_the_core_s() {
        Caller siskin = signedIn("Siskin");
        siskin.put(readings(23), WARTS).expect(200);

        JsonNode bench = siskin.put(
                        readings(23),
                        Map.of("character", "ltf", "values", List.of(3, 2, 4), "certainty", "sure", "notSeen", false))
                .expect(200);

        Balance balance = birchOfTag23(
                new Reading(
                        "twig-warts",
                        new StatesObserved(List.of("few")),
                        Certainty.FAIRLY,
                        Optional.empty(),
                        Optional.empty()),
                new Reading(
                        "ltf",
                        new ValuesObserved(List.of(3.0, 2.0, 4.0)),
                        Certainty.SURE,
                        Optional.empty(),
                        Optional.empty()));
        JsonNode figures = bench.at("/figures/withSurroundings");
        assertThat(figures.at("/shares/0/posterior").asDouble())
                .isCloseTo(balance.posterior(0), within(1e-15)); // the same arithmetic, sent as digits
        assertThat(figures.at("/points/1/points").asDouble())
                .isCloseTo(balance.points(1, balance.lead(), balance.rival()), within(1e-12));
        assertThat(figures.at("/noneOfThese").asDouble()).isCloseTo(balance.noneOfThese(), within(1e-15));
    }

    @Test
    void what_was_not_said_is_kept_unsaid_and_weighed_as_it_is_assumed() {
        Caller wren = signedIn("Wren");

        JsonNode unsaid = wren.put(
                        readings(23), Map.of("character", "twig-hairs", "states", List.of("absent"), "notSeen", false))
                .expect(200);
        JsonNode said = wren.put(
                        readings(23),
                        Map.of(
                                "character",
                                "twig-hairs",
                                "states",
                                List.of("absent"),
                                "certainty",
                                "sure",
                                "notSeen",
                                false))
                .expect(200);

        assertThat(unsaid.at("/readings/0/reading").has("certainty")).isFalse();
        assertThat(said.at("/readings/0/reading/certainty").asText()).isEqualTo("sure");
        assertThat(unsaid.at("/figures/withSurroundings/shares"))
                .isEqualTo(said.at("/figures/withSurroundings/shares"));
    }

    @Test
    void each_reading_says_what_it_did_and_the_tier_what_is_still_missing() {
        Caller nuthatch = signedIn("Nuthatch");

        JsonNode bench = nuthatch.put(readings(23), WARTS).expect(200);

        assertThat(bench.at("/effects/0/character").asText()).isEqualTo("twig-warts");
        assertThat(bench.at("/effects/0/speaksFor").asText()).endsWith("birch");
        assertThat(bench.at("/effects/0/points").asDouble()).isNotNegative();
        assertThat(bench.path("pointsAsked").asDouble()).isCloseTo(10 * Math.log10(9), within(1e-9));
        assertThat(bench.path("missing").toString()).contains("% now");
        assertThat(bench.path("conditions").findValuesAsText("code"))
                .containsExactly("reading", "threshold", "features-alone");
        assertThat(bench.at("/conditions/0/asks").asText()).isEqualTo("one character read");
    }

    @Test
    void sent_twice_it_is_kept_once() {
        Caller siskin = signedIn("Siskin");
        String path = readings(24);

        JsonNode first = siskin.put(path, WARTS).expect(200);
        JsonNode second = siskin.put(path, WARTS).expect(200);

        assertThat(second).isEqualTo(first);
        assertThat(stored(path)).isEqualTo(1);
    }

    @Test
    void sent_twice_at_once_it_is_kept_once() {
        Caller siskin = signedIn("Siskin");
        String path = readings(31);
        var thorns = Map.of("character", "thorns", "notSeen", true);

        var answers = IntStream.range(0, 8)
                .parallel()
                .mapToObj(i -> siskin.put(path, thorns).status())
                .toList();

        assertThat(answers).containsOnly(200);
        assertThat(stored(path)).isEqualTo(1);
    }

    @Test
    void an_id_that_is_taken_keeps_its_first_reading() {
        Caller siskin = signedIn("Siskin");
        String path = readings(24);
        siskin.put(path, WARTS).expect(200);

        Caller.Answer other = siskin.put(path, Map.of("character", "twig-warts", "notSeen", true));

        other.expectProblem(409, "id-taken");
    }

    @Test
    void a_second_look_counts_instead_of_the_first_which_stays_in_the_record() {
        Caller treecreeper = signedIn("Treecreeper");
        String first = readings(23);
        treecreeper.put(first, WARTS).expect(200);

        JsonNode bench = treecreeper
                .put(readings(23), Map.of("character", "twig-warts", "notSeen", true))
                .expect(200);

        assertThat(bench.path("readings")).hasSize(1);
        assertThat(bench.at("/readings/0/reading/notSeen").asBoolean()).isTrue();
        assertThat(stored(first)).isEqualTo(1);
    }

    @ParameterizedTest(name = "{1} {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "422 | unfit-reading | {\"character\":\"twig-warts\",\"states\":[\"plenty\"],\"certainty\":\"sure\",\"notSeen\":false}"
                        + " | plenty",
                "422 | unfit-reading | {\"character\":\"ltw\",\"values\":[-3],\"certainty\":\"sure\",\"notSeen\":false} | -3",
                "422 | unfit-reading | {\"character\":\"ltf\",\"values\":[2.5],\"certainty\":\"sure\",\"notSeen\":false}"
                        + " | whole number",
                "422 | unfit-reading | {\"character\":\"ears\",\"notSeen\":true} | ears",
                "422 | unfit-reading | {\"character\":\"ltf\",\"values\":[2],\"certainty\":\"very\",\"notSeen\":false} | very",
                "422 | unfit-reading | {\"character\":\"ltf\",\"notSeen\":false} | exactly one",
                "400 | unreadable | {\"character\":\"ltw\",\"values\":[\"wide\"],\"certainty\":\"sure\",\"notSeen\":false}"
                        + " | values",
                "400 | unreadable | {\"character\": | no JSON at line 1",
                "422 | unfit-reading | {\"character\":\"\",\"notSeen\":true} | character"
            })
    void a_reading_that_does_not_fit_is_refused_in_words_and_not_stored(
            int status, String type, String body, String said) {
        String path = readings(24);

        JsonNode problem = signedIn("Redpoll").put(path, body).expectProblem(status, type);

        assertThat(problem.path("detail").asText()).contains(said).doesNotContain("java.", "org.goldthistle");
        assertThat(stored(path)).isZero();
    }

    @Test
    void a_tree_of_another_survey_is_refused() {
        String foreign = treePath(23).replace(demoId("survey Tarnholt").toString(), longRide());

        signedIn("Dipper")
                .put(foreign + "/readings/" + UUID.randomUUID(), WARTS)
                .expectProblem(404, "no-such-tree");
    }

    @Test
    void a_survey_that_one_does_not_belong_to_is_as_if_it_were_not_there() {
        signedIn("Siskin").get("/api/surveys/" + longRide() + "/plots").expectProblem(404, "no-such-survey");
        assertThat(signedIn("Siskin").get("/api/surveys").expect(200).findValuesAsText("id"))
                .doesNotContain(longRide().toString());
        assertThat(signedIn("Dipper").get("/api/surveys").expect(200).findValuesAsText("id"))
                .contains(longRide().toString());
    }

    @Test
    void the_circumstances_can_be_put_right() {
        Caller redpoll = signedIn("Redpoll");

        JsonNode bench = redpoll.put(
                        treePath(38) + "/circumstances",
                        Map.of("month", 1, "stage", "mature", "origin", "planted", "habitat", List.of("wet")))
                .expect(200);

        assertThat(bench.at("/circumstances/month").asInt()).isEqualTo(1);
        assertThat(bench.path("outOfSeason").toString()).contains("needle-length");
        redpoll.put(
                        treePath(38) + "/circumstances",
                        Map.of("month", 13, "stage", "old", "origin", "planted", "habitat", List.of()))
                .expectProblem(422, "unfit-context");
    }

    @Test
    void two_observers_at_one_tree_have_their_own_readings() {
        signedIn("Siskin")
                .put(readings(16), Map.of("character", "thorns", "notSeen", true))
                .expect(200);

        JsonNode dippers = signedIn("Dipper").get(treePath(16) + "/bench").expect(200);

        assertThat(dippers.path("readings")).isEmpty();
    }

    private static String readings(int tag) {
        return treePath(tag) + "/readings/" + UUID.randomUUID();
    }

    private static String longRide() {
        return demoId("survey Long Ride").toString();
    }

    private int stored(String readingPath) {
        return jdbc.sql("select count(*) from reading where id = ?")
                .param(UUID.fromString(readingPath.substring(readingPath.lastIndexOf('/') + 1)))
                .query(Integer.class)
                .single();
    }

    private static Balance birchOfTag23(Reading... readings) {
        GroupModel model = GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText("birches")));
        var context = new Context(
                9,
                LifeStage.MATURE,
                TreeOrigin.UNKNOWN,
                EnumSet.of(Habitat.DRY, Habitat.EDGE),
                Optional.empty(),
                Optional.empty(),
                Map.of());
        return Weighing.of(model, Evidence.of(model.sheet(), context, List.of(readings)), Optional.empty())
                .withSurroundings();
    }
}
