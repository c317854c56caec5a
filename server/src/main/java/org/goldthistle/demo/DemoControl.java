package org.goldthistle.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.NewReading;
import org.goldthistle.control.ControlArchive;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.LibraryService;
import org.goldthistle.review.ReviewArchive;
import org.goldthistle.survey.TreeBody;
import org.goldthistle.survey.TreeService;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/**
 * Black cherries in two plots by the shore that two observers called for control: in one they are approved, and a last look
 * at one of them said not to cut it; in the other they wait for the lead.
 */
@Component
@ConditionalOnProperty("goldthistle.demo")
class DemoControl {
    private static final String APPROVED = "Churn Edge 04";
    private static final String WAITING = "Churn Edge 05";
    private static final String GROUP = "bird-cherries";
    private static final String INVADER = "serotina";
    private static final String LOOK_ALIKE = "padus";
    private static final int FIRST_TAG = 81;
    private static final LocalDate FIRST_WALK = LocalDate.of(DemoPlot.OPEN, 7, 21);
    private static final LocalDate SECOND_WALK = LocalDate.of(DemoPlot.OPEN, 8, 27);
    private static final Instant DECIDED = SECOND_WALK.plusDays(1).atTime(16, 0).toInstant(ZoneOffset.UTC);
    private static final List<String> READ = List.of("bark-surface", "fruit-collar", "midrib-hairs", "tooth-shape");
    private static final double[][] AT = {{20, 4.1, 148}, {74, 9.2, 96}, {160, 6.6, 211}, {250, 11.7, 63}};

    private final TreeService trees;
    private final CallArchive archive;
    private final ReviewArchive reviews;
    private final ControlArchive control;
    private final LibraryService library;
    private final JdbcClient jdbc;
    private final Clock clock;

    DemoControl(
            TreeService trees,
            CallArchive archive,
            ReviewArchive reviews,
            ControlArchive control,
            LibraryService library,
            JdbcClient jdbc,
            Clock clock) {
        this.trees = trees;
        this.archive = archive;
        this.reviews = reviews;
        this.control = control;
        this.library = library;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Adds them to the open season's survey, which allows calls for control from then on. */
    void add(UUID survey, Map<String, SignedInObserver> crew, SignedInObserver contractor) {
        jdbc.sql("update survey set control_used = true where id = ?")
                .param(survey)
                .update();
        for (String plot : List.of(APPROVED, WAITING)) {
            for (int i = 0; i < AT.length; i++) {
                UUID tree = create(survey, crew, plot, i, null);
                Tier tier = i < AT.length - 1 ? Tier.CONTROL : Tier.TALLY; // the last one was only counted
                read(survey, tree, crew.get("Siskin"), FIRST_WALK, i, tier);
                read(survey, tree, crew.get("Redpoll"), SECOND_WALK, i, tier);
                settle(survey, tree, crew.get("Treecreeper"));
            }
            create(survey, crew, plot, AT.length, "bird cherry");
        }
        for (int i = 0; i < AT.length - 1; i++) {
            control.approve(survey, id(APPROVED, i), DemoData.id("approval " + i), crew.get("Treecreeper"));
        }
        Instant now = clock.instant();
        control.look(id(APPROVED, 0), DemoData.id("look 0"), contractor, one -> seen(one, INVADER), now);
        control.look(id(APPROVED, 1), DemoData.id("look 1"), contractor, one -> seen(one, LOOK_ALIKE), now);
    }

    private static UUID id(String plot, int place) {
        return DemoData.id("tree " + DemoData.id("plot " + plot) + " " + (FIRST_TAG + place));
    }

    private UUID create(
            UUID survey, Map<String, SignedInObserver> crew, String plot, int place, @Nullable String plain) {
        UUID id = id(plot, place);
        double[] at = AT[place % AT.length];
        trees.create(
                survey,
                DemoData.id("plot " + plot),
                id,
                crew.get("Siskin").id(),
                new TreeBody(
                        FIRST_TAG + place,
                        at[0] + (plain == null ? 0 : 14),
                        plain == null ? at[1] : Math.round(10 * (at[1] + 1.3)) / 10.0,
                        (int) at[2],
                        null,
                        "mature",
                        "wild",
                        null,
                        "",
                        plain == null ? GROUP : null,
                        plain,
                        null,
                        null),
                DemoData.recorded(DemoPlot.OPEN, FIRST_TAG + place));
        if (plain == null) {
            jdbc.sql("insert into demo_truth values (?, ?)").params(id, INVADER).update();
        }
        return id;
    }

    private void read(UUID survey, UUID tree, SignedInObserver reader, LocalDate day, int place, Tier tier) {
        Instant begun = day.atTime(9, 10 * place).toInstant(ZoneOffset.UTC);
        List<ArchivedCall.Reading> readings = new ArrayList<>();
        for (String character : READ) {
            NewReading seen = seen(character, INVADER);
            readings.add(new ArchivedCall.Reading(character, seen.states(), null, "sure", null, null, null));
        }
        archive.keep(new ArchivedCall(
                survey,
                tree,
                reader.id(),
                begun,
                tier.code(),
                readings,
                Optional.of(begun.plusSeconds(540)),
                false,
                "Seedlings all about it."));
    }

    /** What tells a taxon best by a character, on each leaf, fruit … that is looked at. */
    private NewReading seen(String id, String taxon) {
        GroupModel model = library.newest(GROUP).model();
        DiagnosticCharacter character = model.sheet().character(id).orElseThrow();
        Outcomes outcomes = model.likelihood(model.characterIndex(id)).outcomes();
        int k = model.sheet().taxonIndex(taxon);
        int other = model.sheet().taxonIndex(taxon.equals(INVADER) ? LOOK_ALIKE : INVADER);
        int best = 0;
        double most = 0;
        for (int x = 0; x < outcomes.count(); x++) {
            double tells = outcomes.mass(x, k) * (outcomes.logMass(x, k) - outcomes.logMass(x, other));
            if (tells > most) {
                most = tells;
                best = x;
            }
        }
        List<String> states = Collections.nCopies(
                character.replication().replicates(),
                ((StateScale) character.scale()).states().get(best).id());
        return new NewReading(id, states, null, false, null, "sure", null, null, null, null, null);
    }

    private void settle(UUID survey, UUID tree, SignedInObserver lead) {
        UUID open = jdbc.sql("select id from review_case where tree_id = ? and state <> 'settled'")
                .param(tree)
                .query(UUID.class)
                .single();
        reviews.decide(
                survey, open, DemoData.id("decision " + tree), lead, "agree", "Both saw the same tree.", DECIDED);
    }
}
