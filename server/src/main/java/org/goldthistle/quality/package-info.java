/** How good the calls of a survey are. */
package org.goldthistle.quality;
