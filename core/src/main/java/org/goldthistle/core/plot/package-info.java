/** Where plots and their stems stand, and which measures of them can be true. */
package org.goldthistle.core.plot;
