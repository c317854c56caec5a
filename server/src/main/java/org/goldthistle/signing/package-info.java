/** What was signed: determinations with all that they rest on, and the state of every call beside them. */
package org.goldthistle.signing;
