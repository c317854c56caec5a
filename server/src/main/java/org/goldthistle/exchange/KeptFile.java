package org.goldthistle.exchange;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.util.Arrays;
import java.util.Enumeration;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import java.util.function.LongConsumer;
import org.goldthistle.formats.CsvFile;
import org.goldthistle.formats.GeoJsonFile;
import org.goldthistle.formats.RowFile;
import org.goldthistle.formats.TextEncoding;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The content of files on their way in, kept in the database in pieces, so that no file is ever held whole. */
@Component
class KeptFile {
    static final int LARGEST = 100 * 1024 * 1024; // bytes

    private static final byte[] BEGINS_ARCHIVE = {'P', 'K', 3, 4}; // a zip
    private static final int PIECE = 1024 * 1024;

    private final JdbcClient jdbc;

    KeptFile(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Keeps what is sent.
     *
     * @return how many bytes that were
     * @throws Problem if it is too large
     */
    long keep(UUID importId, InputStream sent) throws IOException {
        long size = 0;
        int part = 0;
        for (byte[] piece = sent.readNBytes(PIECE); piece.length > 0; piece = sent.readNBytes(PIECE)) {
            size += piece.length;
            if (size > LARGEST) {
                throw Problem.unfit(
                        ProblemType.FILE_TOO_LARGE,
                        "The file is larger than " + LARGEST / PIECE + " MB. Nothing was kept; part it and import one"
                                + " part after the other.");
            }
            jdbc.sql("insert into import_piece values (?, ?, ?)")
                    .params(importId, part++, piece)
                    .update();
        }
        return size;
    }

    /** The first character that says something; empty: none does. */
    Optional<Character> firstCharacter(UUID importId) throws IOException {
        try (InputStream content = open(importId, read -> {})) {
            for (int one = content.read(); one >= 0; one = content.read()) {
                boolean isMark = one == 0xEF || one == 0xBB || one == 0xBF; // a byte order mark of UTF-8
                if (!isMark && !Character.isWhitespace(one)) {
                    return Optional.of((char) one);
                }
            }
        }
        return Optional.empty();
    }

    /** Whether it is an archive of several files. */
    boolean isArchive(UUID importId) throws IOException {
        try (InputStream content = open(importId, read -> {})) {
            return Arrays.equals(content.readNBytes(BEGINS_ARCHIVE.length), BEGINS_ARCHIVE);
        }
    }

    /** Which encoding a kept table most likely has. */
    TextEncoding encoding(UUID importId) throws IOException {
        try (InputStream content = open(importId, read -> {})) {
            return TextEncoding.of(content);
        }
    }

    /** The rows of a kept file from its beginning; tells how many bytes were fetched so far. */
    RowFile rows(UUID importId, FileFormat format, TextEncoding encoding, LongConsumer fetched) throws IOException {
        InputStream content = open(importId, fetched);
        return format == FileFormat.CSV ? CsvFile.open(content, encoding) : GeoJsonFile.open(content);
    }

    private InputStream open(UUID importId, LongConsumer fetched) {
        return new SequenceInputStream(new Enumeration<>() {
            private int part;
            private long bytes;
            private Optional<byte[]> next = fetch();

            @Override
            public boolean hasMoreElements() {
                return next.isPresent();
            }

            @Override
            public InputStream nextElement() {
                byte[] piece = next.orElseThrow(NoSuchElementException::new);
                bytes += piece.length;
                fetched.accept(bytes);
                next = fetch();
                return new ByteArrayInputStream(piece);
            }

            private Optional<byte[]> fetch() {
                return jdbc.sql("select content from import_piece where import_id = ? and part = ?")
                        .params(importId, part++)
                        .query(byte[].class)
                        .optional();
            }
        });
    }
}
