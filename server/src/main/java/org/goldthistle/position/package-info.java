/** Where the crew stands, as a positioning receiver says. */
package org.goldthistle.position;
