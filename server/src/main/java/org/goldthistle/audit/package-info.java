/** Who changed what, when, from what to what; entries can be added and read, never changed. */
package org.goldthistle.audit;
