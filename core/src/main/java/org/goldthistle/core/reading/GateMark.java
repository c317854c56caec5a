package org.goldthistle.core.reading;

/** Whether the tree fits one item of the sheet's gate. */
public record GateMark(String item, boolean fits) {}
