package org.goldthistle.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.library.LibraryService;
import org.goldthistle.survey.TreeBody;
import org.goldthistle.survey.TreeService;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/**
 * Trees of the demo that somebody would be shown: suckers of a white poplar and of an aspen as two clones, a protected black
 * poplar that its first reader took for a hybrid, and a planted red oak.
 */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoNotables {
    private static final long SEED = 20_261_128;
    private static final String MILL_POND = "Mill Pond 01";
    private static final String DROVERS_PARK = "Drovers Park 01";
    private static final int CHECKS = 9;
    private static final int BEARING = 12; // degrees from one stem of a clone to the next

    private final TreeService trees;
    private final CallArchive archive;
    private final LibraryService library;
    private final JdbcClient jdbc;

    DemoNotables(TreeService trees, CallArchive archive, LibraryService library, JdbcClient jdbc) {
        this.trees = trees;
        this.archive = archive;
        this.library = library;
        this.jdbc = jdbc;
    }

    /** Where one of them stands, and what it is. */
    private record Notable(
            String plot,
            int tag,
            String group,
            String taxon,
            double azimuth,
            double distance,
            int diameter,
            String origin) {
        UUID id() {
            return DemoData.id("tree " + plotId() + " " + tag);
        }

        UUID plotId() {
            return DemoData.id("plot " + plot);
        }
    }

    /** Adds them to the open season's survey. */
    void add(UUID survey, Map<String, UUID> crew) {
        clone(survey, crew, new Notable(MILL_POND, 61, "white-poplars", "alba", 20, 13.2, 520, "planted"), 4);
        clone(survey, crew, new Notable(MILL_POND, 71, "white-poplars", "tremula", 200, 13.6, 240, "wild"), 3);
        Notable poplar = new Notable(MILL_POND, 81, "black-poplars", "betulifolia", 300, 14.2, 890, "wild");
        create(survey, crew, poplar, null, "Old pollard, hollow, leans over the water.");
        read(
                survey,
                poplar,
                crew.get("Wren"),
                "canadensis",
                LocalDate.of(DemoPlot.OPEN, 6, 9),
                "Straight limbs to the south.");
        read(
                survey,
                poplar,
                crew.get("Nuthatch"),
                poplar.taxon(),
                LocalDate.of(DemoPlot.OPEN, 9, 2),
                "Bosses all round, downy stalks.");
        Notable oak = new Notable(DROVERS_PARK, 61, "oaks", "rubra", 110, 14.0, 480, "planted");
        create(survey, crew, oak, null, "");
        read(
                survey,
                oak,
                crew.get("Siskin"),
                oak.taxon(),
                LocalDate.of(DemoPlot.OPEN, 8, 20),
                "From the avenue that was planted.");
    }

    /** The stem that bears the call of a clone, and its suckers about it. */
    private void clone(UUID survey, Map<String, UUID> crew, Notable first, int suckers) {
        create(survey, crew, first, null, "Suckers all about it.");
        read(survey, first, crew.get("Dipper"), first.taxon(), LocalDate.of(DemoPlot.OPEN, 7, 14), "");
        for (int i = 1; i <= suckers; i++) {
            Notable sucker = new Notable(
                    first.plot(),
                    first.tag() + i,
                    first.group(),
                    first.taxon(),
                    first.azimuth() + BEARING * i,
                    first.distance() - 0.4 * i,
                    60 + 15 * i,
                    "wild");
            create(survey, crew, sucker, first.id(), "");
        }
    }

    private void create(UUID survey, Map<String, UUID> crew, Notable one, @Nullable UUID cloneOf, String condition) {
        trees.create(
                survey,
                one.plotId(),
                one.id(),
                crew.get("Dipper"),
                new TreeBody(
                        one.tag(),
                        one.azimuth(),
                        one.distance(),
                        one.diameter(),
                        null,
                        cloneOf == null ? LifeStage.MATURE.code() : LifeStage.POLE.code(),
                        one.origin(),
                        null,
                        condition,
                        one.group(),
                        null,
                        cloneOf,
                        null),
                DemoData.recorded(DemoPlot.OPEN, one.tag()));
        if (cloneOf == null) {
            jdbc.sql("insert into demo_truth values (?, ?)")
                    .params(one.id(), one.taxon())
                    .update();
        }
    }

    /** A reader reads the tree as if it were of that taxon, and signs. */
    private void read(UUID survey, Notable one, UUID reader, String as, LocalDate day, String note) {
        Instant begun = day.atTime(10, 0).toInstant(ZoneOffset.UTC);
        GroupModel model = library.newest(one.group()).model();
        List<ArchivedCall.Reading> readings = new DemoReader(model, new Random(SEED + one.tag()))
                .read(as, LifeStage.MATURE, day.getMonthValue(), CHECKS);
        var call = new ArchivedCall(
                survey, one.id(), reader, begun, "tally", readings, Optional.of(begun.plusSeconds(900)), false, note);
        archive.keep(
                DemoPhotos.canMeasure(model)
                        ? DemoPhotos.measured(call, model, as, new Random(SEED + day.toEpochDay()))
                        : call);
    }
}
