package org.goldthistle.core.vigour;

import org.goldthistle.core.Coded;

/** What a tree has suffered. */
public enum Damage implements Coded {
    /** Eaten by deer, hares or cattle. */
    BROWSED("browsed"),
    /** Bark stripped. */
    STRIPPED("stripped"),
    /** Wounded by machines or felling. */
    WOUNDED("wounded"),
    /** Eaten by insects. */
    INSECTS("insects"),
    /** Attacked by a fungus. */
    FUNGUS("fungus"),
    /** A canker or a lesion on stem or branches. */
    CANKER("canker"),
    /** Struck by wind, snow or frost. */
    WEATHER("weather"),
    /** Something else, told in the notes. */
    OTHER("other");

    private final String code;

    Damage(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
