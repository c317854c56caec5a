package org.goldthistle.formats;

import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import org.goldthistle.core.Coded;

/** In which encoding a table is written. */
public enum TextEncoding implements Coded {
    /** What we write, and most programs do. */
    UTF_8("UTF-8", StandardCharsets.UTF_8),
    /** What spreadsheets save as "Unicode text"; it begins with a mark that tells the order of its bytes. */
    UTF_16("UTF-16", StandardCharsets.UTF_16),
    /** What older programs in western Europe write. */
    WINDOWS_1252("Windows-1252", Charset.forName("windows-1252"));

    private static final char BYTE_ORDER_MARK = '\uFEFF';
    private static final int AT_ONCE = 64 * 1024; // characters

    private final String code;
    private final Charset charset;

    TextEncoding(String code, Charset charset) {
        this.code = code;
        this.charset = charset;
    }

    @Override
    public String code() {
        return code;
    }

    /**
     * Which encoding some text most likely has: UTF-16 by its mark, UTF-8 if all of it can be read so, else Windows-1252.
     *
     * @param content read to its end
     */
    public static TextEncoding of(InputStream content) throws IOException {
        BufferedInputStream bytes = new BufferedInputStream(content, AT_ONCE);
        bytes.mark(2);
        int mark = bytes.read() << 8 | bytes.read();
        if (mark == 0xFEFF || mark == 0xFFFE) {
            return UTF_16;
        }
        bytes.reset();
        char[] read = new char[AT_ONCE];
        try (Reader text = UTF_8.plainReader(bytes)) {
            for (int length = 0; length >= 0; ) {
                length = text.read(read);
            }
            return UTF_8;
        } catch (CharacterCodingException other) {
            return WINDOWS_1252;
        }
    }

    /** Reads text behind its byte order mark, if it has one; what is not in this encoding breaks the reading. */
    BufferedReader reader(InputStream content) throws IOException {
        BufferedReader text = new BufferedReader(plainReader(content));
        text.mark(1);
        if (text.read() != BYTE_ORDER_MARK) {
            text.reset();
        }
        return text;
    }

    private Reader plainReader(InputStream content) {
        return new InputStreamReader(
                content,
                charset.newDecoder()
                        .onMalformedInput(CodingErrorAction.REPORT)
                        .onUnmappableCharacter(CodingErrorAction.REPORT));
    }
}
