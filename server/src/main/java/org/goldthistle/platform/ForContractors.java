package org.goldthistle.platform;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * States that an endpoint may be called by whoever is signed in, a contractor too, who sees the cards of approved trees and
 * nothing else; a survey's members are looked at besides.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface ForContractors {}
