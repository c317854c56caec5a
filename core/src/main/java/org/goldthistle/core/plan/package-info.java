/**
 * What to look at next on this tree, and in which month it can be settled: section 10 of {@code docs/model.md}.
 */
package org.goldthistle.core.plan;
