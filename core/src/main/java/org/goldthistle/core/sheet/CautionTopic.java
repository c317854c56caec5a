package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** What a caution is about. */
public enum CautionTopic implements Coded {
    /** Thorns and spines. */
    THORNS("thorns"),
    /** Irritant sap. */
    SAP("sap"),
    /** Poisonous parts. */
    TOXIC("toxic"),
    /** Pollen. */
    POLLEN("pollen"),
    /** Wounds to the tree. */
    TREE_WOUND("tree-wound"),
    /** Carrying disease between trees. */
    DISEASE_SPREAD("disease-spread"),
    /** Work at height, falling limbs. */
    HEIGHT("height"),
    /** Deep mud, tides and water. */
    WATER("water"),
    /** Control work. */
    CONTROL("control"),
    /** Law and permission. */
    LEGAL("legal");

    private final String code;

    CautionTopic(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
