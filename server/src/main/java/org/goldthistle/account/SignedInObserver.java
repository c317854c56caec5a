package org.goldthistle.account;

import java.io.Serializable;
import java.util.UUID;

/** The observer of the current session. */
public record SignedInObserver(UUID id, String callSign, Role role) implements Serializable {}
