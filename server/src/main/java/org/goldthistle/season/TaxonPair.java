package org.goldthistle.season;

import java.sql.ResultSet;
import java.sql.SQLException;

/**
 * Two answers that were given for one tree, in a fixed order.
 *
 * @param first id of a taxon, or that only the group was recorded
 */
record TaxonPair(String groupId, String first, String second) {
    /** From the columns {@code group_id}, {@code one_id} and {@code other_id}. */
    static TaxonPair of(ResultSet row) throws SQLException {
        return new TaxonPair(row.getString("group_id"), row.getString("one_id"), row.getString("other_id"));
    }
}
