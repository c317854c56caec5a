package org.goldthistle.formats;

import java.util.Map;
import java.util.Optional;

/**
 * A row of a table, or a feature of a map, as it stands in its file.
 *
 * @param place row of the table, its heading being 1; or the feature, from 1
 * @param cells by heading; what is empty is left out
 * @param broken why it is not a row like the others, in words; empty: it is
 */
public record FileRow(long place, Map<String, String> cells, Optional<String> broken) {
    /** Copies the cells. */
    public FileRow {
        cells = Map.copyOf(cells);
    }
}
