package org.goldthistle.core;

import java.util.List;

/** Data that a person wrote breaks the rules; carries everything that is wrong with it, not only the first. */
public final class RefusedException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final transient List<Refusal> refusals;

    /** @param refusals what is wrong, at least one */
    public RefusedException(List<Refusal> refusals) {
        super(describe(refusals));
        this.refusals = List.copyOf(refusals);
    }

    /** A refusal of a single thing. */
    public static RefusedException of(String key, String found, String expected) {
        return new RefusedException(List.of(new Refusal(key, found, expected)));
    }

    /** Everything that is wrong, in the order in which it was found. */
    public List<Refusal> refusals() {
        return refusals;
    }

    private static String describe(List<Refusal> refusals) {
        var text = new StringBuilder();
        for (Refusal refusal : refusals) {
            text.append(text.length() == 0 ? "" : "; ").append(refusal.message());
        }
        return text.toString();
    }
}
