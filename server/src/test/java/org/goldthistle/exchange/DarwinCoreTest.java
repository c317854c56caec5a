package org.goldthistle.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.exif.GpsDirectory;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.goldthistle.Caller;
import org.goldthistle.PlacedPicture;
import org.goldthistle.review.TreeUnderReview;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/** The survey's archive, read back by what its own description says. */
class DarwinCoreTest extends TreeUnderReview {
    private static final Map<String, Object> NO_RULES =
            Map.of("license", "", "rightsHolder", "", "pseudonyms", false, "coarseMetres", 0, "coarseTaxa", List.of());

    @AfterEach
    void nothing_is_said_of_the_archive() {
        signedIn("Treecreeper").put(surveyPath() + "/exchange-rules", NO_RULES).expect(204);
    }

    /** Tables by the last part of their row type; each row by the last parts of its terms. */
    private record Archive(Map<String, List<Map<String, String>>> tables, Map<String, byte[]> files) {
        List<Map<String, String>> stems() {
            return tables.get("Occurrence");
        }

        Map<String, String> stem(UUID id) {
            return stems().stream()
                    .filter(row -> row.get("occurrenceID").equals("urn:uuid:" + id))
                    .findFirst()
                    .orElseThrow();
        }

        List<Map<String, String>> of(String table, UUID id) {
            return tables.get(table).stream()
                    .filter(row -> row.get("occurrenceID").equals("urn:uuid:" + id))
                    .toList();
        }
    }

    private static Archive archive(Caller caller) throws Exception {
        Map<String, byte[]> files = files(caller.bytes(surveyPath() + "/darwin-core.zip"));
        NodeList described = DocumentBuilderFactory.newDefaultInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(files.get("meta.xml")))
                .getDocumentElement()
                .getChildNodes();
        Map<String, List<Map<String, String>>> tables = new HashMap<>();
        for (int i = 0; i < described.getLength(); i++) {
            Element table = (Element) described.item(i);
            String type = table.getAttribute("rowType");
            tables.put(type.substring(type.lastIndexOf('/') + 1), rows(table, files));
        }
        return new Archive(tables, files);
    }

    private static List<Map<String, String>> rows(Element table, Map<String, byte[]> files) {
        String file = table.getElementsByTagName("location").item(0).getTextContent();
        NodeList fields = table.getElementsByTagName("field");
        List<Map<String, String>> rows = new ArrayList<>();
        new String(files.get(file), StandardCharsets.UTF_8).lines().skip(1).forEach(line -> {
            String[] cells = line.split("\t", -1);
            Map<String, String> row = new HashMap<>();
            row.put("occurrenceID", cells[0]);
            for (int f = 0; f < fields.getLength(); f++) {
                Element field = (Element) fields.item(f);
                String term = field.getAttribute("term");
                row.put(
                        term.substring(term.lastIndexOf('/') + 1),
                        cells[Integer.parseInt(field.getAttribute("index"))]);
            }
            rows.add(row);
        });
        return rows;
    }

    private static Map<String, byte[]> files(byte[] zip) throws IOException {
        Map<String, byte[]> files = new HashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                files.put(entry.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    @Test
    void every_row_belongs_to_a_stem_and_every_stem_is_there_once() throws Exception {
        Caller lead = signedIn("Treecreeper");
        Archive archive = archive(lead);

        Set<String> ids = new HashSet<>();
        archive.stems()
                .forEach(row -> assertThat(ids.add(row.get("occurrenceID"))).isTrue());
        int stems = 0;
        for (JsonNode plot : lead.get(surveyPath() + "/plots").expect(200)) {
            stems += plot.path("stems").asInt();
        }
        assertThat(ids).hasSize(stems);
        archive.tables()
                .forEach((name, rows) ->
                        assertThat(rows).as(name).isNotEmpty().allMatch(row -> ids.contains(row.get("occurrenceID"))));
        assertThat(archive.stems()).allMatch(row -> ids.contains(row.get("organismID")));
        assertThat(archive.tables().get("Multimedia"))
                .allMatch(row -> archive.files().containsKey(row.get("accessURI")));
        Set<String> measured = new HashSet<>();
        archive.tables()
                .get("MeasurementOrFact")
                .forEach(row -> assertThat(measured.add(row.get("measurementID")))
                        .as(row.get("measurementID"))
                        .isTrue());
    }

    @Test
    void a_signature_stands_in_it_with_who_when_what_and_on_which_sheet() throws Exception {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");

        Archive archive = archive(siskin);

        List<Map<String, String>> signed = archive.of("Identification", tree);
        assertThat(signed).hasSize(1);
        assertThat(signed.get(0))
                .containsEntry("scientificName", "Prunus serotina")
                .containsEntry("identifiedBy", "Siskin")
                .containsEntry("dateIdentified", "2026-09-14");
        assertThat(signed.get(0).get("identificationRemarks")).contains("share: 0.9", "tier: record");
        assertThat(archive.of("MeasurementOrFact", tree))
                .extracting(row -> row.get("measurementDeterminedBy"))
                .contains("Siskin", "");
        assertThat(archive.stem(tree)).containsEntry("identificationVerificationStatus", "signed");
    }

    @Test
    void whoever_is_to_read_a_tree_blind_finds_nothing_of_it_in_the_archive() throws Exception {
        sign(signedIn("Siskin"), "taxon", "serotina");

        Archive archive = archive(signedIn("Redpoll"));

        assertThat(archive.stem(tree)).containsEntry("identificationVerificationStatus", "under review");
        assertThat(archive.of("Identification", tree)).isEmpty();
        String all = archive.of("MeasurementOrFact", tree).toString() + archive.stem(tree);
        assertThat(SECRETS).noneMatch(all::contains);
    }

    @Test
    void a_plot_with_a_taxon_whose_places_are_kept_lies_in_the_middle_of_a_square() throws Exception {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");
        Map<String, Object> rules = keeping("serotina");
        rules.put("license", "CC BY 4.0");
        rules.put("pseudonyms", true);
        Map<String, String> before = archive(siskin).stem(tree);
        signedIn("Treecreeper").put(surveyPath() + "/exchange-rules", rules).expect(204);

        Archive archive = archive(siskin);

        Map<String, String> stem = archive.stem(tree);
        assertThat(stem.get("dataGeneralizations")).contains("square of 1000 m");
        assertThat(stem.get("locality")).isEmpty();
        assertThat(stem.get("license")).isEqualTo("CC BY 4.0");
        if (!before.get("decimalLatitude").isEmpty()) {
            assertThat(stem.get("decimalLatitude")).isNotEqualTo(before.get("decimalLatitude"));
            assertThat(Double.parseDouble(stem.get("coordinateUncertaintyInMeters")))
                    .isGreaterThan(700);
        }
        String whole = archive.files().entrySet().stream()
                .filter(file -> file.getKey().endsWith(".txt"))
                .map(file -> new String(file.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining());
        assertThat(whole).doesNotContainIgnoringCase("\tSiskin\t", "/Siskin/").contains("observer 1");
        for (String table : List.of("csv", "determinations.csv", "readings.csv", "geojson")) {
            String file = siskin.get(surveyPath() + (table.contains(".") ? "/" : "/export.") + table)
                    .text();
            assertThat(file).as(table).contains("observer 1");
            assertThat(List.of(file.split("[,\"\\n]"))).as(table).doesNotContain("Siskin", "Dipper", "Redpoll");
        }
    }

    @Test
    void a_photo_of_a_plot_whose_place_is_kept_does_not_tell_it() throws Exception {
        Caller siskin = signedIn("Siskin");
        Caller lead = signedIn("Treecreeper");
        changeSurvey(lead, survey -> survey.put("photoPositionKept", true)).expect(200);
        UUID photo = UUID.randomUUID();
        siskin.putBytes(treePath() + "/photos/" + photo, PlacedPicture.jpeg()).expect(200);
        changeSurvey(lead, survey -> survey.put("photoPositionKept", false)).expect(200);
        sign(siskin, "taxon", "serotina");
        assertThat(position(archive(siskin), photo)).isNotNull();

        lead.put(surveyPath() + "/exchange-rules", keeping("serotina")).expect(204);

        assertThat(position(archive(siskin), photo)).isNull();
    }

    @Test
    void a_plain_tree_of_a_taxon_whose_places_are_kept_keeps_its_plot() throws Exception {
        Caller siskin = signedIn("Siskin");
        Map<String, Object> plain = new HashMap<>(stemBody(8, "bird-cherries"));
        plain.remove("groupId");
        plain.put("plainTaxon", "Prunus serotina");
        siskin.put(surveyPath() + "/plots/" + plot + "/trees/" + UUID.randomUUID(), plain)
                .expect(200);
        signedIn("Treecreeper")
                .put(surveyPath() + "/exchange-rules", keeping("serotina"))
                .expect(204);

        assertThat(archive(siskin).stem(tree).get("dataGeneralizations")).contains("square of 1000 m");
    }

    private static Map<String, Object> keeping(String taxon) {
        Map<String, Object> rules = new HashMap<>(NO_RULES);
        rules.put("coarseMetres", 1000);
        rules.put("coarseTaxa", List.of(Map.of("groupId", "bird-cherries", "taxonId", taxon)));
        return rules;
    }

    /** Where a photo in an archive says that it was taken. */
    private static GpsDirectory position(Archive archive, UUID photo) throws Exception {
        byte[] file = archive.files().entrySet().stream()
                .filter(one -> one.getKey().contains(photo.toString()))
                .findFirst()
                .orElseThrow()
                .getValue();
        return ImageMetadataReader.readMetadata(new ByteArrayInputStream(file))
                .getFirstDirectoryOfType(GpsDirectory.class);
    }

    @Test
    void rules_that_cannot_be_are_refused_and_a_crew_sets_none() {
        Caller lead = signedIn("Treecreeper");
        Map<String, Object> rules = new HashMap<>(NO_RULES);
        rules.put("coarseMetres", 100_001);
        lead.put(surveyPath() + "/exchange-rules", rules).expect(400);
        rules.put("coarseMetres", 1000);
        rules.put("coarseTaxa", List.of(Map.of("groupId", "bird-cherries", "taxonId", "xyzzy")));

        JsonNode problem = lead.put(surveyPath() + "/exchange-rules", rules).expectProblem(422, "refused");

        assertThat(problem.toString()).contains("coarseTaxa[0]");
        signedIn("Siskin").put(surveyPath() + "/exchange-rules", NO_RULES).expect(403);
        assertThat(lead.get(surveyPath() + "/exchange-rules")
                        .expect(200)
                        .path("coarseMetres")
                        .asInt())
                .isZero();
    }

    @Test
    void signatures_leave_as_a_table_too() {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");

        List<String> lines =
                siskin.get(surveyPath() + "/determinations.csv").text().lines().toList();

        assertThat(lines.get(0)).startsWith("plot,tag,determination id,group,sheet version,outcome,scientific name");
        assertThat(lines).anyMatch(line -> line.contains("Prunus serotina") && line.contains("Siskin"));
        assertThat(signedIn("Redpoll").get(surveyPath() + "/determinations.csv").text())
                .doesNotContain(WORDS.get(0));
    }
}
