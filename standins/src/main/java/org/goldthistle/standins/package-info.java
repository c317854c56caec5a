/**
 * What stands in for devices and services that the application meets outside, each a small process of its own. It knows
 * nothing of the application: what crosses is what a real one would send.
 */
package org.goldthistle.standins;
