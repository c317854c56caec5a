package org.goldthistle.account;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.core.Coded;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Settings;
import org.goldthistle.platform.Sha256;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lets people in by a link that works once; only the link's print is kept, so nobody can read it from the database. */
@Service
class InvitationService {
    private static final int TOKEN_BYTES = 32;

    private final InvitationRepository invitations;
    private final AccountService accounts;
    private final SurveyMemberships surveys;
    private final ApiTokens tokens;
    private final AuditTrail audit;
    private final Duration goodFor;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    InvitationService(
            InvitationRepository invitations,
            AccountService accounts,
            SurveyMemberships surveys,
            ApiTokens tokens,
            AuditTrail audit,
            Settings settings,
            Clock clock) {
        this.invitations = invitations;
        this.accounts = accounts;
        this.surveys = surveys;
        this.tokens = tokens;
        this.audit = audit;
        this.goodFor = settings.invitationsLast();
        this.clock = clock;
    }

    /**
     * Invites somebody. Sent again with the same id, it makes a new link, and the one before works no more.
     *
     * @return the token of the link
     * @throws Problem if the call sign is taken or looks like another, the lead does not belong to one of the surveys, or
     *     the id belongs to another invitation
     */
    @Transactional
    String invite(UUID id, String callSign, String role, List<UUID> surveyIds, UUID leadId) {
        Role asked = Coded.find(Role.values(), role)
                .orElseThrow(() -> Problem.unfit(
                        ProblemType.NO_SUCH_ROLE,
                        "A role is " + Coded.codes(Role.values()) + ", but \"" + role + "\" was sent. Nobody was"
                                + " invited."));
        accounts.oneAtATime();
        String free = accounts.requireFree(callSign);
        surveys.requireMember(surveyIds, leadId);
        Invitation fresh = new Invitation(id, free, asked, surveyIds, null, leadId);
        return renewed(known(fresh), "invited somebody", leadId);
    }

    /**
     * Makes a link by which an observer chooses a new passphrase; until it is used the old one works.
     *
     * @throws Problem if the lead shares no survey with them, or the id belongs to another invitation
     */
    @Transactional
    String reset(UUID id, UUID observerId, UUID leadId) {
        accounts.oneAtATime();
        accounts.requireShared(observerId, leadId);
        Observer observer = accounts.observer(observerId);
        Invitation fresh =
                new Invitation(id, observer.callSign(), observer.signedIn().role(), List.of(), observerId, leadId);
        return renewed(known(fresh), "let an observer choose a new passphrase", leadId);
    }

    /** The invitation of that id where it is the same, else a new one. */
    private Invitation known(Invitation fresh) {
        Invitation kept = invitations.findById(fresh.id()).orElse(fresh);
        if (!kept.isSameAs(fresh)) {
            throw Problem.conflict(
                    ProblemType.ID_TAKEN,
                    "The id of this invitation belongs to another one, which was kept as it is. Make another one.");
        }
        return kept;
    }

    private String renewed(Invitation invitation, String what, UUID leadId) {
        if (invitation.isUsed()) {
            throw Problem.conflict(ProblemType.ID_TAKEN, "This invitation has been used already. Make another one.");
        }
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        invitation.renew(Sha256.of(token), clock.instant(), goodFor);
        invitations.save(invitation);
        audit.note(Optional.of(leadId), what, Place.NOWHERE, null, invitation.callSign());
        return token;
    }

    /** The invitations of a lead that can still be used, the latest first. */
    @Transactional(readOnly = true)
    List<Invitation> open(UUID leadId) {
        return invitations.findByMadeByAndUsedAtIsNullAndExpiresAtAfterOrderByMadeAtDesc(leadId, clock.instant());
    }

    /** Takes an invitation back that the lead made. */
    @Transactional
    void withdraw(UUID id, UUID leadId) {
        accounts.oneAtATime();
        Optional<Invitation> there = invitations.findById(id).filter(one -> !one.isUsed());
        if (there.isPresent() && !there.get().madeBy().equals(leadId)) {
            throw Problem.forbidden(
                    ProblemType.NOT_YOURS, "Another lead made this invitation, so they take it back. It was kept.");
        }
        there.ifPresent(one -> {
            invitations.delete(one);
            audit.note(Optional.of(leadId), "took an invitation back", Place.NOWHERE, one.callSign(), null);
        });
    }

    /**
     * Whom a link is for.
     *
     * @throws Problem if it does not work any more
     */
    @Transactional(readOnly = true)
    Invitation find(String token) {
        return invitations
                .findByTokenSha256(Sha256.of(token))
                .filter(one -> one.isGood(clock.instant()))
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_INVITATION,
                        "This link does not work: it was used already, taken back, or is older than " + goodFor.toDays()
                                + " days. Ask your lead for another one."));
    }

    /**
     * Uses a link: the passphrase is the observer's from now on.
     *
     * @throws Problem if the link does not work any more, or the passphrase is too short
     */
    @Transactional
    void accept(String token, String passphrase) {
        accounts.oneAtATime();
        Invitation invitation = find(token);
        if (invitation.resets() != null) {
            accounts.replacePassphrase(invitation.resets(), passphrase, invitation.madeBy());
            tokens.endAll(invitation.resets());
            String by = accounts.observer(invitation.madeBy()).callSign();
            audit.note(
                    Optional.of(invitation.resets()),
                    "chose a new passphrase by a link of " + by,
                    Place.NOWHERE,
                    null,
                    null);
        } else {
            UUID newcomer = UUID.randomUUID();
            accounts.create(newcomer, invitation.callSign(), passphrase, invitation.role());
            surveys.add(invitation.surveyIds(), newcomer, invitation.madeBy());
            audit.note(Optional.of(newcomer), "came in by an invitation", Place.NOWHERE, null, null);
        }
        invitation.use(clock.instant());
    }
}
