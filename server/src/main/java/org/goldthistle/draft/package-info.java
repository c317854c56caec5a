/**
 * Sheets on their way to a new version: one person's draft, what it breaks, what would change by it, and its saving.
 */
package org.goldthistle.draft;
