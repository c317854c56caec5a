/** What observers enter on their calls: readings, marks of the gate and circumstances; later entries count instead. */
package org.goldthistle.entry;
