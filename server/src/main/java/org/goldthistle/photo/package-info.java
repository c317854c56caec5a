/** Photos of calls: told by their content, cleaned of where they were taken, kept. */
package org.goldthistle.photo;
