package org.goldthistle.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.ServerTest;
import org.goldthistle.formats.BuiltInLibrary;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;

class LibraryLoaderTest extends ServerTest {
    @Autowired
    private LibraryLoader loader;

    @Test
    void the_built_in_sheets_are_stored_as_their_first_versions() {
        List<String> groups = jdbc.sql("select group_id from sheet_version where version = 1")
                .query(String.class)
                .list();

        assertThat(groups).containsAll(BuiltInLibrary.GROUPS);
    }

    @Test
    void a_sheet_that_breaks_a_rule_is_refused_in_words_and_the_others_load() {
        String sound = BuiltInLibrary.sheetText("firs").replace("\"id\": \"firs\"", "\"id\": \"firs-of-ours\"");
        Map<String, String> files = new LinkedHashMap<>();
        files.put("broken.json", sound.replaceFirst("\"weight\": [0-9.]+", "\"weight\": 1.5"));
        files.put("no-json.json", "{ this is not JSON");
        files.put("sound.json", sound);

        List<String> refusals = loader.load(files);

        assertThat(refusals).hasSize(2);
        assertThat(refusals.get(0))
                .startsWith("broken.json: characters[0].weight: found 1.5, expected a number from 0 to 1");
        assertThat(refusals.get(1)).startsWith("no-json.json: line 1");
        assertThat(jdbc.sql("select count(*) from sheet_version where group_id = 'firs-of-ours'")
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
    }

    @Test
    void a_file_that_cannot_be_read_is_told_and_the_others_are_read(@TempDir Path folder) throws IOException {
        Files.write(folder.resolve("a-latin.json"), new byte[] {'"', (byte) 0xE9, '"'}); // no UTF-8
        Files.writeString(folder.resolve("b-sound.json"), "{}");
        Map<String, String> files = new LinkedHashMap<>();

        List<String> unreadable = LibraryLoader.readFolder(folder, files);

        assertThat(files).containsOnlyKeys(folder.resolve("b-sound.json").toString());
        assertThat(unreadable).singleElement().asString().contains("a-latin.json", "UTF-8");
        assertThat(LibraryLoader.readFolder(folder.resolve("missing"), files))
                .singleElement()
                .asString()
                .contains("expected a folder of sheets");
    }
}
