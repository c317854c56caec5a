package org.goldthistle.demo;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.account.AccountService;
import org.goldthistle.account.Role;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.plot.GeoPosition;
import org.goldthistle.survey.PlotBody;
import org.goldthistle.survey.PlotService;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveySettings;
import org.goldthistle.survey.TreeBody;
import org.goldthistle.survey.TreeService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** On the first start with {@code goldthistle.demo=true}, fills an empty database with Tarnholt Forest. */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);

    /** A corner of the made-up coast; the real place is open ocean. */
    private static final GeoPosition CORNER = new GeoPosition(55.02, -20.4);

    private static final double WIDE = 6000; // metres
    private static final double HIGH = 5000;
    private static final double MANY_DRAWN = 0.8; // of the open season's plain calls, so that every state has cases
    private static final double FEW_DRAWN = 0.05;
    private static final double TO_NORTH = 0;
    private static final double TO_EAST = 90;

    private final AccountService accounts;
    private final SurveyService surveys;
    private final PlotService plots;
    private final TreeService trees;
    private final DemoSeasons seasons;
    private final DemoNotables notable;
    private final DemoReviews reviews;
    private final DemoLessons lessons;
    private final DemoControl control;
    private final DemoSamples samples;
    private final DemoPractice practice;
    private final DemoSecondReadings second;
    private final DemoLibrary revised;
    private final ObjectMapper json;
    private final String passphrase;

    DemoData(
            AccountService accounts,
            SurveyService surveys,
            PlotService plots,
            TreeService trees,
            DemoSeasons seasons,
            DemoNotables notable,
            DemoReviews reviews,
            DemoLessons lessons,
            DemoControl control,
            DemoSamples samples,
            DemoPractice practice,
            DemoSecondReadings second,
            DemoLibrary revised,
            ObjectMapper json,
            @Value("${goldthistle.demo.passphrase}") String passphrase) {
        this.accounts = accounts;
        this.surveys = surveys;
        this.plots = plots;
        this.trees = trees;
        this.seasons = seasons;
        this.notable = notable;
        this.reviews = reviews;
        this.lessons = lessons;
        this.control = control;
        this.samples = samples;
        this.practice = practice;
        this.second = second;
        this.revised = revised;
        this.json = json;
        this.passphrase = passphrase;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments arguments) {
        if (accounts.hasObservers()) {
            return;
        }
        Map<String, SignedInObserver> people = new LinkedHashMap<>();
        people.put("Dipper", observer("Dipper", Role.CREW));
        people.put("Siskin", observer("Siskin", Role.CREW));
        people.put("Wren", observer("Wren", Role.CREW));
        people.put("Nuthatch", observer("Nuthatch", Role.REVIEWER));
        people.put("Redpoll", observer("Redpoll", Role.REVIEWER));
        people.put("Treecreeper", observer("Treecreeper", Role.LEAD));
        Map<String, UUID> crew = new LinkedHashMap<>();
        people.forEach((callSign, person) -> crew.put(callSign, person.id()));
        UUID lead = crew.get("Treecreeper");
        List<UUID> everybody = List.copyOf(crew.values());
        List<UUID> andContractor = new ArrayList<>(everybody);
        SignedInObserver contractor = observer("Woodcock", Role.CONTRACTOR);
        andContractor.add(contractor.id());
        Map<Integer, UUID> bySeason = new LinkedHashMap<>();
        bySeason.put(
                DemoPlot.OPEN,
                survey("Tarnholt", "Kettle Moss round, Tarnholt Forest", DemoPlot.OPEN, andContractor, lead));
        bySeason.put(
                DemoPlot.CLOSED_LATER,
                survey("Tarnholt 2025", "Sallow Beck round, Tarnholt Forest", DemoPlot.CLOSED_LATER, everybody, lead));
        bySeason.put(
                DemoPlot.CLOSED_EARLIER,
                survey("Tarnholt 2024", "Heron Carr round, Tarnholt Forest", DemoPlot.CLOSED_EARLIER, everybody, lead));
        reviews.draw(bySeason.get(DemoPlot.OPEN), MANY_DRAWN);
        kettleMoss(bySeason.get(DemoPlot.OPEN), lead);
        longRide(crew.get("Dipper"));
        DemoPlot.all(json).forEach(plot -> grow(plot, bySeason.get(plot.season()), crew));
        for (int year : List.of(DemoPlot.CLOSED_EARLIER, DemoPlot.CLOSED_LATER)) {
            DemoPlot.all(json).stream()
                    .filter(plot -> DemoPlot.WALKED_EVERY_YEAR.contains(plot.code()))
                    .forEach(plot -> grow(plot.in(year), bySeason.get(year), crew));
        }
        reviews.workThrough(bySeason.get(DemoPlot.OPEN), people);
        lessons.teach(bySeason.get(DemoPlot.OPEN), people);
        DemoPlot.later(json).forEach(plot -> grow(plot, bySeason.get(plot.season()), crew));
        notable.add(bySeason.get(DemoPlot.OPEN), crew);
        control.add(bySeason.get(DemoPlot.OPEN), people, contractor);
        samples.add(bySeason.get(DemoPlot.OPEN), people);
        practice.add(crew);
        reviews.draw(bySeason.get(DemoPlot.OPEN), FEW_DRAWN);
        second.read(bySeason.get(DemoPlot.OPEN), crew);
        revised.revise(crew.get("Redpoll"), crew.get("Nuthatch"));
        surveys.close(bySeason.get(DemoPlot.CLOSED_EARLIER), lead, true);
        surveys.close(bySeason.get(DemoPlot.CLOSED_LATER), lead, true);
        LOG.info("made the demo data");
    }

    private void grow(DemoPlot plot, UUID survey, Map<String, UUID> crew) {
        UUID id = id("plot " + plot.code() + (plot.isEarlierWalk() ? " " + plot.season() : ""));
        plots.create(
                survey,
                id,
                crew.get("Treecreeper"),
                body(plot.code(), plot.east(), plot.north(), plot.habitat()),
                recorded(plot.season(), 0));
        seasons.fill(plot, survey, id, crew);
    }

    private SignedInObserver observer(String callSign, Role role) {
        return accounts.create(id("observer " + callSign), callSign, passphrase, role);
    }

    private UUID survey(String key, String name, int season, List<UUID> members, UUID by) {
        UUID survey = id("survey " + key);
        surveys.create(survey, by, SurveySettings.plain(name, "Tarnholt", season, members, land()));
        return survey;
    }

    private static List<List<Double>> land() {
        List<List<Double>> corners = new ArrayList<>();
        for (double[] corner : new double[][] {{0, 0}, {WIDE, 200}, {WIDE * 0.9, HIGH}, {300, HIGH * 0.95}}) {
            GeoPosition at = at(corner[0], corner[1]);
            corners.add(List.of(at.longitude(), at.latitude()));
        }
        return corners;
    }

    /** When a season's plots were laid out, before anybody read a tree of them: a stem every few minutes. */
    static Instant recorded(int season, int stem) {
        return LocalDate.of(season, 4, 14).atTime(8, 30).plusMinutes(3L * stem).toInstant(ZoneOffset.UTC);
    }

    private static GeoPosition at(double east, double north) {
        return CORNER.at(TO_EAST, east).at(TO_NORTH, north);
    }

    private static PlotBody body(String code, double east, double north, List<String> habitat) {
        GeoPosition at = at(east, north);
        return new PlotBody(
                code,
                Math.round(at.latitude() * 1e6) / 1e6,
                Math.round(at.longitude() * 1e6) / 1e6,
                DemoStem.RADIUS,
                (double) Math.round(8 + north / 90),
                habitat,
                "",
                null);
    }

    /** The plot that newcomers begin with: a tree of nearly every group, none of them read yet. */
    private void kettleMoss(UUID survey, UUID lead) {
        UUID plot = id("plot Kettle Moss 07");
        plots.create(
                survey,
                plot,
                lead,
                body("Kettle Moss 07", 950, 1100, List.of("wet", "acid")),
                recorded(DemoPlot.OPEN, 0));
        Bare stems = new Bare(survey, plot, lead);
        stems.add(4, "alders", 12, 3.1, 214, "mature", "wild", "waterlogged");
        stems.add(9, "sallows", 57, 6.4, 88, "pole", "wild", "wet", "edge");
        stems.add(11, "bird-cherries", 101, 4.9, 132, "pole", "wild", "mesic", "edge");
        stems.add(16, "buckthorns", 148, 9.8, 61, "mature", "wild", "wet", "acid");
        stems.add(23, "birches", 204, 7.2, 287, "mature", "unknown", "dry", "edge");
        stems.add(24, "birches", 219, 8.8, 141, "pole", "wild", "wet", "acid");
        stems.add(31, "hawthorns", 266, 11.3, 97, "mature", "unknown", "edge");
        stems.add(38, "larches", 311, 10.1, 342, "mature", "planted", "mesic");
        stems.add(40, "firs", 338, 12.4, 398, "mature", "planted", "mesic", "acid");
    }

    /** A survey that only one observer belongs to, so that what is not shared can be seen not to be. */
    private void longRide(UUID only) {
        UUID survey = id("survey Long Ride");
        surveys.create(
                survey,
                only,
                SurveySettings.plain(
                        "Long Ride avenue, Tarnholt Forest", "Tarnholt", DemoPlot.OPEN, List.of(only), land()));
        UUID plot = id("plot Long Ride 02");
        plots.create(
                survey, plot, only, body("Long Ride 02", 3300, 2900, List.of("urban")), recorded(DemoPlot.OPEN, 0));
        Bare stems = new Bare(survey, plot, only);
        stems.add(1, "limes", 5, 2.2, 611, "mature", "planted", "urban");
        stems.add(2, "limes", 93, 8.5, 574, "mature", "planted", "urban", "edge");
    }

    static UUID id(String name) {
        return UUID.nameUUIDFromBytes(("demo " + name).getBytes(StandardCharsets.UTF_8));
    }

    /** A plot whose trees were recorded and not read. */
    private final class Bare {
        private final UUID survey;
        private final UUID plot;
        private final UUID observer;

        Bare(UUID survey, UUID plot, UUID observer) {
            this.survey = survey;
            this.plot = plot;
            this.observer = observer;
        }

        void add(
                int tag,
                String group,
                double azimuth,
                double distance,
                int diameter,
                String stage,
                String origin,
                String... habitat) {
            trees.create(
                    survey,
                    plot,
                    id("tree " + plot + " " + tag),
                    observer,
                    new TreeBody(
                            tag,
                            azimuth,
                            distance,
                            diameter,
                            null,
                            stage,
                            origin,
                            List.of(habitat),
                            "",
                            group,
                            null,
                            null,
                            null),
                    recorded(DemoPlot.OPEN, tag));
        }
    }
}
