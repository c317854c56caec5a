/** What verified trees teach of the sheets: how far they can be relied on, and what the trees would change. */
package org.goldthistle.learning;
