/** Samples of trees on their way to the laboratory and back. */
package org.goldthistle.sample;
