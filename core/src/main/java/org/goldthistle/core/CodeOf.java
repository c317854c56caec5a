package org.goldthistle.core;

import java.lang.annotation.Documented;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;

/** Says of a text, or of each text of a list, which closed choice it spells. */
@Documented
@Retention(RetentionPolicy.RUNTIME)
public @interface CodeOf {
    /** The choice, an enum. */
    Class<? extends Coded> value();
}
