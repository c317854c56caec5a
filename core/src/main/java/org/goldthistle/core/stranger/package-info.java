/** How often a sheet would take a tree that is none of its taxa for one of them: section 10 of {@code docs/model.md}. */
package org.goldthistle.core.stranger;
