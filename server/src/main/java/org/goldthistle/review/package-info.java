/** Blind second readings of contested and weighty calls, what is said of them, and what stands in the end. */
package org.goldthistle.review;
