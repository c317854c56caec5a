package org.goldthistle.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.library.LibraryService;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Lets crews read some signed trees of the open season once more without knowing, as a crew is checked by another. */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoSecondReadings {
    private static final long SEED = 20_260_910;
    private static final int OF_EACH_GROUP = 5;
    private static final int CHECKS = 6;
    private static final List<String> GROUPS =
            List.of("alders", "sallows", "birches", "bird-cherries", "hawthorns", "larches", "limes");
    private static final List<String> CREW = List.of("Dipper", "Siskin", "Wren");
    private static final LocalDate SECOND_WALK = LocalDate.of(2026, 9, 9);

    private final CallArchive archive;
    private final LibraryService library;
    private final JdbcClient jdbc;

    DemoSecondReadings(CallArchive archive, LibraryService library, JdbcClient jdbc) {
        this.archive = archive;
        this.library = library;
        this.jdbc = jdbc;
    }

    /** A tree that one observer signed with a taxon and nobody reviews. */
    private record Signed(UUID tree, String group, String stage, String truth, UUID by) {}

    void read(UUID survey, Map<String, UUID> crew) {
        for (String group : GROUPS) {
            int turn = 0;
            for (Signed one : signed(survey, group)) {
                read(survey, one, crew, turn++);
            }
        }
    }

    private List<Signed> signed(UUID survey, String group) {
        return jdbc.sql("select t.id, t.group_id, t.stage, x.taxon_id, d.observer_id from tree t"
                        + " join plot p on p.id = t.plot_id join demo_truth x on x.tree_id = t.id"
                        + " join determination d on d.tree_id = t.id where p.survey_id = ? and t.group_id = ?"
                        + " and t.stands_as = 'taxon' and t.clone_of is null"
                        + " and not exists (select 1 from review_case k where k.tree_id = t.id)"
                        + " and not exists (select 1 from control_approval a where a.tree_id = t.id)"
                        + " and not exists (select 1 from sample s where s.tree_id = t.id)"
                        + " and (select count(*) from determination o where o.tree_id = t.id) = 1"
                        + " order by t.id limit ?")
                .params(survey, group, OF_EACH_GROUP)
                .query((row, i) -> new Signed(
                        row.getObject("id", UUID.class),
                        row.getString("group_id"),
                        row.getString("stage"),
                        row.getString("taxon_id"),
                        row.getObject("observer_id", UUID.class)))
                .list();
    }

    private void read(UUID survey, Signed one, Map<String, UUID> crew, int turn) {
        Random random = new Random(SEED + one.tree().hashCode());
        List<UUID> others = new ArrayList<>(CREW.stream().map(crew::get).toList());
        others.remove(one.by());
        Instant begun = SECOND_WALK
                .plusDays(turn % 3)
                .atTime(8, 20)
                .plusMinutes(random.nextInt(420))
                .toInstant(ZoneOffset.UTC);
        archive.keep(new ArchivedCall(
                survey,
                one.tree(),
                others.get(random.nextInt(others.size())),
                begun,
                "tally",
                new DemoReader(library.newest(one.group()).model(), random)
                        .read(
                                one.truth(),
                                Coded.find(LifeStage.values(), one.stage()).orElseThrow(),
                                SECOND_WALK.getMonthValue(),
                                CHECKS),
                Optional.of(begun.plusSeconds(60L * (7 + random.nextInt(9)))),
                false,
                "Read once more, without knowing."));
    }
}
