/**
 * How readings become shares of belief: prior (section 2), likelihood (section 3), weight (section 4) and the
 * balance of taxa (section 5 of {@code docs/model.md}).
 */
package org.goldthistle.core.balance;
