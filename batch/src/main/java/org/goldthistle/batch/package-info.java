/** The command line of the core: files in, lines out, no server and no database. */
package org.goldthistle.batch;
