package org.goldthistle.review;

import java.util.Optional;
import org.goldthistle.account.Role;

/**
 * Who may see, read and decide a review: how it stands to one observer.
 *
 * @param closed whether its survey is
 * @param reader whether the observer is among those who have read it
 * @param first whether it is about the observer's call
 * @param mine whether the observer reads it blind now
 * @param seenBefore whether the observer was shown what others made of the tree
 * @param role of the observer
 * @param sendable whether it waits for a reading that nobody can make any more, and a laboratory may settle it
 */
record CaseRights(
        CaseState state,
        boolean closed,
        boolean reader,
        boolean first,
        boolean mine,
        boolean seenBefore,
        Role role,
        boolean sendable) {

    /** Whether what was read is shown to the observer. */
    boolean sees() {
        return !state.isBlind() || reader;
    }

    /** Why the observer may not read it blind; empty: they may, as far as one is wanted. */
    Optional<Hindrance> toRead() {
        if (closed) {
            return Optional.of(Hindrance.CLOSED);
        }
        if (reader) {
            return Optional.of(Hindrance.OWN);
        }
        if (seenBefore) {
            return Optional.of(Hindrance.SEEN);
        }
        return state == CaseState.READING && !mine ? Optional.of(Hindrance.TAKEN) : Optional.empty();
    }

    boolean mayRead() {
        return state.isBlind() && toRead().isEmpty();
    }

    /** Why the observer may not decide it; empty: they may, unless it is settled. */
    Optional<Hindrance> toDecide() {
        if (closed) {
            return Optional.of(Hindrance.CLOSED);
        }
        if (state.isBlind() && !sendable) {
            return Optional.of(Hindrance.UNREAD);
        }
        if (first) {
            return Optional.of(Hindrance.OWN);
        }
        return role == Role.CREW ? Optional.of(Hindrance.ROLE) : Optional.empty();
    }

    boolean mayDecide() {
        return state != CaseState.SETTLED && toDecide().isEmpty();
    }

    /** Why the observer may not do what it waits for; empty: they may, or it is settled. */
    Optional<Hindrance> toDo() {
        return state == CaseState.SETTLED ? Optional.empty() : state.isBlind() ? toRead() : toDecide();
    }
}
