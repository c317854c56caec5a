package org.goldthistle.picture;

/** A file that is no picture that can be kept; its message goes on from “This file”. */
public class UnfitPictureException extends Exception {
    private static final long serialVersionUID = 1;

    /** @param why in words that go on from “This file” */
    public UnfitPictureException(String why) {
        super(why);
    }

    /** Why, in words that go on from “This file”. */
    public String why() {
        return getMessage();
    }
}
