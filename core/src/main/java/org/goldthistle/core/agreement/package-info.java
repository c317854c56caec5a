/** How far observers agree: section 12 of {@code docs/model.md}. */
package org.goldthistle.core.agreement;
