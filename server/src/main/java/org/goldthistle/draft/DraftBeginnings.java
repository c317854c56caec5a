package org.goldthistle.draft;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.Coded;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.formats.GroupSheetWriter;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.stereotype.Component;

/** What a draft begins with: a version to change, a copy, a region's figures, nothing, or a file. */
@Component
class DraftBeginnings {
    private final LibraryService library;
    private final ObjectMapper json;

    DraftBeginnings(LibraryService library, ObjectMapper json) {
        this.library = library;
        this.json = json;
    }

    /** @throws Problem if there is nothing it could be begun from, or something that it needs was not said */
    Draft.Beginning asked(NewDraft asked) {
        DraftStart from = Coded.find(DraftStart.values(), asked.from())
                .orElseThrow(() -> Problem.unfit(
                        ProblemType.NO_SUCH_BEGINNING,
                        "A draft is begun from " + Coded.codes(DraftStart.values()) + ", but \"" + asked.from()
                                + "\" was sent. Nothing was begun."));
        return switch (from) {
            case CHANGE -> {
                StoredSheet sheet = library.find(given(asked.versionId(), "versionId"));
                yield change(sheet, GroupSheetWriter.text(sheet.sheet()));
            }
            case COPY -> new Draft.Beginning(null, given(asked.versionId(), "versionId"), null, renamed(asked));
            case REGION -> new Draft.Beginning(null, asked.versionId(), standsAlone(asked.versionId()), renamed(asked));
            case SCRATCH -> new Draft.Beginning(null, null, null, skeleton(asked));
        };
    }

    /** The next version of a group, which says what a sheet's text says. */
    Draft.Beginning change(StoredSheet before, String says) {
        return new Draft.Beginning(
                before.sheet().id(),
                before.id(),
                library.originalOf(before.id()).orElse(null),
                says);
    }

    /** A group that the library does not have. */
    static Draft.Beginning ofNewGroup(String says) {
        return new Draft.Beginning(null, null, null, says);
    }

    /** The version, which must not be laid over another itself. */
    private UUID standsAlone(UUID versionId) {
        UUID given = given(versionId, "versionId");
        if (library.originalOf(given).isPresent()) {
            throw Problem.unfit(
                    ProblemType.REGIONAL_ALREADY,
                    "This sheet is one of a region itself. Nothing was begun; begin from its original.");
        }
        return given;
    }

    private String renamed(NewDraft asked) {
        ObjectNode sheet = GroupSheetWriter.tree(
                library.find(given(asked.versionId(), "versionId")).sheet());
        sheet.put("id", given(asked.groupId(), "groupId"));
        sheet.put("title", given(asked.title(), "title"));
        sheet.put("region", given(asked.region(), "region"));
        sheet.remove("short"); // the other group's
        return sheet.toString();
    }

    private String skeleton(NewDraft asked) {
        ObjectNode sheet = json.createObjectNode();
        sheet.put("format", GroupSheetJson.FORMAT);
        sheet.put("id", given(asked.groupId(), "groupId"));
        sheet.put("title", given(asked.title(), "title"));
        sheet.put("region", given(asked.region(), "region"));
        sheet.put("why", "");
        sheet.putObject("fallback").put("scientificName", "").put("commonName", "");
        List.of("taxa", "gate", "characters", "indices", "cautions").forEach(sheet::putArray);
        sheet.putArray("sources").add("general field-botany knowledge; check against your regional flora");
        return sheet.toString();
    }

    private static <T> T given(T value, String key) {
        if (value == null) {
            throw Problem.unfit(
                    ProblemType.INCOMPLETE, "A draft that is begun like this needs " + key + ". Nothing was begun.");
        }
        return value;
    }
}
