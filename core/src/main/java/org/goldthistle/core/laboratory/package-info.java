/** Samples on their way, and what a laboratory's results are worth beside what was read (section 16 of {@code docs/model.md}). */
package org.goldthistle.core.laboratory;
