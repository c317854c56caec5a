package org.goldthistle.review;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.formats.CaseFileJson;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.signing.SignedCall;
import org.goldthistle.signing.SignedCalls;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes the files of settled cases. */
@Service
class CaseFiles {
    private final ReviewService reviews;
    private final SignedCalls calls;
    private final TreeService trees;
    private final LibraryService library;
    private final ObjectMapper json;
    private final KeptJson kept;

    CaseFiles(
            ReviewService reviews,
            SignedCalls calls,
            TreeService trees,
            LibraryService library,
            ObjectMapper json,
            KeptJson kept) {
        this.reviews = reviews;
        this.calls = calls;
        this.trees = trees;
        this.library = library;
        this.json = json;
        this.kept = kept;
    }

    /**
     * The file of a case.
     *
     * @throws Problem if it is not settled
     */
    @Transactional
    JsonNode of(UUID surveyId, UUID caseId, SignedInObserver observer) {
        CaseDto found = reviews.find(surveyId, caseId, observer);
        if (found.stands() == null) {
            throw Problem.conflict(
                    ProblemType.NOT_SETTLED,
                    "This case is not settled yet, so it has no file. Decide it first, then print it.");
        }
        List<SignedCall> signed = calls.of(trees.tree(surveyId, found.treeId(), observer.id()));
        StoredSheet sheet = signed.get(0).sheet();
        ObjectNode data = json.createObjectNode();
        data.set("case", json.valueToTree(found));
        signed.get(0).school().ifPresent(school -> data.put("school", school));
        ObjectNode stored = data.putObject("sheet");
        stored.put("version", sheet.version());
        stored.put("sha256", sheet.sha256());
        stored.set("body", body(sheet));
        ArrayNode specimens = data.putArray("specimens");
        signed.stream()
                .filter(call -> call.sheet().id().equals(sheet.id())) // another version has other characters
                .forEach(call -> specimens.add(json.<JsonNode>valueToTree(call.specimen())));
        return CaseFileJson.of(data);
    }

    private JsonNode body(StoredSheet sheet) {
        return kept.tree(library.text(sheet.id()));
    }
}
