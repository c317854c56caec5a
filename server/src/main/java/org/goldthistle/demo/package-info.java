/** The demo's world: made-up observers, plots and trees, for whoever wants to try the application. */
package org.goldthistle.demo;
