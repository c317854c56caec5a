package org.goldthistle.core;

/**
 * One thing wrong with data that a person wrote.
 *
 * @param key where it stands, as a path from the record that refused it, e.g. {@code profiles.pendula}
 * @param found what stands there
 * @param expected the rule it breaks
 */
public record Refusal(String key, String found, String expected) {

    /** The same refusal seen from an enclosing record, so that its key starts further out; "" leaves it as it is. */
    public Refusal within(String outer) {
        if (outer.isEmpty()) {
            return this;
        }
        return new Refusal(key.isEmpty() ? outer : outer + "." + key, found, expected);
    }

    /** The refusal in one line: key, what was found, what was expected. */
    public String message() {
        return (key.isEmpty() ? "" : key + ": ") + "found " + found + ", expected " + expected;
    }
}
