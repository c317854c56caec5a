package org.goldthistle.draft;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.goldthistle.Caller;
import org.junit.jupiter.api.Test;

/** Somebody who knows the trees changes a sheet and saves it. */
class DraftTest extends DraftCase {
    @Test
    void a_draft_is_checked_as_it_changes_and_saved_as_a_version() {
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode draft = copyOfLarches(nuthatch);
        assertThat(draft.path("refusals")).isEmpty();

        JsonNode broken = change(nuthatch, draft, sheet -> character(sheet, 0).put("weight", 1.5))
                .expect(200);
        assertThat(broken.at("/refusals/0/key").asText()).isEqualTo("characters[0].weight");
        assertThat(broken.at("/refusals/0/found").asText()).isEqualTo("1.5");
        nuthatch.put(draftPath(draft) + "/version", Map.of("note", "")).expectProblem(422, "not-a-sheet");
        nuthatch.get(draftPath(draft) + "/season").expectProblem(422, "not-a-sheet");

        JsonNode mended = change(nuthatch, broken, sheet -> character(sheet, 0).put("weight", 0.5))
                .expect(200);
        assertThat(mended.path("refusals")).isEmpty();
        JsonNode saved = nuthatch.put(draftPath(draft) + "/version", Map.of("note", " Read again in the arboretum. "))
                .expect(200);

        assertThat(saved.path("version").asInt()).isEqualTo(1);
        JsonNode versions =
                nuthatch.get("/api/sheets/versions?groupId=" + group).expect(200);
        assertThat(versions.at("/0/madeBy").asText()).isEqualTo("Nuthatch");
        assertThat(versions.at("/0/note").asText()).isEqualTo("Read again in the arboretum.");
        assertThat(versions.at("/0/builtIn").asBoolean()).isFalse();
        nuthatch.get(draftPath(draft)).expectProblem(404, "no-such-draft");
        assertThat(nuthatch.get("/api/sheets/names?find=European%20larch")
                        .expect(200)
                        .findValuesAsText("groupId"))
                .contains(group);
    }

    @Test
    void the_second_version_tells_what_is_different_and_the_first_stays() {
        Caller nuthatch = signedIn("Nuthatch");
        String first =
                saved(nuthatch, copyOfLarches(nuthatch)).path("versionId").asText();
        JsonNode draft = begin(nuthatch, Map.of("from", "change", "versionId", first));
        assertThat(draft.path("basedOnVersion").asInt()).isEqualTo(1);
        nuthatch.put(draftPath(draft) + "/version", Map.of("note", "")).expectProblem(422, "nothing-changed");

        JsonNode changed = change(nuthatch, draft, sheet -> character(sheet, 0).put("weight", 0.1))
                .expect(200);
        JsonNode differences = nuthatch.get(draftPath(draft) + "/differences").expect(200);
        String second = saved(nuthatch, changed).path("versionId").asText();

        assertThat(differences).hasSize(1);
        assertThat(differences.at("/0/aspect").asText()).isEqualTo("weight");
        assertThat(differences.at("/0/after/numbers/0").asDouble()).isEqualTo(0.1);
        assertThat(nuthatch.get("/api/sheets/differences?from=" + first + "&to=" + second)
                        .expect(200))
                .isEqualTo(differences);
        assertThat(nuthatch.get("/api/sheets/" + first)
                        .expect(200)
                        .path("version")
                        .asInt())
                .isEqualTo(1);
    }

    @Test
    void ids_are_saved_with_a_version_and_a_copy_has_saved_none() {
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode copy = copyOfLarches(nuthatch);
        assertThat(copy.path("saved")).isEmpty();

        String version = saved(nuthatch, copy).path("versionId").asText();
        JsonNode next = begin(nuthatch, Map.of("from", "change", "versionId", version));

        assertThat(next.path("saved").toString()).contains("\"id\"", "taxa.decidua", "characters.needle-length");
        nuthatch.delete(draftPath(next)).expect(204);
    }

    @Test
    void one_who_begins_on_several_pages_at_once_has_one_draft() {
        Caller nuthatch = signedIn("Nuthatch");
        String version =
                saved(nuthatch, copyOfLarches(nuthatch)).path("versionId").asText();
        Map<String, Object> how = Map.of("from", "change", "versionId", version);

        List<JsonNode> begun =
                Stream.generate(() -> CompletableFuture.supplyAsync(() -> begin(nuthatch, how)))
                        .limit(6)
                        .toList()
                        .stream()
                        .map(CompletableFuture::join)
                        .toList();

        assertThat(begun)
                .extracting(one -> one.path("id").asText())
                .containsOnly(begun.get(0).path("id").asText());
    }

    @Test
    void a_draft_is_one_persons_and_other_editors_see_it() {
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode draft = copyOfLarches(nuthatch);
        Caller treecreeper = signedIn("Treecreeper");

        JsonNode seen = treecreeper.get(draftPath(draft)).expect(200);
        assertThat(seen.path("owner").asText()).isEqualTo("Nuthatch");
        assertThat(seen.path("mine").asBoolean()).isFalse();
        assertThat(treecreeper.get("/api/drafts").expect(200).findValuesAsText("id"))
                .contains(draft.path("id").asText());
        change(treecreeper, seen, sheet -> sheet.put("title", "Mine")).expectProblem(403, "draft-of-another");
        treecreeper.delete(draftPath(draft)).expectProblem(403, "draft-of-another");
        signedIn("Siskin").get(draftPath(draft)).expectProblem(403, "not-yours-to-do");
        signedIn("Siskin").get("/api/drafts").expectProblem(403, "not-yours-to-do");

        nuthatch.delete(draftPath(draft)).expect(204);
        nuthatch.delete(draftPath(draft)).expect(204);
    }

    @Test
    void a_change_from_another_page_is_not_written_over_and_one_sent_twice_is_one() {
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode draft = copyOfLarches(nuthatch);
        JsonNode here =
                change(nuthatch, draft, sheet -> sheet.put("title", "Here")).expect(200);

        JsonNode told =
                change(nuthatch, draft, sheet -> sheet.put("title", "There")).expectProblem(409, "stale");
        assertThat(told.at("/kept/sheet/title").asText()).isEqualTo("Here");
        JsonNode again =
                change(nuthatch, draft, sheet -> sheet.put("title", "Here")).expect(200);
        assertThat(again.path("revision").asInt())
                .isEqualTo(here.path("revision").asInt());
    }

    @Test
    void whoever_saves_after_another_looks_at_the_newer_version_first() {
        Caller nuthatch = signedIn("Nuthatch");
        Caller redpoll = signedIn("Redpoll");
        String first =
                saved(nuthatch, copyOfLarches(nuthatch)).path("versionId").asText();
        Map<String, Object> begun = Map.of("from", "change", "versionId", first);
        JsonNode mine = change(nuthatch, begin(nuthatch, begun), sheet -> sheet.put("title", "Larches, mine"))
                .expect(200);
        JsonNode theirs = change(redpoll, begin(redpoll, begun), sheet -> sheet.put("title", "Larches, theirs"))
                .expect(200);
        String newest = saved(redpoll, theirs).path("versionId").asText();

        assertThat(nuthatch.get(draftPath(mine)).expect(200).path("newest").asText())
                .isEqualTo(newest);
        JsonNode told =
                nuthatch.put(draftPath(mine) + "/version", Map.of("note", "")).expectProblem(409, "stale");
        assertThat(told.path("kept").asText()).isEqualTo(newest);
        JsonNode saved = nuthatch.put(draftPath(mine) + "/version", Map.of("note", "", "over", newest))
                .expect(200);
        assertThat(saved.path("version").asInt()).isEqualTo(3);
    }
}
