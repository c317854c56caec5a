package org.goldthistle.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Parents;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.library.LibraryService;
import org.goldthistle.sample.SampleArchive;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Six samples, each at another place of its life: one is asked for, one came back to the table, one was spoilt … */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoSamples {
    private static final String METHODS = """
            {"version":1,"laboratory":"Saltmarsh Plant Laboratory","methods":[\
            {"analysis":"markers","error":0.008,"fails":0.06},{"analysis":"ploidy","error":0.02,"fails":0.06},\
            {"analysis":"sequence","error":0.008,"fails":0.06}],"sets":{"Betula pendula":[2],"Betula pubescens":[4]}}""";

    private final SampleArchive archive;
    private final LibraryService library;
    private final JdbcClient jdbc;
    private final Clock clock;

    DemoSamples(SampleArchive archive, LibraryService library, JdbcClient jdbc, Clock clock) {
        this.archive = archive;
        this.library = library;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Adds them to the open season's survey; one of its reviews waits for the laboratory already. */
    void add(UUID survey, Map<String, SignedInObserver> people) {
        UUID siskin = people.get("Siskin").id();
        UUID redpoll = people.get("Redpoll").id();
        Instant now = clock.instant();
        Instant before = now.minus(Duration.ofDays(9));
        List<UUID> open = trees(survey, "table", "waiting");
        List<UUID> settled = trees(survey, "settled");
        archive.ask(id("asked"), open.get(0), Analysis.SEQUENCE, "before its leaves fall", redpoll, now);
        take("taken", open.get(1), siskin, redpoll, now.minus(Duration.ofDays(1)));
        take("packed", open.get(2), siskin, redpoll, now.minus(Duration.ofDays(2)));
        take("weighed", settled.get(0), siskin, redpoll, before);
        take("spoilt", settled.get(1), siskin, redpoll, before);
        UUID answered = jdbc.sql("select id from sample where tree_id = ?")
                .param(trees(survey, "laboratory").get(0))
                .query(UUID.class)
                .single();
        archive.step(answered, SampleStep.TAKEN, "", siskin, now);
        Instant posted = before.plus(Duration.ofDays(2));
        archive.pack(
                id("first parcel"),
                "P" + DemoPlot.OPEN + "-001",
                survey,
                List.of(id("weighed"), id("spoilt"), answered),
                siskin,
                posted,
                "R-118");
        archive.pack(
                id("second parcel"), "P" + DemoPlot.OPEN + "-002", survey, List.of(id("packed")), siskin, now, null);
        archive.publish(METHODS);
        Instant came = before.plus(Duration.ofDays(5));
        answer(-2, id("weighed"), settled.get(0), came);
        archive.step(id("weighed"), SampleStep.WEIGHED, "", redpoll, came.plus(Duration.ofHours(5)));
        archive.say(
                -1,
                "{\"number\":-1,\"sample\":\"" + archive.label(id("spoilt"))
                        + "\",\"analysis\":\"sequence\",\"failed\":\"too little DNA of use\"}",
                id("spoilt"),
                false,
                "The laboratory found nothing: too little DNA of use",
                came);
        archive.step(id("spoilt"), SampleStep.SPOILT, "The laboratory: too little DNA of use", null, came);
        answer(0, answered, trees(survey, "laboratory").get(0), now);
    }

    private static UUID id(String name) {
        return DemoData.id("sample " + name);
    }

    private void take(String name, UUID tree, UUID by, UUID askedBy, Instant at) {
        archive.ask(
                id(name),
                tree,
                Analysis.SEQUENCE,
                "the readings are far apart",
                askedBy,
                at.minus(Duration.ofHours(20)));
        archive.step(id(name), SampleStep.TAKEN, "", by, at);
    }

    private List<UUID> trees(UUID survey, String... states) {
        return jdbc.sql("select k.tree_id from review_case k join demo_truth d on d.tree_id = k.tree_id"
                        + " join tree t on t.id = k.tree_id join plot p on p.id = t.plot_id"
                        + " where k.survey_id = ? and k.state = any(?) order by k.state, p.code, t.tag")
                .params(survey, states)
                .query(UUID.class)
                .list();
    }

    /** What a laboratory that does not err finds of a tree. */
    private void answer(long number, UUID sample, UUID tree, Instant at) {
        String taxon = jdbc.sql("select taxon_id from demo_truth where tree_id = ?")
                .param(tree)
                .query(String.class)
                .single();
        String group = jdbc.sql("select group_id from tree where id = ?")
                .param(tree)
                .query(String.class)
                .single();
        GroupSheet sheet = library.newest(group).sheet();
        Taxon truth = sheet.taxon(taxon).orElseThrow();
        String head = "{\"number\":" + number + ",\"sample\":\"" + archive.label(sample) + "\",\"analysis\":";
        String body = sheet.taxa().stream()
                .flatMap(hybrid -> hybrid.parents().stream())
                .findFirst()
                .map(parents -> head + "\"markers\",\"found\":" + share(sheet, parents, truth) + "}")
                .orElseGet(() -> head + "\"sequence\",\"found\":{\"taxon\":\""
                        + truth.name().scientificName() + "\",\"support\":0.97}}");
        archive.say(number, body, sample, true, "", at);
        archive.step(sample, SampleStep.ANSWERED, "", null, at);
    }

    private static String share(GroupSheet sheet, Parents parents, Taxon truth) {
        String found = truth.id().equals(parents.first())
                ? "\"share\":0.02,\"low\":0,\"high\":0.05}"
                : truth.id().equals(parents.second())
                        ? "\"share\":0.98,\"low\":0.95,\"high\":1}"
                        : "\"share\":0.47,\"low\":0.38,\"high\":0.56}";
        return "{\"first\":\"" + scientific(sheet, parents.first()) + "\",\"second\":\""
                + scientific(sheet, parents.second()) + "\"," + found;
    }

    private static String scientific(GroupSheet sheet, String id) {
        return sheet.taxon(id).orElseThrow().name().scientificName();
    }
}
