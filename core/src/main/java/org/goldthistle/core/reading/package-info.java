/**
 * What one observer read of one tree, and under which circumstances: section 1 of {@code docs/model.md}.
 */
package org.goldthistle.core.reading;
