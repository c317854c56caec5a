package org.goldthistle.core.change;

import org.goldthistle.core.Coded;

/** What can be different about a part of a sheet. */
public enum Aspect implements Coded {
    /** All of it: it was added or left out. */
    WHOLE("whole"),
    /** The order in which its parts stand. */
    ORDER("order"),
    /** Its id. */
    ID("id"),
    /** Its title. */
    TITLE("title"),
    /** A name that is short enough for a list. */
    SHORT_NAME("short-name"),
    /** Where it holds. */
    REGION("region"),
    /** Why its taxa are confused. */
    WHY("why"),
    /** The name that is recorded when they cannot be separated: common, scientific. */
    FALLBACK("fallback"),
    /** What its members show at the first look, by trait. */
    FIRST_LOOK("first-look"),
    /** The scientific name. */
    SCIENTIFIC_NAME("scientific-name"),
    /** The author of the name. */
    AUTHOR("author"),
    /** The common name. */
    COMMON_NAME("common-name"),
    /** Other names that it is found by. */
    ALSO_CALLED("also-called"),
    /** The rank of a taxon. */
    RANK("rank"),
    /** The parents of a hybrid, by id. */
    PARENTS("parents"),
    /** Where a taxon is from. */
    ORIGIN("origin"),
    /** How common or guarded a taxon is. */
    STANDING("standing"),
    /** How many of 100 wild trees of the group are of the taxon. */
    OF_WILD("of-wild"),
    /** How many of 100 planted trees of the group are of the taxon. */
    OF_PLANTED("of-planted"),
    /** How many times as common a taxon is, by habitat. */
    HABITAT("habitat"),
    /** How it is worded. */
    WORDING("wording"),
    /** The organ that is looked at. */
    ORGAN("organ"),
    /** From where it is looked at. */
    STATION("station"),
    /** How to look. */
    HOW_TO("how-to"),
    /** What a tree without it likely is. */
    OTHERWISE("otherwise"),
    /** The group to look in for a tree without it. */
    OTHERWISE_GROUP("otherwise-group"),
    /** How it is drawn. */
    DRAWING("drawing"),
    /** How a tree without it is drawn. */
    DRAWING_OTHERWISE("drawing-otherwise"),
    /** Whether states, their order or numbers are read. */
    KIND("kind"),
    /** The way in which a number is taken. */
    MEASURED("measured"),
    /** What is laid, pointed at or counted for a number. */
    MEASURED_PARTS("measured-parts"),
    /** Where on the axis a width is taken. */
    MEASURED_AT("measured-at"),
    /** A state, by its name. */
    STATE("state"),
    /** The order of the states, by id. */
    STATE_ORDER("state-order"),
    /** How a state is drawn; of which. */
    STATE_DRAWING("state-drawing"),
    /** How often a state is met; in which taxon, which state. */
    SHARE("share"),
    /** All that a taxon shows; which. Nothing: it is derived from its parents. */
    PROFILE("profile"),
    /** How far a character counts. */
    WEIGHT("weight"),
    /** How far it counts by school. */
    SCHOOLS("schools"),
    /** The months in which it can be read. */
    MONTHS("months"),
    /** How far it counts by stage. */
    STAGES("stages"),
    /** How far it counts by material. */
    MATERIALS("materials"),
    /** How far it counts by place in the crown. */
    POSITIONS("positions"),
    /** How many trees bear it, by stage. */
    BORNE("borne"),
    /** How many make a reading. */
    REPLICATES("replicates"),
    /** How like each other those of one tree are. */
    LIKENESS("likeness"),
    /** The characters with which it is one signal. */
    CLUSTER("cluster"),
    /** How many minutes it takes. */
    MINUTES("minutes"),
    /** What it does to the tree. */
    HARM("harm"),
    /** What it can do to the observer. */
    HAZARDS("hazards"),
    /** The sense that it takes. */
    SENSE("sense"),
    /** What not every observer can do and it asks for. */
    FACULTY("faculty"),
    /** What not seeing it says. */
    ABSENCE("absence"),
    /** What goes wrong with it. */
    PITFALL("pitfall"),
    /** Where a function was published. */
    PUBLISHED("published"),
    /** The taxon for which a function is positive, by id. */
    POSITIVE("positive"),
    /** The taxon for which a function is negative, by id. */
    NEGATIVE("negative"),
    /** The coefficients of a function, by character. */
    COEFFICIENTS("coefficients"),
    /** The constant of a function. */
    CONSTANT("constant"),
    /** Below which value a function is silent. */
    UNDECIDED("undecided"),
    /** How a function is worked. */
    WORKING("working"),
    /** What to be careful of, by topic. */
    CAUTIONS("cautions"),
    /** The sources. */
    SOURCES("sources");

    private final String code;

    Aspect(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
