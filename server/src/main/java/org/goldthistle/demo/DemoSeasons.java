package org.goldthistle.demo;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.library.LibraryService;
import org.goldthistle.survey.TreeBody;
import org.goldthistle.survey.TreeService;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Grows made-up plots and lets crews read them: the same seed gives the same forest and the same mistakes. */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoSeasons {
    private static final long SEED = 20_260_914;
    private static final double SIGNED_BY_NOW = 0.42; // of the open season's trees
    private static final double READ_BY_NOW = 0.68;
    private static final double READ_TWICE = 0.12;
    private static final double OFTEN_READ_TWICE = 0.4; // where seasons are compared
    private static final int GROWTH = 3; // millimetres a year
    private static final double FOR_THE_RECORD = 0.25;
    private static final int FEWEST_CHECKS = 4;
    private static final int FIRST_MONTH = 5;
    private static final int MONTHS = 4; // of field work; the open season's last call is from early September
    private static final List<String> NOTES = List.of(
            "",
            "",
            "",
            "Crown half dead, so little to go by.",
            "Twigs from a pole cutter, two metres up.",
            "Leaves badly mined; took the cleanest.",
            "Neighbour leans into the crown; made sure of the branch.",
            "Rain; lens fogged.");

    private final TreeService trees;
    private final CallArchive archive;
    private final LibraryService library;
    private final JdbcClient jdbc;
    private final EntityManager entities;

    DemoSeasons(
            TreeService trees, CallArchive archive, LibraryService library, JdbcClient jdbc, EntityManager entities) {
        this.trees = trees;
        this.archive = archive;
        this.library = library;
        this.jdbc = jdbc;
        this.entities = entities;
    }

    /** Records the trees of a plot and what was read of them. */
    void fill(DemoPlot plot, UUID surveyId, UUID plotId, Map<String, UUID> crew) {
        Random random = new Random(SEED + plot.code().hashCode());
        Map<String, GroupSheet> sheets = new LinkedHashMap<>();
        library.newest().forEach(stored -> sheets.put(stored.sheet().id(), stored.sheet()));
        List<UUID> readers = new ArrayList<>(crew.values());
        readers.remove(crew.get("Treecreeper")); // the lead walks elsewhere
        List<DemoStem> stems = DemoStem.of(plot, sheets, random); // the same ones in every season
        Random walk = plot.isEarlierWalk() ? new Random(SEED + plot.code().hashCode() + plot.season()) : random;
        for (DemoStem stem : stems) {
            UUID tree = DemoData.id("tree " + plotId + " " + stem.tag());
            trees.create(
                    surveyId,
                    plotId,
                    tree,
                    readers.get(walk.nextInt(2)),
                    body(plot, stem),
                    DemoData.recorded(plot.season(), stem.tag()));
            if (stem.group() != null) {
                jdbc.sql("insert into demo_truth values (?, ?)")
                        .params(tree, stem.taxon())
                        .update();
                read(plot, stem, surveyId, tree, readers, walk);
            }
            entities.flush();
            entities.clear(); // so that nothing is looked through again for changes as the forest grows
        }
    }

    private static TreeBody body(DemoPlot plot, DemoStem stem) {
        boolean plain = stem.group() == null;
        return new TreeBody(
                stem.tag(),
                stem.azimuth(),
                stem.distance(),
                stem.diameter() - GROWTH * (DemoPlot.OPEN - plot.season()),
                stem.height(),
                stem.stage(),
                plot.planted() > 0 && plot.planted() < 1 && stem.tag() % 7 == 0
                        ? "unknown"
                        : stem.planted() ? "planted" : "wild",
                null,
                stem.tag() % 17 == 0 ? "Top broken." : "",
                stem.group(),
                plain ? stem.taxon() : null,
                null,
                null);
    }

    private void read(DemoPlot plot, DemoStem stem, UUID surveyId, UUID tree, List<UUID> readers, Random random) {
        boolean over = plot.season() != DemoPlot.OPEN;
        double fate = random.nextDouble();
        if (!over && fate > READ_BY_NOW) {
            return;
        }
        int first = random.nextInt(readers.size());
        int times = random.nextDouble() < (plot.isEarlierWalk() ? OFTEN_READ_TWICE : READ_TWICE) ? 2 : 1;
        StoredSheet sheet = library.newest(stem.group());
        DemoReader reader = new DemoReader(sheet.model(), random);
        for (int i = 0; i < times; i++) {
            LocalDate day = LocalDate.of(plot.season(), FIRST_MONTH + random.nextInt(MONTHS), 1 + random.nextInt(28));
            Instant begun = day.atTime(8, 0).plusMinutes(11L * stem.tag()).toInstant(ZoneOffset.UTC);
            List<ArchivedCall.Reading> readings = reader.read(
                    stem.taxon(),
                    Coded.find(LifeStage.values(), stem.stage()).orElseThrow(),
                    day.getMonthValue(),
                    FEWEST_CHECKS + random.nextInt(6));
            boolean signed = !readings.isEmpty() && (over || fate < SIGNED_BY_NOW && i == 0);
            archive.keep(new ArchivedCall(
                    surveyId,
                    tree,
                    readers.get((first + i) % readers.size()),
                    begun,
                    random.nextDouble() < FOR_THE_RECORD ? "record" : "tally",
                    readings,
                    signed
                            ? Optional.of(
                                    begun.plusSeconds(60L * (readings.size() + 1 + Math.floorMod(tree.hashCode(), 6))))
                            : Optional.empty(),
                    !over,
                    NOTES.get(random.nextInt(NOTES.size()))));
        }
    }
}
