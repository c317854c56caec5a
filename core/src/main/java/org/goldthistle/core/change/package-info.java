/** What is different between two versions of a sheet, for an interface that says it in words. */
package org.goldthistle.core.change;
