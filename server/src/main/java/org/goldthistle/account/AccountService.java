package org.goldthistle.account;

import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.platform.Problem;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes observers and lets them sign in. */
@Service
public class AccountService {
    private static final int SHORTEST_PASSPHRASE = 12;

    private final ObserverRepository observers;
    private final PasswordEncoder encoder;
    private final SignInGuard guard;
    private final Clock clock;
    private final String nobodysHash;

    AccountService(ObserverRepository observers, PasswordEncoder encoder, SignInGuard guard, Clock clock) {
        this.observers = observers;
        this.encoder = encoder;
        this.guard = guard;
        this.clock = clock;
        this.nobodysHash = encoder.encode("nobody signs in with this");
    }

    /** Whether anybody can sign in at all. */
    @Transactional(readOnly = true)
    public boolean hasObservers() {
        return observers.count() > 0;
    }

    /**
     * Makes an observer.
     *
     * @throws Problem if the passphrase is too short
     */
    @Transactional
    public SignedInObserver create(UUID id, String callSign, String passphrase, Role role) {
        if (passphrase.length() < SHORTEST_PASSPHRASE) {
            throw Problem.unfit(
                    "short-passphrase",
                    "The passphrase of " + callSign + " has " + passphrase.length() + " characters; it must have "
                            + SHORTEST_PASSPHRASE + " or more. Nobody was added.");
        }
        return observers
                .save(new Observer(id, callSign, encoder.encode(passphrase), role, clock.instant()))
                .signedIn();
    }

    /**
     * The observer of that call sign and passphrase.
     *
     * @throws Problem if they do not belong together, or the call sign must wait after too many failures
     */
    @Transactional
    public SignedInObserver signIn(String callSign, String passphrase) {
        Duration wait = guard.wait(callSign);
        if (!wait.isZero()) {
            long seconds = wait.plusMillis(999).truncatedTo(ChronoUnit.SECONDS).toSeconds();
            throw Problem.tooMany(
                    "locked-out",
                    "Too many wrong passphrases for " + callSign + ". Wait " + seconds + " seconds, then try again.");
        }
        Optional<Observer> observer = observers.findByCallSignIgnoreCase(callSign);
        // an unknown call sign takes as long as a known one, so that nobody learns which exist
        boolean fits = encoder.matches(
                passphrase, observer.map(Observer::passphraseHash).orElse(nobodysHash));
        if (observer.isEmpty() || !fits) {
            guard.failed(callSign);
            throw Problem.unknownCaller(
                    "wrong-passphrase", "Call sign and passphrase do not belong together. Check both and try again.");
        }
        guard.succeeded(callSign);
        return observer.get().signedIn();
    }

    /** What an observer said they do not have. */
    @Transactional(readOnly = true)
    public Set<Faculty> lacking(UUID id) {
        return observers.findById(id).orElseThrow().lacking();
    }

    /** Notes what an observer says they do not have. */
    @Transactional
    public void changeLacking(UUID id, Set<Faculty> faculties) {
        observers.findById(id).orElseThrow().changeLacking(faculties);
    }

    /** The call signs of observers by id. */
    @Transactional(readOnly = true)
    public Map<UUID, String> callSigns(List<UUID> ids) {
        return observers.findAllById(ids).stream().collect(Collectors.toMap(Observer::id, Observer::callSign));
    }
}
