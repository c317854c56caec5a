/**
 * What verified trees teach: how far the shares of belief can be relied on, and what the trees would change in a sheet.
 * Section 12 of {@code docs/model.md}. Everything is a proposal.
 */
package org.goldthistle.core.learning;
