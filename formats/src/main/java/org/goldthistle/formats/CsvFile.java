package org.goldthistle.formats;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.goldthistle.core.RefusedException;

/** A table in a text file: RFC 4180, with commas, semicolons or tabs between its cells. */
public final class CsvFile implements RowFile {
    private static final int LONGEST_HEADING = 64 * 1024; // characters
    private static final int MOST_COLUMNS = 500;
    private static final int LONGEST_ROW = 256 * 1024; // characters, of all cells together with what parts them
    private static final int LONGEST_CELL = 10_000; // characters
    private static final char[] DELIMITERS = {',', ';', '\t'};

    private final CSVParser parser;
    private final TextEncoding encoding;
    private final Iterator<CSVRecord> records;
    private final List<String> headings;

    private CsvFile(CSVParser parser, TextEncoding encoding) {
        this.parser = parser;
        this.encoding = encoding;
        this.records = parser.iterator();
        this.headings = read("row 1").map(CSVRecord::toList).orElse(List.of()).stream()
                .map(String::strip)
                .toList();
    }

    /** A table in UTF-8. */
    public static CsvFile open(InputStream content) throws IOException {
        return open(content, TextEncoding.UTF_8);
    }

    /** @throws RefusedException if it has no heading, the heading names a column twice, or it is in another encoding */
    public static CsvFile open(InputStream content, TextEncoding encoding) throws IOException {
        try {
            BufferedReader text = encoding.reader(content);
            char delimiter = delimiter(firstLine(text));
            CSVFormat format = CSVFormat.RFC4180
                    .builder()
                    .setDelimiter(delimiter)
                    .setIgnoreEmptyLines(true)
                    .get();
            CsvFile file = new CsvFile(CSVParser.parse(new ShortRows(text, delimiter, LONGEST_ROW), format), encoding);
            file.requireHeadings();
            return file;
        } catch (CharacterCodingException other) {
            throw otherEncoding("row 1", encoding);
        }
    }

    /** The first line without taking it off the text, as far as it is looked at for what parts its cells. */
    private static String firstLine(BufferedReader text) throws IOException {
        text.mark(LONGEST_HEADING);
        StringBuilder line = new StringBuilder();
        for (int one = text.read(); one >= 0 && one != '\n' && line.length() < LONGEST_HEADING - 1; one = text.read()) {
            line.append((char) one);
        }
        text.reset();
        return line.toString();
    }

    private void requireHeadings() {
        Set<String> seen = new HashSet<>();
        for (String heading : headings) {
            if (!heading.isEmpty() && !seen.add(heading)) {
                throw RefusedException.of("row 1", "the heading \"" + heading + "\" twice", "each heading once");
            }
        }
        if (headings.size() > MOST_COLUMNS) {
            throw RefusedException.of("row 1", headings.size() + " columns", "at most " + MOST_COLUMNS);
        }
        if (seen.isEmpty()) {
            throw RefusedException.of("row 1", "no heading", "a first row that names the columns");
        }
    }

    private static char delimiter(String heading) {
        char best = DELIMITERS[0];
        for (char one : DELIMITERS) {
            if (count(heading, one) > count(heading, best)) {
                best = one;
            }
        }
        return best;
    }

    private static long count(String text, char what) {
        return text.chars().filter(one -> one == what).count();
    }

    @Override
    public List<String> headings() {
        return headings.stream().filter(heading -> !heading.isEmpty()).toList();
    }

    @Override
    public Optional<FileRow> next() {
        return read("the row after " + parser.getRecordNumber()).map(this::row);
    }

    private FileRow row(CSVRecord read) {
        Map<String, String> cells = new LinkedHashMap<>();
        for (int i = 0; i < Math.min(headings.size(), read.size()); i++) {
            String cell = read.get(i).strip();
            if (!cell.isEmpty() && !headings.get(i).isEmpty()) {
                cells.put(headings.get(i), cell);
            }
        }
        Optional<String> broken = read.size() <= headings.size()
                ? Optional.empty()
                : Optional.of("it has " + read.size() + " cells under " + headings.size() + " headings");
        for (String cell : cells.values()) {
            if (cell.length() > LONGEST_CELL) {
                throw RefusedException.of(
                        "row " + read.getRecordNumber(),
                        "a cell of " + cell.length() + " letters",
                        "at most " + LONGEST_CELL + " in a cell");
            }
        }
        return new FileRow(read.getRecordNumber(), cells, broken);
    }

    private Optional<CSVRecord> read(String place) {
        try {
            return records.hasNext() ? Optional.of(records.next()) : Optional.empty();
        } catch (UncheckedIOException broken) {
            if (broken.getCause() instanceof CharacterCodingException) {
                throw otherEncoding(place, encoding);
            }
            if (broken.getCause() instanceof ShortRows.Nul) {
                throw RefusedException.of(place, "the character NUL, which no text has", "text");
            }
            if (broken.getCause() instanceof ShortRows.TooLong) {
                throw RefusedException.of(
                        place, "more than " + LONGEST_ROW + " letters without an end of the row", "shorter rows");
            }
            throw RefusedException.of(
                    place, "quotes that do not end as they should", "cells quoted as RFC 4180 has it");
        }
    }

    private static RefusedException otherEncoding(String place, TextEncoding encoding) {
        return RefusedException.of(
                place, "a character that is not written as " + encoding.code() + " has it", "a file in one encoding");
    }

    /** The number in a cell, a comma standing for its point or not; empty: it is none. */
    static Optional<Double> number(String cell) {
        try {
            String text = cell.indexOf('.') < 0 ? cell.replace(',', '.') : cell;
            return Optional.of(Double.parseDouble(text)).filter(Double::isFinite);
        } catch (NumberFormatException none) {
            return Optional.empty();
        }
    }

    @Override
    public void close() throws IOException {
        parser.close();
    }
}
