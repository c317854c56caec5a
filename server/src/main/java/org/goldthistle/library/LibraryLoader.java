package org.goldthistle.library;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.platform.Settings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * At the start, stores the built-in sheets and those of a folder of the user's own that the library does not have
 * yet. A sheet that breaks a rule is refused with file, key, found and expected; the others load.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LibraryLoader implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(LibraryLoader.class);

    private final LibraryService library;
    private final LibrarySearch search;
    private final SheetPictures pictures;
    private final String folder;

    LibraryLoader(LibraryService library, LibrarySearch search, SheetPictures pictures, Settings settings) {
        this.pictures = pictures;
        this.library = library;
        this.search = search;
        this.folder = settings.sheets();
    }

    @Override
    public void run(ApplicationArguments arguments) {
        Map<String, String> files = new LinkedHashMap<>();
        for (String group : BuiltInLibrary.GROUPS) {
            files.put(group + ".json", BuiltInLibrary.sheetText(group));
        }
        List<String> refused = new ArrayList<>();
        if (!folder.isBlank()) {
            refused.addAll(readFolder(Path.of(folder), files));
        }
        refused.addAll(load(files));
        refused.forEach(refusal -> LOG.error("sheet refused: {}", refusal));
        search.keep(library.newest());
    }

    /**
     * Adds the texts of a folder's sheets by file.
     *
     * @return a line for each file, or the folder, that cannot be read
     */
    static List<String> readFolder(Path folder, Map<String, String> textsByFile) {
        List<String> unreadable = new ArrayList<>();
        try {
            for (Path file : ownSheets(folder)) {
                try {
                    textsByFile.put(file.toString(), Files.readString(file));
                } catch (IOException broken) {
                    unreadable.add(file + ": found " + broken + ", expected a readable file in UTF-8");
                }
            }
        } catch (IOException missing) {
            unreadable.add(folder + ": found " + missing + ", expected a folder of sheets");
        }
        return unreadable;
    }

    /** @return a line a refusal, starting with the file */
    List<String> load(Map<String, String> textsByFile) {
        List<String> refused = new ArrayList<>();
        textsByFile.forEach((file, text) -> {
            try {
                library.keepUpToDate(pictures.taken(text, null))
                        .ifPresent(version -> LOG.info("stored version {} of {}", version, file));
            } catch (RefusedException broken) {
                for (Refusal refusal : broken.refusals()) {
                    refused.add(file + ": " + refusal.message());
                }
            }
        });
        return refused;
    }

    private static List<Path> ownSheets(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> file.toString().endsWith(".json"))
                    .sorted()
                    .toList();
        }
    }
}
