package org.goldthistle.exchange;

import java.sql.Timestamp;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.exchange.ImportDto.ColumnDto;
import org.goldthistle.formats.TextEncoding;
import org.springframework.lang.Nullable;

/**
 * A file on its way in, as it stands on record, its content left where it is.
 *
 * @param problems how many there are
 * @param oddMedian of its diameters, in millimetres, where that makes no sense; null: it does
 * @param told how the work on it ended, in words
 * @param aliveAt when whoever works on it last gave a sign of life
 */
record SentFile(
        UUID id,
        UUID surveyId,
        UUID observerId,
        String name,
        FileFormat format,
        TextEncoding encoding,
        ImportState state,
        List<String> headings,
        List<ColumnDto> columns,
        long rowsDone,
        double shareDone,
        int plotsNew,
        int treesNew,
        long problems,
        @Nullable Integer oddMedian,
        String told,
        Timestamp aliveAt) {
    private static final Set<ImportState> AT_WORK = EnumSet.of(ImportState.CHECKING, ImportState.STORING);

    /** Whether it is being checked or stored. */
    boolean isAtWork() {
        return AT_WORK.contains(state);
    }

    /** Whether it was stored, taken back or not. */
    boolean wasStored() {
        return state == ImportState.STORED || state == ImportState.TAKEN_BACK;
    }
}
