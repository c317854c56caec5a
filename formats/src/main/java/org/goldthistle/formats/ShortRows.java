package org.goldthistle.formats;

import java.io.FilterReader;
import java.io.IOException;
import java.io.Reader;

/** A table's text that is not read on where a row does not end, so that no cell is ever held that nobody can mean. */
final class ShortRows extends FilterReader {
    private final char delimiter;
    private final int longest;
    private int letters; // of the row so far
    private boolean beginsCell = true;
    private boolean quoted;
    private boolean afterQuote; // within quotes: it ends them, unless another follows

    /** @param longest letters that a row may have, with what parts its cells */
    ShortRows(Reader text, char delimiter, int longest) {
        super(text);
        this.delimiter = delimiter;
        this.longest = longest;
    }

    /** A row has no end where it must have one. */
    static final class TooLong extends IOException {
        private static final long serialVersionUID = 1L;
    }

    /** A character that no text has. */
    static final class Nul extends IOException {
        private static final long serialVersionUID = 1L;
    }

    @Override
    public int read() throws IOException {
        int one = super.read();
        if (one >= 0) {
            count((char) one);
        }
        return one;
    }

    @Override
    public int read(char[] into, int from, int length) throws IOException {
        int many = super.read(into, from, length);
        for (int i = from; i < from + many; i++) {
            count(into[i]);
        }
        return many;
    }

    private void count(char one) throws IOException {
        if (one == 0) {
            throw new Nul();
        }
        if (quoted && afterQuote) {
            quoted = one == '"';
            afterQuote = false;
        } else if (quoted) {
            afterQuote = one == '"';
        } else {
            quoted = beginsCell && one == '"';
        }
        boolean endsRow = !quoted && (one == '\n' || one == '\r');
        beginsCell = endsRow || !quoted && one == delimiter;
        letters = endsRow ? 0 : letters + 1;
        if (letters > longest) {
            throw new TooLong();
        }
    }
}
