package org.goldthistle.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.Coded;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.library.LibraryService;
import org.goldthistle.review.ReviewArchive;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Lets the demo's reviewers work through the open season's cases, so that there are some in every state. */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoReviews {
    private static final long SEED = 20_261_104;
    private static final int CHECKS = 7; // that a second reader makes
    private static final LocalDate SECOND_WALK = LocalDate.of(2026, 9, 8);

    private static final Instant TALKED = Instant.parse("2026-09-09T16:00:00Z"); // a case after the other

    private static final int TURNS = 10; // of cases; those that are not named still wait
    private static final int TAKEN = 2;
    private static final int TALKED_OVER = 3;
    private static final Map<Integer, Ending> ENDINGS = Map.of(
            4, new Ending(false, "agree", "Both saw the same tree."),
            5, new Ending(true, "overrule", "The first leaves were sprouts; these are from the crown."),
            6, new Ending(false, "third-look", "You read different branches. One more pair of eyes."),
            7, new Ending(false, "laboratory", "Halfway in everything."),
            8, new Ending(false, "not-separable", "Top dead, nothing left to read."));

    /** How a case ends: by the second reader or by the lead. */
    private record Ending(boolean bySecond, String outcome, String reasons) {}

    private final ReviewArchive reviews;
    private final CallArchive archive;
    private final LibraryService library;
    private final JdbcClient jdbc;

    DemoReviews(ReviewArchive reviews, CallArchive archive, LibraryService library, JdbcClient jdbc) {
        this.reviews = reviews;
        this.archive = archive;
        this.library = library;
        this.jdbc = jdbc;
    }

    /** Sets which share of a survey's plain calls is drawn, by a seed that is the same in every demo. */
    void draw(UUID survey, double share) {
        jdbc.sql("update survey set plain_share = ?, draw_seed = ? where id = ?")
                .params(share, SEED, survey)
                .update();
    }

    /** A case that waits. */
    private record Waiting(UUID id, UUID tree, String group, String stage, String truth, List<UUID> readers) {}

    /** Works through the cases of a survey, one after the other in a fixed order. */
    void workThrough(UUID survey, Map<String, SignedInObserver> crew) {
        Random random = new Random(SEED);
        int turn = 0;
        for (Waiting one : waiting(survey)) {
            SignedInObserver second =
                    crew.get(one.readers().contains(crew.get("Redpoll").id()) ? "Nuthatch" : "Redpoll");
            int at = turn++ % TURNS;
            Instant talked = TALKED.plusSeconds(240L * turn);
            Ending ending = ENDINGS.get(at);
            if (at == TAKEN) {
                reviews.take(survey, one.id(), second);
            } else if (at == TALKED_OVER) {
                read(survey, one, second, random);
                reviews.say(survey, one.id(), id(one, "word"), second, "Took leaves from the sunny side only.", talked);
                if (turn > TURNS) { // of several that are talked over one stays so
                    reviews.decide(
                            survey,
                            one.id(),
                            id(one, "decision"),
                            crew.get("Treecreeper"),
                            "agree",
                            "The leaves say it.",
                            talked.plusSeconds(1800));
                }
            } else if (ending != null) {
                read(survey, one, second, random);
                SignedInObserver by = ending.bySecond() ? second : crew.get("Treecreeper");
                reviews.decide(survey, one.id(), id(one, "decision"), by, ending.outcome(), ending.reasons(), talked);
            }
        }
    }

    private List<Waiting> waiting(UUID survey) {
        return jdbc.sql("select k.id, k.tree_id, k.group_id, k.readers, t.stage, d.taxon_id from review_case k"
                        + " join tree t on t.id = k.tree_id join demo_truth d on d.tree_id = t.id"
                        + " where k.survey_id = ? and k.state = 'waiting' order by k.tree_id")
                .param(survey)
                .query((row, i) -> new Waiting(
                        row.getObject("id", UUID.class),
                        row.getObject("tree_id", UUID.class),
                        row.getString("group_id"),
                        row.getString("stage"),
                        row.getString("taxon_id"),
                        List.of((UUID[]) row.getArray("readers").getArray())))
                .list();
    }

    /** A second reader reads the tree as it is, with a reader's mistakes, and signs. */
    private void read(UUID survey, Waiting one, SignedInObserver second, Random random) {
        Instant begun =
                SECOND_WALK.atTime(9, 0).plusMinutes(random.nextInt(300)).toInstant(ZoneOffset.UTC);
        GroupModel model = library.newest(one.group()).model();
        List<ArchivedCall.Reading> readings = new DemoReader(model, random)
                .read(
                        one.truth(),
                        Coded.find(LifeStage.values(), one.stage()).orElseThrow(),
                        SECOND_WALK.getMonthValue(),
                        CHECKS);
        var call = new ArchivedCall(
                survey,
                one.tree(),
                second.id(),
                begun,
                "tally",
                readings,
                Optional.of(begun.plusSeconds(900)),
                false,
                "Read without knowing.");
        archive.keep(
                DemoPhotos.canMeasure(model)
                        ? DemoPhotos.measured(
                                call,
                                model,
                                one.truth(),
                                new Random(SEED + one.tree().hashCode()))
                        : call);
    }

    private static UUID id(Waiting one, String of) {
        return DemoData.id(of + " " + one.tree());
    }
}
