package org.goldthistle.sample;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.LaboratoryEvidence;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.core.laboratory.Tissue;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.platform.Turns;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** What a laboratory found of trees, for those who decide and learn. */
@Service
public class Laboratory {
    private final LaboratoryResults results;
    private final SampleStore store;
    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;

    Laboratory(LaboratoryResults results, SampleStore store, Turns turns, JdbcClient jdbc, Clock clock) {
        this.results = results;
        this.store = store;
        this.turns = turns;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** What counts of a tree, the earliest first. */
    public List<LaboratoryEvidence> evidence(UUID treeId) {
        return results.counted(List.of(treeId)).stream()
                .map(LaboratoryResults.Counted::evidence)
                .toList();
    }

    /** The same in words, held against a sheet. */
    public List<LaboratoryResultDto> results(UUID treeId, GroupSheet sheet) {
        Map<UUID, String> labels =
                store.ofTree(treeId).stream().collect(Collectors.toMap(SampleDto::id, SampleDto::code));
        return results.counted(List.of(treeId)).stream()
                .map(one -> LaboratoryResults.told(sheet, labels.get(one.sampleId()), one))
                .toList();
    }

    /** Places of a tree's samples in their lives, by the code on the label. */
    public List<SampleAt> samples(UUID treeId) {
        return store.ofTree(treeId).stream()
                .map(sample -> new SampleAt(sample.code(), sample.step(), sample.ended()))
                .toList();
    }

    /**
     * Where a sample is.
     *
     * @param code on its label
     * @param ended whether its life has ended
     */
    public record SampleAt(String code, SampleStep step, boolean ended) {}

    /** A tree whose taxon one result makes certain. */
    public record Certain(UUID treeId, String plotCode, int tag, String groupId, List<LaboratoryEvidence> evidence) {
        /** The place of the taxon in a sheet; empty: the results make none certain, or not the same one. */
        public OptionalInt taxon(GroupSheet sheet) {
            List<Integer> named = evidence.stream()
                    .map(one -> one.verifies(sheet))
                    .filter(OptionalInt::isPresent)
                    .map(OptionalInt::getAsInt)
                    .distinct()
                    .toList();
            return named.size() == 1 ? OptionalInt.of(named.get(0)) : OptionalInt.empty();
        }
    }

    /** The trees of a survey that a laboratory said something of, by plot and tag. */
    public List<Certain> of(UUID surveyId) {
        record Row(UUID id, String code, int tag, String groupId) {}
        List<Row> trees = jdbc.sql("select t.id, p.code, t.tag, t.group_id from tree t join plot p on p.id = t.plot_id"
                        + " where t.id in (select x.tree_id from sample x join laboratory_message m on m.sample_id = x.id"
                        + " where x.survey_id = ? and m.counts) and t.group_id is not null order by p.code, t.tag")
                .param(surveyId)
                .query(Row.class)
                .list();
        Map<UUID, List<LaboratoryResults.Counted>> counted =
                results.counted(trees.stream().map(Row::id).toList()).stream()
                        .collect(Collectors.groupingBy(LaboratoryResults.Counted::treeId));
        return trees.stream()
                .map(row -> new Certain(
                        row.id(),
                        row.code(),
                        row.tag(),
                        row.groupId(),
                        counted.get(row.id()).stream()
                                .map(LaboratoryResults.Counted::evidence)
                                .toList()))
                .toList();
    }

    /** A review asks for a sample of a tree, unless one is on its way. */
    public void wanted(SurveyedTree tree, SignedInObserver observer, GroupSheet sheet) {
        if (store.ofTree(tree.id()).stream().anyMatch(sample -> !sample.ended())) {
            return;
        }
        turns.take(SampleStore.LABELS);
        Analysis telling = Samples.hybrid(sheet, Optional.empty()).isPresent() ? Analysis.MARKERS : Analysis.SEQUENCE;
        store.ask(
                UUID.randomUUID(),
                tree,
                new NewSample(tree.id(), Tissue.LEAF.code(), telling.code(), null, "by the review"),
                observer.id(),
                clock.instant());
    }

    /** Whatever of a tree was sent has been weighed: its review was decided. */
    public void weighed(SurveyedTree tree, SignedInObserver observer) {
        store.ofTree(tree.id()).stream()
                .filter(sample -> sample.step().next().contains(SampleStep.WEIGHED))
                .forEach(sample -> store.step(UUID.randomUUID(), sample.id(), SampleStep.WEIGHED, "", observer.id()));
    }
}
