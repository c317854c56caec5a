/** The group sheets, every version of each. */
package org.goldthistle.library;
