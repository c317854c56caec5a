package org.goldthistle.core;

import java.util.Optional;

/** A closed choice that files spell with a code of its own, such as {@code stand-off}. */
public interface Coded {

    /** The word that stands for this choice in files. */
    String code();

    /** The choice among {@code all} that a file spells {@code code}; empty if there is none. */
    static <T extends Coded> Optional<T> find(T[] all, String code) {
        for (T one : all) {
            if (one.code().equals(code)) {
                return Optional.of(one);
            }
        }
        return Optional.empty();
    }

    /** All codes in order, for a message that says what was expected. */
    static String codes(Coded[] all) {
        var text = new StringBuilder("one of ");
        for (int i = 0; i < all.length; i++) {
            text.append(i == 0 ? "" : ", ").append(all[i].code());
        }
        return text.toString();
    }
}
