package org.goldthistle.demo;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.account.AccountService;
import org.goldthistle.account.Role;
import org.goldthistle.survey.NewTree;
import org.goldthistle.survey.SurveyService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** On the first start with {@code goldthistle.demo=true}, fills an empty database with a corner of Tarnholt Forest. */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    private static final int SEASON = 2026;

    private final AccountService accounts;
    private final SurveyService surveys;
    private final String passphrase;

    DemoData(
            AccountService accounts,
            SurveyService surveys,
            @Value("${goldthistle.demo.passphrase}") String passphrase) {
        this.accounts = accounts;
        this.surveys = surveys;
        this.passphrase = passphrase;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments arguments) {
        if (accounts.hasObservers()) {
            return;
        }
        Set<UUID> crew = new LinkedHashSet<>();
        crew.add(observer("Dipper", Role.CREW));
        crew.add(observer("Siskin", Role.CREW));
        crew.add(observer("Redpoll", Role.REVIEWER));
        crew.add(observer("Treecreeper", Role.LEAD));
        UUID survey = id("survey Tarnholt");
        surveys.createSurvey(survey, "Kettle Moss round, Tarnholt Forest", "Tarnholt", SEASON, crew);
        kettleMoss(survey);
        longRide(id("survey Long Ride"), crew.iterator().next());
        LOG.info("made the demo data");
    }

    private UUID observer(String callSign, Role role) {
        return accounts.create(id("observer " + callSign), callSign, passphrase, role)
                .id();
    }

    private void kettleMoss(UUID survey) {
        UUID plot = id("plot Kettle Moss 07");
        surveys.createPlot(plot, survey, "Kettle Moss 07");
        tree(plot, 4, "alders", 12, 3.1, 214, "mature", "wild", "waterlogged");
        tree(plot, 9, "sallows", 57, 6.4, 88, "pole", "wild", "wet", "edge");
        tree(plot, 11, "bird-cherries", 101, 4.9, 132, "pole", "wild", "mesic", "edge");
        tree(plot, 16, "buckthorns", 148, 9.8, 61, "mature", "wild", "wet", "acid");
        tree(plot, 23, "birches", 204, 7.2, 287, "mature", "unknown", "dry", "edge");
        tree(plot, 24, "birches", 219, 8.8, 141, "pole", "wild", "wet", "acid");
        tree(plot, 31, "hawthorns", 266, 11.3, 97, "mature", "unknown", "edge");
        tree(plot, 38, "larches", 311, 10.1, 342, "mature", "planted", "mesic");
        tree(plot, 40, "firs", 338, 12.4, 398, "mature", "planted", "mesic", "acid");
    }

    /** A second survey that only one observer belongs to, so that what is not shared can be seen not to be. */
    private void longRide(UUID survey, UUID only) {
        surveys.createSurvey(survey, "Long Ride avenue, Tarnholt Forest", "Tarnholt", SEASON, Set.of(only));
        UUID plot = id("plot Long Ride 02");
        surveys.createPlot(plot, survey, "Long Ride 02");
        tree(plot, 1, "limes", 5, 2.2, 611, "mature", "planted", "urban");
        tree(plot, 2, "limes", 93, 8.5, 574, "mature", "planted", "urban", "edge");
    }

    private void tree(
            UUID plot,
            int tag,
            String group,
            double azimuth,
            double distance,
            int diameter,
            String stage,
            String origin,
            String... habitat) {
        surveys.createTree(
                plot,
                new NewTree(
                        id("tree " + plot + " " + tag),
                        tag,
                        group,
                        azimuth,
                        distance,
                        diameter,
                        stage,
                        origin,
                        List.of(habitat)));
    }

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(("demo " + name).getBytes(StandardCharsets.UTF_8));
    }
}
