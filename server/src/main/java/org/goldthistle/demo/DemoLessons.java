package org.goldthistle.demo;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.drawn.DrawnTrees;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.formats.Specimen;
import org.goldthistle.formats.SpecimenWriter;
import org.goldthistle.learning.VerifiedFiles;
import org.goldthistle.library.LibraryService;
import org.goldthistle.review.ReviewArchive;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Makes some of the demo's trees certain: settled cases, and rows of a nursery whose larches are not as the sheet says. */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoLessons {
    private static final String GROUP = "larches";
    private static final int TREES = 160;
    private static final long SEED = 20_261_127;
    private static final double RARER = 0.3; // by which the commonest state is seen more seldom than the sheet says

    private final ReviewArchive reviews;
    private final VerifiedFiles files;
    private final LibraryService library;
    private final JdbcClient jdbc;

    DemoLessons(ReviewArchive reviews, VerifiedFiles files, LibraryService library, JdbcClient jdbc) {
        this.reviews = reviews;
        this.files = files;
        this.library = library;
        this.jdbc = jdbc;
    }

    /** Marks what two agreed upon as verified, and adds the nursery's trees. */
    void teach(UUID survey, Map<String, SignedInObserver> people) {
        List<UUID> agreed = jdbc.sql("select k.id from review_case k join determination d on d.settles = k.id"
                        + " where k.survey_id = ? and k.state = 'settled' and d.taxon_id is not null order by k.id")
                .param(survey)
                .query(UUID.class)
                .list();
        for (UUID id : agreed) {
            reviews.verify(survey, id, DemoData.id("verified " + id), people.get("Treecreeper"));
        }
        files.keep(
                DemoData.id("nursery"), GROUP, "larch rows, Tarnholt nursery.json", nursery(), people.get("Redpoll"));
    }

    private String nursery() {
        GroupSheet said = library.newest(GROUP).sheet();
        GroupModel rows = GroupModel.of(said.withCharacters(
                said.characters().stream().map(DemoLessons::asItIs).toList()));
        var drawn = new DrawnTrees(rows, LifeStage.MATURE, Harm.SAMPLE);
        var context = new Context(
                9, LifeStage.MATURE, TreeOrigin.UNKNOWN, Set.of(), Optional.empty(), Optional.empty(), Map.of());
        List<Specimen> trees = new ArrayList<>();
        for (int t = 0; t < TREES; t++) {
            int truth = t % said.taxa().size();
            trees.add(new Specimen(
                    "row " + (1 + t / 20) + ", tree " + (1 + t % 20),
                    context,
                    List.<Observation>copyOf(drawn.read(truth, new TreeStream(SEED, 0, t))),
                    List.of(),
                    Optional.of(said.taxa().get(truth).id()),
                    Optional.empty()));
        }
        return SpecimenWriter.text(trees);
    }

    /** What is seen most often is seen more seldom there, and the rest as much more often. */
    private static DiagnosticCharacter asItIs(DiagnosticCharacter said) {
        Map<String, Profile> profiles = new LinkedHashMap<>(said.profiles());
        profiles.replaceAll((taxon, profile) -> profile instanceof StateProfile states ? flatter(states) : profile);
        return said.withProfiles(profiles);
    }

    private static StateProfile flatter(StateProfile said) {
        Map<String, Double> shares = new LinkedHashMap<>(said.frequencies());
        String commonest = shares.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey();
        if (shares.size() == 1) {
            return said;
        }
        double lost = RARER * shares.get(commonest);
        shares.replaceAll(
                (state, share) -> state.equals(commonest) ? share - lost : share + lost / (shares.size() - 1));
        return new StateProfile(shares);
    }
}
