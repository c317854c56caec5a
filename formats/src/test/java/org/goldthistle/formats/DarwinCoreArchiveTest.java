package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/** The archive read back by what its own meta.xml says. */
class DarwinCoreArchiveTest {
    private static final DarwinCoreArchive.Dataset DATASET = new DarwinCoreArchive.Dataset(
            "a183e891-bb1a-3f41-97d2-063a8532214e",
            "Kettle Moss round & others, Tarnholt Forest 2026",
            "en",
            "Trees <that> get mixed up.",
            "Tarnholt Forest",
            "CC BY 4.0",
            "2026-09-14");

    private static Object[] cells(DarwinCoreTable table, String key) {
        Object[] cells = new Object[table.terms().size()];
        Arrays.setAll(cells, i -> i == 0 ? key : "c" + i);
        return cells;
    }

    private static Map<String, byte[]> files(byte[] zip) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                files.put(entry.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    private static Document xml(byte[] bytes) throws Exception {
        return DocumentBuilderFactory.newDefaultInstance().newDocumentBuilder().parse(new ByteArrayInputStream(bytes));
    }

    private static byte[] archive() throws IOException {
        var bytes = new ByteArrayOutputStream();
        var archive = new DarwinCoreArchive(bytes, DATASET);
        for (DarwinCoreTable table : DarwinCoreTable.values()) {
            archive.begin(table);
            Object[] row = cells(table, "urn:uuid:1");
            row[2] = "two\nlines\tand a tab";
            archive.row(row);
            archive.row(cells(table, "urn:uuid:2"));
        }
        archive.file("photos/1.jpg", new ByteArrayInputStream(new byte[] {1, 2, 3}));
        archive.finish();
        return bytes.toByteArray();
    }

    @Test
    void its_own_description_reads_it() throws Exception {
        Map<String, byte[]> files = files(archive());
        NodeList tables = xml(files.get("meta.xml")).getDocumentElement().getChildNodes();

        assertThat(tables.getLength()).isEqualTo(DarwinCoreTable.values().length);
        for (int i = 0; i < tables.getLength(); i++) {
            Element table = (Element) tables.item(i);
            assertThat(table.getTagName()).isEqualTo(i == 0 ? "core" : "extension");
            String file = table.getElementsByTagName("location").item(0).getTextContent();
            List<String> lines =
                    new String(files.get(file), StandardCharsets.UTF_8).lines().toList();
            assertThat(lines).hasSize(3);
            int columns = lines.get(0).split("\t", -1).length;
            assertThat(lines).allMatch(line -> line.split("\t", -1).length == columns);
            NodeList fields = table.getElementsByTagName("field");
            assertThat(fields.getLength()).isEqualTo(i == 0 ? columns : columns - 1);
            for (int f = 0; f < fields.getLength(); f++) {
                Element field = (Element) fields.item(f);
                String heading = lines.get(0).split("\t")[Integer.parseInt(field.getAttribute("index"))];
                assertThat(field.getAttribute("term")).endsWith("/" + heading);
            }
            assertThat(lines.get(1).split("\t")[2]).isEqualTo("two lines and a tab");
        }
        assertThat(files.get("photos/1.jpg")).containsExactly(1, 2, 3);
    }

    @Test
    void what_the_whole_is_stands_in_it() throws Exception {
        Document eml = xml(files(archive()).get("eml.xml"));

        assertThat(eml.getElementsByTagName("title").item(0).getTextContent()).isEqualTo(DATASET.title());
        assertThat(eml.getElementsByTagName("abstract").item(0).getTextContent())
                .isEqualTo(DATASET.abstractWords());
        assertThat(eml.getElementsByTagName("intellectualRights").item(0).getTextContent())
                .isEqualTo("CC BY 4.0");
    }

    @Test
    void a_row_of_another_length_is_a_mistake() throws IOException {
        var archive = new DarwinCoreArchive(new ByteArrayOutputStream(), DATASET);
        archive.begin(DarwinCoreTable.MULTIMEDIA);

        assertThatThrownBy(() -> archive.row("one")).isInstanceOf(IllegalArgumentException.class);
    }
}
