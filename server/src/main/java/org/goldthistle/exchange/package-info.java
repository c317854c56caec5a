/** Surveys in and out of the application as files of open formats. */
package org.goldthistle.exchange;
