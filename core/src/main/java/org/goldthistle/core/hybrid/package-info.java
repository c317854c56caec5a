/**
 * How much of either parent a tree shows: ancestry, hybrid index and mosaic, section 11 of {@code docs/model.md}.
 */
package org.goldthistle.core.hybrid;
