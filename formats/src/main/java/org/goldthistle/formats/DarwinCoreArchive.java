package org.goldthistle.formats;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * Writes an archive of the Darwin Core: a zip of tables, parted by tabs in UTF-8, with what their columns mean in
 * {@code meta.xml} (Darwin Core text guide of TDWG) and what the whole is in {@code eml.xml} (Ecological Metadata Language 2.1.1).
 * Tables are written one after the other, row by row. An archive that was not finished is none, so that nobody takes a part
 * for the whole.
 */
public final class DarwinCoreArchive {
    private static final String TEXT = "http://rs.tdwg.org/dwc/text/";
    private static final String EML = "eml://ecoinformatics.org/eml-2.1.1";

    private final ZipOutputStream zip;
    private final Writer text;
    private final List<DarwinCoreTable> written = new ArrayList<>();

    /**
     * What the whole is.
     *
     * @param id of the survey, a UUID
     * @param title of the survey
     * @param language of its names and notes, as en
     * @param abstractWords what it holds
     * @param rightsHolder who holds the rights; empty: not said
     * @param license under which it may be used; empty: not said
     * @param published the day, as 2026-09-14
     */
    public record Dataset(
            String id,
            String title,
            String language,
            String abstractWords,
            String rightsHolder,
            String license,
            String published) {}

    /** Begins the archive. */
    public DarwinCoreArchive(OutputStream to, Dataset dataset) throws IOException {
        this.zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
        this.text = new BufferedWriter(new OutputStreamWriter(zip, StandardCharsets.UTF_8));
        zip.putNextEntry(new ZipEntry("eml.xml"));
        xml(out -> eml(out, dataset));
        zip.closeEntry();
    }

    /** Begins a table, after which its rows follow. */
    public void begin(DarwinCoreTable table) throws IOException {
        end();
        zip.putNextEntry(new ZipEntry(table.file()));
        written.add(table);
        line(table.headings().stream());
    }

    /**
     * Writes a row of the table that was begun last.
     *
     * @param cells in the order of its terms; null: nothing is known
     */
    public void row(Object... cells) throws IOException {
        DarwinCoreTable table = written.get(written.size() - 1);
        if (cells.length != table.terms().size()) {
            throw new IllegalArgumentException(
                    table + " has " + table.terms().size() + " columns, not " + cells.length);
        }
        line(Stream.of(cells).map(DarwinCoreArchive::cell));
    }

    /** Adds a file, such as a photo. */
    public void file(String name, InputStream content) throws IOException {
        end();
        zip.putNextEntry(new ZipEntry(name));
        content.transferTo(zip);
        zip.closeEntry();
    }

    private void line(Stream<String> cells) throws IOException {
        text.write(cells.collect(Collectors.joining("\t", "", "\n")));
    }

    /** A cell has no tab and no end of a line, since nothing is quoted. */
    private static String cell(Object value) {
        if (value == null) {
            return "";
        }
        String words = value instanceof Double number ? SurveyCsv.number(number) : value.toString();
        return words.replaceAll("[\\t\\r\\n\\x00]+", " ").strip();
    }

    private void end() throws IOException {
        text.flush();
        if (!written.isEmpty()) {
            zip.closeEntry();
        }
    }

    /** Writes what the tables mean, and ends the archive. */
    public void finish() throws IOException {
        end();
        zip.putNextEntry(new ZipEntry("meta.xml"));
        xml(this::meta);
        zip.closeEntry();
        zip.finish();
        zip.flush();
    }

    private void meta(XMLStreamWriter out) throws XMLStreamException {
        out.writeStartElement("archive");
        out.writeDefaultNamespace(TEXT);
        out.writeAttribute("metadata", "eml.xml");
        for (DarwinCoreTable table : written) {
            boolean core = table == DarwinCoreTable.OCCURRENCE;
            out.writeStartElement(core ? "core" : "extension");
            out.writeAttribute("encoding", "UTF-8");
            out.writeAttribute("fieldsTerminatedBy", "\\t");
            out.writeAttribute("linesTerminatedBy", "\\n");
            out.writeAttribute("fieldsEnclosedBy", "");
            out.writeAttribute("ignoreHeaderLines", "1");
            out.writeAttribute("rowType", table.rowType());
            out.writeStartElement("files");
            element(out, "location", table.file());
            out.writeEndElement();
            out.writeEmptyElement(core ? "id" : "coreid");
            out.writeAttribute("index", "0");
            for (int i = core ? 0 : 1; i < table.terms().size(); i++) {
                out.writeEmptyElement("field");
                out.writeAttribute("index", String.valueOf(i));
                out.writeAttribute("term", table.terms().get(i));
            }
            out.writeEndElement();
        }
        out.writeEndElement();
    }

    private static void eml(XMLStreamWriter out, Dataset dataset) throws XMLStreamException {
        out.writeStartElement("eml", "eml", EML);
        out.writeNamespace("eml", EML);
        out.writeAttribute("packageId", dataset.id());
        out.writeAttribute("system", "urn:uuid");
        out.writeStartElement("dataset");
        element(out, "title", dataset.title());
        for (String whom : List.of("creator", "contact")) {
            if (whom.equals("contact")) {
                element(out, "pubDate", dataset.published());
                element(out, "language", dataset.language());
                paragraph(out, "abstract", dataset.abstractWords());
                if (!dataset.license().isEmpty()) {
                    paragraph(out, "intellectualRights", dataset.license());
                }
            }
            out.writeStartElement(whom);
            element(
                    out,
                    "organizationName",
                    dataset.rightsHolder().isEmpty() ? dataset.title() : dataset.rightsHolder());
            out.writeEndElement();
        }
        out.writeEndElement();
        out.writeEndElement();
    }

    private static void paragraph(XMLStreamWriter out, String name, String words) throws XMLStreamException {
        out.writeStartElement(name);
        element(out, "para", words);
        out.writeEndElement();
    }

    private static void element(XMLStreamWriter out, String name, String words) throws XMLStreamException {
        out.writeStartElement(name);
        out.writeCharacters(words);
        out.writeEndElement();
    }

    private interface Part {
        void write(XMLStreamWriter out) throws XMLStreamException;
    }

    private void xml(Part part) throws IOException {
        try {
            XMLStreamWriter out =
                    XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(zip, StandardCharsets.UTF_8.name());
            out.writeStartDocument(StandardCharsets.UTF_8.name(), "1.0");
            part.write(out);
            out.writeEndDocument();
            out.flush();
        } catch (XMLStreamException broken) {
            throw new IOException(broken);
        }
    }
}
