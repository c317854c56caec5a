package org.goldthistle.core.practice;

/** What is practised: to read a character right on trees of two taxa of a group. It outlives versions of the sheet that keep these ids. */
public record Item(String group, Pair pair, String character) {}
