package org.goldthistle.formats;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;

/**
 * The profiles of a sheet as a table: a row for each taxon, character, and state or limit. A taxon without rows of a
 * character has no profile of its own there; names stand beside the ids for whoever reads it and are not read back.
 */
public final class CharacterMatrix {
    private static final String CHARACTER = "character";
    private static final String TAXON = "taxon";
    private static final String STATE = "state or limit";
    private static final String VALUE = "value";
    private static final List<String> LIMITS = List.of("rarely-low", "usually-low", "usually-high", "rarely-high");
    private static final int MOST_REFUSED = 50;

    private CharacterMatrix() {}

    /** Writes the table of a sheet. */
    public static void write(GroupSheet sheet, Appendable to) throws IOException {
        try (CSVPrinter printer = new CSVPrinter(to, CSVFormat.RFC4180)) {
            printer.printRecord(
                    CHARACTER, TAXON, STATE, VALUE, "character in words", "taxon in words", "state in words");
            for (DiagnosticCharacter character : sheet.characters()) {
                for (Taxon taxon : sheet.taxa()) {
                    Profile profile = character.profiles().get(taxon.id());
                    if (profile != null) {
                        write(printer, character, taxon, profile);
                    }
                }
            }
        }
    }

    private static void write(CSVPrinter printer, DiagnosticCharacter character, Taxon taxon, Profile profile)
            throws IOException {
        String name = SurveyCsv.guarded(character.name());
        String commonName = SurveyCsv.guarded(taxon.name().commonName());
        if (profile instanceof StateProfile states && character.scale() instanceof StateScale scale) {
            for (State state : scale.states()) {
                printer.printRecord(
                        SurveyCsv.guarded(character.id()),
                        SurveyCsv.guarded(taxon.id()),
                        SurveyCsv.guarded(state.id()),
                        SurveyCsv.number(states.frequency(state.id())),
                        name,
                        commonName,
                        SurveyCsv.guarded(state.name()));
            }
        } else {
            Range range = ((RangeProfile) profile).range();
            double[] limits = {range.rarelyLow(), range.usuallyLow(), range.usuallyHigh(), range.rarelyHigh()};
            for (int i = 0; i < limits.length; i++) {
                printer.printRecord(
                        SurveyCsv.guarded(character.id()),
                        SurveyCsv.guarded(taxon.id()),
                        LIMITS.get(i),
                        SurveyCsv.number(limits[i]),
                        name,
                        commonName,
                        "");
            }
        }
    }

    /**
     * Reads a table into a sheet: the characters it names have the profiles it gives and no others, the rest of the
     * sheet stays as it is.
     *
     * @throws RefusedException with every row that does not fit the sheet, and what a profile made of them breaks
     */
    public static GroupSheet read(InputStream content, GroupSheet sheet) throws IOException {
        List<Refusal> refusals = new ArrayList<>();
        Map<String, Map<String, Map<String, Double>>> cells = new LinkedHashMap<>();
        byte[] table = content.readAllBytes();
        TextEncoding encoding = TextEncoding.of(new ByteArrayInputStream(table));
        try (CsvFile file = CsvFile.open(new ByteArrayInputStream(table), encoding)) {
            for (String heading : List.of(CHARACTER, TAXON, STATE, VALUE)) {
                if (!file.headings().contains(heading)) {
                    refusals.add(new Refusal(
                            "row 1",
                            "the headings " + String.join(", ", file.headings()),
                            "\"" + heading + "\" among them"));
                }
            }
            throwIfAny(refusals);
            for (Optional<FileRow> row = file.next(); row.isPresent() && refusals.size() < MOST_REFUSED; ) {
                take(row.get(), sheet, cells, refusals);
                row = file.next();
            }
        }
        if (cells.isEmpty() && refusals.isEmpty()) {
            refusals.add(new Refusal("row 2", "nothing", "a row for each taxon, character, and state or limit"));
        }
        throwIfAny(refusals);
        List<DiagnosticCharacter> characters = new ArrayList<>();
        for (DiagnosticCharacter character : sheet.characters()) {
            characters.add(
                    cells.containsKey(character.id())
                            ? withProfiles(character, cells.get(character.id()), refusals)
                            : character);
        }
        throwIfAny(refusals);
        return sheet.withCharacters(characters);
    }

    private static void throwIfAny(List<Refusal> refusals) {
        if (!refusals.isEmpty()) {
            throw new RefusedException(refusals);
        }
    }

    private static void take(
            FileRow row,
            GroupSheet sheet,
            Map<String, Map<String, Map<String, Double>>> cells,
            List<Refusal> refusals) {
        String place = "row " + row.place();
        if (row.broken().isPresent()) {
            refusals.add(new Refusal(place, row.broken().get(), "as many cells as headings"));
            return;
        }
        Map<String, String> texts = new TreeMap<>();
        row.cells().forEach((heading, text) -> texts.put(heading, SurveyCsv.unguarded(text)));
        String id = texts.getOrDefault(CHARACTER, "");
        String taxon = texts.getOrDefault(TAXON, "");
        String state = texts.getOrDefault(STATE, "");
        Optional<DiagnosticCharacter> character = sheet.character(id);
        Optional<Double> value = CsvFile.number(texts.getOrDefault(VALUE, ""));
        int before = refusals.size();
        if (character.isEmpty()) {
            refusals.add(
                    new Refusal(place + ", " + CHARACTER, "\"" + id + "\"", "the id of a character of this sheet"));
        } else if (!knows(character.get(), state)) {
            refusals.add(new Refusal(place + ", " + STATE, "\"" + state + "\"", expected(character.get())));
        }
        if (sheet.taxonIndex(taxon) < 0) {
            refusals.add(new Refusal(place + ", " + TAXON, "\"" + taxon + "\"", "the id of a taxon of this sheet"));
        }
        if (value.isEmpty()) {
            refusals.add(new Refusal(
                    place + ", " + VALUE,
                    "\"" + texts.getOrDefault(VALUE, "") + "\"",
                    "a number, such as 0.25 or 0,25"));
        }
        if (refusals.size() == before
                && cells.computeIfAbsent(id, one -> new LinkedHashMap<>())
                                .computeIfAbsent(taxon, one -> new LinkedHashMap<>())
                                .put(state, value.orElseThrow())
                        != null) {
            refusals.add(new Refusal(place, "the same character, taxon and state again", "each of them once"));
        }
    }

    private static boolean knows(DiagnosticCharacter character, String state) {
        return character.scale() instanceof StateScale scale ? scale.indexOf(state) >= 0 : LIMITS.contains(state);
    }

    private static String expected(DiagnosticCharacter character) {
        return character.scale() instanceof StateScale scale
                ? "one of "
                        + String.join(
                                ", ", scale.states().stream().map(State::id).toList())
                : "one of " + String.join(", ", LIMITS);
    }

    private static DiagnosticCharacter withProfiles(
            DiagnosticCharacter character, Map<String, Map<String, Double>> byTaxon, List<Refusal> refusals) {
        Map<String, Profile> profiles = new LinkedHashMap<>();
        byTaxon.forEach((taxon, cells) -> {
            try {
                profiles.put(taxon, character.scale() instanceof StateScale ? new StateProfile(cells) : range(cells));
            } catch (RefusedException broken) {
                broken.refusals().forEach(one -> refusals.add(one.within(character.id() + ", " + taxon)));
            }
        });
        return refusals.isEmpty() ? character.withProfiles(profiles) : character;
    }

    private static RangeProfile range(Map<String, Double> cells) {
        if (!cells.keySet().containsAll(LIMITS)) {
            throw RefusedException.of("", String.join(", ", cells.keySet()), "all of " + String.join(", ", LIMITS));
        }
        return new RangeProfile(new Range(
                cells.get(LIMITS.get(0)),
                cells.get(LIMITS.get(1)),
                cells.get(LIMITS.get(2)),
                cells.get(LIMITS.get(3))));
    }
}
