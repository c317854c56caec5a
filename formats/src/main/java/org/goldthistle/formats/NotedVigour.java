package org.goldthistle.formats;

import java.util.List;

/**
 * How a tree does, as it stands in a file; what was not noted is null.
 *
 * @param leaders lengths of the last leaders in mm, the youngest first
 * @param dieback of the crown, 0 to 4
 * @param crown code of its class
 * @param form code of the stem's form
 * @param damages codes
 * @param dead null: it lives
 * @param favoured null: it is not one to favour
 */
public record NotedVigour(
        List<Integer> leaders,
        Integer dieback,
        String crown,
        String form,
        List<String> damages,
        Boolean dead,
        Boolean favoured) {
    /** Of which nothing was noted. */
    public static final NotedVigour NONE = new NotedVigour(null, null, null, null, null, null, null);
}
