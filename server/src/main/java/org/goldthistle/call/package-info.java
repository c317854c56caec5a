/** Calls: what an observer reads of a tree, what it amounts to, and what they sign. */
package org.goldthistle.call;
