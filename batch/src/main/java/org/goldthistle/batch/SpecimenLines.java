package org.goldthistle.batch;

import org.goldthistle.core.verdict.Assessment;

/** Writes what was found of each specimen, one after the other. */
interface SpecimenLines {

    /** The seed of every season outlook that a recommendation rests on, so that the same file gives the same lines. */
    long SEED = 1;

    void add(String id, Assessment assessment);

    void addBroken(String id, String error);
}
