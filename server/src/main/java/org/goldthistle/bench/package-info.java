/** The Bench: one tree as one observer works on it. */
package org.goldthistle.bench;
