package org.goldthistle.call;

import java.util.UUID;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.sheet.GroupSheet;

/**
 * A version of a group sheet, ready for reckoning.
 *
 * @param id of the version
 * @param version 1 for the first
 * @param sha256 print of the file it came from, in hex
 * @param model made of the sheet
 */
public record StoredSheet(UUID id, int version, String sha256, GroupModel model) {

    /** The sheet itself. */
    public GroupSheet sheet() {
        return model.sheet();
    }
}
