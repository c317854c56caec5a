/** What else a crew notes of a tree, and what its neighbours do to it: notes that decide nothing. */
package org.goldthistle.core.vigour;
