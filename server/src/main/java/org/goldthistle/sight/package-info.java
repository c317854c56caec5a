/** What observers were shown of what others made of trees, from which follows who can still read a tree blind. */
package org.goldthistle.sight;
