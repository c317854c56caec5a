package org.goldthistle.account;

import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;

/** The observer of the current session. */
public record SignedInObserver(UUID id, String callSign, Role role) implements Serializable, Principal {

    /** The observer's id, by which their sessions are found in the database. */
    @Override
    public String getName() {
        return id.toString();
    }
}
