package org.goldthistle.browser;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.goldthistle.call.CallState;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.Entry;
import org.goldthistle.call.Mark;
import org.goldthistle.call.Marking;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.OnRecord;
import org.goldthistle.call.SurveyRules;
import org.goldthistle.call.Visit;
import org.goldthistle.core.Coded;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.drawn.DrawnTrees;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.formats.Specimen;
import org.goldthistle.formats.plain.SheetReader;
import org.goldthistle.formats.plain.SpecimenReader;

/** Calls to be reckoned twice: all worked specimens at each tier, and trees drawn from the sheets' own profiles. */
final class Cases {
    private static final int DRAWN = 2000;
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Instant MORNING = Instant.parse("2026-06-01T07:00:00.000001Z");
    private static final Map<String, Object> FILES = files();

    private Cases() {}

    /**
     * A call and what was entered since, as plain values.
     *
     * @param signature that is tried after it; null: none is
     * @param withOutlook whether the months ahead are asked for too, which takes long
     */
    record Case(String name, Object begun, List<Object> entered, Object signature, int month, boolean withOutlook) {
        List<Object> withSignature() {
            return Stream.concat(entered.stream(), Stream.of(signature)).toList();
        }
    }

    /** Every sheet with the id of its version. */
    static List<Map<String, Object>> sheets() {
        return FILES.keySet().stream()
                .map(group -> Map.of("versionId", version(group).toString(), "version", 1, "file", FILES.get(group)))
                .toList();
    }

    static List<Case> all() {
        List<Case> all = new ArrayList<>();
        FILES.keySet().forEach(group -> all.addAll(specimens(group)));
        all.addAll(drawn());
        return all;
    }

    private static List<Case> specimens(String group) {
        List<Case> cases = new ArrayList<>();
        for (Object one : (List<?>) plain(group + ".specimens.json")) {
            Specimen specimen = SpecimenReader.read(one);
            for (Tier tier : Tier.values()) {
                Call call = new Call(group, tier, specimen.context());
                specimen.gate()
                        .forEach(mark -> call.markings.add(
                                new Marking(mark.item(), mark.fits() ? Mark.FITS : Mark.FAILS, MORNING)));
                specimen.observations().forEach(call::enter);
                String name = "specimen " + group + " " + specimen.id() + " " + tier.code();
                cases.add(call.as(name, specimen.truth(), tier == Tier.TALLY && cases.isEmpty()));
            }
        }
        return cases;
    }

    /** Trees of every group in turn, each read in part, now on record, now entered since. */
    private static List<Case> drawn() {
        Map<String, DrawnTrees> trees = new LinkedHashMap<>();
        FILES.keySet()
                .forEach(group ->
                        trees.put(group, new DrawnTrees(GroupModel.of(sheet(group)), LifeStage.MATURE, Harm.WOUND)));
        List<String> groups = List.copyOf(trees.keySet());
        Random random = new Random(20);
        List<Case> cases = new ArrayList<>();
        for (int i = 0; i < DRAWN; i++) {
            String group = groups.get(i % groups.size());
            DrawnTrees drawn = trees.get(group);
            int taxon = random.nextInt(drawn.model().taxonCount());
            Tier tier = Tier.values()[random.nextInt(Tier.values().length)];
            Context context = new Context(
                    1 + random.nextInt(12),
                    any(random, LifeStage.values()),
                    any(random, TreeOrigin.values()),
                    Set.of(any(random, Habitat.values())),
                    Optional.empty(),
                    Optional.empty(),
                    Map.of(),
                    random.nextInt(4) == 0 ? Set.of(any(random, Faculty.values())) : Set.of());
            Call call = new Call(group, tier, context);
            if (random.nextInt(4) > 0) {
                drawn.model()
                        .sheet()
                        .gate()
                        .forEach(item -> call.markings.add(new Marking(item.id(), Mark.FITS, MORNING)));
            }
            for (Reading reading : drawn.read(taxon, new TreeStream(7, context.month(), i))) {
                if (random.nextInt(3) == 0) {
                    continue;
                }
                Certainty certainty = any(random, Certainty.values());
                call.enter(
                        random.nextInt(12) == 0
                                ? new NotSeen(reading.character(), OptionalInt.empty(), random.nextBoolean())
                                : new Reading(
                                        reading.character(),
                                        reading.observed(),
                                        certainty,
                                        reading.material(),
                                        reading.position()));
            }
            String truth = drawn.model().sheet().taxa().get(taxon).id();
            cases.add(call.as("drawn " + group + " " + i, Optional.of(truth), i < groups.size()));
        }
        return cases;
    }

    private static <T> T any(Random random, T[] all) {
        return all[random.nextInt(all.length)];
    }

    /** A call as it is made up. */
    private static final class Call {
        private final String group;
        private final Tier tier;
        private final Context context;
        private final List<NewReading> readings = new ArrayList<>();
        private final List<Marking> markings = new ArrayList<>();

        Call(String group, Tier tier, Context context) {
            this.group = group;
            this.tier = tier;
            this.context = context;
        }

        void enter(Observation seen) {
            readings.add(readingOf(seen));
        }

        /** The first half is on record, the second was entered since. */
        @SuppressWarnings("unchecked") // what a record is written to
        Case as(String name, Optional<String> truth, boolean withOutlook) {
            List<Entry> entries = new ArrayList<>();
            List<Object> entered = new ArrayList<>();
            List<UUID> ids = new ArrayList<>();
            for (int i = 0; i < readings.size(); i++) {
                UUID id = new UUID(20, i);
                Instant at = MORNING.plusSeconds(60L * i);
                ids.add(id);
                if (i < readings.size() / 2) {
                    entries.add(new Entry(id, 0, readings.get(i), at, at));
                } else {
                    entered.add(Map.of(
                            "kind", "reading",
                            "id", id.toString(),
                            "at", at.toString(),
                            "reading", Plain.write(readings.get(i))));
                }
            }
            SurveyRules rules = new SurveyRules(
                    false, null, "tally", null, null, true, false, true, true, Map.of(group, context.records()));
            CallState state = new CallState(
                    version(group),
                    Visit.first(new Circumstances(
                            context.month(),
                            context.stage().code(),
                            context.origin().code(),
                            context.habitat().stream().map(Coded::code).toList())),
                    tier.code(),
                    context.lacking().stream().map(Coded::code).toList(),
                    rules,
                    true,
                    entries,
                    markings,
                    List.of(),
                    OnRecord.NOTHING);
            Begun begun = new Begun(
                    state,
                    List.of(),
                    new Begun.AsEntered("mature", "unknown", List.of()),
                    List.of(new Begun.Earlier(new UUID(22, 0), "sorrel")),
                    null,
                    context.month());
            SignedHere signed = new SignedHere(
                    new UUID(21, 0),
                    "sorrel",
                    MORNING,
                    "taxon",
                    truth.orElse("none"),
                    null,
                    "",
                    List.of(),
                    Map.of(),
                    "L-1",
                    ids);
            Map<String, Object> signature = new LinkedHashMap<>((Map<String, Object>) Plain.write(signed));
            signature.put("kind", "signature");
            boolean tried = name.hashCode() % 4 == 0; // reckoning it takes as long as all the rest
            return new Case(name, Plain.write(begun), entered, tried ? signature : null, context.month(), withOutlook);
        }
    }

    private static NewReading readingOf(Observation seen) {
        Integer month = seen.month().isPresent() ? seen.month().getAsInt() : null;
        if (seen instanceof NotSeen none) {
            return new NewReading(
                    none.character(), null, null, true, none.notBorne(), null, null, null, null, month, null);
        }
        Reading reading = (Reading) seen;
        return new NewReading(
                reading.character(),
                reading.observed() instanceof StatesObserved states ? states.states() : null,
                reading.observed() instanceof ValuesObserved values ? values.values() : null,
                false,
                null,
                reading.certainty() == Certainty.ASSUMED
                        ? null
                        : reading.certainty().code(),
                reading.material().map(Coded::code).orElse(null),
                reading.position().map(Coded::code).orElse(null),
                null,
                null,
                null);
    }

    static UUID version(String group) {
        return new UUID(1, group.hashCode());
    }

    private static GroupSheet sheet(String group) {
        return new SheetReader(drawing -> Map.of()).read(FILES.get(group));
    }

    /** The sheets that ship and those that the tests of formats bring, by group. */
    private static Map<String, Object> files() {
        Map<String, Object> files = new TreeMap<>();
        for (Path folder : folders()) {
            try (Stream<Path> all = Files.list(folder)) {
                all.map(path -> path.getFileName().toString())
                        .filter(name -> name.endsWith(".json") && !name.endsWith(".specimens.json"))
                        .forEach(name -> files.put(name.replace(".json", ""), plain(name)));
            } catch (IOException unreadable) {
                throw new UncheckedIOException(unreadable);
            }
        }
        return files;
    }

    private static List<Path> folders() {
        return List.of(Path.of("../formats/src/main/resources/groups"));
    }

    private static Object plain(String name) {
        try {
            for (Path folder : folders()) {
                if (Files.exists(folder.resolve(name))) {
                    return JSON.readValue(folder.resolve(name).toFile(), Object.class);
                }
            }
            throw new IllegalArgumentException("no " + name);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
