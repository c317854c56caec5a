package org.goldthistle.platform;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** States that an endpoint may be called by whoever is signed in, contractors excepted; a survey's members are looked at besides. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface ForObservers {}
