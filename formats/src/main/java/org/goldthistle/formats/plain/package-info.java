/**
 * Sheets and specimens from plain values (maps, lists, text, numbers), whoever read them from a file: one reader, one set
 * of refusals, without a library, so that a browser can run it.
 */
package org.goldthistle.formats.plain;
