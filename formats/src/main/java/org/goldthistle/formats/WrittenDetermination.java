package org.goldthistle.formats;

import java.util.List;

/**
 * A signature, in files that are written; never read back.
 *
 * @param id of the signature, and of the tree; UUIDs
 * @param group id of the confusable group
 * @param sheetVersion of that group's sheet, on which it was signed
 * @param outcome taxon, group, come-back or laboratory
 * @param name of what was signed; null: nothing was named
 * @param tier code of what the call was for
 * @param share belief in the lead when it was signed, in [0, 1]; null: nothing was weighed
 * @param confirming words of the features that confirm it
 * @param contrary words of the features that speak against it
 * @param reasons codes of why it was contested
 * @param by call sign or pseudonym of who signed
 * @param on the day, as 2026-09-14
 * @param blind whether it was signed without having been shown what others made of the tree
 * @param review whether it is what a review decided
 * @param note of whoever signed; empty: none
 */
public record WrittenDetermination(
        String id,
        String treeId,
        String plot,
        int tag,
        String group,
        int sheetVersion,
        String outcome,
        WrittenName name,
        String tier,
        Double share,
        List<String> confirming,
        List<String> contrary,
        List<String> reasons,
        String by,
        String on,
        boolean blind,
        boolean review,
        String note) {

    /**
     * What a taxon or a group is called.
     *
     * @param scientific without its author
     * @param authorship empty: it has none
     * @param rank species, hybrid, aggregate or group
     * @param common name
     */
    public record WrittenName(String scientific, String authorship, String rank, String common) {}
}
