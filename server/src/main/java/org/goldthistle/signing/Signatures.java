package org.goldthistle.signing;

/** Hears of every signature, in its transaction; reviews begin and go on by it. */
public interface Signatures {
    void signed(Signature signature);
}
