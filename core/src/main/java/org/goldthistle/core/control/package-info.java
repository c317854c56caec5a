/**
 * What must hold before a tree may be cut: which calls may go on a control list, what stands near, and the last look at the
 * tree (section 15 of {@code docs/model.md}).
 */
package org.goldthistle.core.control;
