/** A survey's season as its lead looks at it in the morning. */
package org.goldthistle.season;
