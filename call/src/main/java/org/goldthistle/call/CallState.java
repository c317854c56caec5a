package org.goldthistle.call;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.verdict.Tier;

/**
 * A call as it stands without its sheet: all that a device has to know to go on with it by itself.
 *
 * @param sheetVersionId of the sheet it is read on
 * @param visit in hand, with the circumstances
 * @param tier what it is for
 * @param lacking codes of what its observer does not have
 * @param rules of its survey
 * @param cautionRead whether its observer has read what wounding this tree means
 * @param entries in the record, in their order
 * @param markings of the gate, in their order
 * @param photos in the order in which they came
 * @param onRecord what was signed for the tree, as far as its observer may know
 */
public record CallState(
        UUID sheetVersionId,
        Visit visit,
        @CodeOf(Tier.class) String tier,
        @CodeOf(Faculty.class) List<String> lacking,
        SurveyRules rules,
        boolean cautionRead,
        List<Entry> entries,
        List<Marking> markings,
        List<KeptPhoto> photos,
        OnRecord onRecord) {

    public static CallState of(CallInHand call, OnRecord onRecord) {
        return new CallState(
                call.sheet().id(),
                call.visit(),
                call.tier().code(),
                call.lacking().stream().map(Faculty::code).toList(),
                call.rules(),
                call.cautionRead(),
                call.entries(),
                call.markings(),
                call.photos(),
                onRecord);
    }

    /** The call itself, on the sheet that it names. */
    public CallInHand on(StoredSheet sheet) {
        return new CallInHand(
                sheet,
                visit,
                Coded.find(Tier.values(), tier).orElseThrow(),
                faculties(lacking),
                rules,
                cautionRead,
                entries,
                markings,
                photos);
    }

    /** What codes of faculties stand for. */
    public static Set<Faculty> faculties(List<String> codes) {
        Set<Faculty> faculties = EnumSet.noneOf(Faculty.class);
        codes.forEach(code -> faculties.add(Coded.find(Faculty.values(), code).orElseThrow()));
        return faculties;
    }
}
