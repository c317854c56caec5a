package org.goldthistle.call;

import org.springframework.lang.Nullable;

/**
 * What a month holds for a contested call.
 *
 * @param settle chance that a visit then settles it, in [0, 1]
 * @param mislead chance that it ends with a wrong taxon
 * @param check name of the check to begin with; null: none can be made then
 */
record MonthAhead(double settle, double mislead, @Nullable String check) {}
