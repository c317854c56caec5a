package org.goldthistle.account;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.platform.ForLeads;
import org.springframework.http.HttpStatus;
import org.springframework.lang.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who may sign in; for leads. */
@RestController
@RequestMapping("/api")
class PeopleController {
    private final AccountService accounts;
    private final InvitationService invitations;
    private final HouseRules rules;

    PeopleController(AccountService accounts, InvitationService invitations, HouseRules rules) {
        this.accounts = accounts;
        this.invitations = invitations;
        this.rules = rules;
    }

    /** Every observer by call sign, the lead's invitations that nobody used yet, and how long sessions may lie still. */
    @GetMapping("/people")
    @ForLeads
    PeopleDto listPeople(@AuthenticationPrincipal SignedInObserver lead) {
        return new PeopleDto(
                accounts.everybody().stream()
                        .map(one -> PersonDto.of(one, accounts.isFor(one.id(), lead.id())))
                        .toList(),
                invitations.open(lead.id()).stream().map(InvitationDto::of).toList(),
                (int) rules.idle().toMinutes());
    }

    /** Changes how long sessions may lie still before they end, for everybody. */
    @PutMapping("/people/idle-limit")
    @ForLeads
    PeopleDto changeIdleLimit(@AuthenticationPrincipal SignedInObserver lead, @Valid @RequestBody IdleBody body) {
        rules.changeIdle(body.minutes(), lead.id());
        return listPeople(lead);
    }

    /** Changes what an observer may do; their sessions end. */
    @PutMapping("/people/{observerId}/role")
    @ForLeads
    PersonDto changeRole(
            @PathVariable UUID observerId,
            @AuthenticationPrincipal SignedInObserver lead,
            @Valid @RequestBody RoleBody body) {
        return PersonDto.of(accounts.changeRole(observerId, body.role(), lead.id()), true);
    }

    /** Keeps an observer from signing in and ends their sessions, or lets them in again. */
    @PutMapping("/people/{observerId}/disabled")
    @ForLeads
    PersonDto disablePerson(
            @PathVariable UUID observerId,
            @AuthenticationPrincipal SignedInObserver lead,
            @Valid @RequestBody DisabledBody body) {
        return PersonDto.of(accounts.disable(observerId, body.disabled(), lead.id()), true);
    }

    /** Makes a link by which an observer chooses a new passphrase. */
    @PutMapping("/people/{observerId}/resets/{invitationId}")
    @ForLeads
    LinkDto resetPassphrase(
            @PathVariable UUID observerId,
            @PathVariable UUID invitationId,
            @AuthenticationPrincipal SignedInObserver lead) {
        return new LinkDto(invitations.reset(invitationId, observerId, lead.id()));
    }

    /** Makes a link by which somebody new comes in. */
    @PutMapping("/invitations/{invitationId}")
    @ForLeads
    LinkDto invitePerson(
            @PathVariable UUID invitationId,
            @AuthenticationPrincipal SignedInObserver lead,
            @Valid @RequestBody InvitationBody body) {
        return new LinkDto(invitations.invite(invitationId, body.callSign(), body.role(), body.surveyIds(), lead.id()));
    }

    /** Takes an invitation back; nothing happens if it was used or is not there. */
    @DeleteMapping("/invitations/{invitationId}")
    @ForLeads
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdrawInvitation(@PathVariable UUID invitationId, @AuthenticationPrincipal SignedInObserver lead) {
        invitations.withdraw(invitationId, lead.id());
    }

    /** Minutes, 5 to 43,200. */
    record IdleBody(@NotNull Integer minutes) {}

    /** The code of a role. */
    record RoleBody(@NotNull @CodeOf(Role.class) String role) {}

    /** Whether they are kept from signing in. */
    record DisabledBody(@NotNull Boolean disabled) {}

    /** Whom to invite, as what, to which surveys of the lead's own. */
    record InvitationBody(
            @NotBlank @Size(max = 80) String callSign,
            @NotNull @CodeOf(Role.class) String role,
            @NotNull List<@NotNull UUID> surveyIds) {}

    /** The secret of a link, told this once: the page is /welcome with it behind a #. */
    record LinkDto(String token) {}

    /** Everybody, who is about to be, and for how many minutes a session may lie still. */
    record PeopleDto(List<PersonDto> people, List<InvitationDto> invitations, int idleMinutes) {}

    /** An observer; disabledAt is null while they may sign in. yours: the lead answers for them. */
    record PersonDto(
            UUID id,
            String callSign,
            @CodeOf(Role.class) String role,
            Instant createdAt,
            @Nullable Instant disabledAt,
            boolean yours) {
        static PersonDto of(Observer observer, boolean yours) {
            return new PersonDto(
                    observer.id(),
                    observer.callSign(),
                    observer.signedIn().role().code(),
                    observer.createdAt(),
                    observer.disabledAt(),
                    yours);
        }
    }

    /** A link that was not used yet; resets: it is for a new passphrase. */
    record InvitationDto(
            UUID id, String callSign, @CodeOf(Role.class) String role, boolean resets, Instant expiresAt) {
        static InvitationDto of(Invitation invitation) {
            return new InvitationDto(
                    invitation.id(),
                    invitation.callSign(),
                    invitation.role().code(),
                    invitation.resets() != null,
                    invitation.expiresAt());
        }
    }
}
