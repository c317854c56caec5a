/** What is different between two versions of a sheet, in words. */
package org.goldthistle.core.change;
