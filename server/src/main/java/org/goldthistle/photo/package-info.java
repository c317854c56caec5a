/** Photos as they come from a device: told by their content, and cleaned of where they were taken. */
package org.goldthistle.photo;
