package org.goldthistle.batch;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.formats.Specimen;
import org.goldthistle.formats.SpecimenWriter;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** {@code calibrate} and {@code learn}, on trees that nobody drew from the sheet they are given. */
class LearningCommandsTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String SAYS_NOTHING = "leaf-tip";

    @TempDir
    private Path folder;

    private String sheet;

    @BeforeEach
    void write_sheet() throws IOException {
        sheet = write("alders.json", BuiltInLibrary.sheetText("alders"));
    }

    @Test
    void what_verified_trees_teach_is_written_as_a_sheet_with_what_it_rests_on() throws IOException {
        String trees = write("trees.json", trees(600, 1));
        Path proposed = folder.resolve("alders-2.json");

        Run run = run("learn", sheet, trees, "--out", proposed.toString());

        assertThat(run.code()).as(run.err()).isZero();
        assertThat(run.out())
                .contains("600 verified trees", "log loss", "held back")
                .contains(SAYS_NOTHING + ", weight: ", "It is a proposal");
        GroupSheet learnt = GroupSheetJson.readStrictly(Files.readString(proposed));
        assertThat(learnt.character(SAYS_NOTHING).orElseThrow().trust().weight())
                .isLessThan(0.2);
        String others = write("others.json", trees(600, 2));
        assertThat(loss(proposed.toString(), others)).isLessThan(loss(sheet, others));
    }

    @Test
    void a_file_that_is_there_is_never_written_over() throws IOException {
        Run run = run("learn", sheet, write("trees.json", trees(40, 1)), "--out", sheet);

        assertThat(run.code()).isEqualTo(1);
        assertThat(run.err()).contains("left as it is");
        assertThat(Files.readString(Path.of(sheet))).isEqualTo(BuiltInLibrary.sheetText("alders"));
    }

    @Test
    void thirty_nine_trees_are_too_few_and_nothing_is_written() throws IOException {
        Path proposed = folder.resolve("alders-2.json");

        Run run = run("learn", sheet, write("trees.json", trees(39, 1)), "--out", proposed.toString());

        assertThat(run.code()).isEqualTo(1);
        assertThat(run.out()).contains("39 verified trees", "not enough trees", "40");
        assertThat(proposed).doesNotExist();
        assertThat(run("calibrate", sheet, write("few.json", trees(39, 1))).out())
                .contains("too few");
    }

    @Test
    void trees_without_a_truth_or_twice_are_all_named() throws IOException {
        ArrayNode some = (ArrayNode) JSON.readTree(trees(4, 1));
        ((ObjectNode) some.get(0)).remove("truth");
        ((ObjectNode) some.get(1)).put("truth", "oak");
        ((ObjectNode) some.get(3)).put("id", "t2");
        String broken = write("broken.json", some.toString());

        Run run = run("calibrate", sheet, broken);

        assertThat(run.code()).isEqualTo(1);
        assertThat(run.err()).contains("t0.truth", "t1.truth", "\"oak\"", "t2.id", "twice");
        assertThat(run("learn", sheet, broken, "--out", folder.resolve("x.json").toString(), "--decisive", "moon")
                        .err())
                .contains("moon", "no such character");
    }

    @Test
    void reliability_is_told_bin_by_bin() throws IOException {
        String trees = write("trees.json", trees(60, 3));

        JsonNode found =
                JSON.readTree(run("calibrate", sheet, trees, "--format", "json").out());
        String table = run("calibrate", sheet, trees).out();

        assertThat(found.path("trees").asInt()).isEqualTo(60);
        assertThat(found.path("enough").asBoolean()).isTrue();
        assertThat(found.path("bins")).hasSize(10);
        int shares = 0;
        for (JsonNode bin : found.path("bins")) {
            shares += bin.path("shares").asInt();
        }
        assertThat(shares).isEqualTo(60 * taxa());
        assertThat(table).contains("60 verified trees", "0.9 to 1.0", "came true");
    }

    @Test
    void separability_says_what_becomes_of_trees_that_the_sheet_does_not_know() throws IOException {
        JsonNode found =
                JSON.readTree(run("separability", sheet, "--format", "json").out());
        String table = run("separability", sheet).out();

        JsonNode strangers = found.path("ifSomethingElse");
        assertThat(strangers).hasSize(taxa());
        strangers.forEach(stranger -> {
            if (!stranger.path("record").isNull()) {
                assertThat(stranger.at("/record/signable").asDouble()).isBetween(0.0, 1.0);
                assertThat(stranger.at("/record/flagged").asDouble())
                        .isLessThanOrEqualTo(stranger.at("/record/signable").asDouble());
            }
        });
        assertThat(table).contains("if it were something else");
    }

    private static int taxa() {
        return GroupSheetJson.read(BuiltInLibrary.sheetText("alders")).taxa().size();
    }

    private double loss(String file, String trees) throws IOException {
        return JSON.readTree(run("calibrate", file, trees, "--format", "json").out())
                .path("logLoss")
                .asDouble();
    }

    /** Trees of a wood whose frequencies are 15 % off the sheet's, and where one character is the same on all. */
    private static String trees(int count, long seed) {
        GroupSheet said = GroupSheetJson.read(BuiltInLibrary.sheetText("alders"));
        GroupModel wood = GroupModel.of(said.withCharacters(said.characters().stream()
                .map(one -> one.withProfiles(inTheWood(said, one)))
                .toList()));
        var drawn = new DrawnTrees(wood, LifeStage.MATURE, Harm.SAMPLE);
        List<Specimen> all = new ArrayList<>();
        for (int t = 0; t < count; t++) {
            int truth = t % said.taxa().size();
            all.add(new Specimen(
                    "t" + t,
                    new Context(
                            7,
                            LifeStage.MATURE,
                            TreeOrigin.UNKNOWN,
                            Set.of(),
                            Optional.empty(),
                            Optional.empty(),
                            Map.of()),
                    List.<Observation>copyOf(drawn.read(truth, new TreeStream(seed, 0, t))),
                    List.of(),
                    Optional.of(said.taxa().get(truth).id()),
                    Optional.empty()));
        }
        return SpecimenWriter.text(all);
    }

    private static Map<String, Profile> inTheWood(GroupSheet sheet, DiagnosticCharacter one) {
        Map<String, Profile> profiles = new LinkedHashMap<>(one.profiles());
        profiles.replaceAll((taxon, profile) -> {
            if (one.id().equals(SAYS_NOTHING)) {
                return one.profiles().get(sheet.taxa().get(0).id());
            }
            return profile instanceof StateProfile states ? shifted(states) : profile;
        });
        return profiles;
    }

    /** The commonest state 15 % rarer, the others as much commoner. */
    private static StateProfile shifted(StateProfile said) {
        String commonest = said.frequencies().entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey();
        double lost = 0.15 * said.frequency(commonest);
        Map<String, Double> frequencies = new LinkedHashMap<>(said.frequencies());
        frequencies.replaceAll(
                (state, share) -> state.equals(commonest) ? share - lost : share + lost / (frequencies.size() - 1));
        return frequencies.size() == 1 ? said : new StateProfile(frequencies);
    }

    private String write(String name, String text) throws IOException {
        Path file = folder.resolve(name);
        Files.writeString(file, text);
        return file.toString();
    }

    private static Run run(String... arguments) {
        var out = new StringWriter();
        var err = new StringWriter();
        int code = BatchMain.run(new PrintWriter(out), new PrintWriter(err), arguments);
        return new Run(code, out.toString(), err.toString());
    }

    private record Run(int code, String out, String err) {}
}
