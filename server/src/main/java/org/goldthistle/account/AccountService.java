package org.goldthistle.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
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
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes observers and lets them sign in. */
@Service
public class AccountService {
    private static final Duration SOON_AFTER_RESET = Duration.ofHours(1);
    private static final Duration TOLD_OF_RESET = Duration.ofDays(30);

    private static final int MOST_WAITING = 16; // for a passphrase to be looked at; half of those who serve pages
    private static final Duration LONGEST_QUEUE = Duration.ofSeconds(20); // before a passphrase is looked at

    private final ObserverRepository observers;
    private final PasswordEncoder encoder;
    private final SignInGuard guard;
    private final Sessions sessions;
    private final AuditTrail audit;
    private final Turns turns;
    private final ObjectProvider<SurveyMemberships> surveys; // which ask for accounts themselves
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
            Turns turns,
            ObjectProvider<SurveyMemberships> surveys,
            Clock clock) {
        this.observers = observers;
        this.encoder = encoder;
        this.guard = guard;
        this.sessions = sessions;
        this.audit = audit;
        this.turns = turns;
        this.surveys = surveys;
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
     * @throws Problem if the passphrase is quickly guessed, or the call sign cannot be told from another's
     */
    @Transactional
    public SignedInObserver create(UUID id, String callSign, String passphrase, Role role) {
        Passphrases.requireGood(callSign, passphrase);
        String hash = encoder.encode(passphrase);
        oneAtATime();
        return observers
                .saveAndFlush(new Observer(id, requireFree(callSign), hash, role, clock.instant()))
                .signedIn();
    }

    /** @throws Problem if somebody has that call sign, or one that looks like it */
    String requireFree(String callSign) {
        return CallSigns.requireFit(
                callSign, observers.findAll().stream().map(Observer::callSign).toList());
    }

    /**
     * The observer of that call sign and passphrase. A try counts as failed before it is looked at, so that many at once
     * are many.
     *
     * @param from where it is tried from
     * @throws Problem if they do not belong together, or whoever tries must wait after too many failures
     */
    SignIn signIn(String typed, String passphrase, SignInGuard.Source from) {
        if (hashing.getQueueLength() >= MOST_WAITING) {
            throw busy();
        }
        String callSign = CallSigns.tidied(typed);
        Optional<Observer> observer = observers.findByCallSignIgnoreCase(callSign);
        SignInGuard.Try counted = guard.tries(callSign, observer.map(Observer::id), from);
        Duration wait = counted.left();
        if (!wait.isZero()) {
            long seconds = wait.plusMillis(999).truncatedTo(ChronoUnit.SECONDS).toSeconds();
            throw Problem.tooMany(
                    ProblemType.LOCKED_OUT,
                    "Too many wrong passphrases for " + callSign + ". Wait " + seconds
                            + " seconds, then try again; on a"
                            + " device on which you have signed in before, nobody else's tries count.");
        }
        // an unknown call sign takes as long as a known one, so that nobody learns which exist
        boolean fits = fits(passphrase, observer.map(Observer::passphraseHash).orElse(nobodysHash));
        if (observer.isEmpty() || !fits || observer.get().disabledAt() != null) {
            throw Problem.unknownCaller(
                    ProblemType.WRONG_PASSPHRASE,
                    "Call sign and passphrase do not belong together. Check both and try again.");
        }
        int failures = guard.succeeded(callSign, counted);
        if (encoder.upgradeEncoding(observer.get().passphraseHash())) {
            observers.changeHash(observer.get().id(), encoder.encode(passphrase));
        }
        return new SignIn(observer.get().signedIn(), failures);
    }

    /** Who signed in, and how often somebody tried in vain since they were last told. */
    record SignIn(SignedInObserver observer, int failures) {}

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
                ProblemType.BUSY,
                "Too many sign in at once. Nothing is wrong with what you typed; try again in a moment.");
    }

    /** Every observer by call sign. */
    @Transactional(readOnly = true)
    List<Observer> everybody() {
        return observers.findAllByOrderByCallSign();
    }

    Observer observer(UUID id) {
        return observers
                .findById(id)
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_OBSERVER, "There is no such observer. Nothing was changed."));
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
                        ProblemType.NO_SUCH_ROLE,
                        "A role is " + Coded.codes(Role.values()) + ", but \"" + role + "\" was sent. Nothing was"
                                + " changed."));
        oneAtATime();
        requireShared(id, leadId);
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
        requireShared(id, leadId);
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

    /**
     * Gives an observer a new passphrase by a link; they have to sign in again, and are told who made the link.
     *
     * @throws Problem if it is quickly guessed
     */
    @Transactional
    void replacePassphrase(UUID id, String passphrase, UUID linkMadeBy) {
        Observer observer = observer(id);
        Passphrases.requireGood(observer.callSign(), passphrase);
        observer.replacePassphrase(encoder.encode(passphrase), clock.instant(), linkMadeBy);
        sessions.end(id);
    }

    /** When an observer's passphrase was last replaced by a link, and the call sign of who made that; empty: never. */
    @Transactional(readOnly = true)
    Optional<Reset> lastReset(UUID id) {
        return observers
                .findById(id)
                .filter(one -> one.resetAt() != null)
                .map(one -> new Reset(one.resetAt(), observer(one.resetBy()).callSign()));
    }

    /** The same where it is so lately that the observer is still told. */
    @Transactional(readOnly = true)
    Optional<Reset> resetLately(UUID id) {
        return lastReset(id).filter(reset -> clock.instant().isBefore(reset.at().plus(TOLD_OF_RESET)));
    }

    /** When a passphrase was replaced, and the call sign of who made the link. */
    record Reset(Instant at, String by) {}

    /** Whether an observer's passphrase was replaced by somebody's link within the hour. */
    @Transactional(readOnly = true)
    public boolean wasResetLately(UUID id) {
        return lastReset(id)
                .filter(reset -> clock.instant().isBefore(reset.at().plus(SOON_AFTER_RESET)))
                .isPresent();
    }

    /** Whether a lead answers for an observer. */
    boolean isFor(UUID id, UUID leadId) {
        return id.equals(leadId) || surveys.getObject().isFor(id, leadId);
    }

    /** @throws Problem if a lead and an observer share no survey, so that another lead answers for them */
    void requireShared(UUID id, UUID leadId) {
        if (!isFor(id, leadId)) {
            throw Problem.forbidden(
                    ProblemType.NOT_YOUR_CREW,
                    "You share no survey with " + observer(id).callSign() + ", so a lead who does answers for them."
                            + " Nothing was changed.");
        }
    }

    /**
     * Who is who is changed by one after the other, so that two leads who demote each other do not both succeed, and no two
     * get one call sign.
     */
    void oneAtATime() {
        turns.take(Turn.alone(Turn.Thing.PEOPLE));
    }

    private void requireOtherLead(Observer observer) {
        boolean isLead = observer.signedIn().role() == Role.LEAD && observer.disabledAt() == null;
        if (isLead && observers.countByRoleAndDisabledAtIsNull(Role.LEAD.code()) < 2) {
            throw Problem.unfit(
                    ProblemType.LAST_LEAD,
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
