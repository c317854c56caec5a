/** The walk: plots and their trees as one observer sees them, and all that happened to a tree. */
package org.goldthistle.plotlist;
