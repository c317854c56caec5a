/**
 * The group sheet: one confusable group, its taxa and the characters that separate them. The only place where
 * botany lives. Every type is an immutable value that cannot be built wrong; what an author wrote wrong comes
 * back as a list of refusals with key, found and expected. See {@code docs/group-sheet.md}.
 */
package org.goldthistle.core.sheet;
