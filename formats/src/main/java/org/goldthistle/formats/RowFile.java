package org.goldthistle.formats;

import java.io.Closeable;
import java.io.IOException;
import java.util.List;
import java.util.Optional;

/** A file of rows that is read from its beginning to its end, holding one row at a time. */
public interface RowFile extends Closeable {
    /**
     * The headings in the order of the file. Features of a map need not have the same ones, so those that only turn up
     * later are there only when the file has been read to its end.
     */
    List<String> headings();

    /**
     * The next row.
     *
     * @return empty at the end
     * @throws org.goldthistle.core.RefusedException if the file cannot be read any further; its key tells the place
     */
    Optional<FileRow> next() throws IOException;
}
