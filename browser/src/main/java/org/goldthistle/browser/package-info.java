/** Core and calls for the browser: sheets and calls in as plain values, what the Bench shows out. */
package org.goldthistle.browser;
