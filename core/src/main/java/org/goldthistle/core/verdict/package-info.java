/**
 * What a call may rest on: tiers (section 6), the three rules (section 7), the verdict with its reasons (section 8)
 * and the features that confirmed it (section 9 of {@code docs/model.md}).
 */
package org.goldthistle.core.verdict;
