package org.goldthistle.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.call.Taken;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.formats.WrittenReading;
import org.goldthistle.library.LibraryService;
import org.springframework.stereotype.Component;

/** What was read on a tree and still counts, gathered by the database into one cell and told in the words of its sheets. */
@Component
class ReadingsOfTree {
    /** Of an observer's own call: that nothing of the character was read later, by the clock and then as it came, as a call counts. */
    private static final String LAST_READ = "not exists (select from reading later where later.call_id = r.call_id"
            + " and later.character_id = r.character_id and (coalesce(later.read_at, later.recorded_at), later.entry_order)"
            + " > (coalesce(r.read_at, r.recorded_at), r.entry_order))";

    /** Of somebody else's: that it stands in what they signed last, whatever they entered since. */
    private static final String SIGNED =
            "exists (select from (select s.snapshot from determination s where s.tree_id = t.id"
                    + " and s.observer_id = c.observer_id and s.settles is null order by s.entry_order desc limit 1) s"
                    + " where s.snapshot -> 'readings' @> jsonb_build_array(jsonb_build_object('id', r.id)))";

    /**
     * A join of {@code tree t} with the readings that an observer may see: their own, and those that others signed where
     * nothing of the tree is kept from them. Its three parameters are the observer.
     */
    static final String JOIN =
            " left join lateral (select json_agg(json_build_object('id', r.id, 'sheet', c.sheet_version_id,"
                    + " 'character', r.character_id, 'observed', r.observed, 'certainty', r.certainty, 'material', r.material,"
                    + " 'position', r.position, 'by', o.call_sign,"
                    + " 'on', to_char(coalesce(r.read_at, r.recorded_at) at time zone 'UTC', 'YYYY-MM-DD'))"
                    + " order by o.call_sign, r.entry_order) as readings"
                    + " from call c join reading r on r.call_id = c.id join observer o on o.id = c.observer_id"
                    + " where c.tree_id = t.id and (c.observer_id = ? and " + LAST_READ
                    + " or c.observer_id <> ? and (t.shown_to is null or ? = any(t.shown_to)) and " + SIGNED
                    + ")) q on true";

    private final LibraryService library;
    private final ObjectMapper json;

    ReadingsOfTree(LibraryService library, ObjectMapper json) {
        this.library = library;
        this.json = json;
    }

    /**
     * @param cell as {@link #JOIN} gathers it; null: nothing was read
     * @param called what an observer is called, by their call sign
     */
    List<WrittenReading> written(String cell, UnaryOperator<String> called) {
        if (cell == null) {
            return List.of();
        }
        try {
            return json.readValue(cell, new TypeReference<List<Gathered>>() {}).stream()
                    .filter(one -> !Boolean.TRUE.equals(one.observed().withdrawn()))
                    .map(one -> written(one, called))
                    .toList();
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException("what was stored of readings cannot be read", broken);
        }
    }

    private WrittenReading written(Gathered one, UnaryOperator<String> called) {
        StoredSheet stored = library.find(one.sheet());
        Optional<DiagnosticCharacter> character = stored.sheet().character(one.character());
        Seen seen = one.observed();
        return new WrittenReading(
                one.id(),
                stored.sheet().id(),
                stored.version(),
                new WrittenReading.Named(
                        one.character(),
                        character.map(DiagnosticCharacter::name).orElse(one.character())),
                character
                        .map(DiagnosticCharacter::scale)
                        .map(scale -> scale instanceof NumberScale number
                                ? number.measure().sign()
                                : "")
                        .orElse(""),
                called.apply(one.by()),
                one.on(),
                looks(seen, character),
                !seen.notSeen() ? "seen" : Boolean.TRUE.equals(seen.notBorne()) ? "none borne" : "not seen",
                one.certainty(),
                one.material(),
                one.position());
    }

    private static List<WrittenReading.Look> looks(Seen seen, Optional<DiagnosticCharacter> character) {
        List<WrittenReading.Look> looks = new ArrayList<>();
        for (String state : seen.states() == null ? List.<String>of() : seen.states()) {
            String name = character.map(DiagnosticCharacter::scale).stream()
                    .flatMap(scale -> scale instanceof StateScale states ? states.states().stream() : Stream.empty())
                    .filter(known -> known.id().equals(state))
                    .map(State::name)
                    .findFirst()
                    .orElse(state);
            looks.add(new WrittenReading.Look(new WrittenReading.Named(state, name), null, null, List.of()));
        }
        List<Double> values = seen.values() == null ? List.of() : seen.values();
        for (int i = 0; i < values.size(); i++) {
            Taken taken =
                    seen.taken() == null ? new Taken(null, null) : seen.taken().get(i);
            looks.add(new WrittenReading.Look(
                    null, values.get(i), taken.error(), taken.parts() == null ? List.of() : taken.parts()));
        }
        return looks;
    }

    /** A reading as the database gathers it. */
    private record Gathered(
            String id,
            UUID sheet,
            String character,
            Seen observed,
            String certainty,
            String material,
            String position,
            String by,
            String on) {}

    /** What was seen, as stored. */
    private record Seen(
            List<String> states,
            List<Double> values,
            boolean notSeen,
            Boolean notBorne,
            Boolean withdrawn,
            List<Taken> taken) {}
}
