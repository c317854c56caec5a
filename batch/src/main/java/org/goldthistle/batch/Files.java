package org.goldthistle.batch;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.formats.GroupSheetJson;

/** Files as the commands name them; {@code -} is standard input. */
final class Files {
    private static final String STANDARD_INPUT = "-";
    private static final char BYTE_ORDER_MARK = '\uFEFF';

    private Files() {}

    /** The model of a sheet in a file; what is wrong with the sheet is told with the file's name. */
    static GroupModel model(String file) throws IOException {
        String text = text(file);
        try {
            return GroupModel.of(GroupSheetJson.read(text));
        } catch (RefusedException refused) {
            List<Refusal> withFile = new ArrayList<>();
            refused.refusals()
                    .forEach(one -> withFile.add(new Refusal(file + ": " + one.key(), one.found(), one.expected())));
            throw new RefusedException(withFile);
        }
    }

    /** The whole text of a file. */
    static String text(String file) throws IOException {
        try (Reader reader = open(file)) {
            var text = new StringWriter();
            reader.transferTo(text);
            return text.toString();
        }
    }

    /** A reader past the mark that some editors put before a text; it says something. */
    private static Reader begun(String file, BufferedReader reader) throws IOException {
        reader.mark(1);
        int first = reader.read();
        if (first < 0) {
            reader.close();
            throw new IOException(file + ": the file is empty; nothing was read. Name one that holds JSON.");
        }
        if (first != BYTE_ORDER_MARK) {
            reader.reset();
        }
        return reader;
    }

    /** Opens a text in UTF-8. */
    static Reader open(String file) throws IOException {
        try {
            InputStream in =
                    file.equals(STANDARD_INPUT) ? System.in : java.nio.file.Files.newInputStream(Path.of(file));
            return begun(file, new BufferedReader(new Utf8Reader(file, in)));
        } catch (NoSuchFileException missing) {
            throw new IOException(file + ": there is no such file", missing);
        }
    }
}
