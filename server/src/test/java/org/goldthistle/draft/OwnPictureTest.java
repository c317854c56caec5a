package org.goldthistle.draft;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.Pictures;
import org.goldthistle.formats.BuiltInLibrary;
import org.junit.jupiter.api.Test;

/** A picture of one's own where nothing is drawn: kept once, with the version that shows it, and with its file. */
class OwnPictureTest extends DraftCase {
    private static final String PICTURES = "/api/sheet-pictures";

    @Test
    void a_picture_is_kept_once_under_its_print_and_anybody_who_reads_sheets_sees_it() {
        Caller redpoll = signedIn("Redpoll");
        byte[] picture = Pictures.png();

        String image =
                redpoll.putBytes(PICTURES, picture).expect(200).get("image").asText();

        assertThat(redpoll.putBytes(PICTURES, picture).expect(200).get("image").asText())
                .isEqualTo(image);
        signedIn("Dipper").get(PICTURES + "/" + image).expect(200);
        signedIn("Dipper").putBytes(PICTURES, picture).expectProblem(403, "not-yours-to-do");
        redpoll.get(PICTURES + "/" + "0".repeat(64)).expectProblem(404, "no-such-picture");
    }

    @Test
    void what_is_no_picture_or_too_large_is_refused_in_words() {
        Caller redpoll = signedIn("Redpoll");

        assertThat(redpoll.putBytes(PICTURES, "a text".getBytes(StandardCharsets.US_ASCII))
                        .expectProblem(422, "unfit-picture")
                        .get("detail")
                        .asText())
                .contains("is not a JPEG, PNG or WebP picture", "300 kB");
        assertThat(redpoll.putBytes(PICTURES, new byte[300_001])
                        .expectProblem(422, "unfit-picture")
                        .get("detail")
                        .asText())
                .contains("is larger than 300 kB");
    }

    @Test
    void a_version_that_shows_one_is_exported_with_it_and_taken_in_elsewhere() throws Exception {
        Caller redpoll = signedIn("Redpoll");
        String image = redpoll.putBytes(PICTURES, Pictures.png())
                .expect(200)
                .get("image")
                .asText();

        JsonNode saved = saved(redpoll, draftShowing(redpoll, image));
        String file = redpoll.get("/api/sheets/" + saved.get("versionId").asText() + "/file")
                .text();

        assertThat(JSON.readTree(file).at("/pictures/" + image).isTextual()).isTrue();
        ObjectNode elsewhere = (ObjectNode) JSON.readTree(file);
        elsewhere.put("id", "hazels-" + UUID.randomUUID().toString().substring(0, 8));
        JsonNode taken = redpoll.putBytes("/api/drafts/" + UUID.randomUUID() + "/file", bytes(elsewhere))
                .expect(200);
        assertThat(taken.at("/sheet/pictures").isMissingNode()).isTrue();
        assertThat(taken.at("/sheet/characters/0/states/0/draw/image").asText()).isEqualTo(image);
    }

    @Test
    void a_file_whose_picture_is_another_or_none_is_refused_with_its_place() throws Exception {
        Caller redpoll = signedIn("Redpoll");
        ObjectNode sheet = (ObjectNode) JSON.readTree(BuiltInLibrary.sheetText("firs"));
        sheet.put("id", "spruces");
        sheet.putObject("pictures")
                .put("0".repeat(64), Base64.getEncoder().encodeToString(Pictures.png()))
                .put("1".repeat(64), "no base 64!");

        assertThat(redpoll.putBytes("/api/drafts/" + UUID.randomUUID() + "/file", bytes(sheet))
                        .expectProblem(422, "not-a-sheet")
                        .get("detail")
                        .asText())
                .contains("pictures." + "0".repeat(64), "pictures." + "1".repeat(64), "no Base64");
    }

    @Test
    void a_draft_that_shows_a_picture_which_is_not_here_cannot_be_saved() {
        Caller redpoll = signedIn("Redpoll");

        assertThat(redpoll.put(draftPath(draftShowing(redpoll, "2".repeat(64))) + "/version", Map.of("note", ""))
                        .expectProblem(422, "not-a-sheet")
                        .get("detail")
                        .asText())
                .contains("characters[0].states[0].draw.image", "choose it again");
    }

    /** A draft of larches of its own whose first state shows the picture. */
    private JsonNode draftShowing(Caller redpoll, String image) {
        return change(
                        redpoll,
                        copyOfLarches(redpoll),
                        sheet -> ((ObjectNode) sheet.at("/characters/0/states/0"))
                                .putObject("draw")
                                .put("part", "own-picture")
                                .put("image", image))
                .expect(200);
    }

    private static byte[] bytes(JsonNode sheet) {
        return sheet.toString().getBytes(StandardCharsets.UTF_8);
    }
}
