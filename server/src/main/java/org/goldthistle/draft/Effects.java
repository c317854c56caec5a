package org.goldthistle.draft;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.entry.StoredCall;
import org.goldthistle.entry.StoredCalls;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;

/** What would become of the calls on record if a draft were their sheet. */
@Service
class Effects {
    private static final int MOST_SHOWN = 60;
    private static final double WORTH_TELLING = 0.01; // a share that moves by less than a percent is the same

    private final DraftService drafts;
    private final StoredCalls calls;
    private final Sights sights;

    Effects(DraftService drafts, StoredCalls calls, Sights sights) {
        this.drafts = drafts;
        this.calls = calls;
        this.sights = sights;
    }

    /** How a call reads differently, the gravest first. */
    enum Kind implements Coded {
        /** Something that was read is not known any more. */
        UNREADABLE("unreadable"),
        /** Another taxon leads. */
        LEAD("lead"),
        /** The evidence carried it and would not. */
        LOST("lost"),
        /** The evidence did not carry it and would. */
        GAINED("gained"),
        /** The same, with other figures. */
        FIGURES("figures"),
        /** Nothing worth telling. */
        SAME("same");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /**
     * How far it has come, and in the end what came out.
     *
     * @param done calls that were read again
     * @param total calls there are
     * @param counts how many calls have each effect, by its code; null until the end, as is the next
     * @param rows the calls on which most changes
     */
    record EffectsDto(
            int done,
            int total,
            @Nullable Map<String, Integer> counts,
            @Nullable List<EffectRow> rows) {}

    /**
     * A call that reads differently.
     *
     * @param after null: it cannot be read on the draft
     * @param why it cannot be; null: it can
     */
    record EffectRow(
            @CodeOf(Effects.Kind.class) String effect,
            StoredCall.Whose whose,
            StoredCall.Result before,
            @Nullable StoredCall.Result after,
            @Nullable String why) {
        double moved() {
            return after == null ? 1 : Math.abs(after.share() - before.share());
        }
    }

    /**
     * Reads every call of the draft's group that the observer may see again; a group that is new has none.
     *
     * @param tell hears how far it has come, after every thousand calls
     * @throws org.goldthistle.platform.Problem if the draft breaks a rule
     */
    EffectsDto of(UUID draftId, UUID observerId, Consumer<EffectsDto> tell) {
        StoredSheet changed = drafts.sheetOf(draftId);
        String group = changed.sheet().id();
        int total = calls.count(group, observerId);
        Map<Kind, Integer> counts = new EnumMap<>(Kind.class);
        List<EffectRow> worst = new ArrayList<>();
        calls.read(group, observerId, some -> {
            some.parallelStream().map(call -> row(call, changed)).toList().forEach(row -> {
                Kind effect = Coded.find(Kind.values(), row.effect()).orElseThrow();
                counts.merge(effect, 1, Integer::sum);
                if (effect != Kind.SAME) {
                    worst.add(row);
                }
            });
            worst.sort(Comparator.<EffectRow, Kind>comparing(
                            row -> Coded.find(Kind.values(), row.effect()).orElseThrow())
                    .thenComparing(Comparator.comparingDouble(EffectRow::moved).reversed())
                    .thenComparing(row -> row.whose().plot())
                    .thenComparing(row -> row.whose().tag()));
            if (worst.size() > MOST_SHOWN) {
                worst.subList(MOST_SHOWN, worst.size()).clear();
            }
            int done = counts.values().stream().mapToInt(Integer::intValue).sum();
            tell.accept(new EffectsDto(done, total, null, null));
        });
        Map<String, Integer> byCode = new LinkedHashMap<>();
        for (Kind effect : Kind.values()) {
            byCode.put(effect.code(), counts.getOrDefault(effect, 0));
        }
        int read = counts.values().stream().mapToInt(Integer::intValue).sum();
        sights.shown(
                observerId,
                Scope.EFFECTS,
                worst.stream().map(row -> row.whose().treeId()).toList());
        return new EffectsDto(read, read, byCode, List.copyOf(worst));
    }

    private static EffectRow row(StoredCall call, StoredSheet changed) {
        StoredCall.Result before = call.asRead();
        try {
            StoredCall.Result after = call.on(changed);
            return new EffectRow(effect(before, after).code(), call.whose(), before, after, null);
        } catch (RefusedException unfit) {
            return new EffectRow(Kind.UNREADABLE.code(), call.whose(), before, null, unfit.getMessage());
        }
    }

    private static Kind effect(StoredCall.Result before, StoredCall.Result after) {
        if (!before.taxon().equals(after.taxon())) {
            return Kind.LEAD;
        }
        if (before.signable() != after.signable()) {
            return after.signable() ? Kind.GAINED : Kind.LOST;
        }
        return Math.abs(after.share() - before.share()) >= WORTH_TELLING ? Kind.FIGURES : Kind.SAME;
    }
}
