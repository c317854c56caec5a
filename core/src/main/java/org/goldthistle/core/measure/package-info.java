/**
 * From a leaf to a number: what a hand lays, points at or counts, typed part by part or tapped on a photo, becomes the value
 * of a character and how far off it may be.
 */
package org.goldthistle.core.measure;
