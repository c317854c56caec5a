package org.goldthistle.core.change;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Function;

/** Collects what is different about the things of one part of a sheet. */
final class Changes {
    private final List<SheetChange> found = new ArrayList<>();
    private SheetChange.Part part = SheetChange.Part.SHEET;
    private String name = "";

    /** What was found, in the order of the new sheet, what was left out last within its part. */
    List<SheetChange> found() {
        return List.copyOf(found);
    }

    /** Turns to another thing. */
    Changes on(SheetChange.Part newPart, String newName) {
        this.part = newPart;
        this.name = newName;
        return this;
    }

    /** Notes one aspect if it is different. */
    <T> Changes aspect(Aspect what, T before, T after, Function<T, Stated> stated) {
        return aspect(what, List.of(), before, after, stated);
    }

    /** Notes one aspect of something within the thing if it is different. */
    <T> Changes aspect(Aspect what, List<String> of, T before, T after, Function<T, Stated> stated) {
        return optional(what, of, Optional.of(before), Optional.of(after), stated);
    }

    /** Notes words that are different. */
    Changes text(Aspect what, String before, String after) {
        return aspect(what, before, after, Stated::words);
    }

    /** Notes a number that is different. */
    Changes number(Aspect what, double before, double after) {
        return aspect(what, before, after, Stated::number);
    }

    /** Notes words that may be missing. */
    Changes optional(Aspect what, Optional<String> before, Optional<String> after) {
        return optional(what, List.of(), before, after, Stated::words);
    }

    /** Notes what may be missing. */
    <T> Changes optional(
            Aspect what, List<String> of, Optional<T> before, Optional<T> after, Function<T, Stated> stated) {
        if (!before.equals(after)) {
            found.add(new SheetChange(part, name, what, of, before.map(stated), after.map(stated)));
        }
        return this;
    }

    /**
     * Goes through things with ids: those in both are compared, the others were added or left out; at last, whether
     * those in both stand in another order.
     */
    <T> void things(
            SheetChange.Part ofPart,
            List<T> before,
            List<T> after,
            Function<T, String> id,
            Function<T, String> shown,
            BiConsumer<T, T> compare) {
        Map<String, T> old = new LinkedHashMap<>();
        before.forEach(one -> old.put(id.apply(one), one));
        List<String> kept = new ArrayList<>();
        for (T one : after) {
            T was = old.get(id.apply(one));
            on(ofPart, shown.apply(one));
            if (was == null) {
                optional(Aspect.WHOLE, Optional.empty(), Optional.of(name));
            } else {
                kept.add(id.apply(one));
                compare.accept(was, one);
            }
        }
        for (T one : before) {
            if (!kept.contains(id.apply(one))) {
                String gone = shown.apply(one);
                on(ofPart, gone).optional(Aspect.WHOLE, Optional.of(gone), Optional.empty());
            }
        }
        List<String> order = before.stream().map(id).filter(kept::contains).toList();
        if (!order.equals(kept)) {
            on(ofPart, "").aspect(Aspect.ORDER, order, kept, Stated::list);
        }
    }
}
