package org.goldthistle.library;

import java.util.List;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.change.Aspect;
import org.goldthistle.core.change.SheetChange;
import org.goldthistle.core.change.Stated;
import org.springframework.lang.Nullable;

/**
 * One thing that is different between two versions of a sheet.
 *
 * @param part of the sheet it belongs to
 * @param name of the taxon, character … it concerns; empty for the sheet as a whole
 * @param aspect what is different about it
 * @param of of what within it, as the aspect says: a trait, a topic, a state, or a taxon and a state
 * @param before null: nothing was there
 * @param after null: nothing is there now
 */
public record ChangeDto(
        SheetChange.Part part,
        String name,
        Aspect aspect,
        List<String> of,
        @Nullable StatedDto before,
        @Nullable StatedDto after) {

    /**
     * What stands in a sheet at one place.
     *
     * @param kind how the rest is meant
     * @param texts words of the sheet, codes, or what the numbers are of, one each
     * @param numbers the kind says
     * @param drawing null: it is none
     */
    public record StatedDto(
            @CodeOf(Stated.Kind.class) String kind,
            List<String> texts,
            List<Double> numbers,
            @Nullable CharacterDto.DrawingDto drawing) {
        static StatedDto of(Stated stated) {
            return new StatedDto(
                    stated.kind().code(),
                    stated.texts(),
                    stated.numbers(),
                    stated.drawing().map(CharacterDto.DrawingDto::of).orElse(null));
        }
    }

    /** A change as it is told. */
    public static ChangeDto of(SheetChange change) {
        return new ChangeDto(
                change.part(),
                change.name(),
                change.aspect(),
                change.of(),
                change.before().map(StatedDto::of).orElse(null),
                change.after().map(StatedDto::of).orElse(null));
    }
}
