/** A sheet of another region, kept as what is different there. */
package org.goldthistle.core.region;
