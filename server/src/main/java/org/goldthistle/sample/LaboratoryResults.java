package org.goldthistle.sample;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.Finding;
import org.goldthistle.core.laboratory.LaboratoryEvidence;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.formats.LaboratoryJson;
import org.goldthistle.formats.LaboratoryMethods;
import org.goldthistle.formats.LaboratoryResult;
import org.goldthistle.library.LibraryService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What of a laboratory's messages counts, as evidence and in words, and what does not. */
@Component
class LaboratoryResults {
    private final JdbcClient jdbc;
    private final LibraryService library;

    LaboratoryResults(JdbcClient jdbc, LibraryService library) {
        this.jdbc = jdbc;
        this.library = library;
    }

    /** A message that counts, and the tree that it is of. */
    record Counted(UUID treeId, UUID sampleId, long number, LaboratoryEvidence evidence, String told, Instant cameAt) {}

    /** What counts of trees, the earliest first. */
    List<Counted> counted(List<UUID> treeIds) {
        return jdbc.sql("select m.number, m.body, m.told, m.came_at, x.id sample_id, x.tree_id, l.body methods"
                        + " from laboratory_message m join sample x on x.id = m.sample_id"
                        + " join laboratory_methods l on l.id = m.methods_id"
                        + " where m.counts and x.tree_id = any(?) order by m.number")
                .param(treeIds.toArray(UUID[]::new))
                .query((row, i) -> counted(row))
                .list();
    }

    private static Counted counted(ResultSet row) throws SQLException {
        LaboratoryMethods methods = LaboratoryJson.methods(row.getString("methods"));
        LaboratoryResult result = LaboratoryJson.result(row.getString("body"), methods);
        Analysis analysis = result.analysis();
        return new Counted(
                row.getObject("tree_id", UUID.class),
                row.getObject("sample_id", UUID.class),
                row.getLong("number"),
                new LaboratoryEvidence(
                        analysis,
                        result.finding().orElseThrow(),
                        methods.errors().get(analysis)),
                row.getString("told"),
                row.getTimestamp("came_at").toInstant());
    }

    /** Samples with what came of them, as far as an observer may know it. */
    List<SampleDto> shown(List<SampleDto> samples, UUID observerId) {
        List<UUID> treeIds = samples.stream().map(SampleDto::treeId).distinct().toList();
        Map<UUID, List<Counted>> bySample = counted(treeIds).stream().collect(Collectors.groupingBy(Counted::sampleId));
        Set<UUID> blind = blind(treeIds, observerId);
        return samples.stream()
                .map(sample -> blind.contains(sample.treeId())
                        ? sample.withoutWords()
                        : sample.with(bySample.getOrDefault(sample.id(), List.of()).stream()
                                .map(one -> result(sample, one))
                                .toList()))
                .toList();
    }

    /** Those of trees that an observer is to read blind. */
    private Set<UUID> blind(List<UUID> treeIds, UUID observerId) {
        return new HashSet<>(jdbc.sql("select t.id from tree t where t.id = any(:trees) and not " + SurveyedTree.SHOWN)
                .param("trees", treeIds.toArray(UUID[]::new))
                .param("observer", observerId)
                .query(UUID.class)
                .list());
    }

    private LaboratoryResultDto result(SampleDto sample, Counted one) {
        GroupSheet sheet = library.newest(sample.groupId()).sheet();
        return told(sheet, sample.code(), one);
    }

    /** A result in words, held against a sheet. */
    static LaboratoryResultDto told(GroupSheet sheet, String sampleCode, Counted one) {
        Finding finding = one.evidence().finding();
        List<Integer> fitting = finding.fits(sheet).stream().sorted().toList();
        boolean alone = fitting.size() == 1 && fitting.get(0) < sheet.taxa().size();
        List<String> fits = fitting.stream()
                .map(k -> k < sheet.taxa().size() ? commonName(sheet.taxa().get(k)) : "none of these")
                .toList();
        return new LaboratoryResultDto(
                one.number(),
                sampleCode,
                one.evidence().analysis().code(),
                FindingWords.of(finding),
                fits,
                alone ? sheet.taxa().get(fitting.get(0)).id() : null,
                one.evidence().error(),
                one.told(),
                one.cameAt());
    }

    private static String commonName(Taxon taxon) {
        return taxon.name().commonName();
    }

    /** Messages that count for nothing: those of a survey's samples that the observer may know, and those of no sample of ours. */
    List<LaboratoryTroubleDto> troubles(UUID surveyId, UUID observerId) {
        return jdbc.sql("select m.number, m.told why, m.body, m.came_at from laboratory_message m"
                        + " left join sample x on x.id = m.sample_id left join tree t on t.id = x.tree_id"
                        + " where not m.counts and (x.id is null or x.survey_id = :survey and " + SurveyedTree.SHOWN
                        + ") order by m.number desc limit 50")
                .param("survey", surveyId)
                .param("observer", observerId)
                .query((row, i) -> new LaboratoryTroubleDto(
                        row.getLong("number"),
                        row.getString("why"),
                        row.getString("body"),
                        row.getTimestamp("came_at").toInstant()))
                .list();
    }
}
