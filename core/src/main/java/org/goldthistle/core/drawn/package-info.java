/** Trees that nobody grew: what a tree of a given taxon bears and shows, drawn from the profiles of a sheet. */
package org.goldthistle.core.drawn;
