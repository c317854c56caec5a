/**
 * The rules of the job and its arithmetic, without interface, storage, clock or locale. Each package is a
 * chapter of the model page: {@code sheet} holds the botany, {@code reading} what was read of one tree,
 * {@code balance} how readings become shares of belief. Nothing here accepts or returns null.
 */
package org.goldthistle.core;
