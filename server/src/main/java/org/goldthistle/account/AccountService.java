package org.goldthistle.account;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.platform.Problem;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes observers and lets them sign in. */
@Service
public class AccountService {
    private static final int SHORTEST_PASSPHRASE = 12;
    private static final int FEWEST_DIFFERENT = 5; // characters of a passphrase
    private static final int LONGEST_HASHED = 72; // bytes; the hash sees no more

    private static final int MOST_WAITING = 16; // for a passphrase to be looked at; half of those who serve pages
    private static final Duration LONGEST_QUEUE = Duration.ofSeconds(20); // before a passphrase is looked at

    private final ObserverRepository observers;
    private final PasswordEncoder encoder;
    private final SignInGuard guard;
    private final Sessions sessions;
    private final AuditTrail audit;
    private final JdbcClient jdbc;
    private final Clock clock;
    private final String nobodysHash;
    private final Semaphore hashing =
            new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() / 2), true);

    AccountService(
            ObserverRepository observers,
            PasswordEncoder encoder,
            SignInGuard guard,
            Sessions sessions,
            AuditTrail audit,
            JdbcClient jdbc,
            Clock clock) {
        this.observers = observers;
        this.encoder = encoder;
        this.guard = guard;
        this.sessions = sessions;
        this.audit = audit;
        this.jdbc = jdbc;
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
        requireLong(callSign, passphrase);
        return observers
                .saveAndFlush(new Observer(id, callSign, encoder.encode(passphrase), role, clock.instant()))
                .signedIn();
    }

    /**
     * The observer of that call sign and passphrase. A try counts as failed before it is looked at, so that many at once
     * are many.
     *
     * @throws Problem if they do not belong together, or the call sign must wait after too many failures
     */
    public SignedInObserver signIn(String callSign, String passphrase) {
        if (hashing.getQueueLength() >= MOST_WAITING) {
            throw busy();
        }
        Duration wait = guard.tries(callSign);
        if (!wait.isZero()) {
            long seconds = wait.plusMillis(999).truncatedTo(ChronoUnit.SECONDS).toSeconds();
            throw Problem.tooMany(
                    "locked-out",
                    "Too many wrong passphrases for " + callSign + ". Wait " + seconds + " seconds, then try again.");
        }
        Optional<Observer> observer = observers.findByCallSignIgnoreCase(callSign);
        // an unknown call sign takes as long as a known one, so that nobody learns which exist
        boolean fits = fits(passphrase, observer.map(Observer::passphraseHash).orElse(nobodysHash));
        if (observer.isEmpty() || !fits || observer.get().disabledAt() != null) {
            throw Problem.unknownCaller(
                    "wrong-passphrase", "Call sign and passphrase do not belong together. Check both and try again.");
        }
        guard.succeeded(callSign);
        return observer.get().signedIn();
    }

    /** Hashing takes long by intent: nobody holds a connection meanwhile, and few do it at once. */
    private boolean fits(String passphrase, String hash) {
        try {
            if (!hashing.tryAcquire(LONGEST_QUEUE.toSeconds(), TimeUnit.SECONDS)) {
                throw busy();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
        try {
            return encoder.matches(passphrase, hash);
        } finally {
            hashing.release();
        }
    }

    /** Ends every session of an observer. */
    void endSessions(UUID id) {
        sessions.end(id);
    }

    private static Problem busy() {
        return Problem.tooMany(
                "busy", "Too many sign in at once. Nothing is wrong with what you typed; try again in a moment.");
    }

    private static void requireLong(String callSign, String passphrase) {
        if (passphrase.length() < SHORTEST_PASSPHRASE) {
            throw Problem.unfit(
                    "short-passphrase",
                    "The passphrase of " + callSign + " has " + passphrase.length() + " characters; it must have "
                            + SHORTEST_PASSPHRASE + " or more. Nothing was changed; choose a longer one.");
        }
        if (passphrase.chars().distinct().count() < FEWEST_DIFFERENT) {
            throw Problem.unfit(
                    "plain-passphrase",
                    "The passphrase of " + callSign + " is made of fewer than " + FEWEST_DIFFERENT
                            + " different characters and quickly guessed. Nothing was changed; choose some words.");
        }
        if (passphrase.getBytes(StandardCharsets.UTF_8).length > LONGEST_HASHED) {
            throw Problem.unfit(
                    "long-passphrase",
                    "The passphrase of " + callSign + " is longer than " + LONGEST_HASHED + " bytes, and what is beyond"
                            + " them would not count; letters with accents have two or more. Nothing was changed; choose a"
                            + " shorter one.");
        }
    }

    /** Every observer by call sign. */
    @Transactional(readOnly = true)
    List<Observer> everybody() {
        return observers.findAllByOrderByCallSign();
    }

    Observer observer(UUID id) {
        return observers
                .findById(id)
                .orElseThrow(
                        () -> Problem.missing("no-such-observer", "There is no such observer. Nothing was changed."));
    }

    /**
     * Changes what an observer may do; they have to sign in again.
     *
     * @throws Problem if there is no such role, or no lead would be left
     */
    @Transactional
    Observer changeRole(UUID id, String role, UUID leadId) {
        Role asked = Coded.find(Role.values(), role)
                .orElseThrow(() -> Problem.unfit(
                        "no-such-role",
                        "A role is " + Coded.codes(Role.values()) + ", but \"" + role + "\" was sent. Nothing was"
                                + " changed."));
        oneAtATime();
        Observer observer = observer(id);
        Role before = observer.signedIn().role();
        if (asked != before) {
            requireOtherLead(observer);
            observer.changeRole(asked);
            sessions.end(id);
            audit.note(
                    Optional.of(leadId),
                    "changed the role of " + observer.callSign(),
                    Place.NOWHERE,
                    before.code(),
                    asked.code());
        }
        return observer;
    }

    /**
     * Keeps an observer from signing in and ends their sessions, or lets them in again.
     *
     * @throws Problem if no lead would be left
     */
    @Transactional
    Observer disable(UUID id, boolean disabled, UUID leadId) {
        oneAtATime();
        Observer observer = observer(id);
        if (disabled == (observer.disabledAt() != null)) {
            return observer;
        }
        if (disabled) {
            requireOtherLead(observer);
            observer.disable(clock.instant());
            sessions.end(id);
        } else {
            observer.enable();
        }
        audit.note(
                Optional.of(leadId),
                disabled ? "kept an observer out" : "let an observer in again",
                Place.NOWHERE,
                null,
                observer.callSign());
        return observer;
    }

    /** Gives an observer a new passphrase; they have to sign in again. */
    @Transactional
    void replacePassphrase(UUID id, String passphrase) {
        Observer observer = observer(id);
        requireLong(observer.callSign(), passphrase);
        observer.replacePassphrase(encoder.encode(passphrase));
        sessions.end(id);
    }

    /** Who leads is changed by one after the other, so that two leads who demote each other do not both succeed. */
    private void oneAtATime() {
        jdbc.sql("select 1 from pg_advisory_xact_lock(hashtext('who leads'))")
                .query(Integer.class)
                .single();
    }

    private void requireOtherLead(Observer observer) {
        boolean isLead = observer.signedIn().role() == Role.LEAD && observer.disabledAt() == null;
        if (isLead && observers.countByRoleAndDisabledAtIsNull(Role.LEAD.code()) < 2) {
            throw Problem.unfit(
                    "last-lead",
                    observer.callSign() + " is the only lead, and somebody must keep surveys and people. Nothing was"
                            + " changed; make somebody else a lead first.");
        }
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
