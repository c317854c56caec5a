/** Which group a tree may belong to, from what anybody sees at the first look. */
package org.goldthistle.core.key;
