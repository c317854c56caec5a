package org.goldthistle.core.change;

import java.util.List;
import java.util.Optional;
import org.goldthistle.core.Coded;

/**
 * One thing that is different between two versions of a sheet.
 *
 * @param part of the sheet it belongs to
 * @param name of the taxon, character … it concerns; empty for the sheet as a whole
 * @param aspect what is different about it
 * @param of of what within it, as the aspect says: a trait, a topic, a state, or a taxon and a state
 * @param before what stood there; empty: nothing
 * @param after what stands there now; empty: nothing
 */
public record SheetChange(
        Part part, String name, Aspect aspect, List<String> of, Optional<Stated> before, Optional<Stated> after) {

    /** The parts of a sheet. */
    public enum Part implements Coded {
        /** The sheet as a whole. */
        SHEET("sheet"),
        /** Its taxa. */
        TAXON("taxon"),
        /** What every member shares. */
        GATE("gate"),
        /** Its characters. */
        CHARACTER("character"),
        /** Published functions. */
        INDEX("index"),
        /** Its cautions. */
        CAUTION("caution"),
        /** Its sources. */
        SOURCE("source");

        private final String code;

        Part(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }
}
