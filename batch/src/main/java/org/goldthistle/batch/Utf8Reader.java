package org.goldthistle.batch;

import java.io.FilterReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/** Text in UTF-8; in another encoding it is refused in words, not read as something else. */
final class Utf8Reader extends FilterReader {
    private final String file;

    Utf8Reader(String file, InputStream in) {
        super(new InputStreamReader(
                in,
                StandardCharsets.UTF_8
                        .newDecoder()
                        .onMalformedInput(CodingErrorAction.REPORT)
                        .onUnmappableCharacter(CodingErrorAction.REPORT)));
        this.file = file;
    }

    @Override
    public int read() throws IOException {
        try {
            return super.read();
        } catch (CharacterCodingException other) {
            throw notUtf8(other);
        }
    }

    @Override
    public int read(char[] into, int from, int length) throws IOException {
        try {
            return super.read(into, from, length);
        } catch (CharacterCodingException other) {
            throw notUtf8(other);
        }
    }

    private IOException notUtf8(CharacterCodingException other) {
        return new IOException(
                file + ": this is not text in UTF-8, as JSON is. Save it as UTF-8 and try again.", other);
    }
}
