package org.goldthistle.plotlist;

import com.fasterxml.jackson.databind.node.TextNode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.goldthistle.account.AccountService;
import org.goldthistle.audit.AuditEntry;
import org.goldthistle.call.Entry;
import org.goldthistle.call.Marking;
import org.goldthistle.call.NewReading;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.entry.CallEntries;
import org.goldthistle.entry.EntryTrail;
import org.goldthistle.entry.TreeOfObserver;
import org.goldthistle.library.LibraryService;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.signing.SigningService;
import org.goldthistle.signing.TreeSignatures;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * All that happened to a tree: what the trail has of it, every reading and every mark of the gate. The readings of others
 * are there once they signed, unless they are kept from this observer.
 */
@Service
class TreeHistory {
    private final TreeService trees;
    private final EntryTrail entries;
    private final TreeSignatures signatures;
    private final LibraryService library;
    private final AccountService accounts;
    private final Sights sights;

    TreeHistory(
            TreeService trees,
            EntryTrail entries,
            TreeSignatures signatures,
            LibraryService library,
            AccountService accounts,
            Sights sights) {
        this.trees = trees;
        this.entries = entries;
        this.signatures = signatures;
        this.library = library;
        this.accounts = accounts;
        this.sights = sights;
    }

    /** The latest first. */
    @Transactional
    List<AuditEntry> of(TreeOfObserver of) {
        SurveyedTree tree = trees.tree(of.surveyId(), of.treeId(), of.observerId());
        List<EntryTrail.OfCall> shown = shown(tree, of.observerId());
        if (!tree.isBlindFor(of.observerId())) {
            sights.shown(of.observerId(), Scope.HISTORY, List.of(tree.id()));
        }
        Map<UUID, String> callSigns = accounts.callSigns(
                shown.stream().map(EntryTrail.OfCall::observerId).distinct().toList());
        List<AuditEntry> all = new ArrayList<>(trees.trailOf(tree, of.observerId()));
        all.removeIf(one -> CallEntries.OF_A_CALL.contains(one.what()) && !callSigns.containsValue(one.observer()));
        Collections.reverse(all);
        for (EntryTrail.OfCall call : shown) {
            GroupSheet sheet = library.find(call.sheetVersionId()).sheet();
            String observer = callSigns.get(call.observerId());
            call.readings().forEach(one -> all.add(entry(sheet, observer, one)));
            call.markings().forEach(one -> all.add(entry(sheet, observer, one)));
        }
        // at one instant a tree is recorded before it is read, and read before it is signed
        all.sort(Comparator.comparing(AuditEntry::at)
                .thenComparing(one -> one.what().equals(SigningService.SIGNED)));
        Collections.reverse(all);
        return all;
    }

    private List<EntryTrail.OfCall> shown(SurveyedTree tree, UUID observerId) {
        Set<UUID> signed = tree.isBlindFor(observerId) ? Set.of() : signatures.signersOf(tree.id());
        return entries.of(tree.id()).stream()
                .filter(call -> call.observerId().equals(observerId) || signed.contains(call.observerId()))
                .toList();
    }

    private static AuditEntry entry(GroupSheet sheet, String observer, Entry one) {
        NewReading reading = one.reading();
        var character = sheet.character(reading.character());
        String name = character.map(DiagnosticCharacter::name).orElse(reading.character());
        if (reading.takesBack()) {
            return said(one.recordedAt(), observer, "took back what was read of “" + name + "”");
        }
        if (reading.notSeen()) {
            String what = reading.saysNoneBorne() ? "found none on the tree for “" : "could not see “";
            return said(one.recordedAt(), observer, what + name + "”");
        }
        String seen = character.map(known -> words(known, reading)).orElse("");
        return new AuditEntry(one.recordedAt(), observer, "read “" + name + "”", null, TextNode.valueOf(seen));
    }

    private static AuditEntry entry(GroupSheet sheet, String observer, Marking one) {
        String name = sheet.gate().stream()
                .filter(item -> item.id().equals(one.item()))
                .map(GateItem::name)
                .findFirst()
                .orElse(one.item());
        String what = switch (one.mark()) {
            case FITS -> "found that it fits: ";
            case FAILS -> "found that it does not fit: ";
            case TAKEN_BACK -> "took back the mark of: ";
        };
        return said(one.recordedAt(), observer, what + name);
    }

    private static AuditEntry said(Instant at, String observer, String what) {
        return new AuditEntry(at, observer, what, null, null);
    }

    /** What was read, in words: "3 few, 1 many, fairly", "11, 9, 13 mm". */
    private static String words(DiagnosticCharacter character, NewReading reading) {
        String seen = character.scale() instanceof StateScale scale
                ? states(scale, reading.states())
                : reading.values().stream()
                                .map(value -> value == Math.rint(value)
                                        ? String.valueOf(value.longValue())
                                        : String.valueOf(value))
                                .collect(Collectors.joining(", "))
                        + unit(character);
        return Stream.of(seen, reading.certainty(), reading.material(), reading.position())
                .filter(word -> word != null && !word.isEmpty())
                .collect(Collectors.joining(", "));
    }

    private static String unit(DiagnosticCharacter character) {
        return character.scale() instanceof NumberScale number
                ? (" " + number.measure().sign()).stripTrailing()
                : "";
    }

    private static String states(StateScale scale, List<String> seen) {
        return scale.states().stream()
                .filter(state -> seen.contains(state.id()))
                .map(state -> counted(state, seen))
                .collect(Collectors.joining(", "));
    }

    private static String counted(State state, List<String> seen) {
        long times = seen.stream().filter(state.id()::equals).count();
        return seen.size() > 1 ? times + " × " + state.name() : state.name();
    }
}
