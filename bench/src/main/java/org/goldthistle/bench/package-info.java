/** Benchmarks of the core, run by {@code ./goldthistle bench}. */
package org.goldthistle.bench;
