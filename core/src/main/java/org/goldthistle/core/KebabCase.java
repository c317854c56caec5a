package org.goldthistle.core;

/** Ids that files spell in lower-case words joined by hyphens; without patterns, which a browser's core would carry. */
public final class KebabCase {
    private KebabCase() {}

    /** Whether a text is one or more words of a-z and 0-9 with single hyphens between them. */
    public static boolean is(String text) {
        boolean inWord = false;
        for (int i = 0; i < text.length(); i++) {
            char letter = text.charAt(i);
            boolean ofWord = letter >= 'a' && letter <= 'z' || letter >= '0' && letter <= '9';
            if (!ofWord && !(letter == '-' && inWord)) {
                return false;
            }
            inWord = ofWord;
        }
        return inWord;
    }
}
