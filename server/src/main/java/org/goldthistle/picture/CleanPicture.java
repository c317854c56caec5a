package org.goldthistle.picture;

/**
 * A picture without its descriptions.
 *
 * @param pixels how many it is said to have; 0: it does not say
 */
record CleanPicture(byte[] content, long pixels) {}
