/** Surveys, their plots and trees, and who belongs to each survey. */
package org.goldthistle.survey;
