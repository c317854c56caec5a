package org.goldthistle.call;

import java.util.List;

/**
 * What was read at a tree before it is cut.
 *
 * @param readings in their order; the last one of a character counts
 * @param gate in the order in which items were marked
 */
public record LookMade(List<NewReading> readings, List<PracticeTry.MarkedItem> gate) {}
