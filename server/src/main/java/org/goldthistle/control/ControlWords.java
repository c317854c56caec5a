package org.goldthistle.control;

import java.util.List;

/** What is said wherever trees are to be cut. */
final class ControlWords {
    /** Cautions, the gravest first. */
    static final List<String> CAUTIONS = List.of(
            "Control is for trained, licensed people under local rules. This page says which trees were called, and nothing of"
                    + " how.",
            "No tree is cut before its last look says confirmed. If anything is in doubt, it stays standing.",
            "Go by the tag on the stem, not by where it stands. A tag that is missing or cannot be read: leave the tree.");

    private ControlWords() {}
}
