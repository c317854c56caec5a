package org.goldthistle.race;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Pictures;
import org.goldthistle.learning.DrawnFile;

/** Files and drafts, twice at one instant. */
class FileRaceTest extends RaceCase {
    @Override
    List<Race> races() {
        List<Race> all = new ArrayList<>();
        imports(all);
        drafts(all);
        verifiedTrees(all);
        return all;
    }

    private void imports(List<Race> all) {
        String of = "/api/surveys/{surveyId}/imports/{importId}";
        all.add(new Race("PUT " + of, "one id twice", () -> {
            String path = surveyPath() + "/imports/" + UUID.randomUUID() + "?name=trees";
            return same(() -> lead.putBytes(path, table(1)), BOTH);
        }));
        for (String step : List.of("/encoding", "/columns", "/stored", "/stopped", "/taken-back")) {
            all.add(new Race("PUT " + of + step, "while it is forgotten", () -> {
                String path = surveyPath() + "/imports/" + UUID.randomUUID();
                JsonNode sent = lead.putBytes(path + "?name=trees", table(1)).expect(200);
                Object body = step.equals("/encoding")
                        ? Map.of("encoding", "UTF-8")
                        : step.equals("/columns") ? Map.of("columns", sent.path("columns")) : Map.of();
                return new Round(() -> lead.put(path + step, body), () -> lead.delete(path), ANY);
            }));
        }
        all.add(new Race("DELETE " + of, "twice", () -> {
            String path = surveyPath() + "/imports/" + UUID.randomUUID();
            lead.putBytes(path + "?name=trees", table(1)).expect(200);
            return same(() -> lead.delete(path), ANY);
        }));
    }

    private static byte[] table(int tag) {
        return ("plot;tag;azimuth;distance;diameter;group\nWrack " + UUID.randomUUID() + ";" + tag
                        + ";10;3;140;birches\n")
                .getBytes(StandardCharsets.UTF_8);
    }

    private void drafts(List<Race> all) {
        all.add(new Race("PUT /api/sheet-pictures", "the same one twice", () -> {
            byte[] picture = Pictures.png();
            return same(() -> redpoll.putBytes("/api/sheet-pictures", picture), BOTH);
        }));
        String of = "/api/drafts/{draftId}";
        all.add(new Race("PUT " + of, "one id twice", () -> {
            String path = "/api/drafts/" + UUID.randomUUID();
            Object body = Map.of("from", "scratch", "groupId", group(), "title", "New", "region", "Tarnholt Forest");
            return same(() -> redpoll.put(path, body), BOTH);
        }));
        all.add(new Race("PUT " + of + "/sheet", "two changes of one revision", () -> {
            JsonNode draft = draft();
            ObjectNode one = draft.path("sheet").deepCopy();
            ObjectNode other = draft.path("sheet").deepCopy();
            one.put("title", "Larches of the shore");
            other.put("title", "Larches of the hill");
            String path = "/api/drafts/" + draft.path("id").asText() + "/sheet";
            int revision = draft.path("revision").asInt();
            return new Round(
                    () -> redpoll.put(path, Map.of("revision", revision, "sheet", one)),
                    () -> redpoll.put(path, Map.of("revision", revision, "sheet", other)),
                    ONE);
        }));
        all.add(new Race("PUT " + of + "/version", "saved twice", () -> {
            String path = "/api/drafts/" + draft().path("id").asText() + "/version";
            return same(() -> redpoll.put(path, Map.of("note", "")), ONE);
        }));
        all.add(new Race("DELETE " + of, "discarded while it is saved", () -> {
            String path = "/api/drafts/" + draft().path("id").asText();
            return new Round(() -> redpoll.delete(path), () -> redpoll.put(path + "/version", Map.of("note", "")), ANY);
        }));
        all.add(new Race("PUT " + of + "/file", "one id twice", () -> {
            byte[] sheet = draftToTakeIn();
            String path = "/api/drafts/" + UUID.randomUUID() + "/file";
            return same(() -> redpoll.putBytes(path, sheet), ANY);
        }));
        all.add(new Race("PUT " + of + "/matrix", "while it is discarded", () -> {
            String path = "/api/drafts/" + draft().path("id").asText();
            return new Round(
                    () -> redpoll.putBytes(path + "/matrix", "character,state\n".getBytes(StandardCharsets.UTF_8)),
                    () -> redpoll.delete(path),
                    ANY);
        }));
    }

    private void verifiedTrees(List<Race> all) {
        String of = "/api/verified-files/{fileId}";
        byte[] trees = DrawnFile.ofAlders(45);
        all.add(new Race("PUT " + of, "one id twice", () -> {
            String path = "/api/verified-files/" + UUID.randomUUID();
            Round round = same(() -> redpoll.putBytes(path + "?groupId=alders", trees), BOTH);
            return new Round(round.one(), round.other(), (one, other) -> {
                BOTH.of(one, other);
                redpoll.delete(path).expect(204);
            });
        }));
        all.add(new Race("DELETE " + of, "twice", () -> {
            String path = "/api/verified-files/" + UUID.randomUUID();
            redpoll.putBytes(path + "?groupId=alders", trees).expect(204);
            return same(() -> redpoll.delete(path), BOTH);
        }));
        all.add(new Race("PUT /api/drafts/{draftId}/proposals", "while it is discarded", () -> {
            String path = "/api/drafts/" + draft().path("id").asText();
            Object taken = Map.of(
                    "surveyId",
                    surveyPath().substring(surveyPath().lastIndexOf('/') + 1),
                    "character",
                    DrawnFile.SAYS_NOTHING,
                    "kind",
                    "weight");
            return new Round(() -> redpoll.put(path + "/proposals", taken), () -> redpoll.delete(path), ANY);
        }));
    }

    private byte[] draftToTakeIn() {
        ObjectNode sheet = draft().path("sheet").deepCopy();
        return sheet.put("id", group()).toString().getBytes(StandardCharsets.UTF_8);
    }

    private JsonNode draft() {
        String larches = "";
        for (JsonNode one : redpoll.get("/api/sheets").expect(200)) {
            if (one.path("groupId").asText().equals("larches")) {
                larches = one.path("versionId").asText();
            }
        }
        return redpoll.put(
                        "/api/drafts/" + UUID.randomUUID(),
                        Map.of(
                                "from",
                                "copy",
                                "versionId",
                                larches,
                                "groupId",
                                group(),
                                "title",
                                "Larches again",
                                "region",
                                "Tarnholt Forest"))
                .expect(200);
    }

    private static String group() {
        return "larches-" + UUID.randomUUID();
    }
}
